import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { call, Refused } from '../api/client';
import { keys } from '../api/queries';
import { Field } from '../ui/Field';

/** A new password for who knows the old one; every other device is signed out. */
export function ChangePassword() {
  const cache = useQueryClient();
  const [current, setCurrent] = useState('');
  const [password, setPassword] = useState('');
  const change = useMutation({
    mutationFn: () => call('put', '/api/account/password', { body: { current, password } }),
    onSuccess: (left) => {
      cache.setQueryData(keys.account, left);
      setCurrent('');
      setPassword('');
    },
  });
  const errors = change.error instanceof Refused ? change.error.errors : {};
  return (
    <form
      className="opens"
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        change.mutate();
      }}
    >
      <h2 className="text-lg">Password</h2>
      <div className="mt-2 grid gap-3 sm:grid-cols-2">
        <Field label="As it is" errors={errors.current}>
          {(control) => (
            <input
              {...control}
              type="password"
              autoComplete="current-password"
              className="field"
              value={current}
              onChange={(event) => setCurrent(event.target.value)}
            />
          )}
        </Field>
        <Field label="As it shall be" errors={errors.password} hint="Ten to 72 characters">
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
      </div>
      <button type="submit" className="push mt-3" disabled={change.isPending}>
        Change it
      </button>
      {change.isSuccess && (
        <span role="status" className="label ml-3">
          Changed. Every other device is signed out.
        </span>
      )}
      {change.isError && !(change.error instanceof Refused) && (
        <p role="alert" className="font-semibold text-ember">
          {change.error.message}
        </p>
      )}
    </form>
  );
}
