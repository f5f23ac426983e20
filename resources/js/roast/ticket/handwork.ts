import type { MixFile, Reference } from '../../api/types';
import type { Typed } from '../../ui/NumberField';

/** One piece of handwork as it is being written: usual, with its own time or mix, or the cook's own. */
export type DraftRow = { do: string; hours?: Typed; minutes?: Typed; mix?: string | MixFile };
export type DraftOwnWork = { own: string; hours?: Typed; minutes?: Typed; cold?: boolean };
export type DraftWork = string | DraftRow | DraftOwnWork;

export type Row = Reference['preparations'][number];

export const isOwn = (one: DraftWork): one is DraftOwnWork => typeof one !== 'string' && 'own' in one;

/** Its id in the table; null for the cook's own. */
export const idOf = (one: DraftWork): string | null => (typeof one === 'string' ? one : isOwn(one) ? null : one.do);

/** What it is called on the run sheet: its id, or its place among the cook's own. */
export function lineOf(all: readonly DraftWork[], one: DraftWork): string {
  return idOf(one) ?? `own-${all.filter(isOwn).indexOf(one as DraftOwnWork) + 1}`;
}

export const nameOf = (one: DraftWork, rows: readonly Row[]): string =>
  isOwn(one) ? one.own || 'Something of your own' : (rows.find((row) => row.id === idOf(one))?.name ?? idOf(one) ?? '');

/** As short as it can be written: an id alone where nothing else was said. */
export function plain(one: DraftRow): DraftWork {
  return one.hours === undefined && one.minutes === undefined && one.mix === undefined ? one.do : one;
}

/** With one more: where it usually comes, a step of the cook's own at the end. */
export function added(all: readonly DraftWork[], work: DraftWork, rows: readonly Row[]): DraftWork[] {
  const place = (one: DraftWork) => rows.findIndex((row) => row.id === idOf(one));
  const at = isOwn(work) ? -1 : all.findIndex((one) => place(one) > place(work));
  return at < 0 ? [...all, work] : [...all.slice(0, at), work, ...all.slice(at)];
}

/** Whether one may change places with the one after it: not where nature has them in this order. */
export function maySwap(all: readonly DraftWork[], at: number, rows: readonly Row[]): boolean {
  const [first, then] = [all[at], all[at + 1]];
  if (first === undefined || then === undefined) return false;
  const row = rows.find((one) => one.id === idOf(then));
  return row === undefined || !row.before.includes(idOf(first) ?? '');
}

export function swapped(all: readonly DraftWork[], at: number): DraftWork[] {
  const next = [...all];
  const [first, then] = [all[at], all[at + 1]];
  if (first !== undefined && then !== undefined) next.splice(at, 2, then, first);
  return next;
}

/** What may still be added: it suits the cut, its form, and what is there. */
export function offered(all: readonly DraftWork[], suiting: readonly Row[], form: string | undefined): Row[] {
  const there = all.map(idOf);
  return suiting.filter(
    (row) => !there.includes(row.id) && !row.not_forms.includes(form ?? 'whole') && !row.not_with.some((other) => there.includes(other)),
  );
}
