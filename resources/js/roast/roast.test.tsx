import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { ComponentProps } from 'react';
import { describe, expect, it, vi } from 'vitest';
import type { Cut, FileDish } from '../api/types';
import { UnitsContext } from '../units/units';
import { NumberField, type Typed } from '../ui/NumberField';
import { entry } from '../testing';
import { eventFor } from './acts';
import table from '../../../data/cuts.json';
import { beside, helpings, likelyHour, toFile, withCut } from './draft';
import { Keypad } from './live/Keypad';

const places = [
  { id: 'core', name: 'Middle' },
  { id: 'cooker', name: 'Cooker' },
];

type Saved = Parameters<ComponentProps<typeof Keypad>['onSave']>[0];
type PadProps = { onSave: (taken: Saved) => void; unit?: 'c' | 'f'; odd?: ComponentProps<typeof Keypad>['odd'] };

function Pad({ onSave, unit = 'c', odd = () => null }: PadProps) {
  return (
    <UnitsContext value={{ temperatureUnit: unit, massUnit: 'kg', clockHours: 24 }}>
      <Keypad
        open
        onClose={() => undefined}
        dish="Rack"
        places={places}
        pieces={[]}
        start={{ place: 'core', piece: 1 }}
        next={null}
        zone="+00:00"
        odd={odd}
        onSave={onSave}
        error=""
        busy={false}
      />
    </UnitsContext>
  );
}

describe('keypad', () => {
  it('logs what the thumb typed', async () => {
    const save = vi.fn();
    render(<Pad onSave={save} />);
    for (const key of ['4', '4', 'Point', '1']) await userEvent.click(screen.getByRole('button', { name: key }));
    await userEvent.click(screen.getByRole('button', { name: 'Log it' }));
    expect(save).toHaveBeenCalledExactlyOnceWith({ celsius: 44.1, place: 'core', piece: 1, when: { ago: 0 }, sure: false }, false);
  });

  it('takes keys as well, one point only, and corrections', async () => {
    const save = vi.fn();
    render(<Pad onSave={save} />);
    await userEvent.keyboard('5{Backspace}4.,.2');
    await userEvent.click(screen.getByRole('button', { name: 'Log it' }));
    expect(save).toHaveBeenCalledWith(expect.objectContaining({ celsius: 4.2 }), false);
  });

  it('reads °F as °F', async () => {
    const save = vi.fn();
    render(<Pad onSave={save} unit="f" />);
    await userEvent.keyboard('212');
    await userEvent.click(screen.getByRole('button', { name: 'Log it' }));
    expect((save.mock.calls[0]?.[0] as Saved).celsius).toBeCloseTo(100, 9);
  });

  it('logs nothing while nothing is typed', () => {
    render(<Pad onSave={() => undefined} />);
    expect(screen.getByRole('button', { name: 'Log it' })).toBeDisabled();
  });
});

describe('a reading that looks odd', () => {
  it('is asked about at once, and logged when the cook is sure', async () => {
    const save = vi.fn();
    const odd = (celsius: number, { place }: { place: string }) =>
      place === 'cooker' && celsius < 80 ? { question: 'Was it the core?', meant: [135] } : null;
    render(<Pad onSave={save} odd={odd} />);
    await userEvent.click(screen.getByRole('radio', { name: 'Cooker' }));
    await userEvent.keyboard('57');
    await userEvent.click(screen.getByRole('button', { name: 'Log it' }));
    expect(screen.getByRole('alert')).toHaveTextContent('Was it the core?');
    expect(save).not.toHaveBeenCalled();
    await userEvent.click(screen.getByRole('radio', { name: 'Middle' }));
    await userEvent.click(screen.getByRole('button', { name: 'Log it' }));
    expect(save).toHaveBeenLastCalledWith(expect.objectContaining({ celsius: 57, place: 'core', sure: false }), false);
    await userEvent.click(screen.getByRole('radio', { name: 'Cooker' }));
    await userEvent.click(screen.getByRole('button', { name: 'Log it' }));
    await userEvent.click(screen.getByRole('button', { name: '57 °C is right' }));
    expect(save).toHaveBeenLastCalledWith(expect.objectContaining({ celsius: 57, place: 'cooker', sure: true }), false);
    // What may have been meant is one press away.
    await userEvent.click(screen.getByRole('button', { name: 'It is 135 °C' }));
    expect(save).toHaveBeenLastCalledWith(expect.objectContaining({ celsius: 135, place: 'cooker', sure: false }), false);
  });

  it('begins at the usual place each time it is opened', async () => {
    const shown = render(<Pad onSave={() => undefined} />);
    await userEvent.click(screen.getByRole('radio', { name: 'Cooker' }));
    shown.unmount();
    render(<Pad onSave={() => undefined} />);
    expect(screen.getByRole('radio', { name: 'Middle' })).toBeChecked();
  });

  it('can have been read a while ago', async () => {
    const save = vi.fn();
    render(<Pad onSave={save} />);
    await userEvent.keyboard('44');
    await userEvent.click(screen.getByRole('button', { name: 'Read a while ago?' }));
    await userEvent.click(screen.getByRole('radio', { name: '10 min ago' }));
    await userEvent.click(screen.getByRole('button', { name: 'Log it' }));
    expect(save).toHaveBeenCalledWith(expect.objectContaining({ when: { ago: 10 } }), false);
  });
});

