import { screen } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import type { Entry } from '../api/types';
import { aRoast, entry, show } from '../testing';
import { RunSheet } from './RunSheet';
import type { Message } from '../words/say';

const call = vi.hoisted(() => vi.fn().mockResolvedValue({}));
vi.mock('../api/client', async (original) => ({
  ...(await original<typeof import('../api/client')>()),
  call: (await import('../testing')).overTheWire(call),
}));

const AT = '2031-10-04T17:00:00Z';

const c = (value: number) => ({ value, unit: '°C', digits: 0 });
const cm = (value: number) => ({ value, unit: 'cm', digits: 0 });
const mm = (value: number) => ({ value, unit: 'mm', digits: null });
const note = (...parts: Message[]): Message => ({ id: 'words.notes', values: { parts } });
const dish = 'ducks';

const slots: Message = { id: 'settings.both_slots', values: { both: mm(9) } };
const sheet: Entry[] = [
  entry('d0.preheat', 'preheat', AT, {
    title: { id: 'fire_task.bring', values: { cooker: 'kettle', target: c(176.6667) } },
    detail: note(
      { id: 'fire_task.slots_wide_open', values: { close_in: c(137), settings: slots } },
      { id: 'fire_task.lid_down', values: {} },
    ),
  }),
  entry('d0.on', 'on', AT, {
    title: { id: 'sheet.on', values: { dish } },
    detail: note({ id: 'sheet.cooker_at', values: { cooker: 'kettle', heat: c(176.6667) } }),
  }),
  entry('d0.earth', 'cover', AT, {
    title: { id: 'sheet.foil_over_the_coals', values: {} },
    detail: note({ id: 'sheet.foil_or_sheet_first', values: { earth: cm(12) } }),
  }),
  entry('d0.pull', 'pull', AT, {
    title: { id: 'sheet.pull', values: { dish } },
    detail: { id: 'sheet.at_in_the_core', values: { pull: c(54.4444), target: c(57.2222) } },
  }),
  entry('d0.hold', 'hold', AT, { title: { id: 'sheet.keep_hot', values: { dish } } }),
];

const shown = (temperatureUnit: 'c' | 'f', massUnit: 'kg' | 'lb', clockHours: 12 | 24 = 24) => {
  const roast = aRoast();
  show(<RunSheet roast={{ ...roast, plan: { ...roast.plan, run_sheet: sheet } }} />, { temperatureUnit, massUnit, clockHours });
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

  it('shows hours by the clock that the cook reads', () => {
    const words = shown('c', 'kg', 12);
    expect(words).toMatch(/\d:\d\d\u00a0[ap]m/);
    expect(words).not.toMatch(/\d:\d\d(?!\u00a0[ap]m)/);
  });

  it('can tick every act of a new kind', () => {
    shown('c', 'kg');
    for (const name of ['Foil over the coals, then earth: done', 'Keep ducks hot: done'])
      expect(screen.getByRole('button', { name })).toBeEnabled();
  });
});
