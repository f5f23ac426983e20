import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { call } from '../api/client';
import { keys, useCookers, useReference } from '../api/queries';
import { FileImport } from '../ui/FileImport';
import { Frame } from '../ui/Frame';
import { Loading, Trouble } from '../ui/States';
import { CookerPage } from './CookerPage';
import { CookerTab } from './CookerTab';
import { NewCooker } from './NewCooker';

/** The cook's own cookers: each with its curve, what was read on it, and what it answers. */
export function Cookers() {
  const cookers = useCookers();
  const reference = useReference();
  const navigate = useNavigate();
  const cache = useQueryClient();
  const { id } = useParams();
  const [adding, setAdding] = useState(false);
  const read = async (text: string) => {
    const cooker = await call('post', '/api/cookers', { body: text });
    await cache.invalidateQueries({ queryKey: keys.cookers });
    void navigate(`/cookers/${cooker.id}`);
  };
  const shown = cookers.data?.find((one) => one.id === id) ?? cookers.data?.[0];
  return (
    <Frame>
      <div className="flex flex-wrap items-center justify-between gap-3">
        <h1 className="text-2xl">Cookers</h1>
        <div className="flex flex-wrap gap-2">
          <button type="button" className="push push-main" onClick={() => setAdding(true)}>
            Add one
          </button>
          <FileImport label="Open a cooker file" onText={read} />
        </div>
      </div>
      {cookers.isPending && <Loading what="your cookers" />}
      {cookers.isError && cookers.data === undefined && <Trouble error={cookers.error} retry={() => void cookers.refetch()} />}
      {cookers.data !== undefined && cookers.data.length === 0 && (
        <section className="opens mt-3 max-w-2xl">
          <h2 className="text-lg">None of your own yet</h2>
          <p className="mt-1 text-soft">
            Every kind of cooker is known here as it usually behaves. Add yours, log what you read on it, and its own curve answers instead:
            how to set it for a temperature, and how surely.
          </p>
        </section>
      )}
      {cookers.data !== undefined && shown !== undefined && (
        <>
          <nav aria-label="Your cookers" className="mt-3">
            <ul className="grid grid-cols-[repeat(auto-fill,minmax(min(17rem,100%),1fr))] gap-2">
              {cookers.data.map((one) => (
                <li key={one.id}>
                  <CookerTab
                    cooker={one}
                    hottest={Math.max(...cookers.data.flatMap((each) => [each.most_c, ...each.curve.map((point) => point.celsius.likely)]))}
                    shown={one.id === shown.id}
                    onOpen={() => void navigate(`/cookers/${one.id}`)}
                  />
                </li>
              ))}
            </ul>
          </nav>
          <CookerPage key={shown.id} cooker={shown} />
        </>
      )}
      {reference.data !== undefined && (
        <NewCooker
          open={adding}
          reference={reference.data}
          onClose={() => setAdding(false)}
          onAdded={(cooker) => {
            setAdding(false);
            void navigate(`/cookers/${cooker.id}`);
          }}
        />
      )}
    </Frame>
  );
}
