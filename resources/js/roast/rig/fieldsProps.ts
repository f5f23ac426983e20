import type { DraftRig } from '../draft';

export type FieldsProps = { rig: DraftRig; setRig: (rig: DraftRig) => void; of: (key: string) => string[] | undefined };
