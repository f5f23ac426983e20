import { useMutation } from '@tanstack/react-query';
import { Wrong } from '../../ui/Failure';
import { useEffect } from 'react';
import { call } from '../../api/client';
import { newId } from '../../api/newId';
import { useRoastChange } from '../../api/queries';
import type { Roast, Turned } from '../../api/types';
import { Sheet } from '../../ui/Sheet';
import { Loading } from '../../ui/States';
import { mainDish } from '../acts';
import { Offers } from './Offers';

type Choice = {
  turn: Turned['turn'];
  name: string;
  note?: string;
  amounts?: { of: 'minutes' | 'people'; values: readonly number[]; unit: string };
};

/** What can come between, and by how much. */
function choices(roast: Roast): Choice[] {
  const fires = roast.plan.fires.some((fire) => fire.fuel !== null);
  return [
    ...(roast.turn === 'behind'
      ? [{ turn: 'behind' as const, name: 'It is behind', note: 'more heat, another cooker, another hour' }]
      : []),
    ...(roast.turn === 'ahead' ? [{ turn: 'ahead' as const, name: 'It is ahead', note: 'hold it, slow it, call them sooner' }] : []),
    ...(roast.turn === 'stalled' ? [{ turn: 'stalled' as const, name: 'It stands still', note: 'wait, wrap it, or hotter' }] : []),
    ...(roast.plan.dishes.some((dish) => dish.status === 'on')
      ? [
          { turn: 'skin_ahead' as const, name: 'Brown before it is done', note: 'foil, a cooler fire, the oven' },
          { turn: 'flare_up' as const, name: 'Fat flares up', note: 'starve it, or take it aside' },
        ]
      : []),
    { turn: 'guests_late', name: 'Guests come later', amounts: { of: 'minutes', values: [20, 40, 60, 90], unit: 'min' } },
    { turn: 'one_more', name: 'More at the table', amounts: { of: 'people', values: [1, 2, 4], unit: 'more' } },
    { turn: 'rain', name: 'Rain', note: 'stay outside, or go in' },
    ...(fires ? [{ turn: 'no_fuel' as const, name: 'Out of fuel', note: 'another one, or another cooker' }] : []),
  ];
}

/** Something came between: two to four ways to go on, of which one is taken, logged, and can be undone as a whole. */
export function DayChanges({ roast, open, asked, onClose }: { roast: Roast; open: boolean; asked: Turned | null; onClose: () => void }) {
  const ask = useMutation({
    mutationFn: (question: Turned) => call('post', '/api/roasts/{roast}/ways', { at: { roast: roast.id }, body: question }),
  });
  const take = useRoastChange<string>(roast.id, (way) =>
    call('post', '/api/roasts/{roast}/ways/taken', { at: { roast: roast.id }, body: { id: newId(), way } }),
  );
  const { mutate } = ask;
  useEffect(() => {
    if (open && asked !== null) mutate(asked);
  }, [open, asked, mutate]);
  const close = () => {
    ask.reset();
    take.reset();
    onClose();
  };
  const trouble = take.error ?? ask.error;
  return (
    <Sheet title={ask.data === undefined ? 'The day changes' : 'Ways to go on'} open={open} onClose={close} wide={ask.data !== undefined}>
      {ask.isIdle && (
        <ul>
          {choices(roast).map((choice) => (
            <li key={choice.turn} className="flex flex-wrap items-center gap-x-3 gap-y-1.5 border-t border-hair py-2">
              {choice.amounts === undefined ? (
                <button
                  type="button"
                  className="grid min-h-11 w-full text-left"
                  onClick={() => ask.mutate({ turn: choice.turn, dish: mainDish(roast) })}
                >
                  <span className="text-lg font-semibold">{choice.name}</span>
                  <span className="text-soft">{choice.note}</span>
                </button>
              ) : (
                <>
                  <span className="w-full text-lg font-semibold">{choice.name}</span>
                  {choice.amounts.values.map((value) => (
                    <button
                      key={value}
                      type="button"
                      className="push"
                      onClick={() => ask.mutate({ turn: choice.turn, [choice.amounts?.of ?? 'minutes']: value })}
                    >
                      {value} {choice.amounts?.unit}
                    </button>
                  ))}
                </>
              )}
            </li>
          ))}
        </ul>
      )}
      {ask.isPending && <Loading what="each way to its end" />}
      <Wrong error={trouble} className="mb-3" />
      {ask.data !== undefined && (
        <Offers
          answer={ask.data}
          onTime={ask.variables.turn === 'behind' || ask.variables.turn === 'ahead'}
          take="Do this"
          busy={take.isPending}
          onTake={(way) => take.mutate(way.id, { onSuccess: close })}
        />
      )}
    </Sheet>
  );
}
