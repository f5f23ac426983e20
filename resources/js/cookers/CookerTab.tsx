import clsx from 'clsx';
import type { OwnCooker } from '../api/types';
import { CookerGlyph } from '../charts/CookerGlyph';
import { useUnits } from '../units/units';

/** A cooker to choose, as what it can do: the heats it comes to on one scale for all of them, and among them those it was seen at. */
export function CookerTab({ cooker, hottest, shown, onOpen }: { cooker: OwnCooker; hottest: number; shown: boolean; onOpen: () => void }) {
  const format = useUnits();
  const heats = cooker.curve.map((one) => one.celsius.likely);
  const [least, most] = heats.length === 0 ? [cooker.least_c, cooker.most_c] : [Math.min(...heats), Math.max(...heats)];
  return (
    <button
      type="button"
      aria-current={shown}
      className={clsx(
        'grid h-full w-full grid-cols-[auto_minmax(0,1fr)] items-center gap-x-3 rounded-lg border-[1.5px] bg-raised px-3 py-2 text-left',
        shown ? 'border-ink shadow-[inset_0_-4px_0_var(--ember)]' : 'border-hair hover:border-ember',
      )}
      onClick={onOpen}
    >
      <CookerGlyph cooker={cooker.kind} />
      <span>
        <span className="block font-semibold">{cooker.name}</span>
        <span className="mt-1 block">
          <Heats from={least} to={most} seen={cooker.seen_c} hottest={hottest} />
        </span>
        <span className="label mt-0.5 block">
          {format.degrees(least)} to {format.degrees(most)}
          {cooker.settled === 0 ? ', nothing read yet' : `, ${cooker.settled} settled readings`}
        </span>
      </span>
    </button>
  );
}

function Heats({ from, to, seen, hottest }: { from: number; to: number; seen: OwnCooker['seen_c']; hottest: number }) {
  const x = (celsius: number) => `${(100 * Math.max(0, celsius)) / hottest}%`;
  const width = (low: number, high: number) => `${(100 * Math.max(0, high - Math.max(0, low))) / hottest}%`;
  return (
    <svg className="block h-2.5 w-full" aria-hidden="true">
      <rect x="0" y="4" width="100%" height="2" fill="var(--hair)" />
      <rect x={x(from)} y="2.5" width={width(from, to)} height="5" rx="2.5" fill="var(--straw)" />
      {seen !== null && <rect x={x(seen.least)} y="1" width={width(seen.least, seen.most)} height="8" rx="4" fill="var(--ember)" />}
    </svg>
  );
}
