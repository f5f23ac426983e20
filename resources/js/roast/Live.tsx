import { useState, type ReactNode } from 'react';
import { Refused } from '../api/client';
import { useReference } from '../api/queries';
import type { EventKind, FollowedDish, Reading, Roast } from '../api/types';
import { CoreCurve } from '../charts/CoreCurve';
import { HeatSection } from '../charts/HeatSection';
import { Answer } from '../ui/Answer';
import { Sheet } from '../ui/Sheet';
import { Why } from '../ui/Why';
import { useKeys } from '../ui/useKeys';
import { useNow } from '../ui/useNow';
import { Prose } from '../units/Prose';
import { at, clock, countdown, duration, offsetMinutes } from '../units/time';
import { useUnits } from '../units/units';
import { COOKER, choreFor, entryAt, eventFor, mainDish, toDo, marksOf } from './acts';
import { DishSwitch } from './DishSwitch';
import { Keypad } from './Keypad';
import { logged, useLogging } from './useLogging';

const LATER = 6;
const BIRD_PLACES = ['breast', 'thigh', 'cooker'];
const JOINT_PLACES = ['core', 'thick_end', 'bone', 'cooker'];

/** The cook by the fire: what is next, how hot it is, when it comes off; and what was done, with one tap. */
export function Live({ roast }: { roast: Roast }) {
  const [chosen, setChosen] = useState<number | null>(null);
  const [sheet, setSheet] = useState<'reading' | 'note' | null>(null);
  const [place, setPlace] = useState<string | null>(null);
  const reference = useReference();
  const now = useNow();
  const log = useLogging(roast);
  const index = chosen ?? mainDish(roast);
  const dish = roast.plan.dishes[index];
  const todo = toDo(roast.plan);
  const next = todo[0];
  const history = logged(roast);
  const offset = offsetMinutes(roast.plan.serve_at);
  const birds = dish?.kind === 'poultry' && !/breast|legs/.test(dish.cut);
  const places = (birds ? BIRD_PLACES : JOINT_PLACES).map((id) => ({
    id,
    name: reference.data?.places.find((one) => one.id === id)?.name ?? id,
  }));
  const usualPlace = places[0]?.id ?? 'core';

  const did = (kind: EventKind) => {
    const chore = choreFor(kind, index, roast.plan, roast.file.dishes, now);
    log.act.mutate({ kind, dish: index, entry: chore?.id, minutes: kind === 'lid' ? 2 : undefined });
  };
  const doNext = () => {
    if (next !== undefined) log.act.mutate({ ...eventFor(next, roast.file.dishes), dish: next.dish, entry: next.id });
  };
  const undoLast = () => {
    const last = history[0];
    if (last !== undefined) log.undo.mutate({ what: last.what, id: last.id });
  };
  useKeys({
    r: () => setSheet('reading'),
    b: () => did('basted'),
    t: () => did('turned'),
    f: () => did('fuel'),
    l: () => did('lid'),
    n: () => setSheet('note'),
    u: undoLast,
    d: doNext,
  });
  if (dish === undefined) return null;
  const trouble = log.act.error ?? log.undo.error;

  return (
    <>
      <DishSwitch
        dishes={roast.plan.dishes}
        index={index}
        onChange={setChosen}
        note={(i) => <DishNote dish={roast.plan.dishes[i]} roast={roast} index={i} />}
      />
      <div className="live-grid grid gap-x-7 gap-y-5">
        <section className="opens [grid-area:next]" aria-label="What to do">
          {next === undefined ? (
            <p className="wide text-2xl">Nothing left to do.</p>
          ) : (
            <>
              <div className="flex items-baseline justify-between">
                <span className="label">
                  {at(next.at) < now ? 'Due since' : 'Next, at'} {clock(next.at)}
                </span>
                <span className="label">{at(next.at) < now ? 'late by' : 'in'}</span>
              </div>
              <div className="flex items-baseline justify-between gap-3">
                <h2 className="text-[1.625rem] leading-8">{next.title}</h2>
                <span className="wide text-[1.625rem] text-ember">{countdown(at(next.at) - now)}</span>
              </div>
              <p className="mt-1 text-soft">
                <Prose>{next.detail}</Prose>
              </p>
              <button type="button" className="push push-ember mt-3 min-h-14 w-full text-lg" disabled={log.act.isPending} onClick={doNext}>
                Done
              </button>
              <ol className="mt-4">
                {todo.slice(1, 1 + LATER).map((entry) => (
                  <li key={entry.id} className="flex min-h-9 items-center gap-3 border-t border-hair">
                    <span className="w-12 font-bold">{clock(entry.at)}</span>
                    <span className="min-w-0 flex-1 truncate">{entry.title}</span>
                    {entry.earliest !== null && entry.latest !== null && (
                      <span className="label">{`±${Math.round((at(entry.latest) - at(entry.earliest)) / 120_000)} min`}</span>
                    )}
                  </li>
                ))}
                <li className="flex min-h-9 items-center gap-3 border-t border-hair">
                  <span className="w-12 font-bold">{clock(roast.plan.serve_at)}</span>
                  <span className="flex-1">Table</span>
                  <span className="label">{slack(roast)}</span>
                </li>
              </ol>
            </>
          )}
        </section>

        <section className="opens min-w-0 [grid-area:figures]" aria-label={`${dish.name}, now`}>
          <Figures roast={roast} dish={dish} index={index} now={now} />
        </section>
        <div className="min-w-0 [grid-area:curve]">
          <Curve roast={roast} dish={dish} index={index} now={now} />
        </div>

        <section className="grid content-start gap-4 [grid-area:log] sm:grid-cols-2 xl:grid-cols-1" aria-label="Log">
          <div className="fixed inset-x-0 bottom-[58px] z-10 border-t border-hair bg-paper px-4 py-2 sm:static sm:border-0 sm:p-0">
            <button type="button" className="push push-main min-h-16 w-full justify-between text-lg" onClick={() => setSheet('reading')}>
              Take a reading <Key>R</Key>
            </button>
          </div>
          <div className="grid grid-cols-2 gap-2">
            <Act name="Basted" letter="B" onClick={() => did('basted')} />
            <Act name="Turned" letter="T" onClick={() => did('turned')} />
            <Act name="Fuel added" letter="F" onClick={() => did('fuel')} />
            <Act name="Lid lifted" letter="L" onClick={() => did('lid')} />
            <Act name="Note" letter="N" onClick={() => setSheet('note')} />
            <Act name="Undo" letter="U" onClick={undoLast} disabled={history.length === 0 || log.undo.isPending} />
          </div>
          {trouble !== null && (
            <p role="alert" className="font-semibold text-ember">
              {trouble.message}
            </p>
          )}
          <History roast={roast} onUndo={(what, id) => log.undo.mutate({ what, id })} />
          {dish.live !== null && dish.on_at !== null && dish.pictures !== undefined && (
            <div className="sm:col-span-2 xl:col-span-1">
              <HeatSection
                section={dish.pictures.section}
                cut={dish.cut}
                kind={dish.kind}
                minutes={(now - at(dish.on_at)) / 60_000}
                momentAt={(minutes) => clock(at(dish.on_at ?? '') + minutes * 60_000, offset)}
              />
            </div>
          )}
        </section>
      </div>
      <Keypad
        open={sheet === 'reading'}
        onClose={() => setSheet(null)}
        dish={dish.name}
        places={places}
        place={place ?? usualPlace}
        onPlace={setPlace}
        busy={log.read.isPending}
        error={log.read.error instanceof Refused ? Object.values(log.read.error.errors).flat().join(' ') : ''}
        onSave={(celsius) => log.read.mutate({ dish: index, place: place ?? usualPlace, celsius }, { onSuccess: () => setSheet(null) })}
      />
      <NoteSheet
        open={sheet === 'note'}
        onClose={() => setSheet(null)}
        onSave={(note) => log.act.mutate({ kind: 'note', dish: index, note }, { onSuccess: () => setSheet(null) })}
      />
    </>
  );
}

