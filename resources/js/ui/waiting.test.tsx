import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { Failed, Refused, Unreachable } from '../api/client';
import { discard, openOutbox, post } from '../api/outbox';
import { show } from '../testing';
import { Waiting } from './Waiting';

const call = vi.hoisted(() => vi.fn());
vi.mock('../api/client', async (original) => ({
  ...(await original<typeof import('../api/client')>()),
  call: (await import('../testing')).overTheWire(call),
}));

const reading = (id: string, celsius = 57) => ({
  roast: 'r',
  what: 'readings' as const,
  body: { id, dish: 0, at: '2031-10-04T18:00:00Z', place: 'core', celsius },
});
const yes = { id: 'r', status: 'cooking' };

describe('what waits to be sent', () => {
  beforeEach(async () => {
    await openOutbox(null);
    localStorage.clear();
    call.mockReset();
    await openOutbox('ada');
  });

  it('says nothing while nothing waits', () => {
    show(<Waiting />);
    expect(screen.queryByRole('status')).toBeNull();
  });

  it.each([
    [new Unreachable(''), 'when the kitchen is reached'],
    [new Failed(401, ''), 'when you have signed in again'],
    [new Failed(503, ''), 'when the kitchen can take them'],
  ])('says how much waits and for what (%#)', async (failure, words) => {
    call.mockRejectedValue(failure);
    await post(reading('a'));
    await post(reading('b'));
    show(<Waiting />);
    expect(screen.getByRole('status')).toHaveTextContent(`2 kept here, to be sent ${words}.`);
  });

  it('says so where the device has no room to keep it', async () => {
    vi.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(() => {
      throw new DOMException('full', 'QuotaExceededError');
    });
    call.mockRejectedValue(new Unreachable(''));
    await post(reading('a'));
    show(<Waiting />);
    expect(screen.getByRole('status')).toHaveTextContent('This device has no room left to keep it. Leave this page open until it is sent');
    vi.restoreAllMocks();
    await discard('a');
  });

  it('sends at a press', async () => {
    call.mockRejectedValueOnce(new Unreachable(''));
    await post(reading('a'));
    call.mockResolvedValue(yes);
    show(<Waiting />);
    await userEvent.click(screen.getByRole('button', { name: 'Try now' }));
    await vi.waitFor(() => expect(screen.queryByRole('status')).toBeNull());
  });

  it('shows what was refused, to be mended or thrown away', async () => {
    call.mockRejectedValueOnce(new Refused('A probe reads from −30 °C to 400 °C.', { celsius: ['A probe reads from −30 °C to 400 °C.'] }));
    await post(reading('a', 570)).catch(() => undefined);
    call.mockRejectedValueOnce(new Refused('no', {}));
    await post(reading('b')).catch(() => undefined);
    show(<Waiting />);
    expect(screen.getByRole('status')).toHaveTextContent('2 not taken as it was logged.');
    await userEvent.click(screen.getByRole('button', { name: 'Look at them' }));
    expect(screen.getAllByRole('alert')[0]).toHaveTextContent('A probe reads from −30 °C to 400 °C.');
    const [field] = screen.getAllByLabelText('It read');
    if (field === undefined) throw new Error('There is no field.');
    await userEvent.clear(field);
    await userEvent.type(field, '57');
    call.mockResolvedValue(yes);
    await userEvent.click(screen.getAllByRole('button', { name: 'Send it again' })[0] ?? document.body);
    await vi.waitFor(() => expect(screen.getAllByLabelText('It read')).toHaveLength(1));
    await vi.waitFor(() => expect(call.mock.calls.at(-1)?.[2]).toMatchObject({ id: 'a', celsius: 57 }));
    await vi.waitFor(() => expect(screen.getAllByRole('button', { name: 'Throw it away' })).toHaveLength(1));
    await userEvent.click(screen.getByRole('button', { name: 'Throw it away' }));
    await vi.waitFor(() => expect(screen.queryByRole('status')).toBeNull());
  });
});
