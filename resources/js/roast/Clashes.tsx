import { useState } from 'react';
import type { Clashing } from '../api/editions';
import { withValue, type Json } from '../api/merge';
import type { RoastFile } from '../api/types';
import { Segments } from '../ui/Segments';
import { useNow } from '../ui/useNow';
import { useUnits } from '../units/units';
import { toDraft } from './draft';
import type { Changed } from './drafts';
import { fieldWords, valueWords } from './fieldWords';

type Side = 'here' | 'there';

/** Where two devices changed the same: which one stands, asked place by place. */
export function Clashes({ clashing, onSettled }: { clashing: Clashing<RoastFile>; onSettled: (settled: Changed) => void }) {
  const format = useUnits();
  const now = useNow(60_000);
  const [chosen, setChosen] = useState<Record<number, Side>>({});
  const { clashes, merged, stands } = clashing;
  const settle = () => {
    const state = clashes.reduce<Json>(
      (so, clash, i) => withValue(so, clash.path, chosen[i] === 'there' ? clash.there : clash.here) ?? so,
      merged as unknown as Json,
    );
    onSettled({ draft: toDraft(state as unknown as RoastFile), from: stands });
  };
  return (
    <section role="alert" aria-label="Changed on two devices" className="grid gap-2 border-l-[3px] border-ember pl-3">
      <p className="font-semibold">Another device changed the same meanwhile. Which one stands?</p>
      {clashes.map((clash, i) => {
        const words = fieldWords(merged, clash.path);
        const option = (id: Side, value: Json | undefined, note: string) => {
          const name = valueWords(clash.path, value, format, now);
          return { id, name, note, spoken: `${name}, ${note}` };
        };
        return (
          <div key={clash.path.join('.')}>
            <p>{words}</p>
            <Segments<Side | ''>
              label={words}
              value={chosen[i] ?? ''}
              options={[option('here', clash.here, 'here'), option('there', clash.there, 'on the other device')]}
              onChange={(side) => side !== '' && setChosen({ ...chosen, [i]: side })}
            />
          </div>
        );
      })}
      <p>
        <button type="button" className="push push-main" disabled={Object.keys(chosen).length < clashes.length} onClick={settle}>
          Keep it so
        </button>
      </p>
    </section>
  );
}
