import type { FilePile, Fire } from '../../api/types';
import { Why } from '../../ui/Why';
import { duration } from '../../units/time';
import { useUnits } from '../../units/units';

const TOGETHER_MINUTES = 15;

/** The longest bar leaves room for its figure. */
const BAR_PERCENT = 62;

/** Where along a long joint the coals should lie so that thick and thin are done together. */
export function Banking({
  fire,
  banking,
  onLay,
}: {
  fire: Fire;
  banking: NonNullable<Fire['banking']>;
  onLay: ((piles: FilePile[]) => void) | null;
}) {
  const format = useUnits();
  const longest = Math.max(...banking.parts.flatMap((part) => [part.minutes, part.even_minutes, part.banked_minutes]));
  const together = banking.apart_minutes < TOGETHER_MINUTES;
  const bar = (minutes: number) => `${Math.max(1, (BAR_PERCENT * minutes) / longest)}%`;
  return (
    <section aria-label="Coals where the meat is thick" className="opens">
      <h2 className="text-lg">
        <Why of="fire.banking" workings={fire.workings}>
          {together ? 'All parts are done together' : `Its parts are done ${duration(banking.apart_minutes)} apart`}
        </Why>
      </h2>
      <p className="mt-1 max-w-prose text-soft">
        {together
          ? 'The coals lie where the meat needs them.'
          : `Shared out along the ${format.length(banking.joint_cm, 0)} of it, ${format.mass(banking.kg)} of coals would have them all ready at ${duration(banking.together_minutes)}.`}
      </p>
      <table className="mt-3 w-full table-fixed text-left sm:table-auto">
        <thead>
          <tr className="label">
            <th className="w-[22%] py-1 font-medium">Part</th>
            <th className="py-1 font-medium">As the coals lie</th>
            <th className="w-[18%] py-1 font-medium">Even bed</th>
            <th className="w-[18%] py-1 font-medium">Shared out</th>
          </tr>
        </thead>
        <tbody>
          {banking.parts.map((part) => (
            <tr key={part.id} className="border-t border-hair">
              <th scope="row" className="py-2 font-semibold">
                {part.name}
                <span className="label block">{part.kw_m2.toFixed(1)} kW/m²</span>
              </th>
              <td className="pr-4">
                <span className="flex items-center gap-2">
                  <span className="h-2.5 rounded-full bg-ember" style={{ width: bar(part.minutes) }} aria-hidden="true" />
                  <span className="wide whitespace-nowrap">{duration(part.minutes)}</span>
                </span>
              </td>
              <td>{duration(part.even_minutes)}</td>
              <td className="font-semibold text-herb">{duration(part.banked_minutes)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {onLay !== null && !together && (
        <button
          type="button"
          className="push push-main mt-3"
          onClick={() => onLay(banking.piles.filter((pile) => pile.kg > 0.01 * banking.kg))}
        >
          Lay them so
        </button>
      )}
    </section>
  );
}
