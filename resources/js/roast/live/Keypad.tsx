import { useEffect, useState } from 'react';
import { Segments } from '../../ui/Segments';
import { Sheet } from '../../ui/Sheet';
import { useUnits } from '../../units/units';

const KEYS = ['7', '8', '9', '4', '5', '6', '1', '2', '3', '.', '0', '⌫'] as const;
const LONGEST = 5;

type Place = { id: string; name: string };
type Props = {
  open: boolean;
  onClose: () => void;
  dish: string;
  places: readonly Place[];
  place: string;
  onPlace: (id: string) => void;
  onSave: (celsius: number) => void;
  error: string;
  busy: boolean;
};

/** A keypad that fits a thumb: temperature and place, one tap to log it. */
export function Keypad({ open, onClose, dish, places, place, onPlace, onSave, error, busy }: Props) {
  return (
    <Sheet title={`Reading, ${dish}`} open={open} onClose={onClose}>
      {open && <Pad places={places} place={place} onPlace={onPlace} onSave={onSave} error={error} busy={busy} />}
    </Sheet>
  );
}

function Pad({ places, place, onPlace, onSave, error, busy }: Omit<Props, 'open' | 'onClose' | 'dish'>) {
  const format = useUnits();
  const [typed, setTyped] = useState('');
  const value = Number(typed);
  const sound = typed !== '' && Number.isFinite(value);
  const press = (key: string) =>
    setTyped((old) => (key === '⌫' ? old.slice(0, -1) : key === '.' && old.includes('.') ? old : old.length >= LONGEST ? old : old + key));
  const save = () => {
    if (sound && !busy) onSave(format.fromDegrees(value));
  };
  useEffect(() => {
    const key = (event: KeyboardEvent) => {
      if (/^[0-9]$/.test(event.key)) press(event.key);
      else if (event.key === '.' || event.key === ',') press('.');
      else if (event.key === 'Backspace') press('⌫');
      else if (event.key === 'Enter' && (event.target as HTMLElement).closest('button') === null) save();
      else return;
      event.preventDefault();
    };
    window.addEventListener('keydown', key);
    return () => window.removeEventListener('keydown', key);
  });
  return (
    <div className="grid gap-3">
      <div className="flex items-baseline justify-between border-b-[3px] border-ink pb-1">
        <output className="wide text-[4rem] leading-none" aria-live="polite">
          {typed === '' ? <span className="text-hair">––</span> : typed}
        </output>
        <span className="wide text-2xl">{format.degreeSign}</span>
      </div>
      <Segments label="Place" value={place} options={places} onChange={onPlace} />
      <div className="grid grid-cols-3 gap-2">
        {KEYS.map((key) => (
          <button
            key={key}
            type="button"
            className="push min-h-14 text-2xl"
            aria-label={key === '⌫' ? 'Delete the last digit' : key === '.' ? 'Point' : undefined}
            onClick={() => press(key)}
          >
            {key}
          </button>
        ))}
      </div>
      {error !== '' && (
        <p role="alert" className="font-semibold text-ember">
          {error}
        </p>
      )}
      <button type="button" className="push push-ember min-h-16 text-xl" disabled={!sound || busy} onClick={save}>
        Log it
      </button>
    </div>
  );
}
