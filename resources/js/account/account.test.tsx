import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { Refused } from '../api/client';
import { show } from '../testing';
import { Account } from './Account';
import { Forgotten } from '../start/Forgotten';
import { NewPassword } from '../start/NewPassword';

const call = vi.hoisted(() => vi.fn());
vi.mock('../api/client', async (original) => ({
  ...(await original<typeof import('../api/client')>()),
  call: (await import('../testing')).overTheWire(call),
}));

const account = (more: object = {}) => ({
  email: 'ada@weir.example',
  confirmed: false,
  signed_in: [
    { id: 'a'.repeat(24), system: 'Linux', seen_at: '2031-09-20T16:00:00Z', here: true },
    { id: 'b'.repeat(24), system: null, seen_at: '2031-09-19T16:00:00Z', here: false },
  ],
  ...more,
});
const me = { user: { name: 'Ada', temperature_unit: 'c', mass_unit: 'kg', clock_hours: 24 }, demo: true, csrf: 'x' };
/** What each address answers; anything else answers who is signed in. */
const answers = (of: Record<string, unknown>) =>
  call.mockImplementation((method: string, path: string) => {
    const answer = `${method} ${path}` in of ? of[`${method} ${path}`] : path === '/api/account' ? account() : me;
    return answer instanceof Error ? Promise.reject(answer) : Promise.resolve(answer);
  });

beforeEach(() => {
  localStorage.clear();
  call.mockReset();
  answers({});
});

describe('the account', () => {
  it('says where one is signed in, and signs out there or everywhere but here', async () => {
    answers({ [`DELETE /api/account/sessions/${'b'.repeat(24)}`]: account({ signed_in: account().signed_in.slice(0, 1) }) });
    show(<Account />);
    const places = within(await screen.findByLabelText('Where you are signed in'));
    expect(places.getByText('this one, now')).toBeInTheDocument();
    await userEvent.click(places.getByRole('button', { name: 'Sign out there' }));
    await waitFor(() => expect(places.queryByText('A device')).toBeNull());
    answers({ 'DELETE /api/account/sessions': account({ signed_in: account().signed_in.slice(0, 1) }) });
    await userEvent.click(places.getByRole('button', { name: 'Sign out everywhere but here' }));
    expect(call).toHaveBeenCalledWith('DELETE', '/api/account/sessions');
  });

  it('changes the password, with what is wrong at its field and nothing lost', async () => {
    answers({ 'PUT /api/account/password': new Refused('no', { current: ['That is not your password.'] }) });
    show(<Account />);
    await userEvent.type(await screen.findByLabelText('As it is'), 'wrong one');
    await userEvent.type(screen.getByLabelText('As it shall be'), 'straw and ember');
    await userEvent.click(screen.getByRole('button', { name: 'Change it' }));
    await waitFor(() => expect(screen.getByLabelText('As it is')).toHaveAccessibleDescription('That is not your password.'));
    expect(screen.getByLabelText('As it shall be')).toHaveValue('straw and ember');
    answers({ 'PUT /api/account/password': account() });
    await userEvent.click(screen.getByRole('button', { name: 'Change it' }));
    expect(await screen.findByText('Changed. Every other device is signed out.')).toBeInTheDocument();
    expect(screen.getByLabelText('As it is')).toHaveValue('');
  });

  it('closes the kitchen only after the password was given once more', async () => {
    answers({ 'DELETE /api/account': new Refused('no', { password: ['That is not your password.'] }) });
    show(<Account />);
    await userEvent.click(await screen.findByRole('button', { name: 'Close it…' }));
    const field = await screen.findByLabelText('Your password, to be sure');
    await userEvent.type(field, 'ember and straw');
    await userEvent.click(screen.getByRole('button', { name: 'Delete everything' }));
    await waitFor(() => expect(field).toHaveAccessibleDescription('That is not your password.'));
    expect(call).toHaveBeenCalledWith('DELETE', '/api/account', { password: 'ember and straw' });
  });

  it('says so where a kitchen that is brought in cannot be read', async () => {
    answers({ 'POST /api/account/kitchen': new Refused('This is not a kitchen that was taken along from here.', {}) });
    const { container } = show(<Account />);
    await screen.findByText('Take everything along');
    const file = Object.assign(new File(['{}'], 'kitchen.json', { type: 'application/json' }), { text: () => Promise.resolve('{}') });
    await userEvent.upload(container.querySelector('input[type=file]') as HTMLInputElement, file);
    expect(await screen.findByText(/not a kitchen that was taken along from here. Nothing was taken in/)).toBeInTheDocument();
  });

  it('has no password and no way out for a visitor, who can take everything along', async () => {
    answers({ 'GET /api/account': account({ email: null }) });
    show(<Account />);
    expect(await screen.findByText('A visitor’s kitchen')).toBeInTheDocument();
    expect(screen.getByRole('link', { name: 'Take everything along' })).toHaveAttribute('href', '/api/account/kitchen');
    expect(screen.queryByLabelText('As it is')).toBeNull();
    expect(screen.queryByRole('button', { name: 'Close it…' })).toBeNull();
  });
});

describe('a forgotten password', () => {
  it('says the same whether there is such a kitchen or not', async () => {
    show(<Forgotten onBack={() => undefined} />);
    await userEvent.type(screen.getByLabelText('Your e-mail address'), 'ada@weir.example');
    await userEvent.click(screen.getByRole('button', { name: 'Send me a letter' }));
    expect(await screen.findByRole('status')).toHaveTextContent('If there is a kitchen with this address');
    expect(call).toHaveBeenCalledWith('POST', '/api/forgotten', { email: 'ada@weir.example' });
  });

  it('is replaced by what the letter brought, which stands after the mark of the address', async () => {
    answers({ 'POST /api/reset': new Refused('no', { token: ['This link no longer opens the door: ask for a new one.'] }) });
    show(<NewPassword />, undefined, '/new-password#token=abc&email=ada%40weir.example');
    await userEvent.type(screen.getByLabelText('New password'), 'straw and ember');
    await userEvent.click(screen.getByRole('button', { name: 'Take this one' }));
    expect(await screen.findByRole('alert')).toHaveTextContent('no longer opens the door');
    expect(call).toHaveBeenCalledWith('POST', '/api/reset', { token: 'abc', email: 'ada@weir.example', password: 'straw and ember' });
    answers({});
    await userEvent.click(screen.getByRole('button', { name: 'Take this one' }));
    expect(await screen.findByRole('link', { name: 'To the door' })).toHaveAttribute('href', '/');
  });
});
