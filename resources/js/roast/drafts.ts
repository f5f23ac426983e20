import { createContext, useContext } from 'react';
import type { Draft } from './draft';

/** Changes of a roast's inputs that are not kept yet. One draft for all its views, so that another view does not lose them. */
export type Drafts = { draft: Draft | null; setDraft: (draft: Draft | null) => void };

export const DraftsContext = createContext<Drafts>({ draft: null, setDraft: () => undefined });

export const useDrafts = (): Drafts => useContext(DraftsContext);
