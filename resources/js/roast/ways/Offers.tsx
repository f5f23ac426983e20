import type { ReactNode } from 'react';
import type { Outcome, Way, Ways } from '../../api/types';
import { at } from '../../units/time';
import { Said } from '../../words/Said';
import type { Message } from '../../words/say';
import { PullBars } from './PullBars';

type Props = {
  answer: Ways;
  /** words on the button that takes one */
  take: string;
  busy: boolean;
  /** whether it is the roast that is off its hour: then no way is needed where there is none */
  onTime?: boolean;
  onTake: (way: Way) => void;
};

/** Ways beside each other, each to its end, and how it stands before them; drawn along one axis of time. */
export function Offers({ answer, take, busy, onTime = false, onTake }: Props) {
  if (answer.ways.length === 0)
    return (
      <p className="py-3">
        {onTime ? 'Nothing has to change: ' : 'There is no way to go on that would be sound. As it stands: '}
        <Said>{answer.as_it_is.table}</Said>.
      </p>
    );
  const all = [answer.as_it_is, ...answer.ways.map((way) => way.outcome)];
  const moments = all.flatMap((one) => [at(one.table_at), ...one.dishes.flatMap((dish) => [at(dish.off_at.low), at(dish.off_at.high)])]);
  const axis = { from: Math.min(...moments), to: Math.max(...moments) };
  return (
    <ul className="grid gap-x-6 gap-y-5 lg:grid-flow-col lg:auto-cols-fr">
      <Column title={<span className="text-soft">As it stands</span>} outcome={answer.as_it_is} axis={axis} />
      {answer.ways.map((way) => (
        <Column key={way.id} title={<Said>{way.title}</Said>} outcome={way.outcome} axis={axis} way={way}>
          <button type="button" className="push push-main w-full" disabled={busy} onClick={() => onTake(way)}>
            {take}
            <span className="sr-only">
              : <Said>{way.title}</Said>
            </span>
          </button>
        </Column>
      ))}
    </ul>
  );
}

type ColumnProps = { title: ReactNode; outcome: Outcome; axis: { from: number; to: number }; way?: Way; children?: ReactNode };

function Column({ title, outcome, axis, way, children }: ColumnProps) {
  return (
    <li className="flex min-w-0 flex-col gap-3 border-t-[3px] border-ink pt-2">
      <h3 className="text-lg leading-6 lg:min-h-12">{title}</h3>
      <PullBars outcome={outcome} axis={axis} />
      <dl className="grid grow content-start gap-2.5">
        <Row label="Table" strong>
          <Said>{outcome.table}</Said>
          {outcome.slow !== null && (
            <span className="block font-sans text-base font-semibold text-ember">
              <Said>{outcome.slow}</Said>
            </span>
          )}
        </Row>
        <Row label="Meat">
          <Lines of={outcome.dishes.map((dish) => dish.words)} none="all off" />
        </Row>
        {way !== undefined && (
          <>
            <Row label="By hand">
              <Said>{way.how}</Said>
            </Row>
            <Row label="Costs">
              <Said>{way.price}</Said>
            </Row>
            <Row label="Fuel">
              <Lines of={outcome.fuel} none="as it stands" />
            </Row>
          </>
        )}
        {outcome.hands !== null && (
          <Row label="Hands">
            <Said>{outcome.hands}</Said>
          </Row>
        )}
        {outcome.cautions.length > 0 && (
          <Row label="Mind" urgent>
            <Lines of={outcome.cautions} none="" />
          </Row>
        )}
      </dl>
      {children}
    </li>
  );
}

function Row({
  label,
  strong = false,
  urgent = false,
  children,
}: {
  label: string;
  strong?: boolean;
  urgent?: boolean;
  children: ReactNode;
}) {
  return (
    <div className={urgent ? 'border-l-[3px] border-ember pl-2.5' : undefined}>
      <dt className="label">{label}</dt>
      <dd className={strong ? 'wide text-lg leading-6' : undefined}>{children}</dd>
    </div>
  );
}

function Lines({ of, none }: { of: readonly Message[]; none: string }) {
  if (of.length === 0) return <span className="text-soft">{none}</span>;
  return (
    <>
      {of.map((line, i) => (
        <span key={i} className="block">
          <Said>{line}</Said>
        </span>
      ))}
    </>
  );
}
