import type { Plan } from '../api/types';
import { Said } from '../words/Said';
import { toDraft, type Draft } from './draft';
import { useSideBySide } from './ways/SideBySide';

type Props = { plan: Plan; draft: Draft; onChange: (draft: Draft) => void };

/** What stands in the way of keeping a plan, each with the presses that take it away. */
export function Obstacles({ plan, draft, onChange }: Props) {
  const [look, sheet] = useSideBySide(draft, onChange);
  if (plan.obstacles.length === 0) return null;
  return (
    <section id={OBSTACLES} aria-label="What stands in the way" className="scroll-mt-4 border-l-[3px] border-ember pl-3">
      <h2 className="text-lg">{countWords(plan.obstacles.length)}</h2>
      <ul>
        {plan.obstacles.map((one, i) => (
          <li
            key={`${one.id} ${one.dish ?? ''} ${i}`}
            className="flex flex-wrap items-center justify-between gap-x-4 gap-y-1.5 border-t border-hair py-2"
          >
            <p className="min-w-0 flex-[1_1_16rem] font-semibold">
              <Said>{one.words}</Said>.
            </p>
            <div className="flex flex-wrap gap-2">
              {one.ways_out.map((way) => (
                <button key={way.words.id} type="button" className="push" onClick={() => onChange(toDraft(way.file))}>
                  <Said>{way.words}</Said>
                </button>
              ))}
              {one.cooker !== null && (
                <button type="button" className="push" onClick={() => look({ turn: 'shared', cooker: one.cooker ?? undefined })}>
                  Ways out
                </button>
              )}
            </div>
          </li>
        ))}
      </ul>
      {sheet}
    </section>
  );
}

const OBSTACLES = 'obstacles';

const countWords = (count: number): string => (count === 1 ? 'One thing stands in the way' : `${count} things stand in the way`);

/** Where the list lies further down: how long it is, and there with one press. */
export function ToObstacles({ plan }: { plan: Plan }) {
  if (plan.obstacles.length === 0) return null;
  return (
    <button
      type="button"
      className="wide mb-1.5 flex min-h-11 w-full items-center justify-between gap-3 text-left text-ember md:hidden"
      onClick={() => document.getElementById(OBSTACLES)?.scrollIntoView({ block: 'start' })}
    >
      {`${plan.obstacles.length} in the way`}
      <span className="text-ink underline decoration-hair decoration-2 underline-offset-4">What can be done</span>
    </button>
  );
}
