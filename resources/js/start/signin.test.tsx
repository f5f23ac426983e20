import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { Refused } from '../api/client';
import { changeParcels } from '../api/parcels';
import { show } from '../testing';
import { SignIn } from './SignIn';

const call = vi.hoisted(() => vi.fn());
vi.mock('../api/client', async (original) => ({
  ...(await original<typeof import('../api/client')>()),
  call: (await import('../testing')).overTheWire(call),
}));

beforeEach(() => {
  call.mockReset();
  call.mockResolvedValue({ user: null, demo: true, csrf: 'x' });
});

describe('the door', () => {
  it('signs in with what was typed', async () => {
    show(<SignIn demo={false} />);
    await userEvent.type(screen.getByLabelText('E-mail address'), 'ada@weir.example');
    await userEvent.type(screen.getByLabelText('Password'), 'ember and straw');
    await userEvent.click(screen.getByRole('button', { name: 'Sign in' }));
    expect(call).toHaveBeenCalledWith('POST', '/api/login', { email: 'ada@weir.example', password: 'ember and straw', remember: true });
  });

  it('opens a kitchen of one’s own', async () => {
    show(<SignIn demo={false} />);
    expect(screen.queryByLabelText('Name')).toBeNull();
    await userEvent.click(screen.getByRole('button', { name: 'I have no kitchen yet' }));
    await userEvent.type(screen.getByLabelText('Name'), 'Ada');
    await userEvent.type(screen.getByLabelText('E-mail address'), 'ada@weir.example');
    await userEvent.type(screen.getByLabelText('Password'), 'short');
    call.mockRejectedValue(new Refused('no', { password: ['The password needs ten characters or more.'] }));
    await userEvent.click(screen.getByRole('button', { name: 'Open the kitchen' }));
    await waitFor(() =>
      expect(screen.getByLabelText('Password')).toHaveAccessibleDescription('The password needs ten characters or more.'),
    );
    // Nothing that was typed is lost.
    expect(screen.getByLabelText('Name')).toHaveValue('Ada');
    await userEvent.click(screen.getByRole('button', { name: 'I have a kitchen already' }));
    expect(screen.getByLabelText('Password')).not.toBeInvalid();
  });

  it('says that something waits here for its own cook', async () => {
    await changeParcels('ada', () => [
      { roast: 'r', what: 'readings', body: { id: 'a', dish: 0, at: '2031-10-04T18:00:00Z', place: 'core', celsius: 57 } },
    ]);
    show(<SignIn demo={false} />);
    expect(await screen.findByRole('status')).toHaveTextContent(
      'One entry was logged here and is not sent yet. Sign in as the cook who logged it.',
    );
  });

  it('leads into the demo where there is one', async () => {
    show(<SignIn demo />);
    await userEvent.click(screen.getByRole('button', { name: 'Step into the demo kitchen' }));
    expect(call).toHaveBeenCalledWith('POST', '/api/demo');
  });

  it('has no demo where there is none, and says when nobody answers', async () => {
    call.mockRejectedValue(new Error('The kitchen cannot be reached.'));
    show(<SignIn demo={false} />);
    expect(screen.queryByRole('button', { name: /demo/ })).toBeNull();
    await userEvent.click(screen.getByRole('button', { name: 'Sign in' }));
    expect(await screen.findByRole('alert')).toHaveTextContent('The kitchen cannot be reached.');
    expect(screen.getByRole('button', { name: 'Sign in' })).toBeEnabled();
  });
});
