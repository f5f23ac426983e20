import { Disclosure, DisclosureButton, DisclosurePanel } from '@headlessui/react';
import type { Reference } from '../../api/types';
import { Caret } from '../../ui/Choice';
import { within, type Errors } from './errors';
import { FindWork } from './FindWork';
import { added, idOf, lineOf, maySwap, nameOf, offered, swapped, type DraftWork, type Row } from './handwork';
import { WorkFields } from './WorkFields';

type Props = {
  /** before the fire, or before a step */
  label: string;
  chosen: readonly DraftWork[];
  /** what suits this food, and this moment */
  suiting: readonly Row[];
  form: string | undefined;
  /** what makes its form, and is done whether it is named or not */
  implied?: readonly string[];
  reference: Reference;
  errors: Errors;
  onChange: (chosen: DraftWork[] | undefined) => void;
};

/** What is done to a dish by hand, in its order: in the days and hours ahead, or in the minutes between two steps. */
export function Preparations({ label, chosen, suiting, form, implied = [], reference, errors, onChange }: Props) {
  const rows = reference.preparations;
  const change = (next: DraftWork[]) => onChange(next.length === 0 ? undefined : next);
  const wrongAt = (at: number) => within(errors, `preparations.${at}`);
  const wrong = errors.preparations ?? [];
  const makesForm = implied.filter((id) => !chosen.some((one) => idOf(one) === id)).map((id) => nameOf(id, rows));
  const all = implied.reduce((work, id) => (work.some((one) => idOf(one) === id) ? work : added(work, id, rows)), [...chosen]);
  return (
    <Disclosure defaultOpen={Object.keys(errors).some((key) => key.startsWith('preparations'))}>
      <DisclosureButton className="flex min-h-11 items-center gap-2 font-semibold">
        {label} <Caret />
      </DisclosureButton>
      {all.length > 0 && <p className="-mt-1.5 mb-1 text-soft">{all.map((one) => nameOf(one, rows)).join(' · ')}</p>}
      <DisclosurePanel>
        {makesForm.length > 0 && (
          <p className="border-t border-hair py-2 text-label text-soft">Its form asks for: {makesForm.join(', ').toLowerCase()}</p>
        )}
        <ol aria-label="In this order">
          {chosen.map((one, at) => (
            <WorkFields
              key={lineOf(chosen, one)}
              number={at + 1}
              one={one}
              row={rows.find((row) => row.id === idOf(one))}
              errors={wrongAt(at)}
              earlier={at > 0 && maySwap(chosen, at - 1, rows) ? () => change(swapped(chosen, at - 1)) : undefined}
              later={maySwap(chosen, at, rows) ? () => change(swapped(chosen, at)) : undefined}
              onChange={(next) => change(chosen.map((old, i) => (i === at ? next : old)))}
              onRemove={() => change(chosen.filter((_, i) => i !== at))}
            />
          ))}
        </ol>
        <div className="border-t border-hair pt-2">
          <FindWork
            rows={offered(chosen, suiting, form).filter((row) => !implied.includes(row.id))}
            onFound={(work) => change(added(chosen, work, rows))}
          />
        </div>
        {wrong.length > 0 && <p className="font-semibold text-ember">{wrong.join(' ')}</p>}
      </DisclosurePanel>
    </Disclosure>
  );
}
