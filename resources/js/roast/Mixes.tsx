import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { call, Refused } from '../api/client';
import { keys, useMixes } from '../api/queries';
import { FileButton } from '../ui/FileButton';
import { Choice } from '../ui/Choice';
import { Sheet } from '../ui/Sheet';
import { useUnits } from '../units/units';
import { Said } from '../words/Said';
import { WriteMix } from './WriteMix';

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
                <a className="text-push flex items-center" href={`/api/mixes/${mix.id}?as=recipe`} download="recipe.jsonld">
                  Save as a recipe
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
        <WriteMix
          onSave={(file) => add.mutate(JSON.stringify(file))}
          errors={add.error instanceof Refused ? add.error.errors : {}}
          busy={add.isPending}
        />
      </Sheet>
    </section>
  );
}

function words(error: Error): string {
  return error instanceof Refused
    ? Object.entries(error.errors)
        .map(([path, messages]) => `${path}: ${messages.join(' ')}`)
        .join(' ')
    : error.message;
}
