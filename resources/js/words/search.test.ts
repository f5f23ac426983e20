import { describe, expect, it } from 'vitest';
import table from '../../../data/cuts.json';
import ways from '../../../data/beginnings.json';
import cookers from '../../../data/cookers.json';
import sides from '../../../data/sides.json';
import { finder } from './search';

type Called = { id: string; name: string; called?: string; kind?: string };

const cuts = table.cuts as readonly Called[];

const find = (typed: string, among: readonly Called[] = cuts): string[] =>
  finder(among, (one) => [one.name, one.kind ?? '', one.called ?? ''])(typed).map((one) => one.name);

describe('what is looked for', () => {
  // As people type it; the names are the table's.
  it.each([
    ['pork belly', ['Belly of pork']],
    ['belly', ['Belly of pork']],
    ['rack', ['Rack of lamb', 'Rack of pork']],
    ['whole chicken', ['Chicken, whole']],
    ['WHOLE  Chicken ', ['Chicken, whole']],
    ['lamb shoulder', ['Shoulder of lamb']],
    ['leg of lamb', ['Leg of lamb, on the bone', 'Leg of lamb, boned and rolled']],
    ['lamb legs', ['Leg of lamb, on the bone', 'Leg of lamb, boned and rolled']],
    ['the leg of the lamb', ['Leg of lamb, on the bone', 'Leg of lamb, boned and rolled']],
    ['chicken thighs', ['Chicken legs']],
    ['rib-eye', ['Rib eye roll, boneless', 'Thick steak']],
    ['rib eye', ['Rib eye roll, boneless']],
    ['ribeye', ['Rib eye roll, boneless', 'Thick steak']],
    ['prime rib', ['Rib of beef, on the bone']],
    ['tbone', ['Thick steak']],
    ['t-bone', ['Thick steak']],
    ['pulled pork', ['Shoulder of pork']],
    ['salmon fillet', ['Side of salmon', 'Fish fillet, thick']],
    ['geese', ['Goose, whole']],
    ['mammoth', []],
    ['ackling', []],
    ['pork mammoth', []],
  ])('by “%s” is %j', (typed, names) => {
    expect(find(typed)).toEqual(names);
  });

  // Other countries’ names for the same.
  it.each([
    ['snapper', 'fish-whole'],
    ['barramundi', 'fish-whole'],
    ['halibut', 'fish-flat'],
    ['tri-tip', 'beef-tri-tip'],
    ['tritip', 'beef-tri-tip'],
    ['tenderloin', 'beef-fillet'],
    ['pork butt', 'pork-shoulder'],
    ['drumsticks', 'chicken-legs'],
    ['gigot', 'lamb-leg'],
    ['pumpkin', 'squash'],
  ])('by “%s” is %s among others', (typed, id) => {
    const found = finder(cuts, (one) => [one.name, one.kind ?? '', one.called ?? ''])(typed).map((one) => one.id);
    expect(found).toContain(id);
    expect(found.length).toBeLessThan(6);
  });

  it.each([
    ['spatchcock', 'flat-chicken'],
    ['broil', 'scored-fish'],
    ['bbq', 'kettle-duck'],
    ['rotisserie', 'spit-chicken'],
    ['hangi', 'buried-breast'],
    ['snapper', 'parcel-fish'],
    ['tri-tip', 'kettle-triangle'],
    ['dutch oven', 'camp-rack'],
  ])('is a way of cooking by “%s”: %s', (typed, id) => {
    const nameOf = (kind: string) => cookers.cookers.find((one) => one.id === kind)?.name ?? '';
    const find = finder(ways.beginnings, (one) => [
      one.name,
      one.called,
      one.about,
      ...one.roast.dishes.flatMap((dish) => dish.stages.map((stage) => nameOf(stage.cooker))),
    ]);
    expect(find(typed).map((one) => one.id)).toContain(id);
  });

  it('is a side by its other name', () => {
    expect(find('slaw', sides.sides as readonly Called[])).toContain('Cabbage salad');
    expect(find('salad', sides.sides as readonly Called[]).length).toBeGreaterThan(2);
  });

  it('forgives one slip where nothing goes by the word', () => {
    expect(find('briskit')).toContain('Brisket flat');
    expect(find('chiken whole')).toEqual(['Chicken, whole']);
  });

  it('is all there is where nothing was typed, or nothing that tells', () => {
    for (const typed of ['', '  ', '–', '?!']) expect(find(typed)).toHaveLength(cuts.length);
    // On the way to "old" or "orange".
    expect(find('o').length).toBeGreaterThan(0);
    expect(find('of')).toContain('Leg of lamb, on the bone');
  });

  it.each([...cuts, ...(sides.sides as readonly Called[])].map((one) => [one.name, one] as const))(
    'finds %s by its name, its words in any order, cut short, in the plural and with accents or none',
    (name, one) => {
      const words = name.split(/[\s,]+/);
      for (const typed of [
        name,
        name.toUpperCase(),
        [...words].reverse().join(' '),
        words.map((word) => word.slice(0, 3)).join(' '),
        ...words.filter((word) => word.length > 3 && !word.endsWith('s')).map((word) => `${word}s`),
        name.replaceAll('e', 'é'),
        ` ${name}, `,
      ])
        expect(find(typed, [one]), typed).toEqual([name]);
    },
  );

  it('finds nothing of another kind by a whole name', () => {
    for (const cut of cuts)
      for (const found of find(cut.name)) expect(cuts.find((one) => one.name === found)?.kind, cut.name).toBe(cut.kind);
  });
});
