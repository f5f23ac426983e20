import { useState } from 'react';
import { Choice } from '../../ui/Choice';
import { NumberField } from '../../ui/NumberField';
import type { DraftMoment, DraftSide } from '../draft';
import { within, type Errors } from './errors';

/** What a side may hang on: a moment of a dish at which it begins, or is done. */
const MOMENTS = [
  { moment: 'on', hangs: 'begins', name: (dish: string) => `goes on with ${dish}` },
  { moment: 'first_baste', hangs: 'ends', name: (dish: string) => `done by the first baste of ${dish}` },
  { moment: 'wrap', hangs: 'ends', name: (dish: string) => `done by the wrapping of ${dish}` },
  { moment: 'pull', hangs: 'ends', name: (dish: string) => `comes off with ${dish}` },
  { moment: 'pull', hangs: 'begins', name: (dish: string) => `goes on when ${dish} comes off` },
  { moment: 'carve', hangs: 'begins', name: (dish: string) => `goes on once ${dish} is carved` },
] as const;

const NEAR_THE_TABLE = '';

/** When a side is done: as near to the table as it waits well, or with a moment of a dish. */
export function SideMoment({
  side,
  name,
  index,
  dishes,
  errors,
  onChange,
}: {
  side: DraftSide;
  name: string;
  index: number;
  dishes: readonly string[];
  errors: Errors;
  onChange: (side: DraftSide) => void;
}) {
  const hangs = side.begins === undefined ? 'ends' : 'begins';
  const moment = side[hangs];
  const set = (key: 'begins' | 'ends', next: DraftMoment | undefined) =>
    onChange({ ...side, begins: undefined, ends: undefined, [key]: next });
  const choose = (id: string) => {
    const [dish, key, at] = id.split(' ') as [string, 'begins' | 'ends', DraftMoment['moment']];
    if (id === NEAR_THE_TABLE) set('begins', undefined);
    else set(key, { dish: Number(dish), moment: at });
  };
  const [asked, setAsked] = useState(false);
  if (moment === undefined && !asked) {
    return (
      <button type="button" className="text-push col-span-3 justify-self-start" onClick={() => setAsked(true)}>
        Begin or end it with a dish
      </button>
    );
  }
  return (
    <div className="col-span-3 grid gap-2">
      <Choice
        label={`When ${name} is done`}
        value={moment === undefined ? NEAR_THE_TABLE : `${moment.dish ?? 0} ${hangs} ${moment.moment}`}
        options={[
          { id: NEAR_THE_TABLE, name: 'as near to the table as it waits well' },
          ...dishes.flatMap((dish, i) => MOMENTS.map((one) => ({ id: `${i} ${one.hangs} ${one.moment}`, name: one.name(dish) }))),
        ]}
        errors={Object.values(within(errors, `sides.${index}.${hangs}`)).flat()}
        onChange={choose}
      />
      {moment !== undefined && (
        <NumberField
          label="Minutes after that, or −minutes before"
          of={{ unit: 'min' }}
          digits={0}
          value={moment.minutes}
          usual={0}
          onChange={(minutes) => set(hangs, { ...moment, minutes })}
        />
      )}
    </div>
  );
}
