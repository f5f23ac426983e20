import clsx from 'clsx';
import { Link } from 'react-router';
import type { Roast } from '../../api/types';
import { Said, useSay } from '../../words/Said';
import { at, day, duration } from '../../units/time';
import { useNow } from '../../ui/useNow';
import { heatOf, useUnits, useClock } from '../../units/units';
import { entryAt, offAt } from '../../api/runSheet';
import { titleOf } from '../acts';
import { cardLines, sizeOf, type CardLine } from './lines';

/** One sheet for the fireside, read at arm's length: pulls, settings, the day's tasks, and what can hurt someone. */
export function Card({ roast }: { roast: Roast }) {
  const clock = useClock();
  const say = useSay();
  const now = useNow(60_000);
  const plan = roast.plan;
  const lines = cardLines(plan, (entry) => say(entry.title));
  const cautions = [...new Map(plan.dishes.flatMap((dish) => dish.warnings).map((one) => [one.id, one])).values()];
  return (
    <article className="card-sheet mx-auto max-w-[52rem]" aria-label="Fireside card">
      <p className="no-print mb-4 flex flex-wrap gap-2">
        <button type="button" className="push push-main" onClick={() => window.print()}>
          Print it
        </button>
        <Link className="push" to={`/roasts/${roast.id}/sheet`}>
          Back to the run sheet
        </Link>
      </p>
      <header className="flex flex-wrap items-baseline justify-between gap-x-6 border-b-[3px] border-ink pb-1">
        <h1 className="text-[min(2rem,9vw)] leading-tight">{titleOf(roast)}</h1>
        <p className="wide text-[min(2rem,9vw)] leading-tight">
          {day(plan.serve_at, now, plan.time_zone)} {clock(plan.serve_at)}
        </p>
      </header>
      <ul className="mt-3 grid gap-x-8 gap-y-2 sm:grid-cols-2">
        {plan.dishes.map((dish, i) => (
          <li key={i} className="grid grid-cols-[auto_minmax(0,1fr)] items-center gap-x-4">
            <Pull roast={roast} index={i} />
            <p className="min-w-0 text-[1.15rem] leading-6">
              <strong className="block">{dish.name}</strong>
              <Heats roast={roast} index={i} />
            </p>
          </li>
        ))}
      </ul>
      {plan.fires.length > 0 && (
        <ul className="mt-3 border-t border-hair pt-2 text-[1.15rem] leading-6">
          {plan.fires.map((fire) => (
            <li key={fire.cooker}>
              <strong>{fire.name}:</strong>{' '}
              {fire.steps.map((step, i) => (
                <span key={i}>
                  {i > 0 && <span className="text-soft"> then </span>}
                  <Said>{step.words}</Said>
                </span>
              ))}
            </li>
          ))}
        </ul>
      )}
      <ol className={clsx('mt-3 border-t-[3px] border-ink pt-2 leading-[1.3] sm:columns-2 sm:gap-8', sizeOf(lines.length))}>
        {lines.map((line) => (
          <li key={line.entry.id} className="grid break-inside-avoid grid-cols-[4.2em_minmax(0,1fr)] gap-x-2 py-[0.12em]">
            <span className="wide">{clock(line.entry.at)}</span>
            <span className={clsx(['on', 'read', 'pull', 'serve'].includes(line.entry.act) ? 'font-bold' : '')}>
              <Said>{line.entry.title}</Said>
              {line.every !== null && <Often line={line} />}
            </span>
          </li>
        ))}
      </ol>
      {cautions.length > 0 && (
        <ul className="mt-3 border-t-[3px] border-ember pt-2 text-[1.05rem] leading-6">
          {cautions.map((caution) => (
            <li key={caution.id}>
              <Said>{caution.words}</Said>
            </li>
          ))}
        </ul>
      )}
      <p className="mt-3 border-t border-hair pt-1 text-soft">
        Local fire bans and the maker’s manual come first. Leave no fire before it is out.
      </p>
    </article>
  );
}

function Often({ line }: { line: CardLine }) {
  const clock = useClock();
  return (
    <span className="text-soft">
      {' '}
      {line.times} times to {clock(line.until)}, about every {duration(line.every ?? 0)}
    </span>
  );
}

/** The number that decides, as large as the sheet has room for. */
function Pull({ roast, index }: { roast: Roast; index: number }) {
  const clock = useClock();
  const format = useUnits();
  const dish = roast.plan.dishes[index];
  if (dish === undefined) return null;
  const last = roast.file.dishes[index]?.stages.at(-1);
  const off = offAt(roast.plan, index);
  const words =
    last?.until_tender === true
      ? 'tender'
      : typeof last?.minutes === 'number'
        ? duration(last.minutes)
        : typeof last?.until_brown === 'number'
          ? 'brown'
          : format.degrees(dish.live?.pull_c ?? dish.pull_c);
  return (
    <p className="grid justify-items-center border-[3px] border-ink px-3 py-1">
      <span className="label">off at</span>
      <span className="wide text-[2.25rem] leading-9 text-ember">{words}</span>
      <span className="wide text-[1.15rem]">{off === null ? '' : clock(off, roast.plan.time_zone)}</span>
    </p>
  );
}

function Heats({ roast, index }: { roast: Roast; index: number }) {
  const clock = useClock();
  const format = useUnits();
  const dish = roast.plan.dishes[index];
  const on = entryAt(roast.plan, index, 'on') ?? at(dish?.on_at ?? roast.plan.serve_at);
  if (dish === undefined) return null;
  return (
    <>
      {dish.stages.map((stage, i) => (
        <span key={i} className="block">
          {clock(on + stage.from_minutes * 60_000, roast.plan.time_zone)} {stage.cooker_name}
          {stage.cooker === 'rest' || stage.cooker === 'fridge' ? '' : `, ${heatOf(stage, format)}`}
        </span>
      ))}
      <span className="block text-soft">
        {[
          ...(dish.rest_minutes > 0 ? [`rest ${duration(dish.rest_minutes)}`] : []),
          ...(dish.safe_c === null ? [] : [`safe at ${format.degrees(dish.safe_c)}`]),
        ].join(', ')}
      </span>
    </>
  );
}
