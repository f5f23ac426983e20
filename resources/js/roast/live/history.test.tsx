import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, fireEvent, render, screen, waitFor } from '@testing-library/react';
import { MemoryRouter } from 'react-router';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { Roast } from '../../api/types';
import { keys, useRoast, useRoastChange } from '../../api/queries';
import { anEvent, aRoast } from '../../testing';
import { tapsAt } from '../../testing-hand';
import { useLogging } from '../useLogging';
import { History } from './History';

const { call } = vi.hoisted(() => ({ call: vi.fn() }));
vi.mock('../../api/client', async (original) => ({ ...(await original<typeof import('../../api/client')>()), call }));

const KINDS = ['lid', 'basted', 'turned'] as const;
let kept: Roast['events'];
const stored = () => aRoast({ id: 'roast', events: kept });
const deleted = () => call.mock.calls.filter(([verb]) => verb === 'delete').map(([, , { at }]) => at.id as string);

beforeEach(() => {
  kept = KINDS.map((kind, i) => anEvent(kind, kind, `2031-10-04T17:0${9 - i}:00Z`, { id: kind }));
  call.mockReset();
  call.mockImplementation(async (verb: string, _path: string, asked?: { at?: { id: string } }) => {
    if (verb === 'delete') kept = kept.filter((one) => one.id !== asked?.at?.id);
    return stored();
  });
});

function within(Part: (props: { roast: Roast }) => React.ReactNode): QueryClient {
  const Stored = () => {
    const roast = useRoast('roast').data;
    return roast === undefined || roast.status === ('broken' as string) ? null : <Part roast={roast as Roast} />;
  };
  const cache = new QueryClient({ defaultOptions: { queries: { retry: false }, mutations: { networkMode: 'always' } } });
  render(
    <QueryClientProvider client={cache}>
      <MemoryRouter>
        <Stored />
      </MemoryRouter>
    </QueryClientProvider>,
  );
  return cache;
}

const crosses = () => screen.getAllByRole('button', { name: /^Undo / });

describe('the log, undone', () => {
  const Lines = ({ roast }: { roast: Roast }) => <History roast={roast} log={useLogging(roast)} />;

  it('loses no second line to a second tap, though the next comes under the same thumb', async () => {
    within(Lines);
    await screen.findAllByRole('button', { name: /^Undo / });
    const first = crosses()[0]?.getAttribute('aria-label') ?? '';
    tapsAt(0);
    fireEvent.click(crosses()[0] as HTMLElement);
    await waitFor(() => expect(screen.queryByRole('button', { name: first })).toBeNull());
    tapsAt(400);
    fireEvent.click(crosses()[0] as HTMLElement);
    tapsAt(1_700);
    await waitFor(() => expect(crosses()[0]).toBeEnabled());
    expect(deleted()).toEqual(['lid']);
    fireEvent.click(crosses()[0] as HTMLElement);
    await waitFor(() => expect(deleted()).toEqual(['lid', 'basted']));
  });
});

describe('changes of one roast', () => {
  it('go one after the other, so that what is shown is what the last of them left', async () => {
    const answers: (() => void)[] = [];
    const notes: string[] = [];
    call.mockImplementation(async (verb: string, _path: string, asked?: { body?: { note: string } }) => {
      if (verb !== 'put') return { ...stored(), note: notes.at(-1) ?? '' };
      notes.push(asked?.body?.note ?? '');
      const then = { ...stored(), note: notes.at(-1) ?? '' };
      await new Promise<void>((done) => answers.push(done));
      return then;
    });
    const Note = ({ words }: { words: string }) => {
      const keep = useRoastChange<string>('roast', (note) =>
        call('put', '/api/roasts/{roast}/debrief', { at: { roast: 'roast' }, body: { note } }),
      );
      return <button onClick={() => keep.mutate(words)}>{words}</button>;
    };
    const cache = within(() => (
      <>
        <Note words="drier wood" />
        <Note words="leave it on" />
      </>
    ));
    fireEvent.click(await screen.findByText('drier wood'));
    fireEvent.click(screen.getByText('leave it on'));
    // Whichever is answered first of those that were asked.
    for (let i = 0; i < 2; i++) {
      await waitFor(() => expect(answers.length).toBeGreaterThan(0));
      await act(async () => answers.pop()?.());
    }
    await waitFor(() => expect(cache.isMutating()).toBe(0));
    expect(notes).toEqual(['drier wood', 'leave it on']);
    expect(cache.getQueryData<Roast>(keys.roast('roast'))?.note).toBe('leave it on');
  });
});
