import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Wrong } from '../ui/Failure';
import { useState } from 'react';
import { call, Refused } from '../api/client';
import { keys } from '../api/queries';
import type { Device, DeviceFile, Roast } from '../api/types';
import { Choice } from '../ui/Choice';
import { Field } from '../ui/Field';
import { Sheet } from '../ui/Sheet';
import { Loading, Trouble } from '../ui/States';
import { COOKER } from '../roast/acts';
import { capital } from '../words/say';

const CHANNELS = [1, 2, 3, 4];

const PLACES = [
  ['core', 'middle'],
  ['thick_end', 'thick end'],
  ['thin_end', 'thin end'],
  ['breast', 'breast'],
  ['thigh', 'thigh'],
  ['bone', 'by the bone'],
  ['filling', 'middle of the filling'],
  ['cooker', 'its cooker'],
] as const;

/** A thermometer has no more probes than this. */
const MOST_PIECES = 8;

const NOWHERE = '';

type Place = (typeof PLACES)[number][0];

/** The cook's thermometers: added with a token of their own, and hung on this roast, probe by probe. */
export function Thermometers({ roast, open, onClose }: { roast: Roast; open: boolean; onClose: () => void }) {
  const cache = useQueryClient();
  const devices = useQuery({ queryKey: keys.devices, queryFn: ({ signal }) => call('get', '/api/devices', { signal }), enabled: open });
  const [name, setName] = useState('');
  const [given, setGiven] = useState<{ device: string; token: string } | null>(null);
  const changed = () => {
    void cache.invalidateQueries({ queryKey: keys.devices });
    void cache.invalidateQueries({ queryKey: keys.roast(roast.id) });
  };
  const add = useMutation({
    mutationFn: (called: string) => call('post', '/api/devices', { body: { name: called, roast: roast.id, probes: [] } }),
    onSuccess: (made) => {
      setGiven({ device: made.device.name, token: made.token });
      setName('');
      changed();
    },
  });
  const again = useMutation({
    mutationFn: (device: Device) => call('post', '/api/devices/{device}/token', { at: { device: device.id } }),
    onSuccess: (made) => setGiven({ device: made.device.name, token: made.token }),
  });
  const remove = useMutation({
    mutationFn: (device: Device) => call('delete', '/api/devices/{device}', { at: { device: device.id } }),
    onSuccess: changed,
  });
  return (
    <Sheet
      title="Thermometers"
      open={open}
      onClose={() => {
        setGiven(null);
        onClose();
      }}
    >
      {devices.isPending && <Loading what="your thermometers" />}
      {devices.isError && <Trouble error={devices.error} retry={() => void devices.refetch()} />}
      {given !== null && <Token device={given.device} token={given.token} />}
      {devices.data?.map((device) => (
        <Hanging
          key={`${device.id} ${device.edition}`}
          device={device}
          roast={roast}
          onChanged={changed}
          onToken={() => again.mutate(device)}
          onRemove={() => remove.mutate(device)}
        />
      ))}
      <form
        className="mt-2 flex items-end gap-2 border-t border-hair pt-3"
        onSubmit={(event) => {
          event.preventDefault();
          add.mutate(name);
        }}
      >
        <div className="flex-1">
          <Field label="Add one, called" errors={add.error instanceof Refused ? add.error.errors.name : undefined}>
            {(control) => (
              <input
                {...control}
                className="field"
                maxLength={80}
                placeholder="Boathouse thermometer"
                value={name}
                onChange={(event) => setName(event.target.value)}
              />
            )}
          </Field>
        </div>
        <button type="submit" className="push" disabled={add.isPending}>
          Add
        </button>
      </form>
      {add.isError && !(add.error instanceof Refused) && (
        <p role="alert" className="mt-2 font-semibold text-ember">
          {add.error.message}
        </p>
      )}
    </Sheet>
  );
}

/** Shown this once: what has to be typed into the thing that sends. */
function Token({ device, token }: { device: string; token: string }) {
  return (
    <section aria-label="Its token" className="mb-3 grid gap-2 border-l-[3px] border-water pl-3">
      <p>
        <strong>{device}</strong> sends to this address with this token. It is shown this once.
      </p>
      <input
        aria-label="Address that it sends to"
        readOnly
        className="field"
        value={`${location.origin}/api/device/readings`}
        onFocus={(event) => event.target.select()}
      />
      <input aria-label="Token" readOnly className="field" value={token} onFocus={(event) => event.target.select()} />
    </section>
  );
}

function Hanging({
  device,
  roast,
  onChanged,
  onToken,
  onRemove,
}: {
  device: Device;
  roast: Roast;
  onChanged: () => void;
  onToken: () => void;
  onRemove: () => void;
}) {
  const here = device.roast === roast.id;
  const [probes, setProbes] = useState<DeviceFile['probes']>(
    here ? device.probes.map(({ channel, dish, piece, place }) => ({ channel, dish, piece, place })) : [],
  );
  const save = useMutation({
    mutationFn: (next: DeviceFile['probes']) =>
      call('put', '/api/devices/{device}', {
        at: { device: device.id },
        edition: device.edition,
        body: { name: device.name, roast: roast.id, probes: next },
      }),
    onSuccess: onChanged,
  });
  const set = (channel: number, where: string) => {
    const others = (probes ?? []).filter((probe) => probe.channel !== channel);
    const [dish = '0', piece = '1', place] = where.split(' ');
    const next = where === NOWHERE ? others : [...others, { channel, dish: Number(dish), piece: Number(piece), place: place as Place }];
    setProbes(next);
    save.mutate(next);
  };
  return (
    <section aria-label={device.name} className="border-t border-hair py-3">
      <p className="font-semibold">{device.name}</p>
      {device.roast !== null && !here && <p className="label">It reads for another roast. Placed here, it reads for this one.</p>}
      <div className="mt-2 grid grid-cols-2 gap-2">
        {CHANNELS.map((channel) => {
          const probe = (probes ?? []).find((one) => one.channel === channel);
          return (
            <Choice
              key={channel}
              label={`Probe ${channel}`}
              value={probe === undefined ? NOWHERE : `${probe.dish} ${probe.piece ?? 1} ${probe.place}`}
              options={[
                { id: NOWHERE, name: 'not placed' },
                ...roast.plan.dishes.flatMap((dish, i) =>
                  placesOf(roast, i).map(({ id, words }) => ({
                    id: `${i} ${id}`,
                    name: roast.plan.dishes.length > 1 ? `${dish.name}: ${words}` : capital(words),
                    closed: capital(words),
                  })),
                ),
              ]}
              onChange={(where) => set(channel, where)}
            />
          );
        })}
      </div>
      <Wrong error={save.error} className="mt-1" />
      <p className="mt-1 flex flex-wrap gap-x-4">
        <button type="button" className="text-push" onClick={onToken}>
          A new token
        </button>
        <button type="button" className="text-push" onClick={onRemove}>
          Take it away
        </button>
      </p>
    </section>
  );
}

/** Where a probe of a dish can be, piece by piece where there are several; on its cooker once. */
function placesOf(roast: Roast, dish: number): { id: string; words: string }[] {
  const pieces = Math.min(roast.file.dishes[dish]?.pieces ?? 1, MOST_PIECES);
  return Array.from({ length: pieces }, (_, i) => i + 1).flatMap((piece) =>
    PLACES.filter(([place]) => place !== COOKER || piece === 1).map(([place, words]) => ({
      id: `${piece} ${place}`,
      words: pieces > 1 && place !== COOKER ? `${words}, no. ${piece}` : words,
    })),
  );
}
