import type { Reference } from '../../api/types';
import { Choice } from '../../ui/Choice';
import { NumberField } from '../../ui/NumberField';
import { type DraftChore } from '../draft';
import type { Errors } from './errors';

/** What is done again and again during a stage. */
export function Chores({
  chores,
  reference,
  errors,
  onChange,
}: {
  chores: DraftChore[];
  reference: Reference;
  errors: Errors;
  onChange: (chores: DraftChore[]) => void;
}) {
  return (
    <div className="grid gap-2">
      {chores.map((chore, i) => (
        <div key={i} className="grid grid-cols-[1fr_7.25rem_auto] items-end gap-2">
          <Choice
            label="Meanwhile"
            value={chore.do}
            options={reference.chores}
            errors={errors[`chores.${i}.do`]}
            onChange={(id) => onChange(chores.map((old, j) => (j === i ? { ...old, do: id } : old)))}
          />
          <NumberField
            label="Every"
            of={{ unit: 'min' }}
            digits={0}
            value={chore.every_minutes}
            usual="once"
            errors={errors[`chores.${i}.every_minutes`]}
            onChange={(every_minutes) => onChange(chores.map((old, j) => (j === i ? { do: old.do, every_minutes } : old)))}
          />
          <button
            type="button"
            className="text-push px-1"
            aria-label="Take this chore out"
            onClick={() => onChange(chores.filter((_, j) => j !== i))}
          >
            ✕
          </button>
        </div>
      ))}
      {chores.length < 8 && (
        <button
          type="button"
          className="text-push justify-self-start"
          onClick={() => onChange([...chores, { do: 'baste', every_minutes: 20 }])}
        >
          Baste, turn or refuel on the way
        </button>
      )}
    </div>
  );
}
