import type { FileRig } from '../../api/types';
import { Segments } from '../../ui/Segments';
import type { Draft, DraftDish, DraftRig } from '../draft';
import type { Errors } from '../ticket/errors';
import { SpitFields } from './SpitFields';
import { PotFields } from './PotFields';
import { FrameFields } from './FrameFields';
import { SizeFields } from './SizeFields';

const KINDS = [
  { id: 'none', name: 'Rack or grate' },
  { id: 'spit', name: 'Spit' },
  { id: 'pot', name: 'Camp oven' },
  { id: 'buried_pot', name: 'Buried pot' },
  { id: 'frame', name: 'Frame over a trench' },
] as const;

type Props = { draft: Draft; index: number; onChange: (draft: Draft) => void; errors: Errors };

/** How the dish is held, and what a tape and a roll test say of it. */
export function RigTicket({ draft, index, onChange, errors }: Props) {
  const dish = draft.dishes[index];
  if (dish === undefined) return null;
  const setRig = (rig: DraftRig | undefined) =>
    onChange({ ...draft, dishes: draft.dishes.map((old, i): DraftDish => (i === index ? { ...old, rig } : old)) });
  const rig = dish.rig;
  const of = (key: string) => errors[`dishes.${index}.rig.${key}`];
  return (
    <form className="grid gap-5" noValidate onSubmit={(event) => event.preventDefault()} aria-label="How it is held">
      <div className="opens grid gap-3">
        <Segments
          label="Held on"
          value={(rig?.kind ?? 'none') as (typeof KINDS)[number]['id']}
          options={KINDS}
          onChange={(kind) => setRig(kind === 'none' ? undefined : { kind: kind as FileRig['kind'] })}
        />
        {rig === undefined && (
          <p className="text-soft">Nothing to measure. Choose a spit or a pot and see whether it fits, turns and holds.</p>
        )}
      </div>
      {rig?.kind === 'spit' && <SpitFields rig={rig} setRig={setRig} of={of} />}
      {(rig?.kind === 'pot' || rig?.kind === 'buried_pot') && <PotFields rig={rig} setRig={setRig} of={of} />}
      {rig?.kind === 'frame' && <FrameFields rig={rig} setRig={setRig} of={of} />}
      {rig !== undefined && <SizeFields rig={rig} setRig={setRig} of={of} />}
    </form>
  );
}
