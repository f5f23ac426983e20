import { useState } from 'react';
import type { Roast } from '../../api/types';
import { clock } from '../../units/time';
import { useUnits } from '../../units/units';
import { logged } from '../useLogging';

const SHOWN = 2;

/** The log, latest first, each line to be undone. */
export function History({ roast, onUndo }: { roast: Roast; onUndo: (what: 'readings' | 'events', id: string) => void }) {
  const format = useUnits();
  const [all, setAll] = useState(false);
  const lines = logged(roast);
  if (lines.length === 0) return <p className="label border-t border-hair pt-2">Nothing logged yet.</p>;
  return (
    <div>
      <ol>
        {lines.slice(0, all ? undefined : SHOWN).map((line) => (
          <li key={line.id} className="flex min-h-11 items-center gap-2 border-t border-hair">
            <span className="w-11 shrink-0 font-bold">{clock(line.at)}</span>
            <span className="min-w-0 flex-1">
              <span className="block truncate">{line.words}</span>
              {!line.counts && <span className="label block text-ember">{line.verdict}</span>}
            </span>
            {line.celsius !== null && (
              <span className={line.counts ? 'font-bold text-water' : 'text-soft line-through'}>{format.degrees(line.celsius, 1)}</span>
            )}
            <button
              type="button"
              className="-mr-3 min-h-11 min-w-11 text-soft hover:text-ember"
              aria-label={`Undo ${line.words} at ${clock(line.at)}`}
              onClick={() => onUndo(line.what, line.id)}
            >
              ✕
            </button>
          </li>
        ))}
      </ol>
      {lines.length > SHOWN && (
        <button type="button" className="text-push" onClick={() => setAll(!all)}>
          {all ? 'The latest alone' : `All ${lines.length}`}
        </button>
      )}
    </div>
  );
}