function DishNote({ dish, roast, index }: { dish: FollowedDish | undefined; roast: Roast; index: number }) {
  const format = useUnits();
  if (dish === undefined) return null;
  if (dish.status === 'carved') return 'carved';
  if (dish.live !== null) return `${format.degrees(dish.live.core_now_c.likely)} in the core`;
  const on = entryAt(roast.plan, index, 'on');
  return on === null ? 'waiting' : `on at ${clock(on, offsetMinutes(roast.plan.serve_at))}`;
}

/** The figures to be read from across the yard. */
function Figures({ roast, dish, index, now }: { roast: Roast; dish: FollowedDish; index: number; now: number }) {
  const format = useUnits();
  const live = dish.live;
  const offset = offsetMinutes(roast.plan.serve_at);
  const on = entryAt(roast.plan, index, 'on');
  if (live === null || dish.on_at === null) {
    return (
      <div className="flex flex-wrap items-end gap-x-10 gap-y-3">
        <div>
          <div className="label">On the heat at</div>
          <div className="wide text-[3.5rem] leading-none">{on === null ? '–' : clock(on, offset)}</div>
        </div>
        <Answer label="Takes" remark={`${duration(dish.cook_minutes.low)} to ${duration(dish.cook_minutes.high)}`}>
          {duration(dish.cook_minutes.likely)}
        </Answer>
        <Answer label="Pull at" tone="ember">
          {format.degrees(dish.pull_c)}
        </Answer>
      </div>
    );
  }
  const pulled = dish.pulled_at !== null;
  return (
    <div className="flex flex-wrap items-end gap-x-7 gap-y-3">
      <div>
        <div className="label">Core, coldest point</div>
        <div className="wide text-[4.25rem] leading-[0.95] sm:text-yard">
          <Why of="live.core_now_c" workings={live.workings}>
            {format.degrees(live.core_now_c.likely)}
          </Why>
        </div>
        <div className="label mt-1">
          {latestWords(roast.readings, index, now)}, {format.degrees(live.core_now_c.low)} to {format.degrees(live.core_now_c.high)}
        </div>
      </div>
      <Answer
        label={pulled ? 'Came off' : 'Off the heat'}
        tone={pulled ? 'ink' : 'ember'}
        remark={pulled ? `at ${format.degrees(live.pull_c)}` : `${clock(live.pull_at.low)} to ${clock(live.pull_at.high)}`}
      >
        <Why of="live.pull_at" workings={live.workings}>
          {clock(live.pull_at.likely)}
        </Why>
      </Answer>
      {!pulled && (
        <Answer label="Pull at" tone="ember" remark={drift(live.heat_factor, live.counted)}>
          <Why of="live.pull_c" workings={live.workings}>
            {format.degrees(live.pull_c)}
          </Why>
        </Answer>
      )}
      <Answer label={pulled ? 'Peaks at' : 'Will coast to'} tone="water" remark={clock(live.peak_at)}>
        <Why of="live.peak_c" workings={live.workings}>
          {format.degrees(live.peak_c)}
        </Why>
      </Answer>
    </div>
  );
}

