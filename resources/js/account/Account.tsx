import { useMutation, useQueryClient } from '@tanstack/react-query';
import { call } from '../api/client';
import { keys, useAccount, stands } from '../api/queries';
import type { Account as Shown } from '../api/types';
import { Failure } from '../ui/Failure';
import { FileButton } from '../ui/FileButton';
import { Frame } from '../ui/Frame';
import { Loading, Trouble } from '../ui/States';
import { useNow } from '../ui/useNow';
import { at, day } from '../units/time';
import { useClock } from '../units/units';
import { ChangePassword } from './ChangePassword';
import { Leave } from './Leave';

/** The cook’s own account: address, password, where they are signed in, everything to take along, and the way out. */
export function Account() {
  const account = useAccount();
  return (
    <Frame>
      <h1 className="text-2xl">Your account</h1>
      {account.isPending && <Loading what="your account" />}
      {account.isError && account.data === undefined && <Trouble error={account.error} retry={() => void account.refetch()} />}
      {account.data !== undefined && (
        <div className="mt-3 grid grid-cols-1 gap-x-9 gap-y-8 lg:grid-cols-2">
          <div className="grid content-start gap-8">
            {account.data.email === null ? <Visitor /> : <Address account={account.data} email={account.data.email} />}
            {account.data.email !== null && <ChangePassword />}
            <Places account={account.data} />
          </div>
          <div className="grid content-start gap-8">
            <Along />
            {account.data.email !== null && <Leave />}
          </div>
        </div>
      )}
    </Frame>
  );
}

function Visitor() {
  return (
    <section className="opens">
      <h2 className="text-lg">A visitor’s kitchen</h2>
      <p className="mt-1 text-soft">It has no address and no password, and is swept up after two days. Take along what you want to keep.</p>
    </section>
  );
}

function Address({ account, email }: { account: Shown; email: string }) {
  const ask = useMutation({ mutationFn: () => call('post', '/api/account/confirmation') });
  return (
    <section className="opens">
      <h2 className="text-lg">Address</h2>
      <p className="mt-1 font-semibold">{email}</p>
      {account.confirmed ? (
        <p className="text-herb">Confirmed: a forgotten password can be replaced by a letter to it.</p>
      ) : ask.isSuccess ? (
        <p role="status">A letter is on its way. Open its link within three days.</p>
      ) : (
        <div className="mt-1 flex flex-wrap items-center gap-x-3">
          <span className="text-ember">Not confirmed yet.</span>
          <button type="button" className="text-push" disabled={ask.isPending} onClick={() => ask.mutate()}>
            Send me another letter
          </button>
        </div>
      )}
      <Failure error={ask.error} />
    </section>
  );
}

function Places({ account }: { account: Shown }) {
  const cache = useQueryClient();
  const now = useNow(60_000);
  const clock = useClock();
  const end = useMutation({
    mutationFn: (place: string | null) =>
      place === null ? call('delete', '/api/account/sessions') : call('delete', '/api/account/sessions/{place}', { at: { place } }),
    onSuccess: (left) => stands(cache, keys.account, left),
  });
  return (
    <section className="opens" aria-label="Where you are signed in">
      <h2 className="text-lg">Where you are signed in</h2>
      <ul className="mt-1">
        {account.signed_in.map((place) => (
          <li key={place.id} className="flex min-h-14 items-center justify-between gap-3 border-t border-hair first:border-0">
            <span>
              <span className="block font-semibold">{place.system ?? 'A device'}</span>
              <span className="label block">
                {place.here ? 'this one, now' : `last seen ${day(place.seen_at, now)} at ${clock(at(place.seen_at))}`}
              </span>
            </span>
            {!place.here && (
              <button type="button" className="text-push" disabled={end.isPending} onClick={() => end.mutate(place.id)}>
                Sign out there
              </button>
            )}
          </li>
        ))}
      </ul>
      <button type="button" className="push mt-2" disabled={end.isPending} onClick={() => end.mutate(null)}>
        Sign out everywhere but here
      </button>
      {end.isSuccess && <span className="label ml-3">Done.</span>}
      <Failure error={end.error} />
    </section>
  );
}

function Along() {
  const cache = useQueryClient();
  const bring = useMutation({
    mutationFn: (text: string) => call('post', '/api/account/kitchen', { body: text }),
    onSuccess: () => cache.invalidateQueries(),
  });
  return (
    <section className="opens" aria-label="Take your kitchen along">
      <h2 className="text-lg">Take your kitchen along</h2>
      <p className="mt-1 text-soft">
        Every roast with all that was logged, your cookers with what was read on them, mixes, sides and thermometers, in one file. No
        password is in it. Opened in another kitchen, it is added to what is there.
      </p>
      <div className="mt-3 flex flex-wrap gap-2">
        <a className="push push-main" href="/api/account/kitchen" download>
          Take everything along
        </a>
        <FileButton accept=".json,application/json" onText={(text) => bring.mutate(text)}>
          Bring a kitchen in
        </FileButton>
      </div>
      {bring.isPending && <Loading what="the roasts of that kitchen" />}
      {bring.isSuccess && (
        <p role="status" className="mt-2 font-semibold text-herb">
          It is all here now.
        </p>
      )}
      {bring.isError && (
        <p role="alert" className="mt-2 font-semibold text-ember">
          {bring.error.message} Nothing was taken in.
        </p>
      )}
    </section>
  );
}
