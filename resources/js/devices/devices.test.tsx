import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { Device, Roast } from '../api/types';
import { Outside } from '../roast/live/Outside';
import { meanOf } from '../roast/weather';
import { aRoast, show } from '../testing';
import { at } from '../units/time';
import { text } from '../words/testing';
import { probesOf, troubleOf } from './heard';
import { Probes } from './Probes';

const { call } = vi.hoisted(() => ({ call: vi.fn() }));
vi.mock('../api/client', async (original) => ({ ...(await original<typeof import('../api/client')>()), call }));

const NOW = at('2031-10-04T17:00:00Z');

const device = (over: Partial<Device> = {}): Device => ({
  id: 'd1',
  edition: 'e1',
  name: 'Boathouse thermometer',
  roast: 'roast',
  battery: 81,
  signal: 64,
  heard_at: '2031-10-04T16:59:40Z',
  probes: [
    { channel: 1, dish: 0, piece: 1, place: 'core', place_words: text('Middle') },
    { channel: 2, dish: 0, piece: 1, place: 'thick_end', place_words: text('Thick end') },
    { channel: 3, dish: 0, piece: 1, place: 'bone', place_words: text('By the bone') },
    { channel: 4, dish: 0, piece: 1, place: 'cooker', place_words: text('Cooker') },
  ],
  heard: [
    { channel: 1, celsius: 41.5, at: '2031-10-04T16:59:40Z' },
    { channel: 2, celsius: null, at: '2031-10-04T16:59:40Z' },
    { channel: 3, celsius: 44, at: '2031-10-04T16:42:00Z' },
  ],
  ...over,
});

const withDevices = (...devices: Device[]): Roast => ({ ...aRoast(), devices });

beforeEach(() => {
  call.mockReset();
  call.mockResolvedValue([]);
});

describe('probes', () => {
  it('says what each reads, and which is not heard from, since when', () => {
    show(<Probes roast={withDevices(device())} now={NOW} />);
    const rows = within(screen.getByRole('region', { name: 'Thermometers' })).getAllByRole('listitem');
    expect(rows.map((row) => row.textContent)).toEqual([
      expect.stringMatching(/1.*Middle.*41\.5°/),
      expect.stringMatching(/2.*Thick end.*not plugged in/),
      expect.stringMatching(/3.*By the bone.*silent since \d\d:42/),
      expect.stringMatching(/4.*Cooker.*not heard yet/),
    ]);
    expect(screen.getByText('battery 81 %, signal 64 %')).toBeInTheDocument();
  });

  it('is silent after four minutes and not before, whatever the hour', () => {
    for (let minutes = 0; minutes < 30; minutes++) {
      const [probe] = probesOf(device(), at('2031-10-04T16:59:40Z') + minutes * 60_000);
      expect(probe?.state).toBe(minutes > 4 ? 'silent' : 'reads');
    }
  });

  it('says what a thermometer is short of', () => {
    expect(troubleOf(device())).toBe('');
    expect(troubleOf(device({ battery: null, signal: null }))).toBe('');
    expect(troubleOf(device({ battery: 19 }))).toBe('battery 19 %');
    expect(troubleOf(device({ signal: 12 }))).toBe('weak signal, 12 %');
  });

  it('places a probe, and keeps the others where they are', async () => {
    call.mockImplementation((_verb: string, path: string) => Promise.resolve(path === '/api/devices' ? [device()] : device()));
    show(<Probes roast={withDevices(device())} now={NOW} />);
    await userEvent.click(screen.getByRole('button', { name: 'Place the probes' }));
    await userEvent.click(await screen.findByLabelText('Probe 2'));
    await userEvent.click(screen.getByRole('option', { name: 'Thigh, no. 2' }));
    await waitFor(() =>
      expect(call).toHaveBeenCalledWith(
        'put',
        '/api/devices/{device}',
        expect.objectContaining({
          body: expect.objectContaining({
            roast: 'roast',
            probes: expect.arrayContaining([
              { channel: 1, dish: 0, piece: 1, place: 'core' },
              { channel: 2, dish: 0, piece: 2, place: 'thigh' },
              { channel: 4, dish: 0, piece: 1, place: 'cooker' },
            ]),
          }),
        }),
      ),
    );
  });

  it('shows the token of a new one, once', async () => {
    call.mockImplementation((verb: string, path: string) =>
      Promise.resolve(verb === 'post' && path === '/api/devices' ? { device: device({ name: 'Spit' }), token: '7|secret' } : []),
    );
    show(<Probes roast={withDevices()} now={NOW} />);
    await userEvent.click(screen.getByRole('button', { name: 'A thermometer that sends by itself' }));
    await userEvent.type(await screen.findByLabelText('Add one, called'), 'Spit');
    await userEvent.click(screen.getByRole('button', { name: 'Add' }));
    expect(await screen.findByLabelText('Token')).toHaveValue('7|secret');
    expect(screen.getByLabelText('Address that it sends to')).toHaveValue(`${location.origin}/api/device/readings`);
    await userEvent.click(screen.getByRole('button', { name: 'Close' }));
    await userEvent.click(screen.getByRole('button', { name: 'A thermometer that sends by itself' }));
    expect(screen.queryByLabelText('Token')).toBeNull();
  });
});

describe('the weather that comes', () => {
  const hours = (air_c: number, wind_ms: number, wet: number) =>
    [0, 1, 2, 3, 4, 5].map((i) => ({ at: `2031-10-04T1${i}:00:00Z`, air_c: air_c + (i % 2), wind_ms, rain: i < wet }));

  it('is the mean of its hours, and wet where it rains in a third of them', () => {
    expect(meanOf([])).toBeNull();
    expect(meanOf(hours(10, 3.14, 0))).toEqual({ air_c: 11, wind_ms: 3.1, rain: false });
    expect(meanOf(hours(10, 3, 1))?.rain).toBe(false);
    expect(meanOf(hours(10, 3, 2))?.rain).toBe(true);
  });

  it.each([
    ['much colder', hours(-4, 1.5, 0), true],
    ['windy', hours(12, 6, 0), true],
    ['wet', hours(12, 1.5, 6), true],
    ['as planned', hours(12, 2, 0), false],
  ])('is told where it is %s', async (_, comes, told) => {
    const roast = aRoast({ status: 'cooking' });
    roast.file = { ...roast.file, latitude: 51.6, longitude: -1.1 };
    roast.plan = { ...roast.plan, air_c: 12, wind_ms: 1.5, serve_at: '2031-10-04T18:45:00+00:00' };
    call.mockImplementation((verb: string) => Promise.resolve(verb === 'get' ? { hours: comes } : roast));
    show(<Outside roast={roast} now={NOW} />);
    await waitFor(() => expect(call).toHaveBeenCalled());
    if (!told) {
      expect(screen.queryByRole('status')).toBeNull();
      return;
    }
    await userEvent.click(await screen.findByRole('button', { name: 'Plan by it' }));
    await waitFor(() =>
      expect(call).toHaveBeenCalledWith(
        'patch',
        '/api/roasts/{roast}/file',
        expect.objectContaining({ body: expect.objectContaining(meanOf(comes) ?? {}) }),
      ),
    );
  });

  it('asks nobody for a roast that stands nowhere, or is over', () => {
    show(<Outside roast={aRoast({ status: 'cooking' })} now={NOW} />);
    const over = aRoast({ status: 'done' });
    over.file = { ...over.file, latitude: 51.6, longitude: -1.1 };
    show(<Outside roast={over} now={NOW} />);
    expect(call).not.toHaveBeenCalled();
  });
});
