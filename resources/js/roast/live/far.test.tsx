import { act, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { openOutbox } from '../../api/outbox';
import { aLive, anEvent, aRoast, entry, show } from '../../testing';
import { tapsAt } from '../../testing-hand';
import { text } from '../../words/testing';

const { call } = vi.hoisted(() => ({ call: vi.fn() }));
vi.mock('../../api/client', async (original) => ({ ...(await original<typeof import('../../api/client')>()), call }));

const { Far } = await import('./Far');

beforeEach(async () => {
  call.mockReset();
  call.mockResolvedValue(undefined);
  await openOutbox(`cook ${Math.random()}`);
});

const posts = () => call.mock.calls.filter(([how]) => how === 'post');

describe('figures for across the yard', () => {
  it('shows one core, when it comes off and what is next, and logs that by one press', async () => {
    const roast = aRoast({ id: 'roast', status: 'cooking' }, { status: 'on', on_at: '2031-10-04T17:00:00Z', live: aLive() });
    roast.plan.run_sheet = [entry('d0.pull', 'pull', new Date(Date.now() + 600_000).toISOString())];
    show(<Far roast={roast} />);
    const dish = roast.plan.dishes[0];
    expect(screen.getByText(/°/, { selector: '[aria-label^="core"]' })).toBeInTheDocument();
    expect(screen.getByText(new RegExp(dish?.name ?? ''))).toBeInTheDocument();
    await userEvent.click(screen.getByRole('button', { name: 'Done' }));
    await waitFor(() => expect(posts()).toHaveLength(1));
    expect(call).toHaveBeenCalledWith(
      'post',
      '/api/roasts/{roast}/events',
      expect.objectContaining({ body: expect.objectContaining({ kind: 'pulled', entry: 'd0.pull' }) }),
    );
    expect(screen.getByRole('link', { name: 'Back' })).toHaveAttribute('href', '/roasts/roast/live');
  });

  it('ticks no second line for a second tap, though the next stands where the first one stood', async () => {
    const soon = new Date(Date.now() + 600_000).toISOString();
    const roast = aRoast({ id: 'roast', status: 'cooking' }, { status: 'on', on_at: '2031-10-04T17:00:00Z', live: aLive() });
    let told: (sheet: typeof roast.plan.run_sheet) => void = () => undefined;
    const Told = () => {
      const [run_sheet, setSheet] = useState([entry('d0.pull', 'pull', soon), entry('d0.carve', 'carve', soon)]);
      told = setSheet;
      return <Far roast={{ ...roast, plan: { ...roast.plan, run_sheet } }} />;
    };
    show(<Told />);
    tapsAt(0);
    await userEvent.click(screen.getByRole('button', { name: 'Done' }));
    await waitFor(() => expect(posts()).toHaveLength(1));
    act(() => told([entry('d0.carve', 'carve', soon)]));
    tapsAt(400);
    await userEvent.click(screen.getByRole('button', { name: 'Done' }));
    expect(posts()).toHaveLength(1);
    tapsAt(2_000);
    await userEvent.click(screen.getByRole('button', { name: 'Done' }));
    await waitFor(() => expect(posts()).toHaveLength(2));
  });

  it('has nothing to press for what is not to be eaten', async () => {
    const advice = { act: 'discard', words: text('Not to be eaten'), why: text('Left out for 3 h'), minutes: null } as const;
    const roast = aRoast(
      { id: 'roast', status: 'resting' },
      { status: 'resting', pulled_at: '2031-10-04T15:00:00Z', live: aLive({ advice }) },
    );
    roast.plan.run_sheet = [entry('d0.carve', 'carve', new Date(Date.now() + 600_000).toISOString())];
    show(<Far roast={roast} />);
    expect(screen.getByText('Not to be eaten')).toBeInTheDocument();
    expect(screen.queryByRole('button', { name: /Done|back on/ })).toBeNull();
    await userEvent.keyboard('d');
    expect(posts()).toEqual([]);
  });

  it('offers no knife to what came off too soon, but to put it back', async () => {
    const advice = { act: 'back_on', words: text('Back on the heat'), why: text('It reads 35'), minutes: null } as const;
    const pulled = anEvent('pulled', 'Pulled', '2031-10-04T18:00:00Z', { dish: 0 });
    const roast = aRoast(
      { id: 'roast', status: 'resting', events: [pulled] },
      { status: 'resting', on_at: '2031-10-04T17:00:00Z', pulled_at: pulled.at, live: aLive({ advice }) },
    );
    roast.plan.run_sheet = [entry('d0.carve', 'carve', new Date(Date.now() + 600_000).toISOString())];
    show(<Far roast={roast} />);
    expect(screen.getByText('Back on the heat')).toBeInTheDocument();
    expect(screen.queryByRole('button', { name: 'Done' })).toBeNull();
    await userEvent.click(screen.getByRole('button', { name: 'It is back on' }));
    await waitFor(() => expect(posts()).toHaveLength(1));
    expect(call).toHaveBeenCalledWith(
      'post',
      '/api/roasts/{roast}/events',
      expect.objectContaining({ body: expect.objectContaining({ kind: 'back_on', dish: 0 }) }),
    );
  });
});
