import { useQueryClient } from '@tanstack/react-query';
import { Wrong } from '../ui/Failure';
import { useEffect, useState, type FormEvent } from 'react';
import type { Me } from '../api/types';
import { call, Refused } from '../api/client';
import { parcelsHere } from '../api/parcels';
import { keys, stands } from '../api/queries';
import { inkOn, temperatureCss } from '../charts/temperature';
import { Field } from '../ui/Field';
import { entriesWait } from '../ui/entriesWait';
import { PasswordField } from '../ui/PasswordField';
import { Forgotten } from './Forgotten';

/** The door: sign in, sign up, or step into the demo kitchen. */
export function SignIn({ demo }: { demo: boolean }) {
  const cache = useQueryClient();
  const [joining, setJoining] = useState(false);
  const [forgotten, setForgotten] = useState(false);
  const [errors, setErrors] = useState<Record<string, string[]>>({});
  const [trouble, setTrouble] = useState('');
  const [busy, setBusy] = useState(false);
  const [waiting, setWaiting] = useState(0);
  useEffect(() => {
    void parcelsHere().then(setWaiting, () => undefined);
  }, []);

  const enter = async (ask: () => Promise<Me>) => {
    setBusy(true);
    setErrors({});
    setTrouble('');
    try {
      await stands(cache, keys.me, await ask());
    } catch (error) {
      if (error instanceof Refused) setErrors(error.errors);
      else setTrouble((error as Error).message);
    } finally {
      setBusy(false);
    }
  };
  const submit = (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const form = new FormData(event.currentTarget);
    const text = (name: string) => String(form.get(name) ?? '');
    const who = { email: text('email'), password: text('password'), remember: form.get('remember') !== null };
    void enter(() =>
      joining ? call('post', '/api/register', { body: { ...who, name: text('name') } }) : call('post', '/api/login', { body: who }),
    );
  };

  return (
    <main className="mx-auto grid min-h-dvh max-w-[1100px] content-center gap-x-16 gap-y-8 px-5 py-8 md:grid-cols-[1.25fr_1fr]">
      <section>
        <p className="wide text-lg">Diatherm</p>
        <h1 className="mt-4 text-[2.6rem] leading-[1.04] md:text-[3.4rem]">From the serving hour back to the first match.</h1>
        <p className="mt-4 max-w-md text-[1.0625rem] leading-7">
          Say what you roast, on what, and when your guests sit down. Diatherm works out when to light, when it goes on and when to pull;
          then follows your thermometer and moves the hour with it.
        </p>
        <Bands />
      </section>
      <section className="self-center">
        {demo && (
          <div className="opens mb-8">
            <h2 className="text-xl">Look round first</h2>
            <p className="mt-1 text-soft">A rowing club’s supper at an old weir is on the kettle right now.</p>
            <button
              type="button"
              className="push push-ember mt-3 w-full"
              disabled={busy}
              onClick={() => void enter(() => call('post', '/api/demo'))}
            >
              Step into the demo kitchen
            </button>
          </div>
        )}
        {forgotten && <Forgotten onBack={() => setForgotten(false)} />}
        <form onSubmit={submit} className="opens" noValidate hidden={forgotten}>
          <h2 className="text-xl">{joining ? 'A kitchen of your own' : 'Your kitchen'}</h2>
          {waiting > 0 && !joining && (
            <p role="status" className="mt-2 border-l-[3px] border-water pl-3">
              {entriesWait(waiting)} Sign in as the cook who logged {waiting === 1 ? 'it' : 'them'}.
            </p>
          )}
          <div className="mt-3 grid gap-3">
            {joining && (
              <Field label="Name" errors={errors.name}>
                {(control) => <input {...control} name="name" autoComplete="name" className="field" />}
              </Field>
            )}
            <Field label="E-mail address" errors={errors.email}>
              {(control) => <input {...control} name="email" type="email" autoComplete="email" className="field" />}
            </Field>
            <PasswordField label="Password" name="password" isNew={joining} errors={errors.password} />
            <label className="flex min-h-11 items-center gap-3">
              <input type="checkbox" name="remember" defaultChecked className="h-6 w-6 accent-[var(--ember)]" />
              <span>This device is mine: stay signed in</span>
            </label>
            <Wrong error={trouble} />
            <button type="submit" className="push push-main" disabled={busy}>
              {joining ? 'Open the kitchen' : 'Sign in'}
            </button>
            <button
              type="button"
              className="text-push justify-self-start"
              onClick={() => {
                setJoining(!joining);
                setErrors({});
              }}
            >
              {joining ? 'I have a kitchen already' : 'I have no kitchen yet'}
            </button>
            {!joining && (
              <button type="button" className="text-push justify-self-start" onClick={() => setForgotten(true)}>
                I forgot my password
              </button>
            )}
          </div>
        </form>
      </section>
    </main>
  );
}

const DEGREES = [5, 15, 25, 35, 45, 55, 65, 75, 85, 95];

/** The scale of temperature that every picture uses. */
function Bands() {
  return (
    <div className="mt-8 flex max-w-md" aria-hidden="true">
      {DEGREES.map((celsius) => (
        <div
          key={celsius}
          className="flex h-14 flex-1 items-end justify-center pb-1.5 text-label font-semibold"
          style={{ background: temperatureCss(celsius), color: inkOn(celsius) }}
        >
          {celsius}°
        </div>
      ))}
    </div>
  );
}
