import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { call, Refused } from '../api/client';
import { keys, useRoasts } from '../api/queries';
import type { Roast } from '../api/types';
import { Frame } from '../ui/Frame';
import { Loading, Trouble } from '../ui/States';
import { useNow } from '../ui/useNow';
import { at } from '../units/time';
import { Past } from './Past';

/** Every roast that was; and roasts from files. */
export function Log() {
  const roasts = useRoasts();
  const now = useNow(60_000);
  const past =
    roasts.data?.filter((roast) => roast.status === 'done' || (roast.status === 'planned' && at(roast.plan.serve_at) <= now)) ?? [];
  return (
    <Frame>
      <div className="flex flex-wrap items-center justify-between gap-3">
        <h1 className="text-2xl">Log</h1>
        <Import />
      </div>
      {roasts.isPending && <Loading what="the log" />}
      {roasts.isError && roasts.data === undefined && <Trouble error={roasts.error} retry={() => void roasts.refetch()} />}
      {roasts.data !== undefined && (
        <section className="opens mt-3" aria-label="Past roasts">
          {past.length === 0 ? (
            <p className="py-3 text-soft">No roast has been finished yet. It comes here when it has been carved.</p>
          ) : (
            past.map((roast) => <Past key={roast.id} roast={roast} now={now} />)
          )}
        </section>
      )}
    </Frame>
  );
}

function Import() {
  const cache = useQueryClient();
  const navigate = useNavigate();
  const [wrong, setWrong] = useState<string[]>([]);
  const read = async (file: File) => {
    setWrong([]);
    try {
      const roast = await call<Roast>('POST', '/api/roasts/import', await file.text());
      cache.setQueryData(keys.roast(roast.id), roast);
      void cache.invalidateQueries({ queryKey: keys.roasts });
      void navigate(`/roasts/${roast.id}/food`);
    } catch (error) {
      setWrong(
        error instanceof Refused
          ? Object.entries(error.errors).map(([path, messages]) => `${path}: ${messages.join(' ')}`)
          : [(error as Error).message],
      );
    }
  };
  return (
    <div>
      <label className="push cursor-pointer focus-within:outline-3 focus-within:outline-water">
        Open a roast file
        <input
          type="file"
          accept=".json,application/json"
          className="sr-only"
          onChange={(event) => {
            const file = event.target.files?.[0];
            if (file !== undefined) void read(file);
            event.target.value = '';
          }}
        />
      </label>
      {wrong.length > 0 && (
        <div role="alert" className="mt-2 max-w-md font-semibold text-ember">
          <p>Nothing was taken from that file:</p>
          <ul className="list-disc pl-5">
            {wrong.slice(0, 6).map((line) => (
              <li key={line}>{line}</li>
            ))}
          </ul>
        </div>
      )}
    </div>
  );
}