/** Heat that reaches it, as the readings have it: said only when it is telling. */
function drift(factor: number, counted: number): ReactNode {
  if (counted < 2) return 'as planned so far';
  const off = Math.round(100 * (factor - 1));
  if (Math.abs(off) < 6) return 'heat as planned';
  return `${Math.abs(off)} % ${off < 0 ? 'less' : 'more'} heat`;
}

function latestWords(readings: readonly Reading[], dish: number, now: number): string {
  const last = readings.filter((reading) => reading.dish === dish && reading.place !== COOKER && reading.counts).at(-1);
  if (last === undefined) return 'worked out, not read yet';
  const minutes = (now - at(last.at)) / 60_000;
  return minutes < 2 ? 'just read' : `read ${duration(minutes)} ago`;
}

function Curve({ roast, dish, index, now }: { roast: Roast; dish: FollowedDish; index: number; now: number }) {
  if (dish.pictures === undefined) return null;
  const on = dish.on_at === null ? entryAt(roast.plan, index, 'on') : at(dish.on_at);
  if (on === null) return null;
  const live = dish.live;
  return (
    <div className="h-[300px] lg:h-[clamp(300px,calc(100dvh-410px),620px)]">
      <CoreCurve
        pictures={dish.pictures}
        startAt={on}
        offset={offsetMinutes(roast.plan.serve_at)}
        now={live === null ? null : (now - on) / 60_000}
        pull={{
          minutes: live?.cook_minutes.likely ?? dish.cook_minutes.likely,
          celsius: live?.pull_c ?? dish.pull_c,
          done: dish.pulled_at !== null,
        }}
        target={dish.target_c}
        safe={dish.safe_c}
        stages={dish.stages
          .slice(1)
          .map((stage, i) => ({ minutes: ((entryById(roast, `d${index}.stage.${i + 1}`) ?? on) - on) / 60_000, name: stage.cooker_name }))}
        {...marksOf(roast, index, on)}
        minHeight={300}
      />
    </div>
  );
}

