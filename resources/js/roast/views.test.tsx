import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { NewEvent, RigReport } from '../api/types';
import { anEvent, aReading, aRoast, duck, entry, reference, show } from '../testing';
import { choreFor, mainDish, titleOf, toDo } from './acts';
import { newDish, type Draft } from './draft';
import { RigTicket } from './rig/RigTicket';
import { RigView } from './rig/RigView';
import { RunSheet } from './RunSheet';
import { Ticket } from './ticket/Ticket';
import { Obstacles } from './Obstacles';
import { TooLate } from './TooLate';
import { logged } from './useLogging';
import { text } from '../words/testing';
import { formatter } from '../units/units';
import { say } from '../words/say';

const call = vi.hoisted(() => vi.fn());
vi.mock('../api/client', async (original) => ({
  ...(await original<typeof import('../api/client')>()),
  call: (await import('../testing')).overTheWire(call),
}));

beforeEach(() => {
  localStorage.clear();
  call.mockReset();
  call.mockResolvedValue(aRoast());
});

type WritingProps = {
  start: Draft;
  onChange?: (draft: Draft) => void;
  errors?: Record<string, string[]>;
  within?: typeof reference;
};

function Writing({ start, onChange, errors = {}, within = reference }: WritingProps) {
  const [draft, setDraft] = useState(start);
  const [index, onShow] = useState(0);
  return (
    <Ticket
      draft={draft}
      onChange={(next) => {
        setDraft(next);
        onChange?.(next);
      }}
      errors={errors}
      reference={within}
      locked={false}
      shown={{ index, onShow }}
    />
  );
}

const draft = (): Draft => ({ serve_at: '2031-10-04T18:45:00+00:00', people: 6, air_c: 12, dishes: [newDish(duck)] });

