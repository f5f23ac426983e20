import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { fireEvent, render, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { MemoryRouter, Route, Routes } from 'react-router';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { Failed, Outdated, Refused, Unreachable } from '../api/client';
import { openOutbox } from '../api/outbox';
import type { FollowedDish, NewEvent, NewReading, Plan, Roast } from '../api/types';
import { aLive, anEvent, aReading, aRoast, entry, reference, show } from '../testing';
import { tapsAt, typesQuickly } from '../testing-hand';
import { aCooker, aFire, aTending } from '../testing-fire';
import { UnitsContext } from '../units/units';
import { Debrief } from './Debrief';
import { Live } from './live/Live';
import { NewRoast } from './NewRoast';
import { RoastPage } from './RoastPage';
import { Table } from './Table';
import { text } from '../words/testing';

const call = vi.hoisted(() => vi.fn());
vi.mock('../api/client', async (original) => ({
  ...(await original<typeof import('../api/client')>()),
  call: (await import('../testing')).overTheWire(call),
}));

const me = { user: { name: 'Ada', temperature_unit: 'c', mass_unit: 'kg', clock_hours: 24 }, demo: false, csrf: 'x' };

const mix = {
  id: 'rub',
  own: false,
  name: 'Weir rub',
  kind: 'rub',
  basis: 'per_kg',
  basis_words: text('for each kilogram'),
  items: [{ what: 'salt', amount: text('53 g') }],
  method: 'Mix.',
  trouble: null,
};

/** The server, as far as these screens ask it; what is not said otherwise answers with the roast. */
function answering(answers: Record<string, unknown>) {
  call.mockImplementation((method: string, path: string, body: unknown) => {
    const answer = answers[`${method} ${path}`] ?? answers[path];
    if (answer instanceof Error) return Promise.reject(answer);
    if (typeof answer === 'function') return Promise.resolve((answer as (body: unknown) => unknown)(body));
    if (answer !== undefined) return Promise.resolve(answer);
    if (path === '/api/me') return Promise.resolve(me);
    if (path === '/api/reference') return Promise.resolve(reference);
    if (path.startsWith('/api/mixes')) return Promise.resolve([mix]);
    if (path === '/api/cookers') return Promise.resolve([aCooker()]);
    if (path.startsWith('/api/weather')) return Promise.resolve({ hours: [] });
    if (path.endsWith('/ways')) return Promise.resolve({ as_it_is: { table: text('18:45, as asked for') }, ways: [] });
    return Promise.resolve(aRoast());
  });
}

beforeEach(async () => {
  localStorage.clear();
  call.mockReset();
  answering({});
  // A cook of its own for each, so that nothing that waits comes over from another.
  await openOutbox(`cook ${Math.random()}`);
});

const sent = (method: string, path: string) =>
  call.mock.calls.filter((one) => one[0] === method && one[1] === path).map((one) => one[2] as Record<string, unknown>);

const curve = { minutes: [0, 40, 80], core_c: [5, 40, 65], surface_c: [5, 90, 110], air_c: [180, 180, 180] };
const pictures = {
  curve,
  band: [
    { minutes: 0, low_c: 5, high_c: 5 },
    { minutes: 80, low_c: 60, high_c: 69 },
  ],
  section: {
    positions: [0, 0.5, 1],
    minutes: [0, 80],
    celsius: [
      [5, 5, 5],
      [65, 80, 110],
    ],
  },
};

const live = (more: Partial<NonNullable<FollowedDish['live']>> = {}): NonNullable<FollowedDish['live']> => aLive({ pace: 1.1, ...more });

const cooking = (more: Partial<Roast> = {}, dish: Partial<FollowedDish> = {}): Roast =>
  aRoast({ status: 'cooking', ...more }, { status: 'on', on_at: '2031-10-04T17:00:00Z', live: live(), pictures, ...dish });

function open(path: string) {
  const cache = new QueryClient({ defaultOptions: { queries: { retry: false }, mutations: { networkMode: 'always' } } });
  return render(
    <QueryClientProvider client={cache}>
      <UnitsContext value={{ temperatureUnit: 'c', massUnit: 'kg', clockHours: 24 }}>
        <MemoryRouter initialEntries={[path]}>
          <Routes>
            <Route path="/" element={<p>The hearth</p>} />
            <Route path="/roasts/new" element={<NewRoast />} />
            <Route path="/roasts/:id" element={<RoastPage />} />
            <Route path="/roasts/:id/:view" element={<RoastPage />} />
          </Routes>
        </MemoryRouter>
      </UnitsContext>
    </QueryClientProvider>,
  );
}

describe('a roast’s page', () => {
  it('opens where the work is', async () => {
    answering({ '/api/roasts/roast': cooking() });
    open('/roasts/roast');
    expect(await screen.findByText('Core, coldest point')).toBeInTheDocument();
  });

  it('goes through its views by number, in the order of the work', async () => {
    answering({ '/api/roasts/roast': aRoast({}, { pictures }) });
    open('/roasts/roast/sheet');
    expect(await screen.findByText('Print for the fireside')).toBeInTheDocument();
    await userEvent.keyboard('6');
    expect(await screen.findByRole('region', { name: 'Carve and keep' })).toBeInTheDocument();
    await userEvent.keyboard('4');
    expect(await screen.findByText('Print for the fireside')).toBeInTheDocument();
    await userEvent.keyboard('3');
    expect(await screen.findByText(/Nothing here is cooked over a fire/)).toBeInTheDocument();
  });

  it.each([
    [live({ under_60_at: '2031-10-04T19:05:00Z' }), '19:05'],
    [live(), 'later'],
    [live({ peak_c: 47, under_60_at: '2031-10-04T18:05:00Z' }), 'all along'],
    [null, '19:20'],
  ])('says at the table when it falls under 60°: as it was followed, else as planned', async (followed, words) => {
    const status = followed === null ? {} : ({ status: 'on', on_at: '2031-10-04T17:00:00Z' } as const);
    answering({ '/api/roasts/roast': aRoast({}, { pictures, ...status, live: followed, under_60_minutes: 140 }) });
    open('/roasts/roast/table');
    const label = await screen.findByText('Under 60°');
    expect(label.parentElement).toHaveTextContent(words);
  });

  it.each(['table', 'live'])('sends back what came off too soon, and takes it as back with one press (%s)', async (view) => {
    const advice = { act: 'back_on', words: text('Back on the heat'), why: text('It reads 35'), minutes: null } as const;
    const pulled = anEvent('pulled', 'Pulled', '2031-10-04T18:00:00Z', { dish: 0 });
    const off = { status: 'resting', pulled_at: pulled.at, live: live({ advice }) } as const;
    answering({ '/api/roasts/roast': cooking({ events: [pulled] }, off) });
    open(`/roasts/roast/${view}`);
    expect(await screen.findByText('Back on the heat')).toBeInTheDocument();
    expect(screen.queryByText('Rests for')).not.toBeInTheDocument();
    await userEvent.click(screen.getByRole('button', { name: 'It is back on' }));
    await waitFor(() => expect(sent('POST', '/api/roasts/roast/events').at(-1)).toMatchObject({ kind: 'back_on', dish: 0 }));
  });

  it('promises nothing at the table where the heat will never do it', async () => {
    answering({ '/api/roasts/roast': cooking({}, { live: live({ gets_there: false }) }) });
    open('/roasts/roast/table');
    expect((await screen.findByText('Carve at')).parentElement).toHaveTextContent('–');
    expect(screen.queryByText('Under 60°')).not.toBeInTheDocument();
    expect(screen.getByRole('img', { name: /does not reach its pull/ })).toBeInTheDocument();
  });

  it('says that it is not there, and leads back', async () => {
    answering({ '/api/roasts/gone': new Failed(404, 'That is not here (any more).') });
    open('/roasts/gone');
    expect(await screen.findByRole('alert')).toHaveTextContent('That is not here (any more).');
    expect(screen.queryByRole('button', { name: 'Try again' })).toBeNull();
    await userEvent.click(screen.getByRole('link', { name: 'To the hearth' }));
    expect(screen.getByText('The hearth')).toBeInTheDocument();
  });

  it('offers another try when it cannot be reached', async () => {
    answering({ '/api/roasts/roast': new Unreachable('The kitchen cannot be reached.') });
    open('/roasts/roast');
    const again = await screen.findByRole('button', { name: 'Try again' });
    answering({ '/api/roasts/roast': cooking() });
    await userEvent.click(again);
    expect(await screen.findByText('Core, coldest point')).toBeInTheDocument();
  });
});

describe('changing a roast', () => {
  const plan = (people: number): Plan => ({ ...aRoast().plan, people, dishes: aRoast({}, { pictures }).plan.dishes });

  it('tries a change out first and keeps it when the cook says so', async () => {
    answering({
      '/api/roasts/roast': aRoast({}, { pictures }),
      '/api/preview': plan(9),
      'PATCH /api/roasts/roast/file': aRoast({ name: 'Kept' }, { pictures }),
    });
    open('/roasts/roast/food');
    const people = await screen.findByLabelText('To feed');
    expect(screen.queryByRole('button', { name: 'Keep the changes' })).toBeNull();
    await userEvent.clear(people);
    await userEvent.type(people, '9');
    await waitFor(() => expect(sent('POST', '/api/preview').at(-1)).toMatchObject({ people: 9 }));
    // What was stored before is answered already, and is not asked again.
    expect(sent('POST', '/api/preview').map((one) => one.people)).toEqual([9]);
    await userEvent.click(screen.getByRole('button', { name: 'Keep the changes' }));
    expect(await screen.findByRole('heading', { name: 'Kept' })).toBeInTheDocument();
    expect(sent('PATCH', '/api/roasts/roast/file')[0]).toEqual({ people: 9 });
  });

  it('asks which stands where another device changed the same, and keeps what is chosen with the rest', async () => {
    const stored = aRoast({}, { pictures });
    const stands = { ...stored.file, people: 12, name: 'At the weir' };
    answering({
      '/api/roasts/roast': stored,
      '/api/preview': plan(9),
      'PATCH /api/roasts/roast/file': new Outdated('changed meanwhile', 'e2', { file: stands, note: '' }),
    });
    open('/roasts/roast/food');
    const people = await screen.findByLabelText('To feed');
    await userEvent.clear(people);
    await userEvent.type(people, '9');
    await userEvent.click(await screen.findByRole('button', { name: 'Keep the changes' }));
    const asked = await screen.findByRole('alert', { name: 'Changed on two devices' });
    expect(asked).toHaveTextContent('People at the table');
    const keep = within(asked).getByRole('button', { name: 'Keep it so' });
    expect(keep).toBeDisabled();
    await userEvent.click(within(asked).getByRole('radio', { name: /12/ }));
    answering({
      '/api/roasts/roast': stored,
      '/api/preview': plan(12),
      'PATCH /api/roasts/roast/file': aRoast({ name: 'Kept' }, { pictures }),
    });
    await userEvent.click(keep);
    expect(await screen.findByRole('heading', { name: 'Kept' })).toBeInTheDocument();
    // Nothing is left to change: what stands there is what was chosen.
    expect(sent('PATCH', '/api/roasts/roast/file').at(-1)).toEqual({});
  });

  it('puts everything back as it was', async () => {
    answering({ '/api/roasts/roast': aRoast({}, { pictures }), '/api/preview': plan(9) });
    open('/roasts/roast/food');
    const people = await screen.findByLabelText('To feed');
    await userEvent.clear(people);
    await userEvent.type(people, '9');
    await userEvent.click(screen.getByRole('button', { name: 'As it was' }));
    expect(screen.getByLabelText('To feed')).toHaveValue('6');
    expect(sent('PATCH', '/api/roasts/roast/file')).toHaveLength(0);
  });

  it('goes on answering the figures before while something cannot be read', async () => {
    answering({
      '/api/roasts/roast': aRoast({}, { pictures }),
      '/api/preview': new Refused('no', { people: ['The number of people must be a number.'] }),
    });
    open('/roasts/roast/food');
    await userEvent.type(await screen.findByLabelText('To feed'), 'x');
    expect(await screen.findByText(/still answers the figures before/)).toBeInTheDocument();
    expect(screen.getByLabelText('To feed')).toHaveAccessibleDescription('The number of people must be a number.');
    expect(screen.getByRole('button', { name: 'Keep the changes' })).toBeDisabled();
  });
});

describe('a new roast', () => {
  it('starts from sensible figures and is kept', async () => {
    answering({ '/api/preview': { ...aRoast().plan, dishes: aRoast({}, { pictures }).plan.dishes } });
    open('/roasts/new');
    await userEvent.click(await screen.findByRole('button', { name: 'From nothing' }));
    await waitFor(() => expect(sent('POST', '/api/preview').length).toBeGreaterThan(0));
    expect(sent('POST', '/api/preview')[0]).toMatchObject({ people: 4, dishes: [{ cut: 'duck', stages: [{ cooker: 'kettle' }] }] });
    await userEvent.click(await screen.findByRole('button', { name: 'Keep this roast' }));
    await waitFor(() => expect(sent('POST', '/api/roasts')).toHaveLength(1));
    expect(await screen.findByText('Print for the fireside')).toBeInTheDocument();
  });

  it('begins with a way of cooking, grows with its guests until something was weighed, and can begin another way', async () => {
    answering({ '/api/preview': { ...aRoast().plan, dishes: aRoast({}, { pictures }).plan.dishes } });
    open('/roasts/new');
    await userEvent.type(await screen.findByLabelText('Find a way of cooking'), 'goat');
    expect(screen.getByText(/Nothing goes by that name/)).toBeInTheDocument();
    await userEvent.clear(screen.getByLabelText('Find a way of cooking'));
    await userEvent.click(screen.getByRole('button', { name: /A duck on the kettle/ }));
    const people = await screen.findByLabelText('To feed');
    await userEvent.clear(people);
    await userEvent.type(people, '8');
    expect(screen.getByLabelText('Pieces')).toHaveValue('2');
    const mass = screen.getByLabelText('Mass, each');
    await userEvent.clear(mass);
    await userEvent.type(mass, '2.6');
    await userEvent.clear(people);
    await userEvent.type(people, '4');
    expect(screen.getByLabelText('Pieces')).toHaveValue('2');
    await userEvent.click(screen.getByRole('button', { name: 'Another way to begin' }));
    expect(await screen.findByRole('button', { name: 'From nothing' })).toBeInTheDocument();
  });

  it('takes each letter of a quick hand, in every field that is typed into', async () => {
    answering({ '/api/preview': { ...aRoast().plan, dishes: aRoast({}, { pictures }).plan.dishes } });
    open('/roasts/new');
    const search = await screen.findByLabelText<HTMLInputElement>('Find a way of cooking');
    typesQuickly(search, 'bird fat');
    expect(search).toHaveValue('bird fat');
    await userEvent.click(await screen.findByRole('button', { name: /A duck on the kettle/ }));
    await screen.findByLabelText('To feed');
    await userEvent.click(screen.getByRole('button', { name: 'Where it is: weather and dusk' }));
    const fields = [...screen.getAllByRole('textbox'), ...screen.getAllByRole('combobox')].filter(
      (one): one is HTMLInputElement => one instanceof HTMLInputElement && !one.disabled,
    );
    expect(fields.length).toBeGreaterThan(8);
    for (const field of fields) {
      await userEvent.clear(field);
      const words = field.inputMode === 'decimal' || field.inputMode === 'numeric' ? '12.5' : 'table';
      typesQuickly(field, words);
      expect(field, field.labels?.[0]?.textContent ?? '').toHaveValue(words);
    }
  });

  it('begins with what was cooked before, and says what was to be changed', async () => {
    answering({
      '/api/preview': { ...aRoast().plan, dishes: aRoast({}, { pictures }).plan.dishes },
      '/api/roasts/roast': aRoast({ note: 'Light it a quarter of an hour sooner.' }, { pictures }),
    });
    open('/roasts/new?like=roast');
    expect(await screen.findByText('Light it a quarter of an hour sooner.')).toBeInTheDocument();
    await waitFor(() => expect(sent('POST', '/api/preview').length).toBeGreaterThan(0));
    expect(sent('POST', '/api/preview').at(-1)?.dishes).toEqual(aRoast().file.dishes);
    expect(sent('POST', '/api/preview').at(-1)?.serve_at).not.toBe(aRoast().file.serve_at);
  });

  it('says so when it could not be kept, and loses nothing', async () => {
    answering({
      '/api/preview': { ...aRoast().plan, dishes: aRoast({}, { pictures }).plan.dishes },
      'POST /api/roasts': new Unreachable('The kitchen cannot be reached.'),
    });
    open('/roasts/new');
    await userEvent.click(await screen.findByRole('button', { name: 'From nothing' }));
    await userEvent.type(await screen.findByLabelText('Occasion'), 'First supper');
    await userEvent.click(await screen.findByRole('button', { name: 'Keep this roast' }));
    expect(await screen.findByRole('alert')).toHaveTextContent('The kitchen cannot be reached.');
    expect(screen.getByLabelText('Occasion')).toHaveValue('First supper');
  });
});

describe('the fireside card', () => {
  it('has the pull, the settings and the tasks of the day', async () => {
    answering({ '/api/roasts/roast': aRoast({}, { pictures }) });
    open('/roasts/roast/card');
    const card = within(await screen.findByRole('article', { name: 'Fireside card' }));
    expect(card.getByText('65°')).toBeInTheDocument();
    expect(card.getByText('Brace of ducks')).toBeInTheDocument();
    expect(card.getByText(/safe at 74°/)).toBeInTheDocument();
    expect(card.getByRole('link', { name: 'Back to the run sheet' })).toHaveAttribute('href', '/roasts/roast/sheet');
  });
});

describe('live', () => {
  it('says by itself that the table will not be ready, and asks for ways', async () => {
    show(<Live roast={{ ...cooking(), turn: 'behind' }} />);
    expect(screen.getByText(/As it goes, the table is ready at/)).toBeInTheDocument();
    await userEvent.click(screen.getByRole('button', { name: 'Ways to go on' }));
    await waitFor(() => expect(sent('POST', '/api/roasts/roast/ways')).toEqual([{ turn: 'behind' }]));
  });

  it('says what is next and logs it with one tap', async () => {
    const roast = cooking();
    roast.plan.run_sheet = [
      entry('d0.pull', 'pull', '2031-10-04T18:20:00Z', { title: text('Pull Brace of ducks') }),
      ...roast.plan.run_sheet.slice(-1),
    ];
    show(<Live roast={roast} />);
    expect(screen.getByRole('heading', { name: 'Pull Brace of ducks' })).toBeInTheDocument();
    await userEvent.click(screen.getByRole('button', { name: 'Done' }));
    await waitFor(() => expect(sent('POST', '/api/roasts/roast/events')).toHaveLength(1));
    expect(sent('POST', '/api/roasts/roast/events')[0]).toMatchObject({
      kind: 'pulled',
      dish: 0,
      entry: 'd0.pull',
    } satisfies Partial<NewEvent>);
  });

  it('shows the core large, with its band and what the heat does', () => {
    show(<Live roast={cooking()} />);
    expect(screen.getByText('41°')).toBeInTheDocument();
    expect(screen.getByText(/38° to 44°/)).toBeInTheDocument();
    expect(screen.getByText('10 % slower')).toBeInTheDocument();
    expect(screen.getByText('18:10 to 18:30')).toBeInTheDocument();
  });

  it('takes a reading where it was taken', async () => {
    show(<Live roast={cooking()} />);
    await userEvent.click(screen.getByRole('button', { name: /Take a reading/ }));
    const sheet = within(await screen.findByRole('dialog'));
    await userEvent.click(sheet.getByRole('radio', { name: 'thigh' }));
    for (const key of ['4', '7', 'Point', '5']) await userEvent.click(sheet.getByRole('button', { name: key }));
    await userEvent.click(sheet.getByRole('button', { name: 'Log it' }));
    await waitFor(() => expect(sent('POST', '/api/roasts/roast/readings')).toHaveLength(1));
    expect(sent('POST', '/api/roasts/roast/readings')[0]).toMatchObject({
      place: 'thigh',
      celsius: 47.5,
      dish: 0,
    } satisfies Partial<NewReading>);
  });

  it('logs by keys, and undoes the last', async () => {
    const roast = cooking({
      events: [anEvent('basted', 'Basted', '2031-10-04T17:20:00Z')],
    });
    show(<Live roast={roast} />);
    await userEvent.keyboard('l');
    await waitFor(() => expect(sent('POST', '/api/roasts/roast/events')[0]).toMatchObject({ kind: 'lid', minutes: 2 }));
    await userEvent.keyboard('u');
    await waitFor(() => expect(call).toHaveBeenCalledWith('DELETE', '/api/roasts/roast/events/e1'));
    await userEvent.click(await screen.findByRole('button', { name: 'Put it back' }));
    await waitFor(() =>
      expect(sent('POST', '/api/roasts/roast/events').at(-1)).toMatchObject({ id: 'e1', kind: 'basted', at: '2031-10-04T17:20:00Z' }),
    );
  });

  it('undoes what was logged last, though it was done before the rest', async () => {
    let events = [anEvent('note', 'Note', '2031-10-04T17:40:00Z', { note: 'Wind' })];
    let id = '';
    answering({
      '/api/roasts/roast': () => cooking({ events }),
      'POST /api/roasts/roast/events': (body: unknown) => {
        id = (body as NewEvent).id;
        events = [...events, { ...anEvent('turned', 'Turned', '2031-10-04T17:30:00Z'), id }];
      },
    });
    open('/roasts/roast/live');
    await userEvent.click(await screen.findByRole('button', { name: /^Turned/ }));
    await screen.findByRole('button', { name: /^Undo Turned/ });
    await userEvent.keyboard('u');
    await waitFor(() => expect(call.mock.calls.map((one) => `${one[0]} ${one[1]}`)).toContain(`DELETE /api/roasts/roast/events/${id}`));
  });

  it('undoes again what was put back, however soon', async () => {
    let events = [anEvent('basted', 'Basted', '2031-10-04T17:20:00Z')];
    const kept = events;
    answering({
      '/api/roasts/roast': () => cooking({ events }),
      'DELETE /api/roasts/roast/events/e1': () => {
        events = [];
        return cooking({ events });
      },
      'POST /api/roasts/roast/events': () => {
        events = kept;
        return cooking({ events });
      },
    });
    open('/roasts/roast/live');
    const line = { name: /^Undo Basted/ };
    for (let times = 0; times < 3; times++) {
      await screen.findByRole('button', line);
      await userEvent.keyboard('u');
      await waitFor(() => expect(screen.queryByRole('button', line)).toBeNull());
      await userEvent.click(await screen.findByRole('button', { name: 'Put it back' }));
    }
    await screen.findByRole('button', line);
  });

  it('undoes what is still on its way: it takes nothing else back, and nothing is left behind', async () => {
    let events = [anEvent('basted', 'Basted', '2031-10-04T17:20:00Z')];
    let arrive: () => void = () => undefined;
    call.mockImplementation((verb: string, path: string, body: unknown) => {
      if (verb === 'DELETE') events = events.filter((one) => !path.endsWith(one.id));
      if (verb !== 'POST') return Promise.resolve(path === '/api/reference' ? reference : cooking({ events }));
      return new Promise((done) => {
        arrive = () => {
          events = [...events, { ...anEvent('lid', 'Lid lifted', '2031-10-04T17:30:00Z'), id: (body as NewEvent).id }];
          done(undefined);
        };
      });
    });
    open('/roasts/roast/live');
    await screen.findByRole('button', { name: /^Undo Basted/ });
    await userEvent.keyboard('l');
    await screen.findByRole('button', { name: /^Undo Lid lifted/ });
    await userEvent.keyboard('u');
    await waitFor(() => expect(sent('POST', '/api/roasts/roast/events')).not.toEqual([]));
    arrive();
    await waitFor(() => expect(screen.queryByRole('button', { name: /^Undo Lid lifted/ })).toBeNull());
    expect(events.map((one) => one.kind)).toEqual(['basted']);
    expect(screen.getByRole('button', { name: /^Undo Basted/ })).toBeInTheDocument();
  });

  it('undoes a way that was taken, and takes it back as it was', async () => {
    const roast = cooking({ events: [anEvent('way', 'Everything 40 min later', '2031-10-04T17:20:00Z')] });
    show(<Live roast={roast} />);
    await userEvent.click(screen.getByRole('button', { name: /^Undo Everything 40 min later/ }));
    await userEvent.click(await screen.findByRole('button', { name: 'Put it back' }));
    await waitFor(() => expect(sent('POST', '/api/roasts/roast/ways/taken').at(-1)).toMatchObject({ way: 'back_e1' }));
  });

  it('shows each fire that burns under the dish looked at, and no other', () => {
    const roast = cooking({ tending: [aTending(), aTending({ cooker: 'gas', name: 'Regatta gas grill' })] });
    roast.plan.fires = [aFire()];
    show(<Live roast={roast} />);
    expect(screen.getByRole('region', { name: 'Boathouse kettle' })).toBeInTheDocument();
    expect(screen.queryByRole('region', { name: 'Regatta gas grill' })).toBeNull();
  });

  it('tells what was refused', async () => {
    answering({ 'POST /api/roasts/roast/events': new Refused('That is before it was put on.', {}) });
    show(<Live roast={cooking()} />);
    await userEvent.keyboard('b');
    expect(await screen.findByRole('alert')).toHaveTextContent('before it was put on');
  });

  it('says what the core asks for, large, and what was read when', async () => {
    const advice = {
      act: 'take_off' as const,
      words: text('Take it off'),
      why: text('It reads 60 °C; its number is 54 °C.'),
      minutes: null,
    };
    const read = { id: 'a', celsius: 60, at: new Date(Date.now() - 20_000).toISOString() };
    show(<Live roast={cooking({}, { live: live({ advice, read, core_now_c: { low: 59, likely: 60, high: 61 } }) })} />);
    expect(screen.getByRole('alert')).toHaveTextContent('Take it offIt reads 60 °C; its number is 54 °C.');
    expect(screen.getAllByText('60°').length).toBeGreaterThan(0);
    expect(screen.getByText(/just read/)).toBeInTheDocument();
  });

  it('logs an act for when it was, once, and is back at now', async () => {
    show(<Live roast={cooking()} />);
    await userEvent.click(screen.getByRole('radio', { name: '10 min ago' }));
    await userEvent.click(screen.getByRole('button', { name: /Basted/ }));
    await waitFor(() => expect(sent('POST', '/api/roasts/roast/events')).toHaveLength(1));
    const ago = (Date.now() - new Date(String(sent('POST', '/api/roasts/roast/events')[0]?.at)).getTime()) / 60_000;
    expect(ago).toBeGreaterThan(9.8);
    expect(ago).toBeLessThan(10.5);
    await waitFor(() => expect(screen.getByRole('radio', { name: 'Now' })).toBeChecked());
  });

  it.each([/Basted/, /Fuel added/, /Lid lifted/, /Turned/])('takes a wet thumb’s second tap on %s for the first one', async (name) => {
    show(<Live roast={cooking()} />);
    tapsAt(0);
    await userEvent.dblClick(screen.getByRole('button', { name }));
    await waitFor(() => expect(sent('POST', '/api/roasts/roast/events')).toHaveLength(1));
    tapsAt(600);
    await userEvent.tripleClick(screen.getByRole('button', { name }));
    expect(sent('POST', '/api/roasts/roast/events')).toHaveLength(1);
    tapsAt(2_000);
    await userEvent.click(screen.getByRole('button', { name }));
    await waitFor(() => expect(sent('POST', '/api/roasts/roast/events')).toHaveLength(2));
  });

  it('puts a logged line to another time under its id', async () => {
    const events = [anEvent('basted', 'Basted', '2031-10-04T17:30:00Z')];
    show(<Live roast={cooking({ events })} />);
    await userEvent.click(screen.getByRole('button', { name: 'Another time for Basted at 17:30' }));
    const field = screen.getByLabelText('By the table’s clock');
    fireEvent.change(field, { target: { value: '2031-10-04T17:20' } });
    await userEvent.click(screen.getByRole('button', { name: 'Put it there' }));
    await waitFor(() => expect(sent('PATCH', '/api/roasts/roast/events/e1')).toHaveLength(1));
    expect(new Date(String(sent('PATCH', '/api/roasts/roast/events/e1')[0]?.at)).toISOString()).toBe('2031-10-04T17:20:00.000Z');
  });
});

describe('table', () => {
  it('counts the rest down and says what may hurt', () => {
    const roast = cooking(
      { status: 'resting' },
      {
        status: 'resting',
        pulled_at: new Date(Date.now() - 4 * 60_000).toISOString(),
        rest_minutes: 12,
        live: live({
          warnings: [
            {
              id: 'below_safe_minimum',
              words: text('Below the safe minimum for poultry: 74 °C.'),
              source: text('Published: USDA FSIS'),
              fatal: false,
            },
          ],
        }),
      },
    );
    show(<Table roast={roast} />);
    expect(screen.getByText('Rests for')).toBeInTheDocument();
    expect(screen.getByRole('note')).toHaveTextContent('Below the safe minimum');
  });

  it('logs the pull and the carving', async () => {
    const { unmount } = show(<Table roast={cooking()} />);
    await userEvent.click(screen.getByRole('button', { name: 'Pulled now' }));
    await waitFor(() => expect(sent('POST', '/api/roasts/roast/events').at(-1)).toMatchObject({ kind: 'pulled' }));
    unmount();
    show(<Table roast={cooking({}, { status: 'resting', pulled_at: '2031-10-04T18:20:00Z' })} />);
    await userEvent.click(screen.getByRole('button', { name: 'Carved' }));
    await waitFor(() => expect(sent('POST', '/api/roasts/roast/events').at(-1)).toMatchObject({ kind: 'carved' }));
  });
});

describe('debrief', () => {
  const finding = {
    id: 'minutes',
    what: text('On the heat'),
    planned: text('78 min'),
    fact: text('92 min'),
    basis: 'read' as const,
    lesson: text('Less heat than planned reached it.'),
  };
  const done = () =>
    cooking(
      { status: 'done', debrief: { planned_curves: [curve], dishes: [[finding]] } },
      { status: 'carved', pulled_at: '2031-10-04T18:32:00Z', carved_at: '2031-10-04T18:50:00Z' },
    );

  it('sets the plan against what was, with the lesson', () => {
    show(<Debrief roast={done()} />);
    const row = screen.getByRole('row', { name: /On the heat/ });
    expect(row).toHaveTextContent('78 min');
    expect(row).toHaveTextContent('92 min');
    expect(row).toHaveTextContent('Less heat than planned');
  });

  it('waits for the pull', () => {
    show(<Debrief roast={cooking()} />);
    expect(screen.getByText(/Still on the heat/)).toBeInTheDocument();
  });

  it('keeps the note for next time', async () => {
    show(<Debrief roast={done()} />);
    await userEvent.type(screen.getByLabelText('What to change next time'), 'More coals');
    await userEvent.click(screen.getByRole('button', { name: 'Keep the note' }));
    await waitFor(() => expect(sent('PUT', '/api/roasts/roast/debrief')).toEqual([{ note: 'More coals' }]));
  });

  it.each([
    ['Keep mine', 'More coals'],
    ['Keep that one', 'Drier wood'],
    ['Keep both', 'Drier wood\nMore coals'],
  ])('asks where another device keeps another note (%s)', async (choice, kept) => {
    const put = 'PUT /api/roasts/roast/debrief';
    answering({ [put]: new Outdated('changed meanwhile', 'e2', { file: done().file, note: 'Drier wood' }) });
    show(<Debrief roast={done()} />);
    await userEvent.type(screen.getByLabelText('What to change next time'), 'More coals');
    await userEvent.click(screen.getByRole('button', { name: 'Keep the note' }));
    expect(await screen.findByText('Drier wood')).toBeInTheDocument();
    answering({ [put]: { ...done(), note: kept } });
    await userEvent.click(screen.getByRole('button', { name: choice }));
    await waitFor(() => expect(sent('PUT', '/api/roasts/roast/debrief').at(-1)).toEqual({ note: kept }));
    await waitFor(() => expect(screen.queryByRole('button', { name: choice })).toBeNull());
  });

  it('teaches the cook’s own cooker what was read on it', async () => {
    const roast = done();
    roast.plan.fires = [aFire({ own: true, name: 'Boathouse kettle' })];
    roast.readings = [aReading('r1', '2031-10-04T17:40:00Z', 171, { place: 'cooker', place_words: text('Cooker') })];
    answering({
      'POST /api/cookers/cooker/learn': aCooker({
        observations: [{ ...(aCooker().observations[0] as NonNullable<ReturnType<typeof aCooker>['observations'][number]>), id: 'r1' }],
      }),
    });
    show(<Debrief roast={roast} />);
    await userEvent.click(await screen.findByRole('button', { name: 'Teach Boathouse kettle' }));
    expect(sent('POST', '/api/cookers/cooker/learn')).toEqual([{ roast: 'roast' }]);
    expect(await screen.findByText(/1 of the readings taken today is in its curve/)).toBeInTheDocument();
  });

  it('has nothing to teach where nothing was read', () => {
    const roast = done();
    roast.plan.fires = [aFire({ own: true, name: 'Boathouse kettle' })];
    show(<Debrief roast={roast} />);
    expect(screen.queryByText('What the cooker learns')).toBeNull();
  });
});
