import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { call, Refused } from '../api/client';
import { everyList, roastStands } from '../api/queries';
import type { BrokenRoast, Roast } from '../api/types';
import { titleOf } from './acts';
import { toFile, type Draft } from './draft';
import type { Errors } from './ticket/errors';

/** Keeps another draft in a stored roast's place, or deletes it; what stood in the way is said, and nothing is lost by it. */
export function useKept(roast: Roast | BrokenRoast) {
  const [errors, setErrors] = useState<Errors>({});
  const [trouble, setTrouble] = useState('');
  const cache = useQueryClient();
  const navigate = useNavigate();
  const tried = async (what: () => Promise<void>): Promise<boolean> => {
    setTrouble('');
    try {
      await what();
      void cache.invalidateQueries(everyList);
      return true;
    } catch (error) {
      if (error instanceof Refused) setErrors(error.errors);
      else setTrouble((error as Error).message);
      return false;
    }
  };
  return {
    errors,
    trouble,
    changed: () => setErrors({}),
    keep: (draft: Draft) =>
      tried(async () => {
        const kept = await call('put', '/api/roasts/{roast}', { at: { roast: roast.id }, body: toFile(draft) });
        await roastStands(cache, kept);
      }),
    remove: async () => {
      if (!window.confirm(`Delete “${titleOf(roast)}” with everything logged?`)) return;
      if (await tried(async () => void (await call('delete', '/api/roasts/{roast}', { at: { roast: roast.id } })))) void navigate('/');
    },
  };
}
