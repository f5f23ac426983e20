import { useEffect, useState } from 'react';
import { Wrong } from '../../ui/Failure';
import { Segments } from '../../ui/Segments';
import { Sheet } from '../../ui/Sheet';
import { momentOf, NOW, When, type Moment } from '../../ui/When';
import { useUnits } from '../../units/units';
import { COOKER } from '../acts';
import type { Doubt } from './useOddReading';

const KEYS = ['7', '8', '9', '4', '5', '6', '1', '2', '3', '.', '0', '⌫'] as const;
const LONGEST = 5;

type Place = { id: string; name: string };
type Taken = { celsius: number; place: string; piece: number; when: Moment; sure: boolean };
type Props = {
  open: boolean;
  onClose: () => void;
  dish: string;
  /** the usual one first: each reading begins there */
  places: readonly Place[];
  zone: string;
  /** numbers of several alike; empty for one */
  pieces: readonly number[];
  /** what is odd about a value at a spot and a moment; null for nothing */
  odd: (celsius: number, spot: { place: string; piece: number }, when: number) => Doubt | null;
  /** where it begins */
  start: { place: string; piece: number };
  /** the spot that comes next in a round of several; null where this is the last */
  next: { place: string; piece: number; name: string } | null;
  onSave: (taken: Taken, goesOn: boolean) => void;
  error: string;
  busy: boolean;
};

/** A keypad that fits a thumb: temperature, place and moment, one tap to log it. What looks odd is asked about at once. */
export function Keypad({ open, onClose, dish, ...pad }: Props) {
  return (
    <Sheet title={`Reading, ${dish}`} open={open} onClose={onClose}>
      {open && <Pad key={`${pad.start.piece} ${pad.start.place}`} {...pad} />}
    </Sheet>
  );
}

function Pad({ places, pieces, zone, odd, start, next, onSave, error, busy }: Omit<Props, 'open' | 'onClose' | 'dish'>) {
  const format = useUnits();
  const [typed, setTyped] = useState('');
  const [place, setPlace] = useState(start.place);
  const [piece, setPiece] = useState(start.piece);
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
    const found = sure ? null : odd(celsius, { place, piece }, momentOf(when, zone) ?? Date.now());
    if (found === null) onSave({ celsius, place, piece, when, sure }, goesOn);
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
      {pieces.length > 0 && place !== COOKER && (
        <div className="flex flex-wrap items-center gap-x-3 gap-y-1">
          <span className="label">Which one, from the left</span>
          <Segments
            label="Which one"
            value={String(piece)}
            options={pieces.map((number) => ({ id: String(number), name: `no. ${number}` }))}
            onChange={(id) => {
              setPiece(Number(id));
              setDoubt(null);
            }}
          />
        </div>
      )}
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
          {next !== null && (next.place !== place || next.piece !== piece) && (
            <button type="button" className="push min-h-16" disabled={!sound || busy} onClick={() => save(false, true)}>
              and then {next.name}
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
                onClick={() => onSave({ celsius, place, piece, when, sure: false }, false)}
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
