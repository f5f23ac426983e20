import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { Refused } from '../api/client';
import { aRoast, show } from '../testing';
import { Hearth } from '../hearth/Hearth';
import { Log } from './Log';
import { againstPlan, minutesTaken } from './past';

const call = vi.hoisted(() => vi.fn());
vi.mock('../api/client', async (original) => ({
  ...(await original<typeof import('../api/client')>()),
  call: (await import('../testing')).overTheWire(call),
}));

const done = () =>
  aRoast(
    { id: 'past', name: 'Regatta dinner', status: 'done', note: 'More coals.' },
    { on_at: '2031-09-20T16:00:00Z', pulled_at: '2031-09-20T17:40:00Z', carved_at: '2031-09-20T18:00:00Z', status: 'carved' },
  );
const answers = (roasts: unknown[]) =>
  call.mockImplementation((_method: string, path: string) =>
    Promise.resolve(
      path === '/api/roasts'
        ? roasts
        : { user: { name: 'Ada', temperature_unit: 'c', mass_unit: 'kg', clock_hours: 24 }, demo: true, csrf: 'x' },
    ),
  );

beforeEach(() => {
  localStorage.clear();
  call.mockReset();
});

describe('log', () => {
  it('tells what each dish took against its plan, and the note', async () => {
    answers([done()]);
    show(<Log />);
    expect(await screen.findByText('Regatta dinner')).toBeInTheDocument();
    expect(screen.getByText('1 h 40')).toBeInTheDocument();
    expect(screen.getByText('22 min longer')).toBeInTheDocument();
    expect(screen.getByText('More coals.')).toBeInTheDocument();
  });

  it('draws what was read beside what was expected, and says how each cooker kept to its plans', async () => {
    const trail = {
      planned: [
        [0, 5],
        [60, 40],
        [90, 60],
      ],
      read: [
        [30, 20],
        [70, 48],
      ],
    };
    const slow = done();
    const quick = aRoast(
      { id: 'other', name: 'Low water', status: 'done' },
      { on_at: '2031-09-20T16:00:00Z', pulled_at: '2031-09-20T17:02:00Z', carved_at: '2031-09-20T18:00:00Z', status: 'carved', trail },
    );
    const waiting = aRoast({ id: 'never', name: 'Rained off', status: 'done' });
    answers([slow, quick, waiting]);
    show(<Log />);
    const picture = await screen.findByRole('img', { name: /off after 1 h 02; 2 readings/ });
    expect(picture.querySelectorAll('circle')).toHaveLength(2);
    // 100 and 62 minutes where 78 were planned: 28 % slower and 21 % quicker; what was never cooked says nothing.
    // Of 68 to 90 planned, the mean of two may be ten of a hundred off by chance: nothing is said of the cooker.
    expect(screen.getByText(/: 2 cooks, as any day$/)).toBeInTheDocument();
    const points = screen.getByLabelText('Cookers against their plans').querySelectorAll('circle title');
    expect([...points].map((one) => one.textContent)).toEqual([
      'Regatta dinner, Brace of ducks: 28 % slower',
      'Low water, Brace of ducks: 21 % quicker',
    ]);
  });

  it('says so where there is nothing yet', async () => {
    answers([]);
    show(<Log />);
    expect(await screen.findByText(/No roast has been finished yet/)).toBeInTheDocument();
  });

  it('names what is wrong with a file and takes nothing from it', async () => {
    answers([]);
    const { container } = show(<Log />);
    await screen.findByText(/No roast has been finished yet/);
    // The simulated page has files without contents to read.
    const file = Object.assign(new File(['{}'], 'roast.json', { type: 'application/json' }), { text: () => Promise.resolve('{}') });
    call.mockRejectedValue(new Refused('no', { 'dishes.0.mass_kg': ['The mass must be a number.'] }));
    await userEvent.upload(container.querySelector('input[type=file]') as HTMLInputElement, file);
    expect(await screen.findByRole('alert')).toHaveTextContent('dishes.0.mass_kg: The mass must be a number.');
  });

  it('offers another try when the kitchen cannot be reached', async () => {
    call.mockRejectedValue(new Error('The kitchen cannot be reached.'));
    show(<Log />);
    expect(await screen.findByText('The kitchen cannot be reached.')).toBeInTheDocument();
    answers([done()]);
    await userEvent.click(screen.getByRole('button', { name: 'Try again' }));
    expect(await screen.findByText('Regatta dinner')).toBeInTheDocument();
  });
});

describe('past', () => {
  it('compares with the plan only what was cooked', () => {
    const [dish] = done().plan.dishes;
    if (dish === undefined) throw new Error('no dish');
    expect(minutesTaken(dish)).toBe(100);
    const { likely } = dish.cook_minutes;
    const off = (minutes: number) => ({
      ...dish,
      pulled_at: new Date(Date.parse(dish.on_at ?? '') + (likely + minutes) * 60_000).toISOString(),
    });
    expect(againstPlan(off(0))).toBe('as planned');
    expect(againstPlan(off(0.05 * likely))).toBe('about as planned');
    expect(againstPlan(off(0.5 * likely))).toMatch(/longer$/);
    expect(againstPlan(off(-0.5 * likely))).toMatch(/shorter$/);
    expect(againstPlan({ ...dish, pulled_at: null })).toBe('not cooked');
  });
});

describe('hearth', () => {
  it('puts what is on the fire and its next act first', async () => {
    answers([aRoast({ status: 'cooking' }, { status: 'on' }), done()]);
    show(<Hearth />);
    expect(await screen.findByText('Light the chimney')).toBeInTheDocument();
    expect(screen.getByRole('link', { name: 'To the fire' })).toHaveAttribute('href', '/roasts/roast/live');
    expect(screen.getByText('Regatta dinner')).toBeInTheDocument();
  });

  it('leads a newcomer to the first plan', async () => {
    answers([]);
    show(<Hearth />);
    expect(await screen.findByText('Nothing is on the fire.')).toBeInTheDocument();
    await waitFor(() => expect(screen.getAllByRole('link', { name: 'Plan a roast' }).length).toBeGreaterThan(0));
  });
});
