import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { call } from '../api/client';
import { keys, stands } from '../api/queries';
import { Failure, refusals } from '../ui/Failure';
import { PasswordField } from '../ui/PasswordField';

/** A new password for who knows the old one; every other device is signed out. */
export function ChangePassword() {
  const cache = useQueryClient();
  const [current, setCurrent] = useState('');
  const [password, setPassword] = useState('');
  const change = useMutation({
    mutationFn: () => call('put', '/api/account/password', { body: { current, password } }),
    onSuccess: async (left) => {
      await stands(cache, keys.account, left);
      setCurrent('');
      setPassword('');
    },
  });
  const errors = refusals(change.error);
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
        <PasswordField label="As it is" errors={errors.current} value={current} onChange={setCurrent} />
        <PasswordField label="As it shall be" isNew errors={errors.password} value={password} onChange={setPassword} />
      </div>
      <button type="submit" className="push mt-3" disabled={change.isPending}>
        Change it
      </button>
      {change.isSuccess && (
        <span role="status" className="label ml-3">
          Changed. Every other device is signed out.
        </span>
      )}
      <Failure error={change.error} />
    </form>
  );
}
