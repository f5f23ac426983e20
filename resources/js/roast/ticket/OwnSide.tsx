import { useMutation, useQueryClient } from '@tanstack/react-query';
import { Wrong } from '../../ui/Failure';
import { call } from '../../api/client';
import { keys, useOwnSides } from '../../api/queries';
import { NumberField } from '../../ui/NumberField';
import type { DraftSide } from '../draft';
import type { Errors } from './errors';

type Props = { side: DraftSide; index: number; errors: Errors; onChange: (side: DraftSide) => void };

/** What only this cook knows of it: how long it waits and what it asks of hands; kept for other tables when the cook says so. */
export function OwnSide({ side, index, errors, onChange }: Props) {
  const cache = useQueryClient();
  const known = side.own ?? {};
  const kept = useOwnSides().data?.find((one) => one.name === side.name);
  const changed = () => void cache.invalidateQueries({ queryKey: keys.sides });
  const keep = useMutation({
    mutationFn: () =>
      call('post', '/api/sides', {
        body: JSON.stringify({ format: 'diatherm.side', version: 1, name: side.name, minutes: side.minutes, ...known }),
      }),
    onSuccess: changed,
  });
  const remove = useMutation({
    mutationFn: (id: string) => call('delete', '/api/sides/{side}', { at: { side: id } }),
    onSuccess: changed,
  });
  const fields = [
    { key: 'waits_minutes', label: 'Waits well', usual: 10 },
    { key: 'ready_minutes', label: 'Work before', usual: 5 },
    { key: 'done_minutes', label: 'Work after', usual: 2 },
  ] as const;
  const trouble = keep.error ?? remove.error;
  return (
    <div className="col-span-3 grid gap-2">
      <div className="grid grid-cols-3 gap-2">
        {fields.map((field) => (
          <NumberField
            key={field.key}
            label={field.label}
            of={{ unit: 'min' }}
            digits={0}
            value={known[field.key]}
            usual={field.usual}
            errors={errors[`sides.${index}.own.${field.key}`]}
            onChange={(value) => onChange({ ...side, own: { ...known, [field.key]: value } })}
          />
        ))}
      </div>
      <p className="flex flex-wrap items-center gap-x-4">
        <button type="button" className="text-push" disabled={keep.isPending} onClick={() => keep.mutate()}>
          {kept === undefined ? 'Keep it for other tables' : 'Keep it so'}
        </button>
        {kept !== undefined && (
          <>
            <a className="text-push inline-flex items-center" href={`/api/sides/${kept.id}`} download="side.json">
              Save it as a file
            </a>
            <button type="button" className="text-push" onClick={() => remove.mutate(kept.id)}>
              Forget it
            </button>
          </>
        )}
      </p>
      <Wrong error={trouble} />
    </div>
  );
}
