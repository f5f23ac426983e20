import type { RigReport } from '../api/types';
import { useUnits } from '../units/units';

type Pot = NonNullable<RigReport['pot']>;
type Pit = NonNullable<RigReport['pit']>;
type Props = { size: RigReport['size']; pot: Pot; pit: Pit | null };

const WIDTH = 460;
const HEIGHT = 330;

/** A pot in section, to scale; buried, with the layers of its hole. */
export function PitPicture({ size, pot, pit }: Props) {
  const format = useUnits();
  const lid = 3;
  const across = pit === null ? pot.diameter_cm * 1.5 : pit.width_cm + 24;
  const down = pit === null ? pot.depth_cm + lid + 6 : pit.depth_cm + 10;
  const scale = Math.min((WIDTH - 150) / across, (HEIGHT - 50) / down);
  const middle = (WIDTH - 120) / 2;
  const ground = 34;
  const bottom = ground + (pit === null ? (pot.depth_cm + lid + 4) * scale : pit.depth_cm * scale);
  const potBottom = bottom - (pit?.layers_cm.under ?? 0) * scale;
  const potTop = potBottom - pot.depth_cm * scale;
  const lidTop = potTop - lid * scale;
  const half = (pot.diameter_cm * scale) / 2;
  const hole = pit === null ? 0 : (pit.width_cm * scale) / 2;
  const meatTop = potBottom - pot.raised_cm * scale - Math.min(size.depth_cm, size.width_cm) * scale;
  const coalsTop = pit === null ? 0 : lidTop - pit.layers_cm.above * scale;
  const label = (y: number, words: string) => (
    <g key={words}>
      <line x1={middle + Math.max(hole, half) + 4} x2={WIDTH - 116} y1={y} y2={y} stroke="var(--hair)" />
      <text x={WIDTH - 112} y={y + 4} fontSize="12.5" fill="var(--ink)">
        {words}
      </text>
    </g>
  );
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${bottom + 34}`}
      className="w-full max-w-[560px]"
      role="img"
      aria-label={
        pit === null
          ? `A pot ${format.length(pot.diameter_cm)} across`
          : `A hole ${format.length(pit.width_cm, 0)} wide and ${format.length(pit.depth_cm, 0)} deep, with the pot between coals`
      }
    >
      {pit !== null && (
        <>
          <rect x="0" y={ground} width={WIDTH - 120} height={bottom - ground + 12} fill="var(--hair)" />
          <rect
            x={middle - hole}
            y={ground}
            width={2 * hole}
            height={bottom - ground}
            fill="var(--raised)"
            stroke="var(--ink)"
            strokeWidth="2"
          />
          <rect x={middle - hole} y={coalsTop} width={2 * hole} height={bottom - coalsTop} fill="var(--ember)" opacity="0.85" />
          <rect x={middle - hole} y={ground} width={2 * hole} height={coalsTop - ground} fill="var(--soft)" opacity="0.55" />
          <line x1="0" x2={WIDTH - 120} y1={ground} y2={ground} stroke="var(--ink)" strokeWidth="2" />
          <text
            x={middle}
            y={ground - 12}
            textAnchor="middle"
            fontSize="13"
            fontWeight="650"
            fill="var(--water)"
          >{`${format.length(pit.width_cm, 0)} wide`}</text>
          <path d={`M ${middle - hole} ${ground - 6} h ${2 * hole}`} stroke="var(--water)" strokeWidth="1.5" />
          {label((ground + coalsTop) / 2, `earth ${format.length(pit.layers_cm.earth, 0)}`)}
          {label((coalsTop + lidTop) / 2, `coals ${format.length(pit.layers_cm.above, 0)}`)}
          {label((bottom + potBottom) / 2, `coals ${format.length(pit.layers_cm.under, 0)}`)}
        </>
      )}
      <path
        d={`M ${middle - half} ${potTop} V ${potBottom - 8} q 0 8 8 8 H ${middle + half - 8} q 8 0 8 -8 V ${potTop} z`}
        fill="var(--paper)"
        stroke="var(--ink)"
        strokeWidth="3.5"
      />
      <rect
        x={middle - half + 3}
        y={potBottom - 2 - pot.liquid_cm * scale}
        width={2 * half - 6}
        height={pot.liquid_cm * scale}
        fill="var(--water)"
        opacity="0.55"
      />
      <ellipse
        cx={middle}
        cy={(meatTop + potBottom - pot.raised_cm * scale) / 2}
        rx={Math.min(half * 1.25, (size.length_cm * scale) / 2)}
        ry={(potBottom - pot.raised_cm * scale - meatTop) / 2}
        fill={pot.holds ? 'var(--straw)' : 'var(--ember-wash)'}
        stroke={pot.holds ? 'var(--ink)' : 'var(--ember)'}
        strokeWidth="2"
      />
      <path
        d={`M ${middle - half - 5} ${potTop} h ${2 * half + 10} l -6 ${-lid * scale * 0.6} h ${-2 * half + 2} z`}
        fill="var(--paper)"
        stroke="var(--ink)"
        strokeWidth="3"
      />
      {label(potTop + (potBottom - potTop) * 0.42, `pot ${format.length(pot.diameter_cm, 0)}`)}
      {label(potBottom - (pot.liquid_cm * scale) / 2, `liquid ${format.length(pot.liquid_cm)}`)}
      {pit !== null && (
        <text
          x={middle}
          y={bottom + 27}
          textAnchor="middle"
          fontSize="13"
          fontWeight="650"
          fill="var(--water)"
        >{`${format.length(pit.depth_cm, 0)} deep`}</text>
      )}
    </svg>
  );
}
