import { screen } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import type { Entry } from '../api/types';
import { aRoast, entry, show } from '../testing';
import { RunSheet } from './RunSheet';

const call = vi.hoisted(() => vi.fn().mockResolvedValue({}));
vi.mock('../api/client', async (original) => ({
  ...(await original<typeof import('../api/client')>()),
  call: (await import('../testing')).overTheWire(call),
}));

const AT = '2031-10-04T17:00:00Z';

const sheet: Entry[] = [
  entry('d0.preheat', 'preheat', AT, { title: 'Bring the kettle to 176.67 °C', detail: 'Slots wide open to 137 °C, then both slots 9 mm' }),
  entry('d0.on', 'on', AT, { title: 'Ducks on', detail: 'Kettle at 176.67 °C; probe: deep in the breast' }),
  entry('d0.earth', 'cover', AT, { title: 'Foil over the coals, then earth', detail: '12 cm of earth, pressed down' }),
  entry('d0.pull', 'pull', AT, { title: 'Pull ducks', detail: 'At 54.44 °C in the core; 57.22 °C is counted on by the carving' }),
  entry('d0.hold', 'hold', AT, { title: 'Keep ducks hot', detail: 'In a box or an oven at 75 °C: 57 °C or more' }),
];

const shown = (temperatureUnit: 'c' | 'f', massUnit: 'kg' | 'lb') => {
  const roast = aRoast();
  show(<RunSheet roast={{ ...roast, plan: { ...roast.plan, run_sheet: sheet } }} />, { temperatureUnit, massUnit });
  return screen.getByRole('region', { name: 'Run sheet' }).textContent;
};

describe('the run sheet in the cook’s units', () => {
  it('follows in titles and details alike, and brings back what was typed', () => {
    const words = shown('f', 'lb');
    expect(words).not.toMatch(/\d ?(°C|cm)/);
    expect(words).toContain('Bring the kettle to 350 °F');
    expect(words).toContain('At 130 °F in the core; 135 °F is counted on');
    expect(words).toContain('4.7 in of earth');
  });

  it('shows whole degrees in °C', () => {
    const words = shown('c', 'kg');
    expect(words).toContain('Bring the kettle to 177 °C');
    expect(words).toContain('At 54 °C in the core; 57 °C is counted on');
    expect(words).toContain('12 cm of earth');
    expect(words).not.toMatch(/\d\.\d/);
  });

  it('can tick every act of a new kind', () => {
    shown('c', 'kg');
    for (const name of ['Foil over the coals, then earth: done', 'Keep ducks hot: done'])
      expect(screen.getByRole('button', { name })).toBeEnabled();
  });
});
