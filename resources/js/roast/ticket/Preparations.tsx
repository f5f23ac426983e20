import { Disclosure, DisclosureButton, DisclosurePanel } from '@headlessui/react';
import type { Reference } from '../../api/types';
import { Caret } from '../../ui/Choice';
import { type DraftDish } from '../draft';
import type { Errors } from './errors';

/** What is done to it before the fire, in the days and hours ahead. */
export function Preparations({
  dish,
  kind,
  reference,
  errors,
  onChange,
}: {
  dish: DraftDish;
  kind: string;
  reference: Reference;
  errors: Errors;
  onChange: (dish: DraftDish) => void;
}) {
  const chosen = dish.preparations ?? [];
  const fitting = reference.preparations.filter((one) => one.kinds.includes(kind));
  if (fitting.length === 0) return null;
  const toggle = (id: string) => {
    const next = chosen.includes(id) ? chosen.filter((one) => one !== id) : [...chosen, id];
    onChange({ ...dish, preparations: next.length === 0 ? undefined : next });
  };
  const wrong = Object.entries(errors).flatMap(([key, messages]) => (key.startsWith('preparations') ? messages : []));
  return (
    <Disclosure defaultOpen={chosen.length > 0}>
      <DisclosureButton className="flex min-h-11 items-center gap-2 font-semibold">
        Before the fire{chosen.length > 0 ? ` (${chosen.length})` : ''} <Caret />
      </DisclosureButton>
      <DisclosurePanel>
        <ul>
          {fitting.map((one) => (
            <li key={one.id}>
              <label className="flex min-h-11 cursor-pointer items-center gap-3 border-t border-hair">
                <input
                  type="checkbox"
                  className="size-5 accent-[var(--ember)]"
                  checked={chosen.includes(one.id)}
                  onChange={() => toggle(one.id)}
                />
                {one.name}
              </label>
            </li>
          ))}
        </ul>
        {wrong.length > 0 && <p className="font-semibold text-ember">{wrong.join(' ')}</p>}
      </DisclosurePanel>
    </Disclosure>
  );
}
