import type { RigReport } from '../api/types';
import { useUnits } from '../units/units';

type Spit = NonNullable<RigReport['spit']>;
type Balance = NonNullable<RigReport['balance']>;
type Props = { size: RigReport['size']; spit: Spit; balance: Balance; pieces: number };

const END = 250;
const SIDE_WIDTH = 470;
const SIDE_HEIGHT = 250;

/** The joint on its spit, to scale: from the side between its forks, and along the spit in the room it turns in. */
export function SpitPicture({ size, spit, balance, pieces }: Props) {
  return (
    <div className="grid items-center gap-6 sm:grid-cols-[minmax(0,1.7fr)_minmax(0,1fr)]">
      <SideView size={size} spit={spit} pieces={pieces} />
      <EndView size={size} spit={spit} balance={balance} />
    </div>
  );
}

function SideView({ size, spit, pieces }: Pick<Props, 'size' | 'spit' | 'pieces'>) {
  const format = useUnits();
  const longest = Math.max(spit.usable_cm, size.length_cm * pieces);
  const scale = Math.min((SIDE_WIDTH - 90) / longest, (SIDE_HEIGHT - 60) / (2 * spit.room_cm));
  const middle = SIDE_WIDTH / 2;
  const axis = 16 + spit.room_cm * scale;
  const half = (spit.usable_cm * scale) / 2;
  const tooLong = spit.fit === 'too_long';
  const shown = Math.min(size.length_cm, spit.fit === 'folded' ? spit.usable_cm / pieces : size.length_cm) * scale;
  return (
    <svg
      viewBox={`0 0 ${SIDE_WIDTH} ${axis + spit.room_cm * scale + 34}`}
      className="w-full"
      role="img"
      aria-label={`From the side: ${format.length(size.length_cm)} long${pieces > 1 ? `, ${pieces} of them` : ''}, with ${format.length(spit.usable_cm)} between the forks`}
    >
      {[-1, 1].map((side) => (
        <line
          key={side}
          x1="10"
          x2={SIDE_WIDTH - 10}
          y1={axis + side * spit.room_cm * scale}
          y2={axis + side * spit.room_cm * scale}
          stroke="var(--ember)"
          strokeWidth="2"
          strokeDasharray="5 5"
        />
      ))}
      <text x="12" y={axis - spit.room_cm * scale + 15} fontSize="12" fill="var(--soft)">{`room ${format.length(spit.room_cm)}`}</text>
      <line x1="6" x2={SIDE_WIDTH - 6} y1={axis} y2={axis} stroke="var(--ink)" strokeWidth="4" strokeLinecap="round" />
      {Array.from({ length: pieces }, (_, i) => (
        <ellipse
          key={i}
          cx={middle + (i - (pieces - 1) / 2) * shown}
          cy={axis + spit.off_cm * scale}
          rx={shown / 2}
          ry={(size.depth_cm * scale) / 2}
          fill={spit.fits ? 'var(--straw)' : 'var(--ember-wash)'}
          stroke={spit.fits ? 'var(--ink)' : 'var(--ember)'}
          strokeWidth="2"
        />
      ))}
      <line x1="6" x2={SIDE_WIDTH - 6} y1={axis} y2={axis} stroke="var(--ink)" strokeWidth="1" strokeDasharray="2 4" />
      {[-1, 1].map((side) => (
        <path
          key={side}
          d={`M ${middle + side * half} ${axis - 16} V ${axis + 16} M ${middle + side * half} ${axis - 12} h ${-side * 16} M ${middle + side * half} ${axis + 12} h ${-side * 16}`}
          stroke="var(--ink)"
          strokeWidth="3"
          strokeLinecap="round"
          fill="none"
        />
      ))}
      <path
        d={`M ${middle - half} ${axis + spit.room_cm * scale + 12} H ${middle + half} m 0 -5 v 10 M ${middle - half} ${axis + spit.room_cm * scale + 7} v 10`}
        stroke="var(--water)"
        strokeWidth="1.5"
        fill="none"
      />
      <text
        x={middle}
        y={axis + spit.room_cm * scale + 29}
        textAnchor="middle"
        fontSize="13"
        fontWeight="650"
        fill={tooLong ? 'var(--ember)' : 'var(--water)'}
      >
        {`${format.length(spit.usable_cm)} to use, ${format.length(size.length_cm * pieces)} of joint`}
      </text>
    </svg>
  );
}