describe('ticket', () => {
  it('offers the mass that feeds the table, and takes it', async () => {
    const seen: Draft[] = [];
    show(<Writing start={draft()} onChange={(next) => seen.push(next)} />);
    await userEvent.click(screen.getByRole('button', { name: '2 × 2.0 kg hungry' }));
    expect(seen.at(-1)?.dishes[0]).toMatchObject({ pieces: 2, mass_kg: 2.04 });
  });

  it('shows what is wrong at its field', () => {
    show(<Writing start={draft()} errors={{ 'dishes.0.mass_kg': ['The mass must be a number.'], serve_at: ['That hour has passed.'] }} />);
    expect(screen.getByLabelText('Mass')).toHaveAccessibleDescription('The mass must be a number.');
    expect(screen.getByLabelText('Mass')).toBeInvalid();
    expect(screen.getByLabelText('Table at')).toHaveAccessibleDescription('That hour has passed.');
  });

  it('adds a dish and takes it away again', async () => {
    const seen: Draft[] = [];
    show(<Writing start={draft()} onChange={(next) => seen.push(next)} />);
    await userEvent.click(screen.getByRole('button', { name: 'Add a dish' }));
    expect(seen.at(-1)?.dishes.map((dish) => dish.cut)).toEqual(['duck', 'potatoes']);
    // One dish at a time stands on the ticket: the new one now, the other a press away.
    expect(screen.getByLabelText('What')).toHaveValue('Potatoes');
    await userEvent.click(within(screen.getByRole('radiogroup', { name: 'Dish on the ticket' })).getByRole('radio', { name: /duck/i }));
    expect(screen.getByLabelText('What')).toHaveValue('Duck, whole');
    await userEvent.click(screen.getByRole('radio', { name: /potatoes/i }));
    await userEvent.click(screen.getByRole('button', { name: /More about this dish/ }));
    await userEvent.click(screen.getByRole('button', { name: 'Take this dish away' }));
    expect(screen.queryByRole('radiogroup', { name: 'Dish on the ticket' })).toBeNull();
    expect(seen.at(-1)?.dishes.map((dish) => dish.cut)).toEqual(['duck']);
  });

  it('marks the dish that wants mending, where another stands on the ticket', () => {
    const two = { ...draft(), dishes: [newDish(duck), newDish(duck)] };
    show(<Writing start={two} errors={{ 'dishes.1.mass_kg': ['One piece weighs more.'] }} />);
    const [first, second] = screen.getAllByRole('radio', { name: /duck/i });
    expect(first).not.toHaveTextContent('to mend');
    expect(second).toHaveTextContent('to mend');
  });

  it('gives a stage that is no longer the last an end of its own', async () => {
    const seen: Draft[] = [];
    show(<Writing start={draft()} onChange={(next) => seen.push(next)} />);
    await userEvent.click(screen.getByRole('button', { name: 'Add a stage' }));
    expect(seen.at(-1)?.dishes[0]?.stages).toMatchObject([
      { cooker: 'kettle', until_core_c: 45 },
      { cooker: 'open-grate', pull: true },
    ]);
    await userEvent.click(screen.getByRole('button', { name: /^Stage 2: before, again/ }));
    await userEvent.click(await screen.findByRole('menuitem', { name: 'Take it out' }));
    expect(seen.at(-1)?.dishes[0]?.stages).toMatchObject([{ cooker: 'kettle', pull: true }]);
  });

  it('asks an open fire for seconds of the hand, and any other for degrees', async () => {
    const seen: Draft[] = [];
    show(<Writing start={draft()} onChange={(next) => seen.push(next)} />);
    expect(screen.getByLabelText('At')).toBeInTheDocument();
    await userEvent.click(screen.getByRole('button', { name: 'Add a stage' }));
    expect(seen.at(-1)?.dishes[0]?.stages[1]).toMatchObject({ cooker: 'open-grate', hand_s: 3 });
    const hand = screen.getByLabelText('Hand held');
    await userEvent.clear(hand);
    await userEvent.type(hand, '4.5');
    expect(seen.at(-1)?.dishes[0]?.stages[1]).toMatchObject({ hand_s: 4.5 });
    expect(seen.at(-1)?.dishes[0]?.stages[1]?.cooker_c).toBeUndefined();
  });

  it('wraps a later step in foil, and unwraps it', async () => {
    const seen: Draft[] = [];
    show(<Writing start={draft()} onChange={(next) => seen.push(next)} />);
    await userEvent.click(screen.getByRole('button', { name: 'Add a stage' }));
    await userEvent.click(screen.getByLabelText('Wrapped'));
    await userEvent.click(screen.getByRole('option', { name: /in foil/ }));
    expect(seen.at(-1)?.dishes[0]?.stages[1]?.wrap).toBe('foil');
    await userEvent.click(screen.getByLabelText('Wrapped'));
    await userEvent.click(screen.getByRole('option', { name: /not at all/ }));
    expect(seen.at(-1)?.dishes[0]?.stages[1]?.wrap).toBeUndefined();
  });

  it('offers till it pulls apart for a tough cut alone', async () => {
    const tough = { ...reference, cuts: reference.cuts.map((cut) => ({ ...cut, tough: true })) };
    const seen: Draft[] = [];
    show(<Writing start={draft()} within={tough} onChange={(next) => seen.push(next)} />);
    await userEvent.click(screen.getByLabelText('Until'));
    await userEvent.click(screen.getByRole('option', { name: 'it pulls apart' }));
    expect(seen.at(-1)?.dishes[0]?.stages).toMatchObject([{ cooker: 'kettle', until_tender: true }]);
    expect(seen.at(-1)?.dishes[0]?.stages[0]?.pull).toBeUndefined();
  });

  it('takes a number of one’s own in place of a taste', async () => {
    const seen: Draft[] = [];
    show(<Writing start={draft()} onChange={(next) => seen.push(next)} />);
    await userEvent.click(screen.getByRole('radio', { name: /Own/ }));
    expect(seen.at(-1)?.dishes[0]).toMatchObject({ target_c: 74, taste: undefined });
    await userEvent.click(screen.getByRole('radio', { name: /Tender thighs/ }));
    expect(seen.at(-1)?.dishes[0]).toMatchObject({ taste: 'tender', target_c: undefined });
  });

  const addWork = async (words: string) => {
    await userEvent.type(screen.getByRole('combobox', { name: /Add salt, a rub/ }), words);
    await userEvent.click(screen.getAllByRole('option')[0] as HTMLElement);
  };

  it('puts handwork where it comes by nature, and takes it out again', async () => {
    const seen: Draft[] = [];
    show(<Writing start={draft()} onChange={(next) => seen.push(next)} />);
    await userEvent.click(screen.getByRole('button', { name: /Before the fire/ }));
    await addWork('tie');
    await addWork('butter');
    expect(seen.at(-1)?.dishes[0]?.preparations).toEqual(['butter', 'truss']);
    await userEvent.click(screen.getByRole('button', { name: /^Butter under the skin/ }));
    // The legs are tied once the butter is in, not before.
    expect(screen.getByRole('button', { name: 'Later' })).toBeDisabled();
    await userEvent.click(screen.getByRole('button', { name: 'Leave it out' }));
    expect(seen.at(-1)?.dishes[0]?.preparations).toEqual(['truss']);
  });

  it('lets the cook say how long handwork takes, and add a step of their own before it', async () => {
    const seen: Draft[] = [];
    show(<Writing start={draft()} onChange={(next) => seen.push(next)} />);
    await userEvent.click(screen.getByRole('button', { name: /Before the fire/ }));
    await addWork('tie');
    await userEvent.click(screen.getByRole('button', { name: /^Tie it/ }));
    await userEvent.type(screen.getByLabelText('Work of hands'), '20');
    expect(seen.at(-1)?.dishes[0]?.preparations).toEqual([{ do: 'truss', minutes: 20 }]);
    await userEvent.click(screen.getByRole('button', { name: /^Tie it/ }));
    await addWork('Air it by the window');
    await userEvent.click(screen.getByRole('button', { name: /^Air it by the window/ }));
    await userEvent.click(screen.getByRole('radio', { name: 'In the room' }));
    await userEvent.click(screen.getByRole('button', { name: 'Earlier' }));
    expect(seen.at(-1)?.dishes[0]?.preparations).toEqual([
      { own: 'Air it by the window', hours: 1, cold: false },
      { do: 'truss', minutes: 20 },
    ]);
  });
});

