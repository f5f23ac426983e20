import clsx from 'clsx';
import { useState, type ReactNode } from 'react';
import type { Plan, Reference } from '../api/types';
import { Refused } from '../api/client';
import { usePreview, useReference } from '../api/queries';
import { Loading, Trouble } from '../ui/States';
import { useDebounced } from '../ui/useDebounced';
import { toFile, type Draft } from './draft';
import type { Errors } from './ticket/errors';

const TYPING_PAUSE_MS = 250;

/** A ticket full of slips is not read out whole: each is said at its field. */
const MOST_SAID = 2;

/** Which dish is looked at, on the ticket and in the answer alike. */
export type Shown = { index: number; onShow: (index: number) => void };

type Props = {
  draft: Draft;
  /** what is known already, shown until the first answer */
  plan: Plan | null;
  changed: boolean;
  saveErrors: Errors;
  ticket: (reference: Reference, errors: Errors, shown: Shown) => ReactNode;
  actions: (plan: Plan | null, sound: boolean) => ReactNode;
  answer: (plan: Plan, shown: Shown) => ReactNode;
  /** on a phone the answer comes first: the roast is known, and looked at more often than changed */
  answerFirst?: boolean;
};

/** A ticket at the side and its answers, which follow as the cook types. */
export function Planner({ draft, plan, changed, saveErrors, ticket, actions, answer, answerFirst = false }: Props) {
  const reference = useReference();
  const [index, onShow] = useState(0);
  const shown = { index, onShow };
  const settled = useDebounced(draft, TYPING_PAUSE_MS);
  // What is stored was answered already: it is not asked again while the first change to it settles.
  const [stored, setStored] = useState(changed ? null : draft);
  if (!changed && stored !== draft) setStored(draft);
  const preview = usePreview(changed && settled !== stored ? toFile(settled) : null);
  if (reference.isPending) return <Loading what="the cuts and cookers" />;
  if (reference.isError) return <Trouble error={reference.error} retry={() => void reference.refetch()} />;
  const refused = changed && preview.error instanceof Refused ? preview.error.errors : {};
  const errors = changed ? { ...saveErrors, ...refused } : {};
  const sound = Object.keys(refused).length === 0;
  const known = changed ? (preview.data ?? plan) : plan;
  return (
    <div className="grid gap-x-9 gap-y-8 lg:grid-cols-[19.5rem_minmax(0,1fr)]">
      <div>{ticket(reference.data, errors, shown)}</div>
      <div className={clsx('min-w-0 lg:sticky lg:top-3 lg:order-none lg:self-start', answerFirst && 'order-first')}>
        <div className="mb-4">{actions(known, sound)}</div>
        {errors.file !== undefined && <p className="mb-3 font-semibold text-ember">{errors.file.join(' ')}</p>}
        {preview.error !== null && !(preview.error instanceof Refused) && (
          <Trouble error={preview.error} retry={() => void preview.refetch()} />
        )}
        {!sound && (
          <p role="status" className="mb-3 border-l-[3px] border-ember pl-3 font-semibold text-ember">
            {[...new Set(Object.values(refused).flat())].slice(0, MOST_SAID).join(' ')}
            {known !== null && ' Below, this still answers the figures before.'}
          </p>
        )}
        {known !== null && answer(known, shown)}
        {known === null && sound && <Loading what="the answer" />}
      </div>
    </div>
  );
}
