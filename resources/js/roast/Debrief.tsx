import { FileButton } from '../ui/FileButton';
import { Wrong } from '../ui/Failure';
import { useState } from 'react';
import { Link } from 'react-router';
import { call } from '../api/client';
import { Clashing, keepChanged, type Edition } from '../api/editions';
import { useRoastChange } from '../api/queries';
import type { FollowedDish, Roast } from '../api/types';
import { CoreCurve } from '../charts/CoreCurve';
import { marksOf } from './acts';
import { Learning } from './Learning';
import { Said } from '../words/Said';
import { at } from '../units/time';
import { useClock } from '../units/units';

/** Plan against fact, what the readings taught, and what to change. */
export function Debrief({ roast }: { roast: Roast }) {
  return (
    <div className="grid gap-x-9 gap-y-8 lg:grid-cols-[minmax(0,1fr)_21rem]">
      <div className="min-w-0">
        {roast.plan.dishes.map((dish, i) => (
          <DishDebrief key={i} roast={roast} dish={dish} index={i} />
        ))}
      </div>
      <div>
        <Note key={roast.id} roast={roast} />
        <Learning roast={roast} />
        <div className="opens mt-8">
          <h2 className="text-lg">Take it with you</h2>
          <div className="mt-2 grid gap-2">
            <Link className="push push-main" to={`/roasts/new?like=${roast.id}`}>
              Cook this again
            </Link>
            <a className="push" href={`/api/roasts/${roast.id}/file`} download>
              The roast as a file
            </a>
            <a className="push" href={`/api/roasts/${roast.id}/readings.csv`} download>
              Readings as a table (CSV)
            </a>
            <ReadingsImport roast={roast} />
          </div>
        </div>
      </div>
    </div>
  );
}

function DishDebrief({ roast, dish, index }: { roast: Roast; dish: FollowedDish; index: number }) {
  const findings = roast.debrief.dishes[index] ?? [];
  if (findings.length === 0 || dish.on_at === null || dish.live === null) {
    return (
      <section className="opens mb-8">
        <h2 className="text-lg">{dish.name}</h2>
        <p className="mt-1 text-soft">
          {dish.status === 'waiting' ? 'Not on yet.' : 'Still on the heat.'} The debrief comes once it was pulled.
        </p>
      </section>
    );
  }
  const on = at(dish.on_at);
  return (
    <section className="opens mb-8" aria-label={`Debrief, ${dish.name}`}>
      <h2 className="text-lg">{dish.name}</h2>
      <table className="mt-2 w-full table-fixed text-left sm:table-auto">
        <thead>
          <tr className="label">
            <th className="py-1 pr-3 font-medium">&nbsp;</th>
            <th className="py-1 pr-3 font-medium">Planned</th>
            <th className="py-1 pr-3 font-medium">It was</th>
            <th className="hidden py-1 font-medium sm:table-cell">So</th>
          </tr>
        </thead>
        <tbody>
          {findings.map((finding) => (
            <tr key={finding.id} className="border-t border-hair align-baseline">
              <th scope="row" className="py-2 pr-3 font-medium text-soft">
                <Said>{finding.what}</Said>
              </th>
              <td className="py-2 pr-3 sm:whitespace-nowrap">
                <Said>{finding.planned}</Said>
              </td>
              <td className="py-2 pr-3 sm:whitespace-nowrap">
                <span className="wide text-lg">
                  <Said>{finding.fact}</Said>
                </span>
                <span className="label block">{finding.basis === 'read' ? 'read or logged' : 'worked out between readings'}</span>
              </td>
              <td className="hidden py-2 sm:table-cell">
                <Said>{finding.lesson}</Said>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <ul className="mt-2 list-disc pl-5 sm:hidden">
        {findings.map((finding) => (
          <li key={finding.id}>
            <span className="text-soft">
              <Said>{finding.what}</Said>:
            </span>{' '}
            <Said>{finding.lesson}</Said>
          </li>
        ))}
      </ul>
      {dish.pictures !== undefined && (
        <div className="mt-4 h-[300px]">
          <CoreCurve
            pictures={dish.pictures}
            startAt={on}
            zone={roast.plan.time_zone}
            now={Infinity}
            planned={roast.debrief.planned_curves[index] ?? null}
            pull={{ minutes: dish.live.cook_minutes.likely, celsius: dish.live.pull_c, done: true }}
            target={dish.target_c}
            safe={dish.safe_c}
            {...marksOf(roast, index, on)}
            minHeight={280}
          />
        </div>
      )}
    </section>
  );
}

function Note({ roast }: { roast: Roast }) {
  const clock = useClock();
  const [written, setWritten] = useState<{ note: string; from: Edition<string> } | null>(null);
  const note = written?.note ?? roast.note;
  const stands = { state: roast.note, edition: roast.edition };
  const keep = useRoastChange<{ note: string; from: Edition<string> }>(roast.id, async ({ note: wanted, from }) => {
    const kept = await keepChanged(
      from,
      wanted,
      (words, { edition }) => call('put', '/api/roasts/{roast}/debrief', { at: { roast: roast.id }, edition, body: { note: words } }),
      (current) => (current as { note: string }).note,
    );
    setWritten(null);
    return kept;
  });
  const clashing = keep.error instanceof Clashing ? (keep.error as Clashing<string>) : null;
  const settle = (words: string) => {
    if (clashing === null) return;
    const settled = { note: words, from: clashing.stands };
    setWritten(settled);
    keep.mutate(settled);
  };
  return (
    <div className="opens">
      <h2 className="text-lg">
        <label htmlFor="debrief-note">What to change next time</label>
      </h2>
      <textarea
        id="debrief-note"
        className="field mt-2 py-2 font-normal"
        rows={6}
        maxLength={2000}
        value={note}
        onChange={(event) => setWritten({ note: event.target.value, from: written?.from ?? stands })}
      />
      <div className="mt-2 flex items-center gap-3">
        <button
          type="button"
          className="push push-main"
          disabled={keep.isPending || written === null || note === roast.note}
          onClick={() => written !== null && keep.mutate(written)}
        >
          Keep the note
        </button>
        {keep.isSuccess && note === roast.note && <span className="label">Kept at {clock(roast.now)}</span>}
        {keep.isError && clashing === null && <span className="font-semibold text-ember">{keep.error.message}</span>}
      </div>
      {clashing !== null && (
        <div role="alert" className="mt-2 border-l-[3px] border-ember pl-3">
          <p className="font-semibold">Another device keeps another note:</p>
          <p className="whitespace-pre-wrap">{clashing.stands.state === '' ? 'none' : clashing.stands.state}</p>
          <p className="mt-2 flex flex-wrap gap-2">
            <button type="button" className="push" onClick={() => settle(note)}>
              Keep mine
            </button>
            <button type="button" className="push" onClick={() => settle(clashing.stands.state)}>
              Keep that one
            </button>
            <button type="button" className="push" onClick={() => settle(`${clashing.stands.state}\n${note}`)}>
              Keep both
            </button>
          </p>
        </div>
      )}
    </div>
  );
}

function ReadingsImport({ roast }: { roast: Roast }) {
  const add = useRoastChange<string>(roast.id, (text) =>
    call('post', '/api/roasts/{roast}/readings.csv', { at: { roast: roast.id }, body: text, type: 'text/csv' }),
  );
  return (
    <>
      <FileButton accept=".csv,text/csv" onText={(text) => add.mutate(text)}>
        Add readings from a table
      </FileButton>
      <Wrong error={add.error} />
    </>
  );
}
