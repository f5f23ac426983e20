import type { Reference } from '../../api/types';
import { Choice } from '../../ui/Choice';
import { NumberField } from '../../ui/NumberField';
import { TextField } from '../../ui/TextField';
import { type DraftChore } from '../draft';
import { within, type Errors } from './errors';
import { MixChoice } from './MixChoice';
import { useSay } from '../../words/Said';

/** What is brushed or sprayed on. */
const BRUSHED = ['baste', 'spray'];

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
  const say = useSay();
  const change = (i: number, next: DraftChore) => onChange(chores.map((old, j) => (j === i ? next : old)));
  return (
    <div className="grid gap-2">
      {chores.map((chore, i) => (
        <div key={i} className="grid grid-cols-[minmax(0,1fr)_auto] items-end gap-x-2 gap-y-1 border-t border-hair pt-2">
          <Choice
            label="Meanwhile"
            value={chore.do}
            options={reference.chores.map((one) => ({ id: one.id, name: say(one.name) }))}
            errors={errors[`chores.${i}.do`]}
            onChange={(id) =>
              change(i, {
                ...chore,
                do: id,
                words: id === 'own' ? (chore.words ?? '') : undefined,
                mix: BRUSHED.includes(id) ? chore.mix : undefined,
              })
            }
          />
          <button
            type="button"
            className="text-push px-1"
            aria-label="Take this chore out"
            onClick={() => onChange(chores.filter((_, j) => j !== i))}
          >
            ✕
          </button>
          {chore.do === 'own' && (
            <TextField
              label="What"
              maxLength={80}
              placeholder="Mop with cider"
              value={chore.words ?? ''}
              errors={errors[`chores.${i}.words`]}
              onChange={(words) => change(i, { ...chore, words })}
            />
          )}
          {BRUSHED.includes(chore.do) && (
            <MixChoice
              label="With"
              mix={chore.mix}
              usual={null}
              kinds={['baste', 'glaze', 'marinade', 'sauce', 'butter']}
              errors={within(errors, `chores.${i}`)}
              onChange={(mix) => change(i, { ...chore, mix })}
            />
          )}
          <div className="col-start-1 grid grid-cols-2 gap-2">
            <NumberField
              label="First after"
              of={{ unit: 'min' }}
              digits={0}
              value={chore.from_minutes}
              usual={typeof chore.every_minutes === 'number' && chore.every_minutes > 0 ? chore.every_minutes : 'at once'}
              errors={errors[`chores.${i}.from_minutes`]}
              onChange={(from_minutes) => change(i, { ...chore, from_minutes })}
            />
            <NumberField
              label="Then every"
              of={{ unit: 'min' }}
              digits={0}
              value={chore.every_minutes}
              usual="once"
              errors={errors[`chores.${i}.every_minutes`]}
              onChange={(every_minutes) => change(i, { ...chore, every_minutes })}
            />
          </div>
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
