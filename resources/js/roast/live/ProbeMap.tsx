import clsx from 'clsx';
import type { Live } from '../../api/types';
import { inkOn, temperatureCss } from '../../charts/temperature';
import { agoOf } from '../../units/time';
import { useUnits } from '../../units/units';
import { Said, useSay } from '../../words/Said';
import type { Spot as Where } from './ReadingSheet';

type Map = Live['probe_map'];
type Spot = Map['next'];

/** Where a place lies in the picture, across and down. */
const AT: Readonly<Record<string, readonly [number, number]>> = {
  core: [150, 70],
  thick_end: [72, 70],
  thin_end: [232, 74],
  bone: [184, 108],
  thigh: [206, 98],
  breast: [112, 62],
  leg: [62, 66],
  saddle: [150, 56],
  filling: [156, 88],
  shoulder: [236, 66],
};

const BODY: Readonly<Record<'bird' | 'animal' | 'joint', string>> = {
  bird: 'M40 78 C44 34 110 14 168 30 C214 42 238 66 246 84 C262 88 274 98 272 108 C268 120 246 116 236 106 C220 132 178 140 140 134 C84 130 38 122 40 78 Z',
  animal:
    'M24 66 C24 36 54 26 86 34 C118 42 182 42 214 34 C246 26 280 38 280 68 C280 98 250 108 216 98 C182 90 118 90 84 98 C52 108 24 96 24 66 Z',
  joint: 'M26 76 C22 34 78 18 140 26 C206 34 276 52 278 78 C280 104 214 126 146 130 C78 134 30 118 26 76 Z',
};

/** By the places that it has: a leg of a bird is no bird. */
function bodyOf({ spots }: Map): keyof typeof BODY {
  const has = (place: string) => spots.some((spot) => spot.place === place);
  return has('leg') ? 'animal' : has('thigh') ? 'bird' : 'joint';
}

const isSame = (a: Where, b: Where): boolean => a.place === b.place && a.piece === b.piece;

/** Where it was read in this round: the coldest decides, an open ring is where to look next. A touch reads there. */
export function ProbeMap({ map, onRead }: { map: Map; onRead: (spot: Where) => void }) {
  const format = useUnits();
  const say = useSay();
  const body = BODY[bodyOf(map)];
  const many = map.pieces.length > 0;
  const read = (many ? map.pieces : map.spots).filter((spot) => spot.celsius !== null);
  const deciding = map.spots.find((spot) => spot.decides);
  const named = (spot: Spot) => (many ? `${say(spot.words)} of no. ${spot.piece}` : say(spot.words));
  return (
    <section aria-label="Probe map" className="opens mt-4 grid items-center gap-x-6 gap-y-2 sm:grid-cols-[minmax(0,19rem)_minmax(0,1fr)]">
      {many ? <Pieces map={map} body={body} onRead={onRead} /> : <Places map={map} body={body} deciding={deciding} onRead={onRead} />}
      <div>
        <p className="font-semibold">
          {deciding === undefined
            ? 'Not read in this round.'
            : `${named(deciding)} decides: ${format.degrees(deciding.celsius ?? 0, 1)}, the coldest of ${read.length}.`}
        </p>
        {many && deciding !== undefined && map.unread.length > 0 && (
          <p className="font-semibold text-ember">Still to read: {map.unread.map((piece) => `no. ${piece}`).join(', ')}.</p>
        )}
        {map.uneven !== null && (
          <p role="status" className="mt-1 border-l-[3px] border-ember pl-3 font-semibold">
            <Said>{map.uneven}</Said>.
          </p>
        )}
        {many && deciding !== undefined && <p className="label mt-2">No. {deciding.piece}</p>}
        <ul className="mt-2 flex flex-wrap gap-2">
          {map.spots.map((spot) => (
            <li key={spot.place}>
              <button type="button" className="push px-3" aria-current={isSame(spot, map.next)} onClick={() => onRead(spot)}>
                {say(spot.words)}
                <span className="label">
                  {spot.celsius === null ? (isSame(spot, map.next) ? 'next' : '') : agoOf(spot.minutes_ago ?? 0)}
                </span>
              </button>
            </li>
          ))}
        </ul>
        {map.next.celsius !== null && <p className="label mt-2">All of it was read: look at {named(map.next).toLowerCase()} again next.</p>}
      </div>
    </section>
  );
}

