import { describe, expect, it } from 'vitest';
import { chancesOf } from '../testing-chance';
import { Outdated } from './client';
import { Clashing, keepChanged } from './editions';
import { merge, patchOf, same, withValue, type Json } from './merge';

type Members = Record<string, Json>;

/** RFC 7396, 2: how a patch is applied. */
function applied(target: Json | undefined, patch: Json): Json {
  if (typeof patch !== 'object' || patch === null || Array.isArray(patch)) return patch;
  const so = new Map(Object.entries(typeof target === 'object' && target !== null && !Array.isArray(target) ? target : {}));
  for (const [name, value] of Object.entries(patch as Members)) {
    if (value === null) so.delete(name);
    else so.set(name, applied(so.get(name), value));
  }
  return Object.fromEntries(so) as Members;
}

const FIELDS = ['people', 'air_c', 'name', 'dishes', 'rig'];

function anyState(chance: () => number, depth = 3): Members {
  const value = (left: number): Json => {
    const kind = Math.floor(chance() * (left > 0 ? 5 : 3));
    if (kind === 0) return Math.floor(chance() * 3);
    if (kind === 1) return chance() < 0.5;
    if (kind === 2) return ['a', 'b', ''][Math.floor(chance() * 3)] ?? '';
    if (kind === 3) return Array.from({ length: Math.floor(chance() * 3) }, () => value(left - 1));
    return anyState(chance, left - 1);
  };
  return Object.fromEntries(FIELDS.filter(() => chance() < 0.6).map((name) => [name, value(depth - 1)]));
}

const ROUNDS = 500;
const rounds = Array.from({ length: ROUNDS }, (_, round) => chancesOf(round));

describe('what two devices made of one state', () => {
  const supper: Json = { people: 6, air_c: 12, dishes: [{ name: 'Duck', mass_kg: 2.2 }, { name: 'Roots' }] };

  it('is both changes, where they changed different places', () => {
    const here = { ...supper, dishes: [{ name: 'Brace of ducks', mass_kg: 2.2 }, { name: 'Roots' }] };
    const there = {
      ...supper,
      people: 8,
      dishes: [
        { name: 'Duck', mass_kg: 2.4 },
        { name: 'Roots', course: 2 },
      ],
    };
    expect(merge(supper, here, there)).toEqual({
      state: {
        people: 8,
        air_c: 12,
        dishes: [
          { name: 'Brace of ducks', mass_kg: 2.4 },
          { name: 'Roots', course: 2 },
        ],
      },
      clashes: [],
    });
  });

  it('asks where both changed one place, and only there', () => {
    const { state, clashes } = merge(supper, { ...supper, people: 7, air_c: 9 }, { ...supper, people: 8 });
    expect(clashes).toEqual([{ path: ['people'], here: 7, there: 8 }]);
    expect(state).toMatchObject({ people: 7, air_c: 9 });
    expect(withValue(state, ['people'], 8)).toMatchObject({ people: 8, air_c: 9 });
  });

  it('takes a list that became longer or shorter for one place', () => {
    const one = { dishes: [{ name: 'Duck' }] };
    const more = { dishes: [{ name: 'Duck' }, { name: 'Roots' }] };
    expect(merge(one, more, one)).toEqual({ state: more, clashes: [] });
    expect(merge(one, more, { dishes: [{ name: 'Goose' }] }).clashes.map((clash) => clash.path)).toEqual([['dishes']]);
  });

  it('holds what a device took out against what the other changed in it', () => {
    expect(merge({ rig: { kind: 'spit' }, people: 4 }, { people: 4 }, { rig: { kind: 'grate' }, people: 4 }).clashes).toEqual([
      { path: ['rig'], here: undefined, there: { kind: 'grate' } },
    ]);
    expect(withValue({ people: 4 }, ['rig'], { kind: 'grate' })).toEqual({ people: 4, rig: { kind: 'grate' } });
  });

  it('loses nothing, whichever way round it is put together', () => {
    for (const chance of rounds) {
      const [base, here, there] = [anyState(chance), anyState(chance), anyState(chance)];
      expect(merge(base, here, base)).toEqual({ state: here, clashes: [] });
      expect(same(merge(base, base, there).state, there)).toBe(true);
      expect(merge(base, here, here).clashes).toEqual([]);
      const [one, other] = [merge(base, here, there), merge(base, there, here)];
      expect(one.clashes.map((clash) => clash.path.join('.')).sort()).toEqual(other.clashes.map((clash) => clash.path.join('.')).sort());
      // Answered with what stands there, each clash is as the other device has it when it puts the two together.
      const answered = one.clashes.reduce<Json | undefined>((so, clash) => withValue(so, clash.path, clash.there), one.state);
      expect(same(answered, other.state)).toBe(true);
    }
  });
});

