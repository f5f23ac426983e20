import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { describe, expect, it, vi } from 'vitest';
import { lanesOf, TimeSkewer } from '../../charts/TimeSkewer';
import { aRoast, reference, show } from '../../testing';
import { at } from '../../units/time';
import { text } from '../../words/testing';
import type { DraftChore, DraftSide } from '../draft';
import { Chores } from './Chores';
import { ShoppingList } from '../rig/ShoppingList';
import { Sides } from './Sides';

function Ticket({
  start = [],
  told,
  errors = {},
}: {
  start?: DraftSide[];
  told: (sides: DraftSide[]) => void;
  errors?: Record<string, string[]>;
}) {
  const [sides, setSides] = useState(start);
  return (
    <Sides
      courses={1}
      dishes={['Rack']}
      cookers={reference.cookers}
      sides={sides}
      reference={reference}
      errors={errors}
      onChange={(next) => {
        setSides(next);
        told(next);
      }}
    />
  );
}

describe('sides on the ticket', () => {
  it('finds one by what people call it, takes another time for it, and takes it out', async () => {
    const told = vi.fn();
    show(<Ticket told={told} />);
    await userEvent.type(screen.getByRole('combobox', { name: 'Add greens, bread, a sauce…' }), 'bread');
    expect(screen.queryByRole('option', { name: /Greens/ })).toBeNull();
    await userEvent.click(screen.getByRole('option', { name: /Buttered loaf/ }));
    expect(told).toHaveBeenLastCalledWith([{ side: 'buttered-loaf', name: 'Buttered loaf' }]);
    expect(screen.getByText('waits well for 10 min')).toBeInTheDocument();
    await userEvent.type(screen.getByLabelText(/Takes/), '12');
    expect(told).toHaveBeenLastCalledWith([{ side: 'buttered-loaf', name: 'Buttered loaf', minutes: 12 }]);
    await userEvent.click(screen.getByRole('button', { name: 'Take out Buttered loaf' }));
    expect(told).toHaveBeenLastCalledWith([]);
  });

  it('lays one that is baked on a dish’s cooker, and back into a place of its own', async () => {
    const told = vi.fn();
    show(<Ticket start={[{ side: 'buttered-loaf', name: 'Loaf' }, { side: 'greens' }]} told={told} />);
    const [kettle] = reference.cookers;
    await userEvent.click(screen.getByLabelText('Where Loaf is cooked'));
    await userEvent.click(screen.getByRole('option', { name: `on the ${kettle?.short ?? ''}` }));
    expect(told.mock.lastCall?.[0][0]).toMatchObject({ side: 'buttered-loaf', on: kettle?.id });
    await userEvent.click(screen.getByLabelText('Where Loaf is cooked'));
    await userEvent.click(screen.getByRole('option', { name: 'in a pot or pan of its own' }));
    expect(told.mock.lastCall?.[0][0].on).toBeUndefined();
    // What is boiled has no heat of a cooker, and is not asked for one.
    expect(screen.queryByLabelText('Where Greens is cooked')).toBeNull();
  });

  it('takes one that no table has, by its own clock', async () => {
    const told = vi.fn();
    show(<Ticket told={told} />);
    await userEvent.type(screen.getByRole('combobox', { name: 'Add greens, bread, a sauce…' }), 'Plum cake');
    await userEvent.click(screen.getByRole('option', { name: /Plum cake.*one of your own/ }));
    expect(told).toHaveBeenLastCalledWith([{ side: 'own', name: 'Plum cake', minutes: 20 }]);
    await userEvent.type(screen.getByLabelText(/Waits well/), '45');
    expect(told).toHaveBeenLastCalledWith([{ side: 'own', name: 'Plum cake', minutes: 20, own: { waits_minutes: 45 } }]);
    expect(screen.getByRole('button', { name: 'Keep it for other tables' })).toBeEnabled();
  });

  it('says at the field what is wrong, and shows one that it does not know', () => {
    show(<Ticket told={vi.fn()} start={[{ side: 'trifle' }]} errors={{ 'sides.0.side': ['There is no side called “trifle”.'] }} />);
    const region = screen.getByRole('region', { name: 'Beside it' });
    expect(within(region).getByText('trifle')).toBeInTheDocument();
    expect(screen.getByLabelText(/Takes/)).toHaveAccessibleDescription('There is no side called “trifle”.');
  });
});

