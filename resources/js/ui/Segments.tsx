import { Radio, RadioGroup } from '@headlessui/react';
import type { ReactNode } from 'react';

type Option<T extends string> = { id: T; name: ReactNode; note?: ReactNode };

/** One of a few, all to be seen, each as wide as a thumb. */
export function Segments<T extends string>({ label, value, options, onChange }: { label: string; value: T; options: readonly Option<T>[]; onChange: (id: T) => void }) {
  return (
    <RadioGroup value={value} onChange={onChange} aria-label={label} className="flex flex-wrap gap-1.5">
      {options.map((option) => (
        <Radio
          key={option.id}
          value={option.id}
          className="flex min-h-11 cursor-pointer flex-col justify-center rounded-lg border-[1.5px] border-hair bg-raised px-3 py-1 font-semibold data-[checked]:border-ink data-[checked]:bg-ink data-[checked]:text-paper"
        >
          <span>{option.name}</span>
          {option.note !== undefined && <span className="text-label font-medium opacity-85">{option.note}</span>}
        </Radio>
      ))}
    </RadioGroup>
  );
}
