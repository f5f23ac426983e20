import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it, vi } from 'vitest';
import type { FollowedDish } from '../api/types';
import { aLive, aRoast, aSpot, entry, show } from '../testing';
import { at } from '../units/time';
import { EndUnread } from './EndUnread';

const NOW = at('2031-10-04T18:00:00Z');

function shown(live: Partial<NonNullable<FollowedDish['live']>>, stage = 0, stages = 1) {
  const mutate = vi.fn();
  const roast = aRoast({}, { status: 'on', live: aLive({ pull_c: 74, end_c: 74, ...live }) });
  const dish = roast.plan.dishes[0];
  const step = dish?.stages[0];
  if (dish === undefined || step === undefined) throw new Error('A roast has a dish with a step.');
  dish.stages = Array.from({ length: stages }, () => step);
  const line = entry(`d0.read.${stage}`, 'read', '2031-10-04T17:58:00Z', { parts: [String(stage)] });
  show(<EndUnread roast={roast} entry={line} now={NOW} log={{ act: { mutate, isPending: false } as never }} />);
  return mutate;
}

const press = (name: string | RegExp) => userEvent.click(screen.getByRole('button', { name }));

describe('the end of a step that was not read at its number', () => {
  it.each([
    ['never read', { read: null }, /was not read; it should have 74°/],
    ['read short', { read: { id: 'a', celsius: 61.5, at: '2031-10-04T17:59:00Z' } }, /read 61\.5°; it should have 74°/],
    ['read long ago', { read: { id: 'a', celsius: 75, at: '2031-10-04T17:20:00Z' } }, /was read 40 min ago/],
  ])('asks one question where it was %s, says the way back, and logs it then', async (_case, live, question) => {
    const mutate = shown(live);
    await press('It is off already');
    expect(mutate).not.toHaveBeenCalled();
    expect(screen.getByRole('alert')).toHaveTextContent(question);
    expect(screen.getByRole('alert')).toHaveTextContent('It is back on');
    await press('Yes, it is off');
    expect(mutate).toHaveBeenCalledExactlyOnceWith({ kind: 'pulled', dish: 0 });
  });

  it('logs nothing where the answer is no', async () => {
    const mutate = shown({ read: null });
    await press('It is off already');
    await press('Not yet');
    expect(mutate).not.toHaveBeenCalled();
    expect(screen.queryByRole('alert')).toBeNull();
  });

  it.each([
    ['a warm place alone was read', [1], [], /not read where it is coldest: thigh/],
    ['one piece was not read', [2], [aSpot('thigh', 75), aSpot('thigh', null, { piece: 2 })], /No\. 2 of .* was not read/],
    ['two pieces were not read', [2, 3], [aSpot('thigh', 75)], /No\. 2, No\. 3 of .* were not read/],
  ])('asks where %s', async (_case, unread, pieces, question) => {
    const read = { id: 'a', celsius: 75, at: '2031-10-04T17:59:00Z' };
    const mutate = shown({ read, probe_map: { ...aLive({}).probe_map, unread, pieces } });
    await press('It is off already');
    expect(screen.getByRole('alert')).toHaveTextContent(question);
    expect(mutate).not.toHaveBeenCalled();
  });

  it('asks nothing where it was read at its number just now', async () => {
    const read = { id: 'a', celsius: 74.2, at: '2031-10-04T17:59:00Z' };
    const mutate = shown({ read, probe_map: { ...aLive({}).probe_map, unread: [] } });
    await press('It is off already');
    expect(mutate).toHaveBeenCalledExactlyOnceWith({ kind: 'pulled', dish: 0 });
  });

  it('goes on to the next step where there is one', async () => {
    const mutate = shown({ read: null, end_c: 49 }, 0, 2);
    await press('On to the next step already');
    expect(screen.getByRole('alert')).toHaveTextContent('it should have 49°');
    await press('Yes, it is on the next step');
    expect(mutate).toHaveBeenCalledExactlyOnceWith({ kind: 'stage', dish: 0, stage: 1 });
  });
});
