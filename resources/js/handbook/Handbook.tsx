import { useEffect, useMemo, useState } from 'react';
import { useLocation, useNavigationType, useSearchParams } from 'react-router';
import { useHandbook, useMixes, useReference } from '../api/queries';
import { Field } from '../ui/Field';
import { Frame } from '../ui/Frame';
import { Loading, Trouble } from '../ui/States';
import { useUnits } from '../units/units';
import { useSay } from '../words/Said';
import { CHAPTERS } from '../ui/chapters';
import { entriesOf, finding, type Entry } from './entries';

/** What the trade knows, to be looked up by the fire: every figure with its source. */
export function Handbook() {
  const reference = useReference();
  const handbook = useHandbook();
  const mixes = useMixes(1, 1);
  const [query, setQuery] = useLookedFor();
  const trouble = reference.error ?? handbook.error;
  return (
    <Frame>
      <h1 className="text-2xl">Handbook</h1>
      <div className="mt-2 max-w-md">
        <Field label="Look up">
          {(control) => (
            <input
              {...control}
              type="search"
              className="field"
              placeholder="thigh, brisket, 63, gravy, lump…"
              value={query}
              onChange={(event) => setQuery(event.target.value)}
            />
          )}
        </Field>
      </div>
      {reference.data !== undefined && handbook.data !== undefined ? (
        <Pages reference={reference.data} handbook={handbook.data} mixes={mixes.data ?? []} query={query} />
      ) : trouble === null ? (
        <Loading what="the handbook" />
      ) : (
        <Trouble error={trouble} retry={() => void Promise.all([reference.refetch(), handbook.refetch()])} />
      )}
    </Frame>
  );
}

/** What is looked for: it stands in the address too, which a busy page is slower to change than a hand is to type. */
function useLookedFor(): [query: string, setQuery: (query: string) => void] {
  const [asked, setAsked] = useSearchParams();
  const { key } = useLocation();
  const own = useNavigationType() === 'REPLACE';
  const there = asked.get('find') ?? '';
  const [typed, setTyped] = useState({ query: there, key });
  // Come to by a link, or back and forth: the address says what is looked for.
  if (!own && typed.key !== key) setTyped({ query: there, key });
  const setQuery = (query: string) => {
    setTyped({ query, key });
    setAsked(query === '' ? {} : { find: query }, { replace: true });
  };
  return [typed.query, setQuery];
}

type PagesProps = {
  reference: NonNullable<ReturnType<typeof useReference>['data']>;
  handbook: NonNullable<ReturnType<typeof useHandbook>['data']>;
  mixes: NonNullable<ReturnType<typeof useMixes>['data']>;
  query: string;
};

function Pages({ reference, handbook, mixes, query }: PagesProps) {
  const format = useUnits();
  const say = useSay();
  const { hash } = useLocation();
  const [closed, setClosed] = useState<readonly string[]>([]);
  useEffect(() => {
    if (hash !== '') document.getElementById(hash.slice(1))?.scrollIntoView({ block: 'start' });
  }, [hash]);
  const find = useMemo(() => finding(entriesOf(reference, handbook, mixes, format, say)), [reference, handbook, mixes, format, say]);
  const entries = find(query);
  if (entries.length === 0) return <p className="mt-6">Nothing goes by “{query}” here.</p>;
  return (
    <>
      <nav aria-label="Chapters" className="mt-3">
        <ul className="flex flex-wrap gap-x-5">
          {CHAPTERS.filter(([chapter]) => entries.some((entry) => entry.chapter === chapter)).map(([chapter, name]) => (
            <li key={chapter}>
              <a href={`#${chapter}`} className="text-push inline-flex items-center">
                {name}
              </a>
            </li>
          ))}
        </ul>
      </nav>
      {CHAPTERS.map(([chapter, name]) => {
        const here = entries.filter((entry) => entry.chapter === chapter);
        const open = !closed.includes(chapter);
        return here.length === 0 ? null : (
          <section key={chapter} id={chapter} className="opens mt-6 scroll-mt-4" aria-label={name}>
            <h2 className="text-lg">
              <button
                type="button"
                className="flex min-h-11 w-full items-center justify-between text-left"
                aria-expanded={open}
                onClick={() => setClosed(open ? [...closed, chapter] : closed.filter((one) => one !== chapter))}
              >
                {name}
                <span className="label">{open ? here.length : `${here.length}, closed`}</span>
              </button>
            </h2>
            {open && (
              <ul className="grid gap-x-9 md:grid-cols-2 xl:grid-cols-3">
                {here.map((entry) => (
                  <One key={entry.id} entry={entry} marked={hash === `#${entry.id}`} />
                ))}
              </ul>
            )}
          </section>
        );
      })}
    </>
  );
}

function One({ entry, marked }: { entry: Entry; marked: boolean }) {
  return (
    <li id={entry.id} className={marked ? 'scroll-mt-[30vh] border-t-[3px] border-ember py-2.5' : 'border-t border-hair py-2.5'}>
      <h3 className="text-[1.0625rem] font-bold">{entry.name}</h3>
      {entry.figures.length > 0 && (
        <dl className="mt-0.5 flex flex-wrap gap-x-4 gap-y-0.5">
          {entry.figures.map(([label, value]) => (
            <div key={`${label} ${value}`} className="flex gap-1.5">
              <dt className="text-soft">{label}</dt>
              <dd className="font-bold whitespace-nowrap">{value}</dd>
            </div>
          ))}
        </dl>
      )}
      {entry.words !== '' && <p className="mt-0.5">{entry.words}</p>}
      {entry.source !== '' && <p className="label mt-0.5">{entry.source}</p>}
    </li>
  );
}