describe('run sheet', () => {
  it('logs what is ticked, with the entry that it ticks', async () => {
    show(<RunSheet roast={aRoast()} />);
    await userEvent.click(screen.getByRole('button', { name: 'Baste: Brace of ducks: done' }));
    await waitFor(() => expect(call).toHaveBeenCalled());
    const [method, path, body] = call.mock.calls[0] as [string, string, NewEvent];
    expect([method, path]).toEqual(['POST', '/api/roasts/roast/events']);
    expect(body).toMatchObject({ kind: 'basted', dish: 0, entry: 'd0.chore.0.0.0' });
    expect(body.id).toMatch(/^[0-9a-f-]{36}$/);
  });

  it('undoes what was ticked', async () => {
    const roast = aRoast({
      events: [anEvent('tick', 'Done', '2031-10-04T16:31:00.000Z', { entry: 'd0.light' })],
    });
    roast.plan.run_sheet[0] = entry('d0.light', 'light', '2031-10-04T16:30:00Z', { title: text('Light the chimney'), done: true });
    show(<RunSheet roast={roast} />);
    await userEvent.click(screen.getByRole('button', { name: 'Light the chimney: done, undo' }));
    await waitFor(() => expect(call).toHaveBeenCalledWith('DELETE', '/api/roasts/roast/events/e1'));
  });

  it('marks what is late in words, not by colour alone', () => {
    const roast = aRoast();
    roast.plan.run_sheet[0] = entry('d0.light', 'light', '2031-10-04T16:30:00Z', { title: text('Light the chimney'), late: true });
    show(<RunSheet roast={roast} />);
    expect(screen.getByText('late')).toBeInTheDocument();
  });

  it('shows temperatures in the cook’s units', () => {
    show(<RunSheet roast={aRoast()} />, { temperatureUnit: 'f', massUnit: 'lb', clockHours: 24 });
    expect(screen.getAllByText('Kettle at 356 °F').length).toBeGreaterThan(0);
  });
});

