import { useState } from 'react';
import { Sheet } from '../ui/Sheet';
import type { Kind } from './due';
import { askForNotices, maySendNotices, shake, sound, wakeSound } from './loud';
import { setKind, stopWatching, useWatches, watch } from './memory';

const WORDS: readonly (readonly [Kind, string, string])[] = [
  ['acts', 'What is to be done', 'on the heat, off the heat, more coals, the next step'],
  ['core', 'A core at its number', 'while the dish is still on'],
  ['cooker', 'A fire that is off', 'by 20 °C, or falling'],
  ['probes', 'A probe that is silent', 'or slipped its plug'],
  ['cold', 'Two hours in the warm', 'what is left goes into the cold'],
];

/** Whether this device calls its cook, and for what. */
export function AlarmSwitch({ roast }: { roast: string }) {
  const memory = useWatches()[roast];
  const [open, setOpen] = useState(false);
  const [notices, setNotices] = useState(maySendNotices());
  const begin = () => {
    wakeSound();
    watch(roast);
    setOpen(true);
    void askForNotices().then(setNotices);
  };
  return (
    <>
      <button
        type="button"
        className="push"
        aria-pressed={memory !== undefined}
        onClick={() => (memory === undefined ? begin() : setOpen(true))}
      >
        {memory === undefined ? 'Call me' : 'Calls you'}
      </button>
      <Sheet title="Alarms on this device" open={open && memory !== undefined} onClose={() => setOpen(false)}>
        <ul>
          {WORDS.map(([kind, name, note]) => (
            <li key={kind} className="border-t border-hair">
              <label className="grid min-h-14 grid-cols-[auto_minmax(0,1fr)] items-center gap-x-3 py-1">
                <input
                  type="checkbox"
                  className="row-span-2 h-6 w-6 accent-[var(--ember)]"
                  checked={memory?.kinds.includes(kind) ?? false}
                  onChange={(event) => setKind(roast, kind, event.target.checked)}
                />
                <span className="font-semibold">{name}</span>
                <span className="label">{note}</span>
              </label>
            </li>
          ))}
        </ul>
        <p className="label mt-2">
          {notices
            ? 'It calls with the screen off as well, as long as this page is open somewhere.'
            : 'Notices are not allowed here: keep this page open and the sound on. The screen stays awake.'}
        </p>
        <div className="mt-3 flex flex-wrap gap-2">
          <button
            type="button"
            className="push"
            onClick={() => {
              wakeSound();
              sound(true);
              shake(true);
            }}
          >
            How it sounds
          </button>
          <button
            type="button"
            className="push"
            onClick={() => {
              stopWatching(roast);
              setOpen(false);
            }}
          >
            Call me no more
          </button>
        </div>
      </Sheet>
    </>
  );
}
