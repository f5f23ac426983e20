import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { call, Refused } from '../api/client';
import { Clashing, keepChanged, type Edition } from '../api/editions';
import { patchOf, type Json } from '../api/merge';
import { everyList, roastStands } from '../api/queries';
import type { BrokenRoast, Roast, RoastFile } from '../api/types';
import { titleOf } from './acts';
import { toFile } from './draft';
import type { Changed } from './drafts';
import type { Errors } from './ticket/errors';

type Members = Record<string, Json>;

/** Changes what was put in for a roast: what is changed is sent, and nothing else. */
export const keepFile = (roast: string, from: Edition<RoastFile>, wanted: RoastFile): Promise<Roast | BrokenRoast> =>
  keepChanged(
    from,
    wanted,
    (file, { state, edition }) =>
      call('patch', '/api/roasts/{roast}/file', {
        at: { roast },
        edition,
        body: patchOf(state as unknown as Members, file as unknown as Members),
      }),
    (current) => (current as { file: RoastFile }).file,
  );

/** Keeps another draft in a stored roast's place, or deletes it; what stood in the way is said, and nothing is lost by it. */
export function useKept(roast: Roast | BrokenRoast) {
  const [errors, setErrors] = useState<Errors>({});
  const [trouble, setTrouble] = useState('');
  const [clashing, setClashing] = useState<Clashing<RoastFile> | null>(null);
  const cache = useQueryClient();
  const navigate = useNavigate();
  const tried = async (what: () => Promise<void>): Promise<boolean> => {
    setTrouble('');
    setClashing(null);
    try {
      await what();
      void cache.invalidateQueries(everyList);
      return true;
    } catch (error) {
      if (error instanceof Refused) setErrors(error.errors);
      else if (error instanceof Clashing) setClashing(error as Clashing<RoastFile>);
      else setTrouble((error as Error).message);
      return false;
    }
  };
  return {
    errors,
    trouble,
    clashing,
    changed: () => {
      setErrors({});
      setClashing(null);
    },
    keep: ({ draft, from }: Changed) => tried(async () => await roastStands(cache, await keepFile(roast.id, from, toFile(draft)))),
    remove: async () => {
      if (!window.confirm(`Delete “${titleOf(roast)}” with everything logged?`)) return;
      if (await tried(async () => void (await call('delete', '/api/roasts/{roast}', { at: { roast: roast.id } })))) void navigate('/');
    },
  };
}
