import { describe, expect, it } from 'vitest';
import type { Kept } from '../api/outbox';
import { aLive, aRoast, entry } from '../testing';
import { text } from '../words/testing';
import { toDo } from './acts';
import { withKept } from './withKept';

const AT = '2031-10-04T17:20:00.000Z';
const event = (body: Partial<Extract<Kept, { what: 'events' }>['body']>, over: Partial<Kept> = {}): Kept =>
  ({ roast: 'roast', what: 'events', body: { id: 'k1', at: AT, kind: 'tick', dish: 0, ...body }, ...over }) as Kept;

function roast() {
  const told = aRoast({ id: 'roast', status: 'cooking' });
  const lines = [entry('d0.on', 'on', AT), entry('d0.pull', 'pull', AT), entry('d0.carve', 'carve', AT)];
  return { ...told, plan: { ...told.plan, run_sheet: lines } };
}

describe('a roast with what was logged here', () => {
  it('is itself where nothing waits, or what waits is another’s, or was refused', () => {
    const told = roast();
    expect(withKept(told, [])).toBe(told);
    expect(withKept(told, [event({}, { roast: 'other' })])).toBe(told);
    expect(withKept(told, [event({ entry: 'd0.on' }, { refused: { message: 'No.', errors: {} } })])).toBe(told);
  });

  it('has what was ticked ticked, and next is what comes after it', () => {
    const now = withKept(roast(), [event({ kind: 'on', entry: 'd0.on' })]);
    expect(toDo(now.plan).map((line) => line.id)).toEqual(['d0.pull', 'd0.carve']);
    expect(now.plan.dishes[0]).toMatchObject({ status: 'on', on_at: AT });
  });

  it('is off and carved when that was logged, in whatever order it is kept', () => {
    const pulled = event({ id: 'k2', kind: 'pulled', entry: 'd0.pull' });
    const carved = event({ id: 'k3', kind: 'carved', entry: 'd0.carve' });
    for (const kept of [
      [pulled, carved],
      [carved, pulled],
    ]) {
      const now = withKept(roast(), kept);
      expect(now.plan.dishes[0]).toMatchObject({ status: 'carved', pulled_at: AT, carved_at: AT });
      expect(now.events.map((one) => one.kind).sort()).toEqual(['carved', 'pulled']);
    }
  });

  it('is on again, with its pull to come and nothing more advised, when it went back; and off when it came off once more', () => {
    const off = withKept(roast(), [event({ id: 'k1', kind: 'on', entry: 'd0.on' }), event({ id: 'k2', kind: 'pulled', entry: 'd0.pull' })]);
    const advised = aLive({ advice: { act: 'back_on', words: text('Back on the heat'), why: text('It reads 35'), minutes: null } });
    const told = { ...off, plan: { ...off.plan, dishes: off.plan.dishes.map((dish) => ({ ...dish, live: advised })) } };
    const back = event({ id: 'k3', kind: 'back_on' });
    const on = withKept(told, [back]);
    expect(on.plan.dishes[0]).toMatchObject({ status: 'on', pulled_at: null, live: { advice: null } });
    expect(toDo(on.plan)[0]?.id).toBe('d0.pull');
    const again = withKept(told, [back, event({ id: 'k4', kind: 'pulled', entry: 'd0.pull' })]);
    expect(again.plan.dishes[0]).toMatchObject({ status: 'resting' });
    expect(again.plan.run_sheet.find((entry) => entry.id === 'd0.pull')?.done).toBe(true);
  });

  it('has a reading in the log that says it waits, once, though the server has it by now', () => {
    const reading: Kept = { roast: 'roast', what: 'readings', body: { id: 'r9', dish: 0, at: AT, place: 'core', celsius: 41 } };
    const [line] = withKept(roast(), [reading]).readings;
    expect(line).toMatchObject({ id: 'r9', celsius: 41, counts: false, verdict: { id: 'verdict.kept_here' } });
    const there = withKept(roast(), [reading]);
    expect(withKept(there, [reading]).readings).toHaveLength(1);
  });

  describe('with a reading that was typed here', () => {
    const read = (celsius: number, place: string, at = AT, id = `${place} ${celsius}`): Kept => ({
      roast: 'roast',
      what: 'readings',
      body: { id, dish: 0, at, place, celsius },
    });
    const told = () => {
      const one = roast();
      const live = aLive({
        read: { id: 'r1', celsius: 42, at: '2031-10-04T17:15:00.000Z' },
        core_now_c: { low: 41, likely: 42, high: 43 },
      });
      const readings = withKept(one, [read(42, 'thigh', '2031-10-04T17:15:00.000Z', 'r1')]).readings;
      return {
        ...one,
        readings,
        plan: { ...one.plan, dishes: one.plan.dishes.map((dish) => ({ ...dish, status: 'on' as const, on_at: AT, live })) },
      };
    };
    const liveOf = (kept: Kept[]) => withKept(told(), kept).plan.dishes[0]?.live;

    it('shows the core as it was typed, and when', () => {
      expect(liveOf([read(52, 'thigh')])).toMatchObject({ read: { celsius: 52, at: AT }, core_now_c: { likely: 52 } });
    });

    it('does not let a warmer place hide a colder one', () => {
      expect(liveOf([read(58, 'breast')])).toMatchObject({ read: { celsius: 42 } });
      expect(liveOf([read(58, 'breast'), read(47, 'thigh')])).toMatchObject({ read: { celsius: 47 } });
      expect(liveOf([read(36, 'breast')])).toMatchObject({ read: { celsius: 36 } });
    });

    it('takes a piece for read where it is coldest, and no other', () => {
      expect(liveOf([read(58, 'breast')])?.probe_map.unread).toEqual([1]);
      expect(liveOf([read(58, 'thigh')])?.probe_map.unread).toEqual([]);
    });

    it('takes no cooker for a core', () => {
      expect(liveOf([read(180, 'cooker')])).toMatchObject({ read: { celsius: 42 } });
    });
  });

  it('has no line left that asks for a reading once it is off', () => {
    const one = roast();
    const lines = [entry('d0.read.0', 'read', AT, { parts: ['0'] }), entry('d0.carve', 'carve', AT)];
    const now = withKept({ ...one, plan: { ...one.plan, run_sheet: lines } }, [event({ kind: 'pulled' })]);
    expect(toDo(now.plan).map((line) => line.id)).toEqual(['d0.carve']);
  });

  it('never changes what was told, and ticking the same twice is ticking it once', () => {
    const told = roast();
    const before = JSON.stringify(told);
    const kept = [event({ kind: 'on', entry: 'd0.on' })];
    expect(withKept(withKept(told, kept), kept)).toEqual(withKept(told, kept));
    expect(JSON.stringify(told)).toBe(before);
  });
});
