import { QueryClient } from '@tanstack/react-query';
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { Unreachable } from '../api/client';
import { flush, openOutbox, post } from '../api/outbox';
import { parcelsOf } from '../api/parcels';
import { fetchAhead } from '../api/queries';
import { show } from '../testing';
import { Frame } from './Frame';

const call = vi.hoisted(() => vi.fn());
vi.mock('../api/client', async (original) => ({
  ...(await original<typeof import('../api/client')>()),
  call: (await import('../testing')).overTheWire(call),
}));

const asked = () => call.mock.calls.map((one) => `${one[0]} ${one[1]}`);
const signOut = async () => await userEvent.click(screen.getByRole('button', { name: 'Sign out' }));

describe('signing out', () => {
  beforeEach(() => {
    call.mockReset();
  });

  it('ends what is asked ahead before the session ends', async () => {
    const answers: (() => void)[] = [];
    call.mockImplementation((verb: string, path: string) =>
      verb === 'GET' && path !== '/api/me'
        ? new Promise((done) => answers.push(() => done([])))
        : Promise.resolve({ user: null, demo: true, csrf: 'x' }),
    );
    show(<Frame>Hearth</Frame>);
    const ahead = fetchAhead(new QueryClient(), ['a', 'b']);
    await signOut();
    await waitFor(() => expect(asked()).toContain('POST /api/logout'));
    answers.forEach((answer) => answer());
    await ahead;
    expect(asked().filter((one) => one.startsWith('GET') && one !== 'GET /api/me')).toEqual(['GET /api/handbook']);
  });

  it('asks ahead again for whoever signs in next', async () => {
    call.mockResolvedValue({ user: null, demo: true, csrf: 'x' });
    show(<Frame>Hearth</Frame>);
    await signOut();
    await waitFor(() => expect(asked()).toContain('POST /api/logout'));
    await fetchAhead(new QueryClient(), ['a']);
    expect(asked()).toContain('GET /api/roasts/a');
  });

  it('asks first where something is not sent yet, and leaves it for its own cook', async () => {
    call.mockRejectedValue(new Unreachable(''));
    await openOutbox('ada');
    await post({
      roast: 'r',
      what: 'readings',
      body: { id: 'a', dish: 0, at: '2031-10-04T18:00:00Z', place: 'core', celsius: 57 },
    });
    const asks = vi.spyOn(window, 'confirm').mockReturnValue(false);
    call.mockReset();
    call.mockResolvedValue({ user: null, demo: true, csrf: 'x' });
    show(<Frame>Hearth</Frame>);
    await signOut();
    expect(asks).toHaveBeenCalledWith(expect.stringContaining('One entry was logged here and is not sent yet.'));
    expect(asked()).not.toContain('POST /api/logout');
    asks.mockReturnValue(true);
    await signOut();
    await waitFor(() => expect(asked()).toContain('POST /api/logout'));
    expect(await parcelsOf('ada')).toHaveLength(1);
    // Nobody sends it now.
    await flush();
    expect(asked().filter((one) => one.includes('readings'))).toEqual([]);
    await openOutbox(null);
  });

  it('says so where the kitchen cannot be reached', async () => {
    call.mockImplementation(async (verb: string) => {
      if (verb === 'POST') throw new Unreachable('The kitchen cannot be reached.');
      // Nor is anything else answered: that is not waited for.
      if (call.mock.calls.some((one) => one[0] === 'POST')) return await new Promise(() => undefined);
      return { user: null, demo: true, csrf: 'x' };
    });
    show(<Frame>Hearth</Frame>);
    await signOut();
    expect(await screen.findByRole('alert')).toHaveTextContent('The kitchen cannot be reached. You are signed in still.');
    expect(screen.getByText('Hearth', { selector: '.stands' })).toBeInTheDocument();
  });
});
