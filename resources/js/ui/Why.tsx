import { Popover, PopoverButton, PopoverPanel } from '@headlessui/react';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import type { Working } from '../api/types';
import { Said } from '../words/Said';
import { chapterOf } from './chapters';

/** A figure that opens to its working: inputs, rule and source. */
export function Why({
  of,
  workings,
  children,
  className = '',
}: {
  of: string;
  workings: readonly Working[];
  children: ReactNode;
  className?: string;
}) {
  const working = workings.find((candidate) => candidate.of === of);
  if (working === undefined) return <span className={className}>{children}</span>;
  return (
    <Popover as="span" className="relative">
      <PopoverButton
        className={`text-left underline decoration-hair decoration-dotted decoration-2 underline-offset-[6px] hover:decoration-ember ${className}`}
        title="Why this number?"
      >
        {children}
      </PopoverButton>
      <PopoverPanel anchor={{ to: 'bottom start', gap: 8, padding: 12 }} className="laid-over w-[min(23rem,calc(100vw-24px))] p-4">
        <p>
          <Said>{working.rule}</Said>
        </p>
        {working.inputs.length > 0 && (
          <dl className="mt-3 border-t border-hair">
            {working.inputs.map((input) => (
              <div key={JSON.stringify(input.label)} className="flex justify-between gap-4 border-b border-hair py-1">
                <dt className="text-soft">
                  <Said>{input.label}</Said>
                </dt>
                <dd className="text-right font-semibold">
                  <Said>{input.value}</Said>
                </dd>
              </div>
            ))}
          </dl>
        )}
        <p className="label mt-3">
          <Said>{working.source}</Said>{' '}
          <Link to={chapterOf(of)} className="font-semibold underline underline-offset-4">
            Handbook
          </Link>
        </p>
      </PopoverPanel>
    </Popover>
  );
}
