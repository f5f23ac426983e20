import { useMutation } from '@tanstack/react-query';
import { Wrong } from '../../ui/Failure';
import clsx from 'clsx';
import { useState } from 'react';
import { call } from '../../api/client';
import type { Plan, Turned } from '../../api/types';
import { Sheet } from '../../ui/Sheet';
import { Loading } from '../../ui/States';
import { Said } from '../../words/Said';
import { toDraft, toFile, type Draft } from '../draft';
import { Offers } from './Offers';

/** Before anything is lit: what two dishes ask of one cooker, and how else the roast could be cooked. */
export function OtherWays({ plan, draft, onChange }: { plan: Plan; draft: Draft; onChange: (draft: Draft) => void }) {
  const [open, setOpen] = useState(false);
  const ask = useMutation({
    mutationFn: (question: Turned) => call('post', '/api/ways', { body: { ...question, roast: toFile(draft) } }),
  });
  const look = (question: Turned) => {
    setOpen(true);
    ask.mutate(question);
  };
  // A pot in the ground has the heat of its hole.
  const choosable = plan.dishes.map((dish, i) => ({ dish, i })).filter(({ i }) => draft.dishes[i]?.rig?.kind !== 'buried_pot');
  return (
    <>
      {plan.places.map((place) => (
        <div
          key={`${place.cooker} ${place.dishes.join()} ${place.side ?? ''}`}
          role="status"
          className="flex flex-wrap items-center gap-x-4 gap-y-2 border-l-[3px] border-ember py-1 pl-3"
        >
          <p className="min-w-0 flex-1 font-semibold">
            <Said>{place.words}</Said>.
          </p>
          <button type="button" className="push" onClick={() => look({ turn: 'shared', cooker: place.cooker })}>
            Ways out
          </button>
        </div>
      ))}
      <div className={clsx('flex flex-wrap items-center gap-x-4', choosable.length === 0 && 'hidden')}>
        <span className="label">Another way for it?</span>
        {choosable.map(({ dish, i }) => (
          <button key={i} type="button" className="text-push" onClick={() => look({ turn: 'compare', dish: i })}>
            {choosable.length === 1 ? 'Hotter, cooler, another cooker' : dish.name}
          </button>
        ))}
      </div>
      <Sheet title="Side by side" open={open} onClose={() => setOpen(false)} wide>
        {ask.isPending && <Loading what="each way to its end" />}
        <Wrong error={ask.error} className="mb-3" />
        {ask.data !== undefined && (
          <Offers
            answer={ask.data}
            take="Plan it so"
            busy={false}
            onTake={(way) => {
              onChange(toDraft(way.file));
              setOpen(false);
            }}
          />
        )}
      </Sheet>
    </>
  );
}
