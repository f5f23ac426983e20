import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useLocation } from 'react-router';
import { call, Refused } from '../api/client';
import { Field } from '../ui/Field';

/** Where the link of a letter leads: what it brought stands after the mark of the address, which no server sees. */
export function NewPassword() {
  const brought = new URLSearchParams(useLocation().hash.slice(1));
  const [password, setPassword] = useState('');
  const reset = useMutation({
    mutationFn: () =>
      call('post', '/api/reset', { body: { token: brought.get('token') ?? '', email: brought.get('email') ?? '', password } }),
  });
  const errors = reset.error instanceof Refused ? reset.error.errors : {};
  const trouble = errors.token?.[0] ?? errors.email?.[0] ?? (reset.error instanceof Refused ? '' : (reset.error?.message ?? ''));
  return (
    <main className="mx-auto grid min-h-dvh max-w-md content-center px-5 py-8">
      <p className="wide text-lg">Diatherm</p>
      <form
        className="opens mt-4"
        noValidate
        onSubmit={(event) => {
          event.preventDefault();
          reset.mutate();
        }}
      >
        <h1 className="text-2xl">A new password</h1>
        {reset.isSuccess ? (
          <>
            <p role="status" className="mt-2">
              It is changed, and every device is signed out.
            </p>
            <Link to="/" className="push push-main mt-3 w-full">
              To the door
            </Link>
          </>
        ) : (
          <div className="mt-3 grid gap-3">
            <Field label="New password" errors={errors.password} hint="Ten to 72 characters">
              {(control) => (
                <input
                  {...control}
                  type="password"
                  autoComplete="new-password"
                  className="field"
                  value={password}
                  onChange={(event) => setPassword(event.target.value)}
                />
              )}
            </Field>
            {trouble !== '' && (
              <p role="alert" className="font-semibold text-ember">
                {trouble}
              </p>
            )}
            <button type="submit" className="push push-main" disabled={reset.isPending}>
              Take this one
            </button>
          </div>
        )}
      </form>
    </main>
  );
}
