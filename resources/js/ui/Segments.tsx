import { Radio, RadioGroup } from '@headlessui/react';
import clsx from 'clsx';
import type { ReactNode } from 'react';

type Option<T extends string> = { id: T; name: ReactNode; note?: ReactNode; spoken?: string };

/** One of a few, all to be seen, each as wide as a thumb. */
export function Segments<T extends string>({
  label,
  value,
  options,
  onChange,
  inline = false,
  tight = false,
}: {
  label: string;
  value: T;
  options: readonly Option<T>[];
  onChange: (id: T) => void;
  inline?: boolean;
  /** narrow ones, for a narrow column */
  tight?: boolean;
}) {
  return (
    <RadioGroup value={value} onChange={onChange} aria-label={label} className="flex flex-wrap gap-1.5">
      {options.map((option) => (
        <Radio
          key={option.id}
          value={option.id}
          aria-label={option.spoken}
          className={clsx(
            'flex min-h-11 cursor-pointer justify-center rounded-lg border-[1.5px] border-hair bg-raised font-semibold',
            'data-[checked]:border-ink data-[checked]:bg-ink data-[checked]:text-paper',
            tight ? 'min-w-11 items-center px-1.5' : 'px-3',
            inline ? 'items-baseline gap-2 py-2.5' : 'flex-col py-1',
          )}
        >
          <span>{option.name}</span>
          {option.note !== undefined && (
            <span className={`text-label font-medium opacity-85 ${inline ? 'hidden sm:inline' : ''}`}>{option.note}</span>
          )}
        </Radio>
      ))}
    </RadioGroup>
  );
}
