import type { Fire } from '../../api/types';
import { ControlsPicture } from '../../charts/ControlsPicture';
import { Why } from '../../ui/Why';
import { useUnits } from '../../units/units';

/** Coals on the lid and below, and what the other school would count. */
export function CampOvenCount({ fire }: { fire: Fire }) {
  const format = useUnits();
  const count = fire.count;
  const step = fire.steps[0];
  if (count === null || step === undefined) return null;
  return (
    <>
      <ControlsPicture controls={fire.controls} settings={Object.fromEntries(step.settings.map((one) => [one.id, one.value]))} />
      <dl className="mt-3 border-t border-hair">
        <Row what="Twice the inches across" answer={`${count.plain}`} remark="165 to 175 °C, still and mild" />
        <Row
          what="Inches and three on the lid, less three below"
          answer={`${count.other.over} and ${count.other.under}`}
          remark="the other school, the same in all"
        />
        <Row
          what="For this heat and weather"
          answer={`${count.over + count.under}`}
          remark={`${format.length(count.diameter_cm, 0)} pot`}
          strong
        />
        <Row what="Renewed" answer={`${count.refresh_minutes} min`} remark="half of them, lit before" />
        {count.under === 0 && <Row what="Below" answer="none" remark="the fire at its side does that; a quarter turn every 15 to 20 min" />}
      </dl>
      <p className="label mt-2">
        <Why of="fire.count" workings={fire.workings}>
          Why so many
        </Why>
      </p>
    </>
  );
}

function Row({ what, answer, remark, strong = false }: { what: string; answer: string; remark: string; strong?: boolean }) {
  return (
    <div className="flex items-baseline justify-between gap-3 border-b border-hair py-1.5">
      <dt className={strong ? 'font-semibold' : ''}>
        {what}
        <span className="label block">{remark}</span>
      </dt>
      <dd className={`wide whitespace-nowrap text-right text-lg ${strong ? 'text-ember' : ''}`}>{answer}</dd>
    </div>
  );
}
