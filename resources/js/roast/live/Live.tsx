import { useState } from 'react';
import { Wrong } from '../../ui/Failure';
import { Link } from 'react-router';
import type { Entry, EventKind, Roast, Turned } from '../../api/types';
import { HeatSection } from '../../charts/HeatSection';
import { useKeys } from '../../ui/useKeys';
import { useNow } from '../../ui/useNow';
import { useSlips } from '../../ui/useSlips';
import { Warnings } from '../../ui/Warnings';
import { isNow, momentOf, NOW, When, type Moment } from '../../ui/When';
import { Said, useSay } from '../../words/Said';
import { at, countdown, duration } from '../../units/time';
import { useClock } from '../../units/units';
import { isRead } from '../../api/runSheet';
import { cautionsOf, choreFor, eventFor, isNotCarved, lateMinutes, mainDish, toDo } from '../acts';
import { AlarmSwitch } from '../../alarms/AlarmSwitch';
import { Probes } from '../../devices/Probes';
import { DishSwitch } from '../DishSwitch';
import { backOn, logged, useLogging } from '../useLogging';
import { DishNote } from './DishNote';
import { Figures } from './Figures';
import { CoreAdvice } from './CoreAdvice';
import { Curve } from './Curve';
import { Act, Key } from './Acts';
import { History } from './History';
import { NoteSheet } from './NoteSheet';
import { EndUnread } from '../EndUnread';
import { DayChanges } from '../ways/DayChanges';
import { Outside } from './Outside';
import { ProbeMap } from './ProbeMap';
import { OffTheHour } from './OffTheHour';
import { OtherHours } from './OtherHours';
import { ReadingSheet, USUAL, type Spot } from './ReadingSheet';
import { TendingStrip } from './TendingStrip';

