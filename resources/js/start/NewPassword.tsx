import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useLocation } from 'react-router';
import { call } from '../api/client';
import { Failure, refusals } from '../ui/Failure';
import { PasswordField } from '../ui/PasswordField';

/** Where the link of a letter leads: what it brought stands after the mark of the address, which no server sees. */
export function NewPassword() {
  const brought = new URLSearchParams(useLocation().hash.slice(1));
  const [password, setPassword] = useState('');
  const reset = useMutation({
    mutationFn: () =>
      call('post', '/api/reset', { body: { token: brought.get('token') ?? '', email: brought.get('email') ?? '', password } }),
  });
  const errors = refusals(reset.error);
  const lapsed = errors.token?.[0] ?? errors.email?.[0];
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
            <PasswordField label="New password" isNew errors={errors.password} value={password} onChange={setPassword} />
            {lapsed !== undefined && (
              <p role="alert" className="font-semibold text-ember">
                {lapsed}
              </p>
            )}
            <Failure error={reset.error} />
            <button type="submit" className="push push-main" disabled={reset.isPending}>
              Take this one
            </button>
          </div>
        )}
      </form>
    </main>
  );
}
