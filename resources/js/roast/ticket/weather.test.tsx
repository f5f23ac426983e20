import { act, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { reference, show } from '../../testing';
import { newDraft, type Draft } from '../draft';
import { TakeWeather } from './TakeWeather';

const call = vi.hoisted(() => vi.fn());
vi.mock('../../api/client', async (original) => ({ ...(await original<typeof import('../../api/client')>()), call }));

function Ticket({ start, told }: { start: Draft; told: (draft: Draft) => void }) {
  const [draft, setDraft] = useState(start);
  const change = (next: Draft) => {
    setDraft(next);
    told(next);
  };
  return (
    <>
      <input aria-label="People" onChange={(event) => change({ ...draft, people: Number(event.target.value) })} />
      <TakeWeather draft={draft} onChange={change} />
    </>
  );
}

const soon = () => ({ ...newDraft(reference, new Date()), serve_at: new Date(Date.now() + 5 * 3_600_000).toISOString() });

type Asked = { found: PositionCallback; not: PositionErrorCallback; how: PositionOptions };

/** A device that looks where it is, until the test has it find out. */
function looking(): Asked[] {
  const asked: Asked[] = [];
  const getCurrentPosition = (found: PositionCallback, not: PositionErrorCallback, how: PositionOptions) => asked.push({ found, not, how });
  Object.defineProperty(navigator, 'geolocation', { value: { getCurrentPosition }, configurable: true });
  return asked;
}

const told = vi.fn<(draft: Draft) => void>();

beforeEach(() => {
  told.mockReset();
  call.mockReset();
  call.mockResolvedValue({ hours: [{ at: '2031-10-04T16:00:00Z', air_c: 7, wind_ms: 4, rain: true }] });
});
afterEach(() => Reflect.deleteProperty(navigator, 'geolocation'));

const press = () => userEvent.click(screen.getByRole('button', { name: 'Where I am now' }));

describe('the weather where the cook stands', () => {
  it('is planned by, and overwrites nothing that was typed while the device looked', async () => {
    const asked = looking();
    show(<Ticket start={soon()} told={told} />);
    await press();
    expect(screen.getByRole('button', { name: 'Looking where this is…' })).toBeDisabled();
    // It does not look for ever.
    expect(asked[0]?.how.timeout).toBeGreaterThan(0);
    await userEvent.type(screen.getByLabelText('People'), '23');
    act(() => asked[0]?.found({ coords: { latitude: 47.123456, longitude: -8.987654 } } as GeolocationPosition));
    expect(told).toHaveBeenLastCalledWith(expect.objectContaining({ people: 23, latitude: 47.12, longitude: -8.99 }));
    await userEvent.click(await screen.findByRole('button', { name: 'Plan by it' }));
    expect(told).toHaveBeenLastCalledWith(expect.objectContaining({ people: 23, air_c: 7, wind_ms: 4, rain: true }));
  });

  it('is found out anew after the device did not say', async () => {
    const asked = looking();
    show(<Ticket start={soon()} told={told} />);
    await press();
    act(() => asked[0]?.not({ code: 1 } as GeolocationPositionError));
    expect(screen.getByRole('alert')).toHaveTextContent('Type the latitude and longitude');
    expect(told).not.toHaveBeenCalled();
    await press();
    expect(screen.queryByRole('alert')).toBeNull();
    act(() => asked[1]?.found({ coords: { latitude: -33, longitude: 18.4 } } as GeolocationPosition));
    expect(told).toHaveBeenLastCalledWith(expect.objectContaining({ latitude: -33, longitude: 18.4 }));
  });

  it('is typed in where a page may not ask, as without TLS', async () => {
    show(<Ticket start={soon()} told={told} />);
    await press();
    expect(screen.getByRole('alert')).toHaveTextContent('Type the latitude and longitude');
    expect(screen.getByRole('button', { name: 'Where I am now' })).toBeEnabled();
  });
});
