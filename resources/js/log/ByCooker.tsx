import { scaleLinear } from 'd3-scale';
import type { RoastSummary } from '../api/types';
import { CookerGlyph } from '../charts/CookerGlyph';
import { titleOf } from '../roast/acts';
import { useRoom } from '../ui/useRoom';
import { minutesTaken } from './past';

/** How far off its plan a cook was, and how far its plan left open, eight in ten; shares of what was planned. */
type Cook = { title: string; share: number; open: number };
type Kept = { cooker: string; name: string; cooks: Cook[] };

const ROW = 44;
const HEAD = 20;
const NAMES = 190;
const LEAST_SCALE = 0.25;

/** How each cooker has kept to its plans: a point a cook, quicker to the left and slower to the right. */
export function ByCooker({ roasts }: { roasts: RoastSummary[] }) {
  const cookers = byCooker(roasts);
  return cookers.length === 0 ? null : <Chart cookers={cookers} />;
}

function Chart({ cookers }: { cookers: Kept[] }) {
  const [ref, room] = useRoom<HTMLDivElement>();
  const width = Math.max(300, room.width);
  const names = width < 560 ? 64 : NAMES;
  const most =
    Math.max(LEAST_SCALE, ...cookers.flatMap((one) => [open(one.cooks), ...one.cooks.map((cook) => Math.abs(cook.share))])) * 1.08;
  const x = scaleLinear([-most, most], [names + 12, width - 12]);
  return (
    <section className="opens mt-8" aria-label="Cookers against their plans">
      <h2 className="text-lg">Who runs slow</h2>
      <p className="label">From on to off the heat, against the plan as it was at the lighting; shaded, what that plan left open</p>
      <ul className="sr-only">
        {cookers.map((one) => (
          <li key={one.cooker}>{`${one.name}: ${verdict(one.cooks)}`}</li>
        ))}
      </ul>
      <div ref={ref} className="mt-2" aria-hidden="true">
        <div className="label relative h-5">
          <span className="absolute" style={{ left: names + 12 }}>
            quicker
          </span>
          <span className="absolute -translate-x-1/2" style={{ left: x(0) }}>
            as planned
          </span>
          <span className="absolute right-3">slower</span>
        </div>
        {cookers.map((one) => (
          <div key={one.cooker} className="relative flex items-center border-t border-hair" style={{ height: ROW + HEAD }}>
            <CookerGlyph cooker={one.cooker} />
            {width < 560 ? (
              <span className="label absolute top-0.5" style={{ left: names + 12 }}>
                {one.name}, {verdict(one.cooks)}
              </span>
            ) : (
              <span className="ml-2">
                <span className="block font-semibold first-letter:uppercase">{one.name}</span>
                <span className="label block">{verdict(one.cooks)}</span>
              </span>
            )}
            <svg className="absolute inset-0" width={width} height={ROW + HEAD}>
              <rect
                x={x(-open(one.cooks))}
                y="0"
                width={x(open(one.cooks)) - x(-open(one.cooks))}
                height={ROW + HEAD}
                fill="var(--hair)"
                opacity="0.5"
              />
              <line x1={x(0)} x2={x(0)} y1="0" y2={ROW + HEAD} stroke="var(--soft)" strokeDasharray="3 4" />
              {one.cooks.map((cook, i) => (
                <circle key={i} cx={x(cook.share)} cy={(ROW + HEAD) / 2} r="6" fill="var(--water)" fillOpacity="0.8">
                  <title>{`${cook.title}: ${percent(cook.share, cook.open)}`}</title>
                </circle>
              ))}
              {one.cooks.length > 1 && (
                <line x1={x(mean(one.cooks))} x2={x(mean(one.cooks))} y1="14" y2={ROW + HEAD - 14} stroke="var(--ember)" strokeWidth="3" />
              )}
            </svg>
          </div>
        ))}
      </div>
    </section>
  );
}

/** The dishes of the past that were cooked on one cooker alone, by that cooker, the busiest first. */
function byCooker(roasts: RoastSummary[]): Kept[] {
  const found = new Map<string, Kept>();
  for (const roast of roasts)
    for (const dish of roast.plan.dishes) {
      const took = minutesTaken(dish);
      const [stage, second] = dish.stages;
      if (took === null || stage === undefined || second !== undefined || dish.cook_minutes.likely <= 0) continue;
      const one = found.get(stage.cooker) ?? { cooker: stage.cooker, name: stage.cooker_name, cooks: [] };
      const { low, likely, high } = dish.cook_minutes;
      one.cooks.push({ title: `${titleOf(roast)}, ${dish.name}`, share: took / likely - 1, open: (high - low) / (2 * likely) });
      found.set(stage.cooker, one);
    }
  return [...found.values()].sort((a, b) => b.cooks.length - a.cooks.length);
}

const mean = (cooks: Cook[]) => cooks.reduce((sum, cook) => sum + cook.share, 0) / cooks.length;
/** What the mean of so many cooks may be off by chance: less, the more there are. */
const open = (cooks: Cook[]) => cooks.reduce((sum, cook) => sum + cook.open, 0) / cooks.length / Math.sqrt(cooks.length);
const percent = (share: number, left: number) =>
  Math.abs(share) <= left ? 'as any day' : `${Math.round(100 * Math.abs(share))} % ${share > 0 ? 'slower' : 'quicker'}`;
const verdict = (cooks: Cook[]) => `${cooks.length === 1 ? 'one cook' : `${cooks.length} cooks`}, ${percent(mean(cooks), open(cooks))}`;