describe('too late', () => {
  it('promises the earliest hour', () => {
    show(<TooLate plan={{ ...aRoast().plan, too_late: true, earliest_serve_at: '2031-10-04T19:40:00Z' }} now={Date.UTC(2031, 9, 4, 17)} />);
    expect(screen.getByRole('alert')).toHaveTextContent('the table can be promised for 19:40');
  });

  it('is silent while there is time', () => {
    const { container } = show(<TooLate plan={aRoast().plan} now={0} />);
    expect(container).toHaveTextContent('');
  });
});

describe('what stands in the way', () => {
  const draft = { serve_at: '2031-10-04T18:00:00Z', dishes: [{ cut: 'duck', preparations: [] }] } as unknown as Draft;

  it('is told before anything is kept, and taken away with one press', async () => {
    const change = vi.fn();
    const file = { ...aRoast().file, people: 11 };
    const plan = {
      ...aRoast().plan,
      obstacles: [
        {
          id: 'too_near',
          dish: null,
          words: text('Too near for 18:45'),
          ways_out: [{ words: text('Move the table to 19:40'), file }],
          cooker: null,
        },
        { id: 'not_safe', dish: 0, words: text('Duck: not to be eaten'), ways_out: [], cooker: null },
      ],
    };
    show(<Obstacles plan={plan} draft={draft} onChange={change} />);
    expect(screen.getByRole('heading', { name: '2 things stand in the way' })).toBeInTheDocument();
    expect(screen.getByText('Duck: not to be eaten', { exact: false })).toBeInTheDocument();
    await userEvent.click(screen.getByRole('button', { name: 'Move the table to 19:40' }));
    expect(change.mock.calls[0]?.[0]).toMatchObject({ people: 11 });
  });

  it('takes no room where nothing stands in the way', () => {
    const { container } = show(<Obstacles plan={aRoast().plan} draft={draft} onChange={vi.fn()} />);
    expect(container).toHaveTextContent('');
  });
});

describe('rig', () => {
  const spit: RigReport = {
    kind: 'spit',
    size: { length_cm: 28, width_cm: 16, depth_cm: 15, measured: false },
    spit: {
      fit: 'tied',
      fits: true,
      words: text('It fits when it is tied; a loose leg would touch.'),
      usable_cm: 58,
      room_cm: 17,
      keep_cm: 2.5,
      clearance_cm: 7.6,
      loose_clearance_cm: 0.9,
      tight_deg: 0,
      off_cm: 1.3,
      largest_mass_kg: 5.2,
      load_kg: 4.4,
    },
    balance: {
      torque_nm: 0.55,
      motor_nm: 0.4,
      load: 1.37,
      comfortable: false,
      stalls: true,
      stall_factor: 3.14,
      heavy_deg: 140,
      counter_deg: 320,
      counter_kg: 0.6,
      counter_arm_cm: 9.4,
    },
    bar: { sag_mm: 2.7, stress_mpa: 38, of_yield: 0.18, holds: true, span_that_holds_cm: 120, source: text('Published') },
    pot: null,
    pit: null,
    frame: null,
  };

  it('says that the motor stalls, what that does and how far to move the skewer', () => {
    const roast = aRoast({}, { rig: spit });
    show(<RigView plan={roast.plan} index={0} roast={roast} now={0} />);
    expect(screen.getByText(/it stalls, and the side to the fire gets 3 times its heat/)).toBeInTheDocument();
    expect(screen.getByText(/Move the skewer 1.3 cm/)).toBeInTheDocument();
    expect(screen.getByText('600 g')).toBeInTheDocument();
  });

  it('ticks off the kit as an event', async () => {
    const roast = aRoast();
    show(<RigView plan={roast.plan} index={0} roast={roast} now={0} />);
    await userEvent.click(screen.getByRole('button', { name: /Twine/ }));
    await waitFor(() => expect(call).toHaveBeenCalled());
    expect((call.mock.calls[0] as [string, string, NewEvent])[2]).toMatchObject({ kind: 'tick', entry: 'kit.twine', dish: null });
  });

  it('asks of a rig only what belongs to it', async () => {
    const seen: Draft[] = [];
    show(<RigTicket draft={draft()} index={0} onChange={(next) => seen.push(next)} errors={{}} />);
    expect(screen.queryByLabelText('Between the forks')).not.toBeInTheDocument();
    await userEvent.click(screen.getByRole('radio', { name: 'Spit' }));
    expect(seen.at(-1)?.dishes[0]?.rig).toEqual({ kind: 'spit' });
  });

  it('warns before a dig', () => {
    const buried = draft();
    buried.dishes[0] = { ...newDish(duck), rig: { kind: 'buried_pot' } };
    show(
      <RigTicket
        draft={buried}
        index={0}
        onChange={() => undefined}
        errors={{ 'dishes.0.rig.pot_cm': ['The diameter must be between 15 and 60 cm.'] }}
      />,
    );
    expect(screen.getByText(/utility-locating service before you dig/)).toBeInTheDocument();
    expect(screen.getByLabelText('Pot, across')).toHaveAccessibleDescription('The diameter must be between 15 and 60 cm.');
  });
});

