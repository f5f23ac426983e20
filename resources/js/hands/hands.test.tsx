import { focusManager } from '@tanstack/react-query';
import { act, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { Failed } from '../api/client';
import type { Entry, Hands } from '../api/types';
import { aRoast, entry, show } from '../testing';
import { tapsAt } from '../testing-hand';
import { HandsLink } from '../roast/HandsLink';
import { SecondHands } from './SecondHands';

const calls: { method: string; path: string; asked: { at?: Record<string, string>; body?: Record<string, unknown> } }[] = [];
let answer: (method: string, path: string) => unknown;
vi.mock('../api/client', async (original) => ({
  ...(await original<typeof import('../api/client')>()),
  call: (method: string, path: string, asked: object = {}) => {
    calls.push({ method, path, asked });
    const said = answer(method, path);
    return said instanceof Error ? Promise.reject(said) : Promise.resolve(said);
  },
}));

const text = (words: string) => ({ id: 'words.text', values: { text: words } });
const hands = (sheet: Entry[]): Hands => ({
  name: 'Supper at the weir',
  status: 'cooking',
  now: '2031-10-04T15:00:00Z',
  serve_at: '2031-10-04T18:45:00Z',
  time_zone: 'UTC',
  units: { temperature_unit: 'c', mass_unit: 'kg', clock_hours: 24 },
  run_sheet: sheet,
});
const line = (id: string, words: string, done = false) => entry(id, 'chore', '2031-10-04T16:00:00Z', { title: text(words), done });

const open = () => show(<SecondHands />);

beforeEach(() => {
  calls.length = 0;
  localStorage.clear();
});

describe('a second pair of hands', () => {
  it('sees the tasks and ticks one, and can undo what it ticked and nothing else', async () => {
    answer = (method) => hands([line('d0.chore.0.0.0', 'Baste', method === 'post'), line('d0.chore.0.1.0', 'Turn', true)]);
    open();
    tapsAt(0);
    await userEvent.click(await screen.findByRole('button', { name: 'Baste: done' }));
    const ticked = calls.find((one) => one.method === 'post');
    expect(ticked?.asked).toMatchObject({ body: { entry: 'd0.chore.0.0.0' } });
    // What the cook ticked is the cook's.
    expect(screen.getByRole('button', { name: 'Turn: done, undo' })).toBeDisabled();
    // A second tap of the same thumb is none.
    tapsAt(400);
    await userEvent.click(await screen.findByRole('button', { name: 'Baste: done, undo' }));
    expect(calls.filter((one) => one.method === 'delete')).toHaveLength(0);
    tapsAt(2_000);
    await userEvent.click(screen.getByRole('button', { name: 'Baste: done, undo' }));
    await waitFor(() => expect(calls.at(-1)).toMatchObject({ method: 'delete', asked: { at: { id: ticked?.asked.body?.id } } }));
  });

  it('keeps a tick though what was asked before it is answered after it', async () => {
    let late: (old: Hands) => void = () => undefined;
    answer = (method) => hands([line('d0.pull', 'Pull it', method === 'post')]);
    open();
    await screen.findByRole('button', { name: 'Pull it: done' });
    answer = (method) => (method === 'get' ? new Promise((done) => (late = done)) : hands([line('d0.pull', 'Pull it', true)]));
    // As a phone asks that is looked at again.
    act(() => focusManager.setFocused(false));
    act(() => focusManager.setFocused(true));
    await waitFor(() => expect(calls.filter((one) => one.method === 'get')).toHaveLength(2));
    await userEvent.click(screen.getByRole('button', { name: 'Pull it: done' }));
    await screen.findByRole('button', { name: 'Pull it: done, undo' });
    await act(async () => {
      late(hands([line('d0.pull', 'Pull it')]));
      // The cache tells of it in the next turn.
      await new Promise((done) => setTimeout(done));
    });
    expect(screen.getByRole('button', { name: 'Pull it: done, undo' })).toBeInTheDocument();
    act(() => focusManager.setFocused(undefined));
  });

  it('is told that its link is closed', async () => {
    answer = () => new Failed(404, 'Not there.');
    open();
    expect(await screen.findByText(/This link is closed/)).toBeInTheDocument();
  });

  it('keeps what it saw when the kitchen cannot be reached, and says a refusal', async () => {
    answer = (method) => (method === 'get' ? hands([line('d0.pull', 'Pull it')]) : new Error('It is not on the heat yet.'));
    open();
    await userEvent.click(await screen.findByRole('button', { name: 'Pull it: done' }));
    expect(await screen.findByRole('alert')).toHaveTextContent('not on the heat yet');
    expect(screen.getByText('Pull it')).toBeInTheDocument();
  });
});

describe('the link for it', () => {
  it('is made, shown once, and closed', async () => {
    answer = (method) => (method === 'post' ? { path: '/hands/xyz' } : undefined);
    const view = show(<HandsLink roast={aRoast()} />);
    expect(screen.queryByRole('button', { name: 'Close the link' })).toBeNull();
    await userEvent.click(screen.getByRole('button', { name: 'Make a link' }));
    expect(await screen.findByLabelText('The link to give away')).toHaveValue(`${location.origin}/hands/xyz`);
    view.unmount();
    show(<HandsLink roast={aRoast({ helped: true })} />);
    await userEvent.click(screen.getByRole('button', { name: 'Close the link' }));
    expect(calls.at(-1)).toMatchObject({ method: 'delete', path: '/api/roasts/{roast}/hands' });
  });
});
