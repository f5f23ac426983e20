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

/** Nobody numbers more pieces than these. */
const MOST_NUMBERED = 12;

/** Where a probe goes in. */
export type Spot = { place: string; piece: number };

type Props = {
  roast: Roast;
  index: number;
  log: Pick<ReturnType<typeof useLogging>, 'read'>;
  /** where to read, or `usual` for the spot that is read first; null while the sheet is closed */
  at: Spot | typeof USUAL | null;
  onClose: () => void;
};

export const USUAL = 'usual';

/** Takes a reading of a dish, or a round of them, on any screen. */
export function ReadingSheet({ at, ...open }: Props) {
  return at === null ? null : <Round key={`${open.index} ${at === USUAL ? at : keyOf(at)}`} at={at} {...open} />;
}

function Round({ roast, index, log, at, onClose }: Props & { at: Spot | typeof USUAL }) {
  const say = useSay();
  const reference = useReference();
  const odd = useOddReading(roast, index);
  const [round, setRound] = useState<{ read: readonly Spot[]; at: Spot } | null>(null);
  const dish = roast.plan.dishes[index];
  const zone = roast.plan.time_zone;
  const map = dish?.live?.probe_map ?? null;
  const usualPlaces = map?.spots.map((spot) => spot.place) ?? [USUAL_PLACE];
  const nameOf = (id: string) => say(reference.data?.places.find((one) => one.id === id)?.name ?? null) || id;
  const places = [...usualPlaces, COOKER].map((id) => ({ id, name: nameOf(id) }));
  const many = roast.file.dishes[index]?.pieces ?? 1;
  const pieces = many === 1 ? [] : (map?.pieces.map((spot) => spot.piece) ?? numbers(Math.min(many, MOST_NUMBERED)));
  const usual = { place: usualPlaces[0] ?? USUAL_PLACE, piece: (many > 1 && map?.unread[0]) || 1 };
  // What is told meanwhile moves nobody's thumb to another spot.
  const [first] = useState(at === USUAL ? usual : at);
  const here = round?.at ?? first;
  /** Piece by piece where there are several, else place by place. */
  const spots = pieces.length > 0 ? pieces.map((piece) => ({ ...usual, piece })) : usualPlaces.map((place) => ({ place, piece: 1 }));
  const isRead = (spot: Spot) =>
    [here, ...(round?.read ?? [])].some((one) => keyOf(one) === keyOf(spot)) ||
    (many > 1 && map?.pieces.some((one) => one.piece === spot.piece && one.celsius !== null));
  const next = spots.find((spot) => !isRead(spot)) ?? null;
  return (
    <Keypad
      open
      onClose={onClose}
      dish={dish?.name ?? ''}
      places={places}
      pieces={pieces}
      start={here}
      next={next === null ? null : { ...next, name: many > 1 ? `no. ${next.piece}` : nameOf(next.place).toLowerCase() }}
      zone={zone}
      odd={odd}
      busy={log.read.isPending}
      error={log.read.error instanceof Refused ? Object.values(log.read.error.errors).flat().join(' ') : ''}
      onSave={({ celsius, place, piece, when, sure }, goesOn) => {
        const taken = momentOf(when, zone);
        if (taken === null) return;
        log.read.mutate(
          { dish: index, place, ...(many > 1 && place !== COOKER ? { piece } : {}), celsius, sure, when: isNow(when) ? undefined : taken },
          {
            onSuccess: () => {
              if (goesOn && next !== null) setRound({ read: [...(round?.read ?? []), { place, piece }], at: next });
              else onClose();
            },
          },
        );
      }}
    />
  );
}

const keyOf = ({ place, piece }: Spot): string => `${piece} ${place}`;

const numbers = (many: number): number[] => Array.from({ length: many }, (_, i) => i + 1);
