import type { RigReport } from '../api/types';
import { useUnits } from '../units/units';

type Props = { frame: NonNullable<RigReport['frame']>; joint: number };

const WIDTH = 520;
const GROUND = 250;

/** A frame over a trench from the side, to scale: foot, lean, meat, line and stake. */
export function FramePicture({ frame, joint }: Props) {
  const format = useUnits();
  const lean = (frame.lean_deg * Math.PI) / 180;
  const over = frame.length_cm * Math.sin(lean);
  const scale = Math.min(
    (WIDTH - 60) / (frame.stake_cm + Math.max(over, 80) + 20),
    (GROUND - 30) / Math.max(60, frame.length_cm * Math.cos(lean)),
  );
  const foot = 30 + frame.stake_cm * scale;
  const at = (along: number): [number, number] => [foot + along * Math.sin(lean) * scale, GROUND - along * Math.cos(lean) * scale];
  const [headX, headY] = at(frame.length_cm);
  const [lowX, lowY] = at(frame.lowest_cm);
  const [highX, highY] = at(Math.min(frame.length_cm, frame.lowest_cm + joint));
  const stake = 30;
  const coals = Math.max(over, 80) * scale;
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${GROUND + 46}`}
      className="w-full"
      role="img"
      aria-label={`Frame leaning ${frame.lean_deg}° from upright, meat ${format.length(frame.low_cm, 0)} to ${format.length(frame.high_cm, 0)} over the coals`}
    >
      <line x1="0" x2={foot + 4} y1={GROUND} y2={GROUND} stroke="var(--ink)" strokeWidth="2" />
      <path d={`M ${foot + 4} ${GROUND} v 20 h ${coals} v -20 H ${WIDTH}`} fill="none" stroke="var(--ink)" strokeWidth="2" />
      <rect x={foot + 6} y={GROUND + 7} width={Math.max(0, coals - 4)} height="12" fill="var(--ember)" />
      <line x1={foot} y1={GROUND} x2={headX} y2={headY} stroke="var(--ink)" strokeWidth="5" strokeLinecap="round" />
      <line
        x1={lowX}
        y1={lowY}
        x2={highX}
        y2={highY}
        stroke={frame.holds ? 'var(--straw)' : 'var(--ember)'}
        strokeWidth="22"
        strokeLinecap="round"
      />
      <line x1={foot} y1={GROUND} x2={headX} y2={headY} stroke="var(--ink)" strokeWidth="1.5" strokeDasharray="3 5" />
      <line x1={headX} y1={headY} x2={stake} y2={GROUND} stroke="var(--water)" strokeWidth="2.5" />
      <path d={`M ${stake - 5} ${GROUND - 16} L ${stake + 4} ${GROUND + 14}`} stroke="var(--ink)" strokeWidth="5" strokeLinecap="round" />
      <path
        d={`M ${highX + 16} ${highY} V ${GROUND} m -5 0 h 10 M ${highX + 11} ${highY} h 10`}
        stroke="var(--herb)"
        strokeWidth="1.5"
        fill="none"
      />
      <text x={highX + 22} y={(highY + GROUND) / 2} fontSize="13" fontWeight="650" fill="var(--herb)">
        {format.length(frame.high_cm, 0)}
      </text>
      <text x={(stake + foot) / 2} y={GROUND + 22} textAnchor="middle" fontSize="13" fill="var(--soft)">
        {format.length(frame.stake_cm, 0)}
      </text>
      <text x={foot + 4 + coals / 2} y={GROUND + 40} textAnchor="middle" fontSize="13" fill="var(--ember)" fontWeight="650">
        coals
      </text>
    </svg>
  );
}
