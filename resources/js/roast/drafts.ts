import { createContext, useContext } from 'react';
import type { Edition } from '../api/editions';
import type { RoastFile } from '../api/types';
import type { Draft } from './draft';

/** A roast's inputs being changed, and what they were when that began. */
export type Changed = { draft: Draft; from: Edition<RoastFile> };

/** Changes of a roast's inputs that are not kept yet. One draft for all its views, so that another view does not lose them. */
export type Drafts = { changed: Changed | null; setChanged: (changed: Changed | null) => void };

export const DraftsContext = createContext<Drafts>({ changed: null, setChanged: () => undefined });

export const useDrafts = (): Drafts => useContext(DraftsContext);