describe('what is next', () => {
  it('leaves out what is done, what rests by itself and the table', () => {
    const { plan } = aRoast();
    plan.run_sheet[0] = entry('d0.light', 'light', '2031-10-04T16:30:00Z', { done: true });
    plan.run_sheet.push(entry('d0.rest', 'rest', '2031-10-04T18:18:00Z'));
    expect(toDo(plan).map((one) => one.act)).toEqual(['on', 'chore', 'pull', 'carve']);
  });

  it('ties a tap to the chore that is due, and to none that is far off', () => {
    const { plan, file } = aRoast();
    const due = new Date('2031-10-04T17:18:00Z').getTime();
    expect(choreFor('basted', 0, plan, file.dishes, due)?.id).toBe('d0.chore.0.0.0');
    expect(choreFor('basted', 0, plan, file.dishes, due - 3_600_000)).toBeUndefined();
    expect(choreFor('fuel', 0, plan, file.dishes, due)).toBeUndefined();
  });

  it('looks at the dish that is on the heat', () => {
    const roast = aRoast();
    const [first] = roast.plan.dishes;
    if (first === undefined) throw new Error('no dish');
    roast.plan.dishes = [{ ...first, status: 'carved' }, { ...first, status: 'on' }, first];
    expect(mainDish(roast)).toBe(1);
    expect(titleOf({ ...roast, name: '' })).toBe('Brace of ducks');
  });

  it('lists the log, latest first, with what was left out', () => {
    const lines = logged(
      aRoast({
        readings: [aReading('r1', '2031-10-04T17:30:00.200Z', 24, { counts: false, verdict: text('Left out') })],
        events: [anEvent('note', 'Note', '2031-10-04T17:30:00.900Z', { note: 'Wind' })],
      }),
      (message) => (message === null ? '' : say(message, formatter({ temperatureUnit: 'c', massUnit: 'kg', clockHours: 24 }))),
    );
    expect(lines.map((line) => line.words)).toEqual(['Wind', 'Middle']);
    expect(lines[1]).toMatchObject({ counts: false, celsius: 24 });
  });
});

describe('why', () => {
  it('opens a number to its working and source', async () => {
    const { Why } = await import('../ui/Why');
    const [first] = aRoast().plan.dishes;
    show(
      <Why of="safe_c" workings={first?.workings ?? []}>
        74 °C
      </Why>,
      { temperatureUnit: 'f', massUnit: 'lb', clockHours: 24 },
    );
    await userEvent.click(screen.getByRole('button', { name: '74 °C' }));
    const panel = await screen.findByText('The plain safe minimum for poultry.');
    expect(within(panel.parentElement as HTMLElement).getByText('165 °F')).toBeInTheDocument();
    expect(screen.getByText('Published: USDA FSIS')).toBeInTheDocument();
  });
});
