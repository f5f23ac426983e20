import type { Control, Settings } from '../api/types';
import { useUnits } from '../units/units';
import { Said, useSay } from '../words/Said';

/** A cooker's controls as a hand finds them: slots to scale, knobs as fractions, a set point, coals in their rings. */
export function ControlsPicture({ controls, settings }: { controls: readonly Control[]; settings: Settings }) {
  const say = useSay();
  const pieces = controls.filter((control) => control.unit === 'pieces');
  return (
    <div className="flex flex-wrap items-end gap-x-4 gap-y-4">
      {controls.map((control) => {
        const value = settings[control.id] ?? control.least;
        if (control.unit === 'mm') return <Slot key={control.id} name={say(control.name)} mm={value} most={control.most} />;
        if (control.unit === 'share') return <Knob key={control.id} name={say(control.name)} share={value} />;
        if (control.unit === '°C') return <SetPoint key={control.id} control={control} celsius={value} />;
        if (control.unit === 'pieces') return null;
        return <Coals key={control.id} name={say(control.name)} kg={value} />;
      })}
      {pieces.map((control) => (
        <Ring key={control.id} name={say(control.name)} count={Math.round(settings[control.id] ?? 0)} />
      ))}
    </div>
  );
}

const SLOT_PX_MM = 2.4;
const SLOT_WIDTH = 132;

/** A slot from the front: open by so many millimetres, drawn larger than life but all slots to one scale. */
function Slot({ name, mm, most }: { name: string; mm: number; most: number }) {
  const scale = Math.min(SLOT_PX_MM, 88 / most);
  return (
    <figure className="w-[132px]">
      <svg
        viewBox={`0 0 ${SLOT_WIDTH} ${most * scale + 12}`}
        className="w-full"
        role="img"
        aria-label={`${name} open ${words(mm)} mm of ${most}`}
      >
        <rect
          x="1"
          y="1"
          width={SLOT_WIDTH - 2}
          height={most * scale + 10}
          rx="7"
          fill="var(--raised)"
          stroke="var(--ink)"
          strokeWidth="1.75"
        />
        <rect x="8" y="6" width={SLOT_WIDTH - 16} height={most * scale} rx="2" fill="var(--hair)" />
        <rect x="8" y={6 + (most - mm) * scale} width={SLOT_WIDTH - 16} height={Math.max(1, mm * scale)} rx="1.5" fill="var(--coal)" />
        <path d={`M 8 ${6 + (most - mm) * scale} h ${SLOT_WIDTH - 16}`} stroke="var(--ember)" strokeWidth="2.5" />
      </svg>
      <figcaption className="mt-1.5">
        <span className="wide block text-2xl leading-7">{words(mm)} mm</span>
        <span className="label">{name}</span>
      </figcaption>
    </figure>
  );
}

function Knob({ name, share }: { name: string; share: number }) {
  const turn = 0.75 * Math.max(0, Math.min(1, share));
  const around = 2 * Math.PI * 30;
  return (
    <figure className="w-[84px] text-center">
      <svg viewBox="0 0 84 84" className="mx-auto w-[84px]" role="img" aria-label={`${name} ${fraction(share)}`}>
        <g transform="rotate(135 42 42)" fill="none" strokeWidth="8">
          <circle cx="42" cy="42" r="30" stroke="var(--hair)" strokeDasharray={`${0.75 * around} ${around}`} />
          {share > 0.02 && <circle cx="42" cy="42" r="30" stroke="var(--ember)" strokeDasharray={`${turn * around} ${around}`} />}
        </g>
        <circle cx="42" cy="42" r="21" fill="var(--raised)" stroke="var(--ink)" strokeWidth="1.75" />
        <path
          d="M 42 42 L 42 25"
          stroke="var(--ink)"
          strokeWidth="3.5"
          strokeLinecap="round"
          transform={`rotate(${-135 + 360 * turn} 42 42)`}
        />
      </svg>
      <figcaption>
        <span className="wide block text-2xl leading-7">{fraction(share)}</span>
        <span className="label">{name}</span>
      </figcaption>
    </figure>
  );
}

function SetPoint({ control, celsius }: { control: Control; celsius: number }) {
  const format = useUnits();
  const at = (100 * (celsius - control.least)) / (control.most - control.least);
  return (
    <figure className="w-full max-w-72">
      <span className="wide block text-2xl leading-7">{format.temperature(celsius)}</span>
      <div className="relative mt-2 h-3 rounded-full border-[1.5px] border-ink bg-raised">
        <div className="absolute inset-y-0 left-0 rounded-full bg-ember" style={{ width: `${Math.max(2, Math.min(100, at))}%` }} />
      </div>
      <figcaption className="label mt-1 flex justify-between">
        <span>{format.degrees(control.least)}</span>
        <span>
          <Said>{control.name}</Said>
        </span>
        <span>{format.degrees(control.most)}</span>
      </figcaption>
    </figure>
  );
}

function Coals({ name, kg }: { name: string; kg: number }) {
  const format = useUnits();
  return (
    <div>
      <span className="wide block text-2xl leading-7">{format.mass(kg)}</span>
      <span className="label">{name}</span>
    </div>
  );
}

/** Coals in a ring, one dot each, as they are set on the lid or under the pot. */
function Ring({ name, count }: { name: string; count: number }) {
  const radius = 38;
  const dot = Math.max(3, Math.min(7, (Math.PI * radius) / Math.max(6, count) - 1));
  return (
    <figure className="w-[108px] text-center">
      <svg viewBox="-54 -54 108 108" className="w-full" role="img" aria-label={`${name}: ${count}`}>
        <circle r="50" fill="var(--raised)" stroke="var(--ink)" strokeWidth="1.75" />
        {Array.from({ length: count }, (_, i) => {
          const angle = (2 * Math.PI * i) / count - Math.PI / 2;
          return (
            <circle
              key={i}
              cx={radius * Math.cos(angle)}
              cy={radius * Math.sin(angle)}
              r={dot}
              fill="var(--coal)"
              stroke="var(--ember)"
              strokeWidth="1.5"
            />
          );
        })}
        <text textAnchor="middle" dominantBaseline="central" fontSize="30" fontWeight="750" fill="var(--ink)">
          {count}
        </text>
      </svg>
      <figcaption className="label">{name}</figcaption>
    </figure>
  );
}

const words = (mm: number) => String(Math.round(2 * mm) / 2);

const EIGHTHS = ['off', '⅛', '¼', '⅜', '½', '⅝', '¾', '⅞', 'full'] as const;
const fraction = (share: number) => EIGHTHS[Math.max(0, Math.min(8, Math.round(8 * share)))] ?? 'off';
