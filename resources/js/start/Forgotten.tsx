import { useState } from 'react';
import { useMutation } from '@tanstack/react-query';
import { call } from '../api/client';
import { Failure, refusals } from '../ui/Failure';
import { Field } from '../ui/Field';

/** Asks for a letter with which a new password is chosen. What is said does not tell whether there is such a kitchen. */
export function Forgotten({ onBack }: { onBack: () => void }) {
  const [email, setEmail] = useState('');
  const ask = useMutation({ mutationFn: () => call('post', '/api/forgotten', { body: { email } }) });
  return (
    <form
      className="opens"
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        ask.mutate();
      }}
    >
      <h2 className="text-xl">A new password</h2>
      {ask.isSuccess ? (
        <p role="status" className="mt-2">
          If there is a kitchen with this address, a letter is on its way to it. Its link opens the door for an hour.
        </p>
      ) : (
        <div className="mt-3 grid gap-3">
          <Field label="Your e-mail address" errors={refusals(ask.error).email}>
            {(control) => (
              <input
                {...control}
                type="email"
                autoComplete="email"
                className="field"
                value={email}
                onChange={(event) => setEmail(event.target.value)}
              />
            )}
          </Field>
          <Failure error={ask.error} />
          <button type="submit" className="push push-main" disabled={ask.isPending}>
            Send me a letter
          </button>
        </div>
      )}
      <button type="button" className="text-push" onClick={onBack}>
        Back to the door
      </button>
    </form>
  );
}
