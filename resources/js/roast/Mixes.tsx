import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import { call, Refused } from '../api/client';
import { keys, useMixes } from '../api/queries';
import type { MixFile } from '../api/types';
import { FileButton } from '../ui/FileButton';
import { Choice } from '../ui/Choice';
import { Field } from '../ui/Field';
import { Sheet } from '../ui/Sheet';
import { useUnits } from '../units/units';
import { Said } from '../words/Said';

/** Marinades, rubs, bastes and gravies, scaled to the meat; the cook's own beside ours. */
export function Mixes({ kg, guests }: { kg: number; guests: number }) {
  const format = useUnits();
  const cache = useQueryClient();
  const [chosen, setChosen] = useState<string | null>(null);
  const [writing, setWriting] = useState(false);
  const mixes = useMixes(kg, guests);
  const changed = () => void cache.invalidateQueries({ queryKey: keys.mixes });
  const add = useMutation({
    mutationFn: (body: string) => call('post', '/api/mixes', { body }),
    onSuccess: () => {
      changed();
      setWriting(false);
    },
  });
  const remove = useMutation({ mutationFn: (id: string) => call('delete', '/api/mixes/{mix}', { at: { mix: id } }), onSuccess: changed });
  if (mixes.data === undefined) return null;
  const mix = mixes.data.find((one) => one.id === chosen) ?? mixes.data[0];
  if (mix === undefined) return null;
  return (
    <section className="opens mt-6" aria-label="Mixes">
      <div className="grid gap-x-9 gap-y-3 sm:grid-cols-[16rem_minmax(0,1fr)]">
        <div className="grid content-start gap-3">
          <h2 className="text-lg">Mixes for it</h2>
          <Choice
            label={`For ${format.mass(kg)} and ${guests} at the table`}
            value={mix.id}
            options={mixes.data.map((one) => ({ id: one.id, name: one.name, note: one.own ? 'yours' : one.kind }))}
            onChange={setChosen}
          />
          <div className="flex flex-wrap gap-x-4">
            <button type="button" className="text-push" onClick={() => setWriting(true)}>
              Write your own
            </button>
            <FileButton quiet accept=".json,.jsonld,application/json,application/ld+json" onText={(text) => add.mutate(text)}>
              Open a mix or recipe
            </FileButton>
            {mix.own && (
              <>
                <a className="text-push flex items-center" href={`/api/mixes/${mix.id}`} download="mix.json">
                  Save it
                </a>
                <button type="button" className="text-push" onClick={() => remove.mutate(mix.id)}>
                  Delete it
                </button>
              </>
            )}
          </div>
          {add.isError && !writing && (
            <p role="alert" className="font-semibold text-ember">
              {words(add.error)}
            </p>
          )}
        </div>
        <div>
          <ul>
            {mix.items.map((item) => (
              <li key={item.what} className="flex justify-between gap-4 border-t border-hair py-1.5">
                <span>{item.what}</span>
                <strong className="text-right">
                  <Said>{item.amount}</Said>
                </strong>
              </li>
            ))}
          </ul>
          {mix.basis === 'per_l' || mix.basis === 'parts' ? <p className="label border-t border-hair pt-2">For a litre in all.</p> : null}
          <p className="mt-2 text-soft">{mix.trouble === null ? mix.method : <Said>{mix.trouble}</Said>}</p>
        </div>
      </div>
      <Sheet title="A mix of your own" open={writing} onClose={() => setWriting(false)}>
        <Writing
          onSave={(file) => add.mutate(JSON.stringify(file))}
          errors={add.error instanceof Refused ? add.error.errors : {}}
          busy={add.isPending}
        />
      </Sheet>
    </section>
  );
}

const UNITS = ['g', 'ml', 'tsp', 'tbsp', 'oz', 'cup'];
const ROWS = 6;

function Writing({ onSave, errors, busy }: { onSave: (file: MixFile) => void; errors: Record<string, string[]>; busy: boolean }) {
  const submit = (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const form = new FormData(event.currentTarget);
    const text = (name: string) => String(form.get(name) ?? '').trim();
    const items = Array.from({ length: ROWS }, (_, i) => ({
      what: text(`what${i}`),
      amount: Number(text(`amount${i}`).replace(',', '.')) || 0,
      unit: text(`unit${i}`),
    }));
    onSave({ name: text('name'), basis: 'per_kg', items: items.filter((item) => item.what !== ''), method: text('method') });
  };
  return (
    <form onSubmit={submit} className="grid gap-3" noValidate>
      <Field label="Name" errors={errors.name}>
        {(control) => <input {...control} name="name" className="field" maxLength={80} />}
      </Field>
      <p className="label">For a kilogram of meat</p>
      {errors.items !== undefined && <p className="font-semibold text-ember">{errors.items.join(' ')}</p>}
      {Array.from({ length: ROWS }, (_, i) => (
        <div key={i} className="grid grid-cols-[minmax(0,9fr)_minmax(0,10fr)_minmax(0,26fr)] gap-2">
          <input name={`amount${i}`} aria-label={`Amount ${i + 1}`} inputMode="decimal" className="field" />
          <select name={`unit${i}`} aria-label={`Unit ${i + 1}`} className="field" defaultValue="ml">
            {UNITS.map((unit) => (
              <option key={unit}>{unit}</option>
            ))}
          </select>
          <input name={`what${i}`} aria-label={`Ingredient ${i + 1}`} className="field" maxLength={120} />
        </div>
      ))}
      <Field label="What to do" errors={errors.method}>
        {(control) => <textarea {...control} name="method" className="field py-2 font-normal" rows={3} maxLength={2000} />}
      </Field>
      <button type="submit" className="push push-main" disabled={busy}>
        Keep the mix
      </button>
    </form>
  );
}

function words(error: Error): string {
  return error instanceof Refused
    ? Object.entries(error.errors)
        .map(([path, messages]) => `${path}: ${messages.join(' ')}`)
        .join(' ')
    : error.message;
}