describe('a change as what changes and nothing else', () => {
  it('turns what was into what is wanted (RFC 7396)', () => {
    for (const chance of rounds) {
      const [from, to] = [anyState(chance), anyState(chance)];
      expect(applied(from, patchOf(from, to))).toEqual(to);
    }
  });

  it('is small where little changes', () => {
    expect(patchOf({ people: 6, air_c: 12, rain: true }, { people: 6, air_c: 9 })).toEqual({ air_c: 9, rain: null });
  });
});

/** A kitchen that keeps what it is told, and refuses what was made from something else. */
class Kitchen {
  edition = 1;
  constructor(public kept: Members) {}
  keep = (wanted: Members, named: string): Promise<Members> => {
    if (named !== String(this.edition)) return Promise.reject(new Outdated('changed meanwhile', String(this.edition), this.kept));
    this.edition++;
    return Promise.resolve((this.kept = wanted));
  };
}

describe('keeping a change', () => {
  it('keeps both where another device changed something else', async () => {
    const kitchen = new Kitchen({ people: 6, air_c: 12 });
    const from = { state: kitchen.kept, edition: '1' };
    await kitchen.keep({ people: 8, air_c: 12 }, '1');
    await keepChanged(from, { people: 6, air_c: 9 }, (wanted, { edition }) => kitchen.keep(wanted, edition));
    expect(kitchen.kept).toEqual({ people: 8, air_c: 9 });
  });

  it('changes nothing and asks where it changed the same, and keeps the answer', async () => {
    const kitchen = new Kitchen({ people: 6, air_c: 12 });
    const from = { state: kitchen.kept, edition: '1' };
    await kitchen.keep({ people: 8, air_c: 12 }, '1');
    const send = (wanted: Members, { edition }: { edition: string }) => kitchen.keep(wanted, edition);
    const asked = (await keepChanged(from, { people: 7, air_c: 9 }, send).catch((error: unknown) => error)) as Clashing<Members>;
    expect(kitchen.kept).toEqual({ people: 8, air_c: 12 });
    expect(asked).toBeInstanceOf(Clashing);
    expect(asked.clashes).toEqual([{ path: ['people'], here: 7, there: 8 }]);
    await keepChanged(asked.stands, asked.merged, send);
    expect(kitchen.kept).toEqual({ people: 7, air_c: 9 });
  });

  it('leaves no change of any device behind, over random evenings of three', async () => {
    for (const chance of rounds.slice(0, 100)) {
      const kitchen = new Kitchen(Object.fromEntries(['a', 'b', 'c'].map((name) => [name, 0])));
      const devices = ['a', 'b', 'c'].map((name) => ({ name, seen: { state: kitchen.kept, edition: '1' }, wrote: 0 }));
      for (let step = 1; step <= 20; step++) {
        const device = devices[Math.floor(chance() * devices.length)];
        if (device === undefined) continue;
        if (chance() < 0.3) device.seen = { state: kitchen.kept, edition: String(kitchen.edition) };
        // Each writes to its own place, from whatever it saw last.
        const wanted = { ...device.seen.state, [device.name]: step };
        await keepChanged(device.seen, wanted, (now, { edition }) => kitchen.keep(now, edition));
        device.wrote = step;
        device.seen = { state: kitchen.kept, edition: String(kitchen.edition) };
      }
      expect(kitchen.kept).toEqual(Object.fromEntries(devices.map(({ name, wrote }) => [name, wrote])));
    }
  });
});
