import { useEffect, useState } from 'react';
import { Wrong } from '../../ui/Failure';
import { Segments } from '../../ui/Segments';
import { Sheet } from '../../ui/Sheet';
import { momentOf, NOW, When, type Moment } from '../../ui/When';
import { useUnits } from '../../units/units';
import type { Doubt } from './useOddReading';

const KEYS = ['7', '8', '9', '4', '5', '6', '1', '2', '3', '.', '0', '⌫'] as const;
const LONGEST = 5;

type Place = { id: string; name: string };
type Taken = { celsius: number; place: string; when: Moment; sure: boolean };
type Props = {
  open: boolean;
  onClose: () => void;
  dish: string;
  /** the usual one first: each reading begins there */
  places: readonly Place[];
  zone: string;
  /** what is odd about a value at a place and a moment; null for nothing */
  odd: (celsius: number, place: string, when: number) => Doubt | null;
  /** where it begins; the first place where nothing is said */
  start?: string | undefined;
  /** the place that comes next in a round of several; null where this is the last */
  next?: string | null;
  onSave: (taken: Taken, goesOn: boolean) => void;
  error: string;
  busy: boolean;
};

/** A keypad that fits a thumb: temperature, place and moment, one tap to log it. What looks odd is asked about at once. */
export function Keypad({ open, onClose, dish, ...pad }: Props) {
  return (
    <Sheet title={`Reading, ${dish}`} open={open} onClose={onClose}>
      {open && <Pad key={pad.start ?? ''} {...pad} />}
    </Sheet>
  );
}

function Pad({ places, zone, odd, start, next = null, onSave, error, busy }: Omit<Props, 'open' | 'onClose' | 'dish'>) {
  const format = useUnits();
  const [typed, setTyped] = useState('');
  const [place, setPlace] = useState(start ?? places[0]?.id ?? '');
  const [when, setWhen] = useState<Moment>(NOW);
  const [timed, setTimed] = useState(false);
  const [doubt, setDoubt] = useState<Doubt | null>(null);
  const value = Number(typed);
  const sound = typed !== '' && Number.isFinite(value);
  const press = (key: string) => {
    setDoubt(null);
    setTyped((old) => (key === '⌫' ? old.slice(0, -1) : key === '.' && old.includes('.') ? old : old.length >= LONGEST ? old : old + key));
  };
  const save = (sure: boolean, goesOn = false) => {
    if (!sound || busy) return;
    const celsius = format.fromDegrees(value);
    const found = sure ? null : odd(celsius, place, momentOf(when, zone) ?? Date.now());
    if (found === null) onSave({ celsius, place, when, sure }, goesOn);
    else setDoubt(found);
  };
  useEffect(() => {
    const key = (event: KeyboardEvent) => {
      const target = event.target as HTMLElement;
      if (target.closest('input') !== null) return;
      if (/^[0-9]$/.test(event.key)) press(event.key);
      else if (event.key === '.' || event.key === ',') press('.');
      else if (event.key === 'Backspace') press('⌫');
      else if (event.key === 'Enter' && target.closest('button') === null) save(false);
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
      <Segments
        label="Place"
        value={place}
        options={places}
        onChange={(id) => {
          setPlace(id);
          setDoubt(null);
        }}
      />
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
      {timed ? (
        <When label="Read" value={when} onChange={setWhen} zone={zone} />
      ) : (
        <button type="button" className="text-push justify-self-start" onClick={() => setTimed(true)}>
          Read a while ago?
        </button>
      )}
      <Wrong error={error} />
      {doubt === null ? (
        <div className="grid grid-flow-col gap-2">
          <button type="button" className="push push-ember min-h-16 text-xl" disabled={!sound || busy} onClick={() => save(false)}>
            Log it
          </button>
          {next !== null && next !== place && (
            <button type="button" className="push min-h-16" disabled={!sound || busy} onClick={() => save(false, true)}>
              and then {places.find((one) => one.id === next)?.name.toLowerCase() ?? next}
            </button>
          )}
        </div>
      ) : (
        <div role="alert" className="grid gap-2 border-l-[3px] border-ember pl-3">
          <p className="font-semibold">{doubt.question}</p>
          <div className="flex flex-wrap gap-2">
            {doubt.meant.map((celsius) => (
              <button
                key={celsius}
                type="button"
                className="push min-h-14 flex-1"
                disabled={busy}
                onClick={() => onSave({ celsius, place, when, sure: false }, false)}
              >
                It is {format.shown(celsius)} {format.degreeSign}
              </button>
            ))}
            <button type="button" className="push min-h-14 flex-1" disabled={busy} onClick={() => save(true)}>
              {format.shown(format.fromDegrees(value))} {format.degreeSign} is right
            </button>
          </div>
        </div>
      )}
    </div>
  );
}
