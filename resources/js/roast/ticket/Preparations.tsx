import { Disclosure, DisclosureButton, DisclosurePanel } from '@headlessui/react';
import type { Reference } from '../../api/types';
import { Caret } from '../../ui/Choice';
import type { Errors } from './errors';

type Props = {
  /** before the fire, or before a step */
  label: string;
  chosen: readonly string[];
  /** what suits this food, and this moment */
  fitting: Reference['preparations'];
  errors: Errors;
  onChange: (chosen: string[] | undefined) => void;
};

/** What is done to a dish by hand: in the days and hours ahead, or in the minutes between two steps. */
export function Preparations({ label, chosen, fitting, errors, onChange }: Props) {
  if (fitting.length === 0) return null;
  const toggle = (id: string) => {
    const next = chosen.includes(id) ? chosen.filter((one) => one !== id) : [...chosen, id];
    onChange(next.length === 0 ? undefined : next);
  };
  const wrong = Object.entries(errors).flatMap(([key, messages]) => (key.startsWith('preparations') ? messages : []));
  return (
    <Disclosure defaultOpen={wrong.length > 0}>
      <DisclosureButton className="flex min-h-11 items-center gap-2 font-semibold">
        {label} <Caret />
      </DisclosureButton>
      {chosen.length > 0 && (
        <p className="-mt-1.5 mb-1 text-soft">{chosen.map((id) => fitting.find((one) => one.id === id)?.name ?? id).join(' · ')}</p>
      )}
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