describe('number field', () => {
  it('passes on what is no number, for the server to answer', async () => {
    const seen: Typed[] = [];
    render(<NumberField label="Mass" of={{ unit: 'kg' }} value={3} onChange={(value) => seen.push(value)} />);
    await userEvent.tab();
    expect(screen.getByLabelText('Mass')).toHaveFocus();
    await userEvent.keyboard('{Delete}2,5 ish');
    expect(seen).toContain(2.5);
    expect(seen.at(-1)).toBe('2,5 ish');
    expect(seen[0]).toBeUndefined();
  });
});

describe('draft', () => {
  const cut = {
    id: 'duck',
    name: 'Duck, whole',
    kind: 'poultry',
    typical_mass_kg: 2.3,
    least_mass_kg: 1.2,
    most_mass_kg: 4,
    usual_taste: 'done',
    per_person_g: [550, 680],
    rest_minutes: 12,
  } as unknown as Cut;

  it('is tonight when there is time, else tomorrow', () => {
    expect(likelyHour(new Date(2031, 9, 4, 13, 7))).toMatch(/^2031-10-04T18:15/);
    expect(likelyHour(new Date(2031, 9, 4, 20, 0))).toMatch(/^2031-10-05T18:30/);
    expect(likelyHour(new Date(2031, 9, 4, 1, 0))).toMatch(/^2031-10-04T18:30/);
    // What takes longer is for the first evening that it can be ready by.
    expect(likelyHour(new Date(2031, 9, 4, 7, 0), 12)).toMatch(/^2031-10-05T18:30/);
    expect(likelyHour(new Date(2031, 9, 4, 6, 0), 12)).toMatch(/^2031-10-04T18:30/);
    expect(likelyHour(new Date(2031, 9, 4, 20, 0), 30)).toMatch(/^2031-10-06T18:30/);
  });

  it('works out what feeds them: more pieces where one would be larger than they come', () => {
    expect(helpings(cut, 6, 2)).toEqual([
      { pieces: 2, mass_kg: 1.65 },
      { pieces: 2, mass_kg: 2.04 },
    ]);
    expect(helpings(cut, 12, 1)[1]).toEqual({ pieces: 4, mass_kg: 2.04 });
  });

  it.each(table.cuts.map((row) => [row.name, row] as const))('feeds any number with pieces of %s as large as they come', (_name, row) => {
    const { least_kg, most_kg, typical_kg } = row.mass;
    const one = { least_mass_kg: least_kg, most_mass_kg: most_kg, typical_mass_kg: typical_kg, per_person_g: row.per_person_g } as Cut;
    for (let people = 1; people <= 40; people++)
      for (const pieces of [1, 2, 8])
        for (const [i, helping] of helpings(one, people, pieces).entries()) {
          expect(helping.mass_kg).toBeLessThanOrEqual(most_kg);
          expect(helping.mass_kg).toBeGreaterThanOrEqual(least_kg);
          expect(helping.mass_kg * helping.pieces).toBeGreaterThanOrEqual(
            ((row.per_person_g[i] ?? 0) * people) / 1000 - 0.01 * helping.pieces,
          );
        }
  });

  it('keeps the cooker when the cut changes, and drops what was measured', () => {
    const dish = withCut({ cut: 'chicken', mass_kg: 1.8, thickness_cm: 14, stages: [{ cooker: 'gas', cooker_c: 190, pull: true }] }, cut);
    expect(dish.stages[0]?.cooker).toBe('gas');
    expect(dish.thickness_cm).toBeUndefined();
    expect(dish.mass_kg).toBe(2.3);
  });

  it('leaves out what was left empty', () => {
    expect(toFile({ serve_at: 'x', people: undefined, dishes: [] })).toEqual({ serve_at: 'x', dishes: [] });
  });
});

describe('acts', () => {
  const dishes: FileDish[] = [{ cut: 'duck', mass_kg: 2, stages: [{ cooker: 'gas', chores: [{ do: 'baste' }, { do: 'stir' }] }] }];

  it.each([
    ['d0.on', 'on', 'on'],
    ['d0.pull', 'pull', 'pulled'],
    ['d0.chore.0.0.2', 'chore', 'basted'],
    ['d0.chore.0.1.0', 'chore', 'tick'],
    ['d0.rig', 'rig', 'tick'],
  ] as const)('logs %s as it should', (id, act, kind) => expect(eventFor(entry(id, act, ''), dishes).kind).toBe(kind));

  it('knows which stage begins', () => {
    expect(eventFor(entry('d0.stage.2', 'stage', ''), dishes)).toEqual({ kind: 'stage', stage: 2 });
  });
});

describe('a dish beside another', () => {
  const potatoes = { cut: 'potatoes', mass_kg: 0.2, stages: [{ cooker: 'kettle', cooker_c: 150, pull: true }] };

  it('takes the last cooker of the one before, at its heat, and not its rests', () => {
    const duck = {
      cut: 'duck',
      mass_kg: 2,
      stages: [
        { cooker: 'gas', cooker_c: 180, until_core_c: 50 },
        { cooker: 'rest', minutes: 10 },
      ],
    };
    expect(beside(potatoes, duck).stages).toEqual([{ cooker: 'gas', cooker_c: 180, hand_s: undefined, pull: true }]);
    const lamb = { cut: 'lamb-whole', mass_kg: 15, stages: [{ cooker: 'open-spit', hand_s: 6, pull: true }] };
    expect(beside(potatoes, lamb).stages[0]).toMatchObject({ cooker: 'open-spit', hand_s: 6 });
    expect(beside(potatoes, undefined)).toBe(potatoes);
  });
});
