import type { OwnCooker, Reference, RoastFile } from '../api/types';
import { finder } from '../words/search';
import { likelyHour, type Draft, type DraftDish, type DraftFire } from './draft';

export type Beginning = Reference['beginnings'][number];

/** Cookers that a way of cooking uses, places without a fire left out. */
export function cookersOf(beginning: Beginning, reference: Reference): string[] {
  const off = new Set(reference.cookers.filter((one) => one.rest).map((one) => one.id));
  return [...new Set(beginning.file.dishes.flatMap((dish) => dish.stages.map((stage) => stage.cooker)))].filter((id) => !off.has(id));
}

/** Found by what people call it, its cut or its cooker; those for cookers that the cook owns first. */
export function found(reference: Reference, query: string, own: readonly OwnCooker[], cooker: string | null): Beginning[] {
  const owned = new Set(own.map((one) => one.kind));
  const nameOf = (id: string) => reference.cookers.find((one) => one.id === id)?.name ?? '';
  const find = finder(reference.beginnings, (one) => [one.name, one.called, one.about, ...cookersOf(one, reference).map(nameOf)]);
  return find(query)
    .filter((one) => cooker === null || cookersOf(one, reference).includes(cooker))
    .map((one, i) => ({ one, i, owned: cookersOf(one, reference).some((id) => owned.has(id)) }))
    .sort((a, b) => Number(b.owned) - Number(a.owned) || a.i - b.i)
    .map(({ one }) => one);
}

/** The draft of a table made from a way of cooking, as much of it as the guests need, on the cook's own cookers. */
export function begunFrom(table: Draft, beginning: Beginning, own: readonly OwnCooker[], now: Date): Draft {
  const dishes = beginning.file.dishes as DraftDish[];
  return {
    ...table,
    serve_at: likelyHour(now, beginning.lead_hours),
    people: beginning.people,
    dishes,
    fires: withOwn((beginning.file.fires ?? []) as DraftFire[], dishes, own),
    ...(beginning.file.sides === undefined ? {} : { sides: beginning.file.sides }),
  };
}

/** The first cooker of each kind that the cook owns answers for its kind. */
export function withOwn(fires: DraftFire[], dishes: readonly DraftDish[], own: readonly OwnCooker[]): DraftFire[] {
  const kinds = [...new Set(dishes.flatMap((dish) => dish.stages.map((stage) => stage.cooker)))];
  return kinds.flatMap((kind) => {
    const wish = fires.find((fire) => fire.cooker === kind);
    const mine = own.find((one) => one.kind === kind);
    return wish === undefined && mine === undefined
      ? []
      : [{ cooker: kind, ...wish, ...(mine === undefined || wish?.own !== undefined ? {} : { own: mine.name }) }];
  });
}

/** More or fewer guests: what grows with them grows. Called for a ticket that its cook has not weighed anything on yet. */
export function grown(draft: Draft, beginning: Beginning, people: number): Draft {
  const share = people / beginning.people;
  if (beginning.grows === null || !(share > 0)) return { ...draft, people };
  const dishes = (beginning.file.dishes as DraftDish[]).map((dish): DraftDish => {
    const mass = typeof dish.mass_kg === 'number' ? dish.mass_kg : 1;
    const pieces = typeof dish.pieces === 'number' ? dish.pieces : 1;
    return beginning.grows === 'mass' && pieces === 1
      ? { ...dish, mass_kg: Number((mass * share).toFixed(2)) }
      : { ...dish, pieces: Math.max(1, Math.ceil(pieces * share)) };
  });
  return { ...draft, people, dishes };
}

/** A roast that was cooked, again at another hour. */
export const again = (table: Draft, file: RoastFile): Draft => {
  return { ...file, serve_at: table.serve_at, ...(table.time_zone === undefined ? {} : { time_zone: table.time_zone }) };
};
