import { nameOf } from './handwork';
import clsx from 'clsx';
import { useState } from 'react';
import type { Cut, Reference } from '../../api/types';
import { duration } from '../../units/time';
import { handOf, useUnits } from '../../units/units';
import type { DraftDish, DraftStage } from '../draft';
import { within, type Errors } from './errors';
import { StageFields } from './StageFields';
import { StepMenu } from './StepMenu';
import { withStage } from './stepChanges';

type Props = { dish: DraftDish; cut: Cut; reference: Reference; errors: Errors; onChange: (stages: DraftStage[]) => void };

/** The steps of a dish: one alone with its fields, several as lines of which one is open. */
export function Steps({ dish, cut, reference, errors, onChange }: Props) {
  const stages = dish.stages;
  const [chosen, setChosen] = useState(0);
  const wrong = stages.findIndex((_, i) => Object.keys(within(errors, `stages.${i}`)).length > 0);
  const only = stages.length === 1;
  const fields = (i: number) => (
    <StageFields
      buried={dish.rig?.kind === 'buried_pot' && stages[i]?.cooker === 'camp-oven'}
      number={i}
      only={only}
      tough={cut.tough}
      last={i === stages.length - 1}
      stage={stages[i] ?? { cooker: '' }}
      reference={reference}
      errors={within(errors, `stages.${i}`)}
      onChange={(next) => onChange(stages.map((old, at) => (at === i ? next : old)))}
      cut={cut}
      menu={
        <StepMenu
          stages={stages}
          index={i}
          onChange={(next) => {
            // What was put in last is what is written on next.
            if (next.length > stages.length) setChosen(i);
            onChange(next);
          }}
        />
      }
    />
  );
  const another = (
    <button
      type="button"
      className="text-push justify-self-start"
      onClick={() => {
        setChosen(stages.length);
        onChange(withStage(stages));
      }}
    >
      Add a stage
    </button>
  );
  if (only)
    return (
      <div className="grid gap-3">
        {fields(0)}
        {another}
      </div>
    );
  return (
    <div className="grid gap-3">
      <ol className="border-b border-hair" aria-label="Stages">
        {stages.map((stage, i) => {
          const open = i === chosen;
          return (
            <li key={i} className="border-t border-hair">
              <button
                type="button"
                aria-expanded={open}
                className="grid min-h-11 w-full grid-cols-[1.5rem_minmax(0,1fr)_auto] items-baseline gap-x-2 py-2 text-left"
                onClick={() => setChosen(open ? -1 : i)}
              >
                <span className="wide text-ember">{i + 1}</span>
                <StepLine stage={stage} reference={reference} />
              </button>
              {i === wrong && !open && <p className="pb-2 pl-8 font-semibold text-ember">to mend</p>}
              {open && <div className="pb-3 pl-8">{fields(i)}</div>}
            </li>
          );
        })}
      </ol>
      {another}
    </div>
  );
}

/** A step in one line: Kettle at 110°, until 46°. */
function StepLine({ stage, reference }: { stage: DraftStage; reference: Reference }) {
  const format = useUnits();
  const kind = reference.cookers.find((one) => one.id === stage.cooker);
  const figure = (value: unknown): value is number => typeof value === 'number';
  const heat =
    kind?.rest === true ? '' : figure(stage.hand_s) ? handOf(stage.hand_s) : figure(stage.cooker_c) ? format.degrees(stage.cooker_c) : '';
  const until = figure(stage.minutes)
    ? duration(stage.minutes)
    : figure(stage.until_brown)
      ? `brown, ${duration(stage.until_brown)}`
      : figure(stage.until_core_c)
        ? `to ${format.degrees(stage.until_core_c)}`
        : stage.until_tender === true
          ? 'pulls apart'
          : stage.pull === true
            ? 'until done'
            : '';
  const hand = (stage.preparations ?? []).map((one) => nameOf(one, reference.preparations));
  return (
    <>
      <span className="min-w-0">
        <span className="inline-block font-semibold first-letter:uppercase">
          {kind?.short ?? stage.cooker}
          {heat === '' ? '' : `, ${heat}`}
        </span>
        {hand.length > 0 && <span className="block text-label text-soft">first: {hand.join(', ').toLowerCase()}</span>}
      </span>
      <span className={clsx('text-soft', until === '' && 'sr-only')}>{until}</span>
    </>
  );
}
