import type { Reference } from '../../api/types';
import { Choice } from '../../ui/Choice';
import { NumberField } from '../../ui/NumberField';
import { type DraftStage } from '../draft';
import type { Errors } from './errors';
import { Chores } from './Chores';

type StageProps = {
  number: number;
  only: boolean;
  last: boolean;
  stage: DraftStage;
  /** its heat follows from the hole it is buried in */
  buried: boolean;
  reference: Reference;
  errors: Errors;
  onChange: (stage: DraftStage) => void;
  onRemove: (() => void) | undefined;
};

/** One stage: on which cooker, how hot, until when. */
export function StageFields({ number, only, last, stage, buried, reference, errors, onChange, onRemove }: StageProps) {
  const cookers = reference.cookers.filter((cooker) => !(last && cooker.rest));
  const end =
    stage.minutes !== undefined || 'minutes' in stage
      ? 'minutes'
      : stage.until_core_c !== undefined || 'until_core_c' in stage
        ? 'until_core_c'
        : 'pull';
  const setEnd = (to: string) => {
    const rest: DraftStage = { cooker: stage.cooker, cooker_c: stage.cooker_c, chores: stage.chores };
    onChange(to === 'minutes' ? { ...rest, minutes: 30 } : to === 'until_core_c' ? { ...rest, until_core_c: 45 } : { ...rest, pull: true });
  };
  return (
    <div className={only ? 'grid gap-3' : 'grid gap-3 border-l-[3px] border-hair pl-3'}>
      <div className="grid grid-cols-[1fr_7.25rem] gap-3">
        <Choice
          label={only ? 'Cooker' : `Stage ${number + 1}`}
          value={stage.cooker}
          options={cookers.map((cooker) => ({ id: cooker.id, name: cooker.name }))}
          errors={errors.cooker}
          onChange={(id) =>
            onChange({ ...stage, cooker: id, cooker_c: reference.cookers.find((cooker) => cooker.id === id)?.default_c ?? 150 })
          }
        />
        {buried ? (
          <p className="label self-end pb-2">its heat follows from the hole: see Fire</p>
        ) : (
          <NumberField
            label="At"
            of="temperature"
            digits={0}
            value={stage.cooker_c}
            hint={
              reference.cookers.find((cooker) => cooker.id === stage.cooker)?.open === true ? 'as a hand reads it: see Fire' : undefined
            }
            errors={errors.cooker_c}
            onChange={(cooker_c) => onChange({ ...stage, cooker_c })}
          />
        )}
      </div>
      {!(only && end === 'pull') && (
        <div className="grid grid-cols-[1fr_7.25rem] gap-3">
          <Choice
            label="Until"
            value={end}
            options={[
              ...(last ? [{ id: 'pull', name: 'it is done' }] : []),
              { id: 'until_core_c', name: 'the core is at' },
              { id: 'minutes', name: 'time is up' },
            ]}
            onChange={setEnd}
          />
          {end === 'minutes' && (
            <NumberField
              label="After"
              of={{ unit: 'min' }}
              digits={0}
              value={stage.minutes}
              errors={errors.minutes}
              onChange={(minutes) => onChange({ ...stage, minutes })}
            />
          )}
          {end === 'until_core_c' && (
            <NumberField
              label="Core"
              of="temperature"
              digits={0}
              value={stage.until_core_c}
              errors={errors.until_core_c}
              onChange={(until_core_c) => onChange({ ...stage, until_core_c })}
            />
          )}
        </div>
      )}
      <Chores chores={stage.chores ?? []} reference={reference} errors={errors} onChange={(chores) => onChange({ ...stage, chores })} />
      {onRemove !== undefined && (
        <button type="button" className="text-push justify-self-start" onClick={onRemove}>
          Take stage {number + 1} out
        </button>
      )}
    </div>
  );
}

/** The last stage ends with the pull; one that no longer is the last gets a core temperature to end at. */
export function withStage(stages: DraftStage[]): DraftStage[] {
  return [
    ...stages.map((stage): DraftStage =>
      stage.pull === true ? { cooker: stage.cooker, cooker_c: stage.cooker_c, chores: stage.chores, until_core_c: 45 } : stage,
    ),
    { cooker: 'open-grate', cooker_c: 450, pull: true },
  ];
}

export function ending(stages: DraftStage[]): DraftStage[] {
  return stages.map((stage, i) =>
    i === stages.length - 1 && stage.minutes === undefined
      ? { cooker: stage.cooker, cooker_c: stage.cooker_c, chores: stage.chores, pull: true }
      : stage,
  );
}