function EndView({ size, spit, balance }: Pick<Props, 'size' | 'spit' | 'balance'>) {
  const format = useUnits();
  const room = END / 2 - 26;
  const scale = room / spit.room_cm;
  const reach = (spit.room_cm - spit.clearance_cm) * scale;
  const loose = (spit.room_cm - spit.loose_clearance_cm) * scale;
  const keep = (spit.room_cm - spit.keep_cm) * scale;
  const at = (degrees: number, radius: number): [number, number] => [
    radius * Math.sin((degrees * Math.PI) / 180),
    -radius * Math.cos((degrees * Math.PI) / 180),
  ];
  const [heavyX, heavyY] = at(balance.heavy_deg, Math.max(10, spit.off_cm * scale));
  const [counterX, counterY] = at(balance.counter_deg, Math.min(room - 12, balance.counter_arm_cm * scale));
  const unbalanced = balance.counter_kg >= 0.02;
  return (
    <svg
      viewBox={`${-END / 2} ${-END / 2} ${END} ${END + 22}`}
      className="w-full"
      role="img"
      aria-label={`Along the spit: ${format.length(spit.clearance_cm)} of room at the tightest, tied; ${format.length(spit.loose_clearance_cm)} with a leg loose`}
    >
      <circle r={room} fill="none" stroke="var(--ember)" strokeWidth="2.5" strokeDasharray="6 5" />
      <circle r={Math.max(0, keep)} fill="none" stroke="var(--hair)" strokeWidth="1.5" />
      {loose > reach + 1 && <circle r={loose} fill="none" stroke="var(--soft)" strokeWidth="1.5" strokeDasharray="2 4" />}
      <circle r={reach} fill="none" stroke={spit.clearance_cm < spit.keep_cm ? 'var(--ember)' : 'var(--herb)'} strokeWidth="1" />
      <g className="turning">
        <g transform={`rotate(${balance.heavy_deg - 90})`}>
          <ellipse
            cx={spit.off_cm * scale}
            rx={(size.width_cm * scale) / 2}
            ry={(size.depth_cm * scale) / 2}
            fill={spit.fits ? 'var(--straw)' : 'var(--ember-wash)'}
            stroke={spit.fits ? 'var(--ink)' : 'var(--ember)'}
            strokeWidth="2"
          />
        </g>
        {unbalanced && (
          <>
            <line x2={counterX} y2={counterY} stroke="var(--water)" strokeWidth="2" />
            <circle cx={counterX} cy={counterY} r="8" fill="var(--water)" />
            <circle cx={heavyX} cy={heavyY} r="5" fill="var(--ember)" />
          </>
        )}
      </g>
      <circle r="4.5" fill="var(--ink)" />
      <g transform={`rotate(${-38})`}>
        <line
          x1="0"
          x2="0"
          y1={-reach}
          y2={-room}
          stroke={spit.clearance_cm < spit.keep_cm ? 'var(--ember)' : 'var(--herb)'}
          strokeWidth="3"
        />
      </g>
      <text
        x="0"
        y={END / 2 + 14}
        textAnchor="middle"
        fontSize="13"
        fontWeight="650"
        fill={spit.clearance_cm < spit.keep_cm ? 'var(--ember)' : 'var(--herb)'}
      >
        {spit.clearance_cm < 0 ? `touches by ${format.length(-spit.clearance_cm)}` : `${format.length(spit.clearance_cm)} at the tightest`}
      </text>
    </svg>
  );
}
