import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { call } from '../api/client';
import type { MixFile } from '../api/types';
import { Choice } from '../ui/Choice';
import { Wrong } from '../ui/Failure';
import { TextField } from '../ui/TextField';

type Item = MixFile['items'][number];
type Basis = NonNullable<MixFile['basis']>;

const UNITS = ['', 'g', 'kg', 'ml', 'tsp', 'tbsp', 'cup', 'oz', 'lb', 'part', 'clove', 'bunch', 'sprig', 'slice', 'pinch'];

const KINDS = [
  'marinade',
  'rub',
  'paste',
  'baste',
  'brine',
  'glaze',
  'gravy',
  'sauce',
  'dip',
  'butter',
  'stuffing',
  'coat',
  'side',
  'other',
];

const BASES: readonly { id: Basis; name: string }[] = [
  { id: 'per_kg', name: 'a kilogram of meat' },
  { id: 'per_guest', name: 'one at the table' },
  { id: 'per_l', name: 'a litre in all' },
  { id: 'parts', name: 'parts, such as two to one' },
];

const EMPTY: Item = { what: '', amount: undefined, unit: '' };

/** A mix of the cook's own: written line by line, or pasted as text and put right. */
export function WriteMix({ onSave, errors, busy }: { onSave: (file: MixFile) => void; errors: Record<string, string[]>; busy: boolean }) {
  const [file, setFile] = useState<MixFile>({ name: '', kind: 'marinade', basis: 'per_kg', items: [EMPTY, EMPTY, EMPTY], method: '' });
  const [text, setText] = useState('');
  const read = useMutation({
    mutationFn: () => call('post', '/api/mixes/read', { body: { text } }),
    onSuccess: (found) => setFile((old) => ({ ...old, ...found })),
  });
  const change = (i: number, next: Item) => setFile({ ...file, items: file.items.map((old, j) => (j === i ? next : old)) });
  return (
    <form
      className="grid gap-3"
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        onSave({ ...file, items: file.items.filter((item) => item.what.trim() !== '') });
      }}
    >
      <TextField
        label="Paste a recipe, a line for each ingredient"
        rows={3}
        value={text}
        placeholder={'For 2 kg\n250 g yoghurt\n2 cloves garlic'}
        errors={errors.text}
        onChange={setText}
      />
      <button
        type="button"
        className="push justify-self-start"
        disabled={text.trim() === '' || read.isPending}
        onClick={() => read.mutate()}
      >
        Read it
      </button>
      <Wrong error={read.error} />
      <TextField label="Name" maxLength={80} value={file.name} errors={errors.name} onChange={(name) => setFile({ ...file, name })} />
      <div className="grid gap-3 sm:grid-cols-2">
        <Choice
          label="What it is"
          value={file.kind ?? 'other'}
          options={KINDS.map((kind) => ({ id: kind, name: kind }))}
          errors={errors.kind}
          onChange={(kind) => setFile({ ...file, kind })}
        />
        <Choice
          label="These amounts are for"
          value={file.basis ?? 'per_kg'}
          options={BASES}
          errors={errors.basis}
          onChange={(basis) => setFile({ ...file, basis: basis as Basis })}
        />
      </div>
      <p className="label -mb-2 grid grid-cols-[minmax(0,9fr)_minmax(0,11fr)_minmax(0,26fr)] gap-2" aria-hidden>
        <span>Amount</span>
        <span>Unit</span>
        <span>Ingredient</span>
      </p>
      {errors.items !== undefined && <p className="font-semibold text-ember">{errors.items.join(' ')}</p>}
      {file.items.map((item, i) => (
        <div key={i}>
          <div className="grid grid-cols-[minmax(0,9fr)_minmax(0,11fr)_minmax(0,26fr)] gap-2">
            <input
              aria-label={`Amount ${i + 1}`}
              inputMode="decimal"
              className="field"
              defaultValue={shown(item.amount)}
              key={`${item.amount ?? ''}`}
              onBlur={(event) => change(i, { ...item, amount: figure(event.target.value) })}
            />
            <select
              aria-label={`Unit ${i + 1}`}
              className="field"
              value={item.unit ?? ''}
              onChange={(event) => change(i, { ...item, unit: event.target.value })}
            >
              {UNITS.map((unit) => (
                <option key={unit} value={unit}>
                  {unit === '' ? 'piece' : unit}
                </option>
              ))}
            </select>
            <input
              aria-label={`Ingredient ${i + 1}`}
              className="field"
              maxLength={120}
              value={item.what}
              onChange={(event) => change(i, { ...item, what: event.target.value })}
            />
          </div>
          {Object.entries(errors).flatMap(([key, messages]) =>
            key.startsWith(`items.${i}.`) ? messages.map((one) => <Told key={one} words={one} />) : [],
          )}
        </div>
      ))}
      <button type="button" className="text-push justify-self-start" onClick={() => setFile({ ...file, items: [...file.items, EMPTY] })}>
        Another ingredient
      </button>
      <TextField
        label="What to do"
        rows={3}
        maxLength={2000}
        value={file.method ?? ''}
        errors={errors.method}
        onChange={(method) => setFile({ ...file, method })}
      />
      <button type="submit" className="push push-main" disabled={busy}>
        Keep the mix
      </button>
    </form>
  );
}

const Told = ({ words }: { words: string }) => <p className="font-semibold text-ember">{words}</p>;

const shown = (amount: number | undefined): string => (amount === undefined || amount === 0 ? '' : String(Number(amount.toFixed(2))));

/** As it was typed; none is “to taste”. */
function figure(text: string): number | undefined {
  const number = Number(text.trim().replace(',', '.'));
  return text.trim() === '' || !Number.isFinite(number) ? undefined : number;
}