const LATER = 6;
/** The cook by the fire: what is next, how hot it is, when it comes off; and what was done, with one tap. */
export function Live({ roast }: { roast: Roast }) {
  const clock = useClock();
  const [chosen, setChosen] = useState<number | null>(null);
  const [noting, setNoting] = useState(false);
  /** where a reading is taken; null while none is */
  const [reading, setReading] = useState<Spot | typeof USUAL | null>(null);
  const [ways, setWays] = useState<{ asked: Turned | null } | null>(null);
  const [when, setWhen] = useState<Moment>(NOW);
  const now = useNow();
  const log = useLogging(roast);
  const slips = useSlips();
  const say = useSay();
  const index = chosen ?? mainDish(roast);
  const dish = roast.plan.dishes[index];
  const todo = toDo(roast.plan);
  const next = todo[0];
  const back = next !== undefined && isNotCarved(next, roast.plan.dishes);
  const history = logged(roast, say);
  const map = dish?.live?.probe_map ?? null;
  const moment = momentOf(when, roast.plan.time_zone);
  const logAct = (act: Parameters<typeof log.act.mutate>[0]) => {
    if (moment !== null) log.act.mutate({ ...act, when: isNow(when) ? undefined : moment }, { onSuccess: () => setWhen(NOW) });
  };
  const readAt = (spot: Spot | undefined) => setReading(spot ?? USUAL);
  const readFor = (entry: Entry) => {
    setChosen(entry.dish);
    setReading(USUAL);
  };

  const did = (kind: EventKind) => {
    if (slips(kind)) return;
    const chore = choreFor(kind, index, roast.plan, roast.file.dishes, now);
    logAct({ kind, dish: index, entry: chore?.id, minutes: kind === 'lid' ? 2 : undefined });
  };
  const doNext = () => {
    if (next === undefined || back || slips('next')) return;
    // What comes next stands where this one stood.
    if (isRead(next)) readFor(next);
    else logAct({ ...eventFor(next, roast.file.dishes), dish: next.dish, entry: next.id });
  };
  const undoLast = () => {
    const last = log.lastOf(history);
    if (last !== undefined && !log.undo.isPending && !slips('undo')) log.undo.mutate({ what: last.what, id: last.id });
  };
  const putBack = () => {
    // What is undone after this is another thing than what was undone before it.
    if (!slips('put back')) log.putBack.now();
  };
  useKeys({
    r: () => readAt(undefined),
    b: () => did('basted'),
    t: () => did('turned'),
    f: () => did('fuel'),
    l: () => did('lid'),
    n: () => setNoting(true),
    w: () => setWays({ asked: null }),
    u: undoLast,
    d: doNext,
  });
  if (dish === undefined) return null;
  const tended = roast.tending.filter((tending) => dish.stages.some((stage) => stage.cooker === tending.cooker));
  const trouble = log.act.error ?? log.undo.error ?? log.putBack.error;

  return (
    <>
      <DishSwitch
        dishes={roast.plan.dishes}
        index={index}
        onChange={setChosen}
        note={(i) => <DishNote dish={roast.plan.dishes[i]} roast={roast} index={i} now={now} />}
      />
      <div className="live-grid grid gap-x-7 gap-y-5">
        <section className="opens [grid-area:next]" aria-label="What to do">
          {next === undefined ? (
            <p className="wide text-2xl">Nothing left to do.</p>
          ) : (
            <>
              <div className="flex items-baseline justify-between">
                <span className="label">
                  {isRead(next) && at(next.at) <= now ? 'Now' : `${at(next.at) < now ? 'Due since' : 'Next, at'} ${clock(next.at)}`}
                </span>
                {!(isRead(next) && at(next.at) <= now) && <span className="label">{at(next.at) < now ? 'late by' : 'in'}</span>}
              </div>
              <div className="flex flex-wrap items-baseline justify-between gap-x-3">
                <h2 className="min-w-0 text-[min(1.625rem,10vw)] leading-tight">
                  <Said>{next.title}</Said>
                </h2>
                {!(isRead(next) && at(next.at) <= now) && (
                  <span className="wide text-[1.625rem] whitespace-nowrap text-ember">{countdown(at(next.at) - now)}</span>
                )}
              </div>
              <p className="mt-1 text-soft">
                <Said>{next.detail}</Said>
              </p>
              {!back && (
                <button
                  type="button"
                  className="push push-ember mt-3 min-h-14 w-full text-lg"
                  disabled={log.act.isPending}
                  onClick={doNext}
                >
                  {isRead(next) ? 'Read it' : isNow(when) ? 'Done' : `Done, ${whenWords(when)}`}
                </button>
              )}
              {isRead(next) && (
                <div className="mt-2">
                  <EndUnread roast={roast} entry={next} now={now} log={log} />
                </div>
              )}
              <ol className="mt-4">
                {todo.slice(1, 1 + LATER).map((entry) => (
                  <li key={entry.id} className="flex min-h-9 items-center gap-3 border-t border-hair">
                    <span className="hour font-bold">{clock(entry.at)}</span>
                    <span className="min-w-0 flex-1 truncate">
                      <Said>{entry.title}</Said>
                    </span>
                    {entry.earliest !== null && entry.latest !== null && (
                      <span className="label">{`±${Math.round((at(entry.latest) - at(entry.earliest)) / 120_000)} min`}</span>
                    )}
                  </li>
                ))}
                <li className="flex min-h-9 items-center gap-3 border-t border-hair">
                  <span className="hour font-bold">{clock(roast.plan.serve_at)}</span>
                  <span className="flex-1">Table</span>
                  <span className="label">{slack(roast)}</span>
                </li>
              </ol>
            </>
          )}
        </section>

        <section className="opens min-w-0 [grid-area:figures]" aria-label={`${dish.name}, now`}>
          <Figures roast={roast} dish={dish} index={index} now={now} />
          {roast.turn !== null && <OffTheHour roast={roast} onAsk={() => setWays({ asked: { turn: roast.turn ?? 'behind' } })} />}
          <CoreAdvice dish={dish} onBack={backOn(index, log)} />
          <OtherHours dish={dish} />
          <Warnings of={cautionsOf(dish)} />
          <Outside roast={roast} now={now} />
        </section>
        {tended.length > 0 && (
          <div className="grid content-start gap-4 [grid-area:fire]">
            {tended.map((tending) => (
              <TendingStrip key={tending.cooker} tending={tending} roast={roast} log={log} />
            ))}
          </div>
        )}
        <div className="min-w-0 [grid-area:curve]">
          <Curve roast={roast} dish={dish} index={index} now={now} />
          {map !== null && dish.status === 'on' && <ProbeMap map={map} onRead={readAt} />}
        </div>

        <section className="grid content-start gap-4 [grid-area:log] sm:grid-cols-2 xl:grid-cols-1" aria-label="Log">
          <div className="fixed inset-x-0 bottom-[56px] z-10 border-t border-hair bg-paper px-4 py-2 sm:static sm:border-0 sm:p-0">
            <button type="button" className="push push-main min-h-16 w-full justify-between text-lg" onClick={() => readAt(undefined)}>
              Take a reading <Key>R</Key>
            </button>
          </div>
          {roast.status !== 'done' && (
            <div className="grid grid-cols-2 gap-2">
              <AlarmSwitch roast={roast.id} />
              <Link to={`/roasts/${roast.id}/far`} className="push">
                From afar
              </Link>
            </div>
          )}
          <When label="Done" value={when} onChange={setWhen} zone={roast.plan.time_zone} />
          <div className="grid grid-cols-2 gap-2">
            <Act name="Basted" letter="B" onClick={() => did('basted')} />
            <Act name="Turned" letter="T" onClick={() => did('turned')} />
            <Act name="Fuel added" letter="F" onClick={() => did('fuel')} />
            <Act name="Lid lifted" letter="L" onClick={() => did('lid')} />
            <Act name="Note" letter="N" onClick={() => setNoting(true)} />
            <Act name="Undo" letter="U" onClick={undoLast} disabled={history.length === 0 || log.undo.isPending} />
            <div className="col-span-2 grid">
              <Act name="The day changes" letter="W" onClick={() => setWays({ asked: null })} />
            </div>
          </div>
          <Wrong error={trouble} />
          {log.undone !== null && (
            <p role="status" className="flex items-center justify-between gap-3 border-l-[3px] border-water pl-3">
              Undone.
              <button type="button" className="push" disabled={log.putBack.isPending} onClick={putBack}>
                Put it back
              </button>
            </p>
          )}
          <History roast={roast} log={log} />
          <Probes roast={roast} now={now} />
          {dish.live !== null && dish.on_at !== null && dish.pictures !== undefined && (
            <div className="sm:col-span-2 xl:col-span-1">
              <HeatSection
                section={dish.pictures.section}
                cut={dish.cut}
                kind={dish.kind}
                minutes={(now - at(dish.on_at)) / 60_000}
                momentAt={(minutes) => clock(at(dish.on_at ?? '') + minutes * 60_000, roast.plan.time_zone)}
              />
            </div>
          )}
        </section>
      </div>
      <ReadingSheet roast={roast} index={index} log={log} at={reading} onClose={() => setReading(null)} />
      <DayChanges roast={roast} open={ways !== null} asked={ways?.asked ?? null} onClose={() => setWays(null)} />
      <NoteSheet
        open={noting}
        onClose={() => setNoting(false)}
        onSave={(note) => {
          logAct({ kind: 'note', dish: index, note });
          setNoting(false);
        }}
      />
    </>
  );
}

const whenWords = (when: Moment): string => ('ago' in when ? `${when.ago} min ago` : `at ${when.at.slice(11)}`);

function slack(roast: Roast): string {
  const late = lateMinutes(roast.plan);
  if (late > 0) return `${duration(late)} late`;
  if (roast.plan.too_late) return 'too near';
  const minutes = (at(roast.plan.serve_at) - at(roast.plan.ready_at)) / 60_000;
  return minutes < 2 ? 'on the hour' : `${duration(minutes)} in hand`;
}
