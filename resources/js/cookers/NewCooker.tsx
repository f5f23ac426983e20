import { useQueryClient } from '@tanstack/react-query';
import { Wrong } from '../ui/Failure';
import { useState } from 'react';
import { call, Refused } from '../api/client';
import { keys, stands } from '../api/queries';
import type { OwnCooker, Reference } from '../api/types';
import type { Errors } from '../roast/ticket/errors';
import { Choice } from '../ui/Choice';
import { Field } from '../ui/Field';
import type { Typed } from '../ui/NumberField';
import { Sheet } from '../ui/Sheet';
import { FactFields } from './facts';

type Props = { open: boolean; reference: Reference; onClose: () => void; onAdded: (cooker: OwnCooker) => void };

/** A cooker from its kind, a name and a handful of facts; what is left empty is as usual. */
export function NewCooker({ open, reference, onClose, onAdded }: Props) {
  const cache = useQueryClient();
  const kinds = reference.cookers.filter((cooker) => cooker.facts.length > 0);
  const [kind, setKind] = useState(kinds[0]?.id ?? 'kettle');
  const [name, setName] = useState('');
  const [facts, setFacts] = useState<Record<string, Typed>>({});
  const [errors, setErrors] = useState<Errors>({});
  const [trouble, setTrouble] = useState('');
  const chosen = kinds.find((one) => one.id === kind);
  const add = async () => {
    setErrors({});
    setTrouble('');
    try {
      const cooker = await call('post', '/api/cookers', { body: { name, kind, facts } });
      await stands<OwnCooker[]>(cache, keys.cookers, (old) => [...old.filter((one) => one.id !== cooker.id), cooker]);
      setName('');
      setFacts({});
      onAdded(cooker);
    } catch (error) {
      if (error instanceof Refused) setErrors(error.errors);
      else setTrouble((error as Error).message);
    }
  };
  return (
    <Sheet title="Add a cooker" open={open} onClose={onClose}>
      <form
        className="grid gap-3"
        noValidate
        onSubmit={(event) => {
          event.preventDefault();
          void add();
        }}
      >
        <Choice
          label="Kind"
          value={kind}
          options={kinds.map((one) => ({ id: one.id, name: one.name }))}
          errors={errors.kind}
          onChange={(next) => {
            setKind(next);
            setFacts({});
          }}
        />
        <Field label="You call it" errors={errors.name}>
          {(control) => (
            <input
              {...control}
              className="field"
              maxLength={80}
              placeholder="Boathouse kettle"
              value={name}
              onChange={(event) => setName(event.target.value)}
            />
          )}
        </Field>
        {chosen !== undefined && <FactFields facts={chosen.facts} values={facts} onChange={setFacts} errors={errors} />}
        <p className="label">What you leave empty is taken as usual, and can be changed later.</p>
        {chosen !== undefined && chosen.note !== '' && <p className="border-l-[3px] border-water pl-3">{chosen.note}</p>}
        <Wrong error={trouble} />
        <button type="submit" className="push push-main min-h-14 text-lg">
          Add it
        </button>
      </form>
    </Sheet>
  );
}
