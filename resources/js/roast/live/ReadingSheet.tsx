import { useState } from 'react';
import { Refused } from '../../api/client';
import { useReference } from '../../api/queries';
import type { Roast } from '../../api/types';
import { isNow, momentOf } from '../../ui/When';
import { useSay } from '../../words/Said';
import { COOKER } from '../acts';
import type { useLogging } from '../useLogging';
import { Keypad } from './Keypad';
import { useOddReading } from './useOddReading';

/** Before it is on, a joint is read in its middle. */
const USUAL_PLACE = 'core';

type Props = {
  roast: Roast;
  index: number;
  log: Pick<ReturnType<typeof useLogging>, 'read'>;
  /** where to read: a place, or `usual` for the one that is read first; null while the sheet is closed */
  at: string | null;
  onClose: () => void;
};

export const USUAL = 'usual';

/** Takes a reading of a dish, or a round of them, on any screen. */
export function ReadingSheet({ at, ...open }: Props) {
  return at === null ? null : <Round key={`${open.index} ${at}`} at={at} {...open} />;
}

function Round({ roast, index, log, at, onClose }: Props & { at: string }) {
  const say = useSay();
  const reference = useReference();
  const odd = useOddReading(roast, index);
  const [round, setRound] = useState<{ read: readonly string[]; at: string } | null>(null);
  const dish = roast.plan.dishes[index];
  const zone = roast.plan.time_zone;
  const spots = dish?.live?.probe_map.spots.map((spot) => spot.place) ?? [USUAL_PLACE];
  const places = [...spots, COOKER].map((id) => ({
    id,
    name: say(reference.data?.places.find((one) => one.id === id)?.name ?? null) || id,
  }));
  const start = round?.at ?? (at === USUAL ? undefined : at);
  const here = start ?? spots[0] ?? USUAL_PLACE;
  const next = spots.find((place) => place !== here && !(round?.read ?? []).includes(place)) ?? null;
  return (
    <Keypad
      open
      onClose={onClose}
      dish={dish?.name ?? ''}
      places={places}
      start={start}
      next={next}
      zone={zone}
      odd={odd}
      busy={log.read.isPending}
      error={log.read.error instanceof Refused ? Object.values(log.read.error.errors).flat().join(' ') : ''}
      onSave={({ celsius, place, when, sure }, goesOn) => {
        const taken = momentOf(when, zone);
        if (taken === null) return;
        log.read.mutate(
          { dish: index, place, celsius, sure, when: isNow(when) ? undefined : taken },
          {
            onSuccess: () => {
              if (goesOn && next !== null) setRound({ read: [...(round?.read ?? []), place], at: next });
              else onClose();
            },
          },
        );
      }}
    />
  );
}