describe('chores', () => {
  function Kept({ told }: { told: (chores: DraftChore[]) => void }) {
    const [chores, setChores] = useState<DraftChore[]>([{ do: 'baste', every_minutes: 20 }]);
    return (
      <Chores
        chores={chores}
        reference={{ ...reference, chores: [...reference.chores, { id: 'own', name: text('Something else') }] }}
        errors={{}}
        onChange={(next) => {
          setChores(next);
          told(next);
        }}
      />
    );
  }

  it('take words of one’s own, from when, and how often', async () => {
    const told = vi.fn();
    show(<Kept told={told} />);
    await userEvent.selectOptions(screen.getByLabelText('Meanwhile'), 'own').catch(async () => {
      await userEvent.click(screen.getByLabelText('Meanwhile'));
      await userEvent.click(screen.getByRole('option', { name: 'Something else' }));
    });
    await userEvent.type(screen.getByLabelText('What'), 'Mop');
    await userEvent.type(screen.getByLabelText(/First after/), '40');
    expect(told).toHaveBeenLastCalledWith([{ do: 'own', words: 'Mop', every_minutes: 20, from_minutes: 40 }]);
  });
});

describe('sides on the skewer', () => {
  const side = (name: string, on: string, off: string) => ({
    side: 'greens',
    name,
    ready_at: on,
    on_at: on,
    off_at: off,
    done_at: off,
    kept_too_long: false,
    cooker: null,
    cooker_c: null,
  });
  const plan = {
    ...aRoast().plan,
    sides: [
      side('Kale', '2031-10-04T18:33:00Z', '2031-10-04T18:43:00Z'),
      side('Loaf', '2031-10-04T18:20:00Z', '2031-10-04T18:34:00Z'),
      side('Gravy', '2031-10-04T17:20:00Z', '2031-10-04T17:35:00Z'),
      side('Stock', '2031-10-03T10:00:00Z', '2031-10-03T15:00:00Z'),
    ],
  };

  it('hangs each on a lane of its own time, and none that was made days ahead', () => {
    const lanes = lanesOf(plan, at('2031-10-04T16:30:00Z'));
    expect(lanes.map((lane) => lane.map((one) => one.words))).toEqual([['Gravy', 'Loaf'], ['Kale']]);
    for (const lane of lanes) for (const [i, one] of lane.entries()) expect(one.from).toBeGreaterThanOrEqual(lane[i - 1]?.to ?? 0);
  });

  it('draws and tells them', () => {
    show(<TimeSkewer plan={plan} now={at('2031-10-04T17:00:00Z')} />);
    expect(screen.getByRole('img')).toHaveAccessibleName(/Kale from 18:33 to 18:43.*Table at/);
    expect(screen.getByText('Loaf')).toBeInTheDocument();
    expect(screen.queryByText('Stock')).toBeNull();
  });
});

describe('to buy', () => {
  it('goes aisle by aisle, in the cook’s own units', () => {
    show(<ShoppingList plan={aRoast().plan} />, { temperatureUnit: 'f', massUnit: 'lb', clockHours: 24 });
    const region = screen.getByRole('region', { name: 'To buy' });
    expect(
      within(region)
        .getAllByRole('heading', { level: 3 })
        .map((one) => one.textContent),
    ).toEqual(['At the butcher’s', 'For the fire']);
    expect(region).toHaveTextContent('Briquettes, for Kettle4.9 lb');
  });

  it('keeps what is in the house for the next roast, and leaves it out of the list that is shared', async () => {
    const writeText = vi.fn(() => Promise.resolve());
    const view = show(<ShoppingList plan={aRoast().plan} />);
    Object.defineProperty(navigator, 'clipboard', { value: { writeText }, configurable: true });
    await userEvent.click(screen.getByRole('checkbox', { name: 'Briquettes, for Kettle: in the house' }));
    await userEvent.click(screen.getByRole('button', { name: 'Copy the list' }));
    expect(writeText).toHaveBeenCalledWith('At the butcher’s\n- Brace of ducks: 4.4 kg');
    view.unmount();
    show(<ShoppingList plan={aRoast().plan} />);
    expect(screen.getByRole('checkbox', { name: 'Briquettes, for Kettle: in the house' })).toBeChecked();
  });
});
