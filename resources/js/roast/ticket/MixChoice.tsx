import { call } from '../../api/client';
import { useMixes } from '../../api/queries';
import type { MixFile } from '../../api/types';
import { Choice } from '../../ui/Choice';
import type { Errors } from './errors';

type Props = {
  label: string;
  /** an id of ours, the cook's own as it was written, or nothing said */
  mix: string | MixFile | undefined;
  /** what it takes when nothing is said; none where nobody knows */
  usual: string | null;
  /** kinds of ours that are offered; the cook's own always are */
  kinds: readonly string[];
  errors: Errors;
  onChange: (mix: string | MixFile | undefined) => void;
};

const AS_IT_IS = 'as-it-is';
const NONE = 'none';

/** What goes on with some work: ours, the cook's own, or nothing that is bought. */
export function MixChoice({ label, mix, usual, kinds, errors, onChange }: Props) {
  const mixes = useMixes(1, 1).data ?? [];
  const usualKind = mixes.find((one) => one.id === usual)?.kind;
  const fitting = mixes.filter((one) => one.own || one.kind === usualKind || kinds.includes(one.kind));
  const written = typeof mix === 'object' ? mix : null;
  const choose = async (id: string) => {
    if (id === AS_IT_IS) return;
    if (id === (usual ?? NONE)) onChange(undefined);
    else if (fitting.some((one) => one.own && one.id === id)) onChange(await call('get', '/api/mixes/{mix}', { at: { mix: id } }));
    else onChange(id);
  };
  return (
    <Choice
      label={label}
      value={typeof mix === 'object' ? AS_IT_IS : (mix ?? usual ?? NONE)}
      options={[
        ...(written === null ? [] : [{ id: AS_IT_IS, name: written.name }]),
        ...fitting.map((one) => ({ id: one.id, name: one.name, note: one.own ? 'yours' : undefined })),
        { id: NONE, name: 'nothing to buy' },
      ]}
      errors={errors.mix ?? Object.entries(errors).flatMap(([key, messages]) => (key.startsWith('mix.') ? messages : []))}
      onChange={(id) => void choose(id)}
    />
  );
}
