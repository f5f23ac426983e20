import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { call, forgetToken } from '../api/client';
import { forgetKept } from '../api/keep';
import { openOutbox, useOutbox } from '../api/outbox';
import { Failure, refusals } from '../ui/Failure';
import { PasswordField } from '../ui/PasswordField';
import { Sheet } from '../ui/Sheet';
import { entriesWait } from '../ui/entriesWait';

/** The way out: the account and the whole kitchen go. Nothing brings them back but a file that was taken along. */
export function Leave() {
  const cache = useQueryClient();
  const navigate = useNavigate();
  const waiting = useOutbox().kept.length;
  const [open, setOpen] = useState(false);
  const [password, setPassword] = useState('');
  const leave = useMutation({
    mutationFn: () => call('delete', '/api/account', { body: { password } }),
    onSuccess: async () => {
      forgetToken();
      await openOutbox(null);
      cache.clear();
      await forgetKept();
      void navigate('/');
    },
  });
  return (
    <section className="opens">
      <h2 className="text-lg">Close the kitchen for good</h2>
      <p className="mt-1 text-soft">Every roast, log, cooker, mix and thermometer in it is deleted at once. Take it along first.</p>
      <button type="button" className="push mt-2" onClick={() => setOpen(true)}>
        Close it…
      </button>
      <Sheet title="Close the kitchen for good" open={open} onClose={() => setOpen(false)}>
        <form
          noValidate
          className="grid gap-3"
          onSubmit={(event) => {
            event.preventDefault();
            leave.mutate();
          }}
        >
          <p>Everything in it is deleted, here and in every backup once that has run out.</p>
          {waiting > 0 && <p className="font-semibold">{entriesWait(waiting)} They are lost with it.</p>}
          <PasswordField
            label="Your password, to be sure"
            errors={refusals(leave.error).password}
            value={password}
            onChange={setPassword}
          />
          <Failure error={leave.error} />
          <button type="submit" className="push push-ember" disabled={leave.isPending}>
            Delete everything
          </button>
        </form>
      </Sheet>
    </section>
  );
}
