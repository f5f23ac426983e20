import type { ReactNode } from 'react';
import { capital } from '../../words/say';
import type { Cut, Reference } from '../../api/types';
import { Choice } from '../../ui/Choice';
import { NumberField } from '../../ui/NumberField';
import { type DraftStage } from '../draft';
import type { Errors } from './errors';
import { Chores } from './Chores';
import { Preparations } from './Preparations';
import { heatAlone, usualHeat } from './stepChanges';

type StageProps = {
  number: number;
  only: boolean;
  last: boolean;
  stage: DraftStage;
  /** its heat follows from the hole it is buried in */
  buried: boolean;
  /** a cut whose collagen takes hours */
  tough: boolean;
  cut: Cut;
  reference: Reference;
  errors: Errors;
  onChange: (stage: DraftStage) => void;
  menu: ReactNode;
};

/** One stage: on which cooker, how hot, until when. */
export function StageFields({ number, only, last, stage, buried, tough, cut, reference, errors, onChange, menu }: StageProps) {
  const on = reference.cookers.find((cooker) => cooker.id === stage.cooker);
  const open = on?.open === true;
  const fixed = on?.fixed === true;
  const cookers = reference.cookers.filter((cooker) => !(last && cooker.rest));
  const end =
    stage.minutes !== undefined || 'minutes' in stage
      ? 'minutes'
      : stage.until_brown !== undefined || 'until_brown' in stage
        ? 'until_brown'
        : stage.until_core_c !== undefined || 'until_core_c' in stage
          ? 'until_core_c'
          : stage.until_tender === true
            ? 'until_tender'
            : 'pull';
  const setEnd = (to: string) => {
    const rest = heatAlone(stage);
    onChange({
      ...rest,
      ...(to === 'minutes'
        ? { minutes: 30 }
        : to === 'until_brown'
          ? { until_brown: 10 }
          : to === 'until_core_c'
            ? { until_core_c: 45 }
            : to === 'until_tender'
              ? { until_tender: true }
              : { pull: true }),
    });
  };
  return (
    <div className="grid gap-3">
      <div className="grid grid-cols-[1fr_7.25rem] gap-3">
        <Choice
          label={only ? 'Cooker' : 'On'}
          value={stage.cooker}
          options={cookers.map((cooker) => ({ id: cooker.id, name: cooker.name, closed: capital(cooker.short) }))}
          errors={errors.cooker}
          onChange={(id) => onChange({ ...withoutHeat(stage), cooker: id, ...usualHeat(reference, id) })}
        />
        {buried ? (
          <p className="label self-end pb-2">its heat follows from the hole: see Fire</p>
        ) : fixed ? (
          <p className="label self-end pb-2">one heat, nothing to set</p>
        ) : open && stage.cooker_c === undefined ? (
          <NumberField
            label="Hand held"
            of={{ unit: 's' }}
            digits={1}
            value={stage.hand_s}
            hint="at the meat: see Fire"
            errors={errors.hand_s}
            onChange={(hand_s) => onChange({ ...stage, hand_s })}
          />
        ) : (
          <NumberField
            label="At"
            of="temperature"
            digits={0}
            value={stage.cooker_c}
            errors={errors.cooker_c}
            onChange={(cooker_c) => onChange({ ...stage, cooker_c })}
          />
        )}
      </div>
      {(!(only && end === 'pull') || tough) && (
        <div className="grid grid-cols-[1fr_7.25rem] gap-3">
          <Choice
            label="Until"
            value={end}
            options={[
              ...(last ? [{ id: 'pull', name: 'it is done' }] : []),
              ...(last && tough ? [{ id: 'until_tender', name: 'it pulls apart' }] : []),
              { id: 'until_core_c', name: 'the core is at' },
              { id: 'minutes', name: 'time is up' },
              { id: 'until_brown', name: 'it is brown' },
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
          {end === 'until_brown' && (
            <NumberField
              label="About"
              of={{ unit: 'min' }}
              digits={0}
              value={stage.until_brown}
              errors={errors.until_brown}
              onChange={(until_brown) => onChange({ ...stage, until_brown })}
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
      {(number > 0 || stage.wrap !== undefined) && reference.cookers.find((cooker) => cooker.id === stage.cooker)?.rest === false && (
        <Choice
          label="Wrapped"
          value={stage.wrap ?? 'bare'}
          options={[
            { id: 'bare', name: 'not at all' },
            { id: 'foil', name: 'in foil: past its stall, crust soft' },
            { id: 'paper', name: 'in paper: it still breathes' },
          ]}
          errors={errors.wrap}
          onChange={(id) => onChange({ ...stage, wrap: id === 'foil' || id === 'paper' ? id : undefined })}
        />
      )}
      <Chores chores={stage.chores ?? []} reference={reference} errors={errors} onChange={(chores) => onChange({ ...stage, chores })} />
      {number > 0 && (
        <Preparations
          label="By hand before it"
          chosen={stage.preparations ?? []}
          suiting={reference.preparations.filter((one) => one.between && cut.preparations.includes(one.id))}
          form={undefined}
          reference={reference}
          errors={errors}
          onChange={(preparations) => onChange({ ...stage, preparations })}
        />
      )}
      {menu}
    </div>
  );
}

function withoutHeat(stage: DraftStage): DraftStage {
  const rest = { ...stage };
  delete rest.cooker_c;
  delete rest.hand_s;
  return rest;
}