function entryById(roast: Roast, id: string): number | null {
  const entry = roast.plan.run_sheet.find((candidate) => candidate.id === id);
  return entry === undefined ? null : at(entry.at);
}

function slack(roast: Roast): string {
  const minutes = (at(roast.plan.serve_at) - at(roast.plan.ready_at)) / 60_000;
  if (minutes < -2) return `${duration(minutes)} late`;
  return minutes < 2 ? 'on the hour' : `${duration(minutes)} in hand`;
}

function Act({ name, letter, onClick, disabled = false }: { name: string; letter: string; onClick: () => void; disabled?: boolean }) {
  return (
    <button type="button" className="push min-h-12 justify-between" onClick={onClick} disabled={disabled}>
      {name} <Key>{letter}</Key>
    </button>
  );
}

function Key({ children }: { children: string }) {
  return (
    <kbd aria-hidden="true" className="hidden text-label font-semibold opacity-60 lg:inline">
      {children}
    </kbd>
  );
}

const SHOWN = 2;

function History({ roast, onUndo }: { roast: Roast; onUndo: (what: 'readings' | 'events', id: string) => void }) {
  const format = useUnits();
  const [all, setAll] = useState(false);
  const lines = logged(roast);
  if (lines.length === 0) return <p className="label border-t border-hair pt-2">Nothing logged yet.</p>;
  return (
    <div>
      <ol>
        {lines.slice(0, all ? undefined : SHOWN).map((line) => (
          <li key={line.id} className="flex min-h-9 items-center gap-2 border-t border-hair">
            <span className="w-11 shrink-0 font-bold">{clock(line.at)}</span>
            <span className="min-w-0 flex-1 truncate" title={line.counts ? line.words : line.verdict}>
              {line.words}
              {!line.counts && <span className="text-ember"> · left out</span>}
            </span>
            {line.celsius !== null && (
              <span className={line.counts ? 'font-bold text-water' : 'text-soft line-through'}>{format.degrees(line.celsius, 1)}</span>
            )}
            <button
              type="button"
              className="-mr-2 min-h-9 min-w-9 text-soft hover:text-ember"
              aria-label={`Undo ${line.words} at ${clock(line.at)}`}
              onClick={() => onUndo(line.what, line.id)}
            >
              ✕
            </button>
          </li>
        ))}
      </ol>
      {lines.length > SHOWN && (
        <button type="button" className="text-push" onClick={() => setAll(!all)}>
          {all ? 'The latest alone' : `All ${lines.length}`}
        </button>
      )}
    </div>
  );
}

function NoteSheet({ open, onClose, onSave }: { open: boolean; onClose: () => void; onSave: (note: string) => void }) {
  const [note, setNote] = useState('');
  return (
    <Sheet title="Note" open={open} onClose={onClose}>
      <form
        onSubmit={(event) => {
          event.preventDefault();
          if (note.trim() === '') return;
          onSave(note.trim());
          setNote('');
        }}
      >
        <label htmlFor="note" className="label">
          What happened
        </label>
        <textarea
          id="note"
          className="field mt-1 py-2"
          rows={3}
          maxLength={500}
          value={note}
          onChange={(event) => setNote(event.target.value)}
        />
        <button type="submit" className="push push-main mt-3 w-full" disabled={note.trim() === ''}>
          Log it
        </button>
      </form>
    </Sheet>
  );
}
