import { useState } from 'react';
import type { FilePile, Fire, Floor } from '../../api/types';
import { FireFloorPicture } from '../../charts/FireFloorPicture';
import { fluxCss, HAND_KEY } from '../../charts/flux';
import { Answer } from '../../ui/Answer';
import { Why } from '../../ui/Why';
import { useUnits } from '../../units/units';

const MOST_PILES = 16;
const CHANGE = 1.25;

/** @property laid coals as they were moved last, which the answer may not know yet: the next move starts from there */
type Props = {
  fire: Fire;
  laid: FilePile[] | undefined;
  floor: Floor;
  meat: string;
  onPiles: ((piles: FilePile[] | undefined) => void) | null;
};

/** The fire from above, to be rearranged by thumb or keys, and what the meat gets of it. */
export function FloorPanel({ fire, laid, floor: answered, meat, onPiles }: Props) {
  const format = useUnits();
  const floor = laid === undefined ? answered : { ...answered, piles: laid.map((pile) => ({ ...pile, ...knownOf(pile, answered) })) };
  const [chosen, setChosen] = useState<number | null>(null);
  const movable = onPiles !== null && floor.piles.length > 0;
  const piles: FilePile[] = floor.piles.map(({ x_cm, y_cm, kg }) => ({ x_cm, y_cm, kg }));
  const share = (factor: number) => {
    if (chosen !== null) onPiles?.(piles.map((pile, i) => (i === chosen ? { ...pile, kg: Number((pile.kg * factor).toFixed(4)) } : pile)));
  };
  const add = () => {
    const mean = piles.reduce((sum, pile) => sum + pile.kg, 0) / Math.max(1, piles.length);
    onPiles?.([...piles, { x_cm: 0, y_cm: Math.round(-floor.width_cm * 0.25), kg: Number(mean.toFixed(4)) }]);
    setChosen(piles.length);
  };
  const even = floor.near_kw_m2 - floor.far_kw_m2 < 0.15 * Math.max(0.2, floor.near_kw_m2);
  return (
    <section aria-label="From above" className="min-w-0">
      <div className="mb-2 flex flex-wrap items-baseline justify-between gap-x-6">
        <h2 className="text-lg">From above</h2>
        <p className="label">
          {movable
            ? 'Drag the coals, or tab to them and use the arrows'
            : floor.bars.length > 0
              ? 'Burners as they are set'
              : 'Coals as they were laid'}
        </p>
      </div>
      <div className="mx-auto" style={{ maxWidth: floor.round ? 440 : undefined }}>
        <FireFloorPicture
          floor={floor}
          meat={meat}
          chosen={chosen}
          onChoose={setChosen}
          onMove={movable ? (next) => onPiles(next) : null}
        />
      </div>
      <dl className="label mt-2 flex flex-wrap items-center gap-x-4 gap-y-1">
        <dt>{fire.open ? 'A hand is held' : 'Heat going up'}</dt>
        {HAND_KEY.map((one) => (
          <dd key={one.seconds} className="flex items-center gap-1.5">
            <span className="size-3.5 rounded-sm border border-soft" style={{ background: fluxCss(one.kw) }} />
            {fire.open ? `${one.seconds} s` : `${one.kw.toFixed(1)} kW/m²`}
          </dd>
        ))}
      </dl>
      {movable && (
        <div className="mt-3 grid grid-cols-2 gap-2 sm:flex">
          <button type="button" className="push" disabled={chosen === null} onClick={() => share(CHANGE)}>
            More here
          </button>
          <button type="button" className="push" disabled={chosen === null} onClick={() => share(1 / CHANGE)}>
            Fewer here
          </button>
          <button
            type="button"
            className="push"
            disabled={chosen === null || piles.length < 2}
            onClick={() => {
              onPiles(piles.filter((_, i) => i !== chosen));
              setChosen(null);
            }}
          >
            Rake away
          </button>
          <button type="button" className="push" disabled={piles.length >= MOST_PILES} onClick={add}>
            Add a pile
          </button>
        </div>
      )}
      <div className="mt-4 grid grid-cols-2 gap-x-5 gap-y-3 sm:grid-cols-3 [&_.text-answer]:text-[1.375rem] sm:[&_.text-answer]:text-[1.5rem]">
        <Answer
          label="Straight up to the meat"
          remark={`${format.length(floor.height_cm, 0)} over the ${floor.bars.length > 0 ? 'burners' : 'coals'}${fire.open && laid !== undefined && floor.meat_hand_s < 60 ? `, a hand held ${floor.meat_hand_s.toFixed(0)} s` : ''}`}
        >
          <Why of="fire.flux" workings={fire.workings}>
            {floor.meat_kw_m2.toFixed(1)} kW/m²
          </Why>
        </Answer>
        <Answer
          label={even ? 'Both sides alike' : 'Near side, far side'}
          tone={even ? 'herb' : 'ink'}
          remark={even ? undefined : floor.near_kw_m2 > 3 * Math.max(0.05, floor.far_kw_m2) ? 'turn it half way' : 'turn it once'}
        >
          <Why of="fire.flux" workings={fire.workings}>
            {even ? `${floor.near_kw_m2.toFixed(1)} kW/m²` : `${floor.near_kw_m2.toFixed(1)}, ${floor.far_kw_m2.toFixed(1)}`}
          </Why>
        </Answer>
        {fire.open && (
          <Answer label="As it turns" remark={`${Math.round(100 * floor.turn_share)} % of what looks down`}>
            <Why of="fire.turn" workings={fire.workings}>
              {(floor.turn_share * floor.meat_kw_m2).toFixed(1)} kW/m²
            </Why>
          </Answer>
        )}
      </div>
    </section>
  );
}

/** How much coal a pile is, in pieces and in words; neither until the answer knows it. */
function knownOf(pile: FilePile, answered: Floor): Pick<Floor['piles'][number], 'words' | 'pieces'> {
  const known = answered.piles.find((one) => Math.abs(one.kg - pile.kg) < 1e-3);
  return { words: known?.words ?? null, pieces: known?.pieces ?? null };
}