/** One piece, and where it was read. */
function Places({ map, body, deciding, onRead }: { map: Map; body: string; deciding: Spot | undefined; onRead: (spot: Where) => void }) {
  const format = useUnits();
  const say = useSay();
  return (
    <svg
      viewBox="0 0 300 150"
      className="w-full max-w-[19rem]"
      role="img"
      aria-label={map.spots.map((spot) => spoken(spot, say(spot.words), format)).join('; ')}
    >
      <path
        d={body}
        fill={deciding === undefined ? 'var(--raised)' : temperatureCss(deciding.celsius ?? 0)}
        fillOpacity="0.28"
        stroke="var(--ink)"
        strokeWidth="2"
      />
      {map.spots.map((spot) => {
        const [x, y] = AT[spot.place] ?? [150, 75];
        const known = spot.celsius !== null;
        const isNext = isSame(spot, map.next);
        return (
          <g key={spot.place} className="cursor-pointer" onClick={() => onRead(spot)}>
            <circle
              cx={x}
              cy={y}
              r={known ? 21 : 13}
              fill={known ? temperatureCss(spot.celsius ?? 0) : 'var(--paper)'}
              stroke={spot.decides ? 'var(--ink)' : isNext ? 'var(--ember)' : 'var(--soft)'}
              strokeWidth={spot.decides || isNext ? 3.5 : 1.5}
              strokeDasharray={known || isNext ? undefined : '4 3'}
            />
            {known && (
              <text x={x} y={y + 5.5} textAnchor="middle" fontSize="16" fontWeight="750" fill={inkOn(spot.celsius ?? 0)}>
                {format.degrees(spot.celsius ?? 0)}
              </text>
            )}
          </g>
        );
      })}
    </svg>
  );
}

/** Several pieces from the left, each with its coldest place. */
function Pieces({ map, body, onRead }: { map: Map; body: string; onRead: (spot: Where) => void }) {
  const format = useUnits();
  return (
    <ul
      className={clsx(
        'grid gap-x-2 gap-y-1.5 sm:max-w-[19rem]',
        map.pieces.length > 4 ? 'grid-cols-4' : map.pieces.length === 3 ? 'grid-cols-3' : 'grid-cols-2',
      )}
    >
      {map.pieces.map((spot) => {
        const known = spot.celsius !== null;
        const isNext = spot.piece === map.next.piece && !known;
        return (
          <li key={spot.piece}>
            <button type="button" className="grid min-h-11 w-full place-items-center rounded-lg" onClick={() => onRead(spot)}>
              <svg viewBox="16 8 272 136" className="w-full" aria-hidden>
                <path
                  d={body}
                  fill={known ? temperatureCss(spot.celsius ?? 0) : 'var(--paper)'}
                  stroke={spot.decides ? 'var(--ink)' : isNext ? 'var(--ember)' : 'var(--soft)'}
                  strokeWidth={spot.decides || isNext ? 10 : 4}
                  strokeDasharray={known || isNext ? undefined : '16 10'}
                />
                {known && (
                  <text x="148" y="98" textAnchor="middle" fontSize="60" fontWeight="750" fill={inkOn(spot.celsius ?? 0)}>
                    {format.degrees(spot.celsius ?? 0)}
                  </text>
                )}
              </svg>
              <span className="label">
                no. {spot.piece}
                <span className="sr-only">{spoken(spot, '', format)}</span>
              </span>
            </button>
          </li>
        );
      })}
    </ul>
  );
}

const spoken = (spot: Spot, name: string, format: ReturnType<typeof useUnits>): string =>
  `${name}: ${spot.celsius === null ? 'not read' : format.temperature(spot.celsius, 1)}${spot.decides ? ', decides' : ''}`;
