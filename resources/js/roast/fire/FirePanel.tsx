import { useState } from 'react';
import { useCookers } from '../../api/queries';
import type { Roast } from '../../api/types';
import { Segments } from '../../ui/Segments';
import { withFire } from '../draft';
import { Editing } from '../Editing';
import { FireTicket } from './FireTicket';
import { FireView } from './FireView';

/** The fires of a roast, one looked at at a time. */
export function FirePanel({ roast, now }: { roast: Roast; now: number }) {
  const cookers = useCookers();
  const [chosen, setChosen] = useState<string | null>(null);
  const fires = roast.plan.fires;
  const kind = fires.find((fire) => fire.cooker === chosen)?.cooker ?? fires[0]?.cooker;
  const stored = fires.find((fire) => fire.cooker === kind);
  if (stored === undefined) {
    return <p className="opens mt-4 text-soft">Nothing here is cooked over a fire or on a cooker that can be set.</p>;
  }
  return (
    <Editing
      key="fire"
      roast={roast}
      now={now}
      ticket={(draft, change, _reference, errors) => (
        <FireTicket draft={draft} fire={stored} cookers={cookers.data ?? []} onChange={change} errors={errors} />
      )}
      answer={(plan, draft, change) => {
        const fire = plan.fires.find((one) => one.cooker === kind) ?? stored;
        return (
          <>
            {fires.length > 1 && (
              <div className="mb-4">
                <Segments
                  label="Fire"
                  value={stored.cooker}
                  options={fires.map((one) => ({ id: one.cooker, name: one.name }))}
                  onChange={setChosen}
                />
              </div>
            )}
            <FireView
              plan={plan}
              fire={fire}
              roast={roast}
              now={now}
              laid={draft.fires?.find((one) => one.cooker === fire.cooker)?.piles}
              onPiles={
                roast.status !== 'planned'
                  ? null
                  : (piles) => {
                      const wish = draft.fires?.find((one) => one.cooker === fire.cooker) ?? { cooker: fire.cooker };
                      change(withFire(draft, { ...wish, piles }));
                    }
              }
            />
          </>
        );
      }}
    />
  );
}
