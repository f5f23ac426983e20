import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { Outcome, Ways } from '../../api/types';
import { aRoast, reference, show } from '../../testing';
import { begunFrom, found, grown, withOwn } from '../beginningFiles';
import type { Draft } from '../draft';
import { cardLines } from '../card/lines';
import { entry } from '../../testing';
import { DayChanges } from './DayChanges';
import { Obstacles } from '../Obstacles';
import { OtherWays } from './OtherWays';

const calls: { method: string; path: string; body: unknown }[] = [];
const answers = new Map<string, unknown>();
vi.mock('../../api/client', async (original) => ({
  ...(await original<typeof import('../../api/client')>()),
  call: (method: string, path: string, asked: { body?: unknown } = {}) => {
    calls.push({ method, path, body: asked.body });
    const answer = answers.get(`${method} ${path}`);
    return answer instanceof Error ? Promise.reject(answer) : Promise.resolve(answer);
  },
}));

const text = (words: string) => ({ id: 'words.text', values: { text: words } });
const outcome = (table: string, more: Partial<Outcome> = {}): Outcome => ({
  table_at: '2031-10-04T18:45:00Z',
  later_minutes: 0,
  table: text(table),
  slow: null,
  dishes: [
    {
      words: text('Ducks off at 18:20'),
      off_at: { low: '2031-10-04T18:05:00Z', likely: '2031-10-04T18:20:00Z', high: '2031-10-04T18:40:00Z' },
    },
  ],
  fuel: [],
  hands: null,
  cautions: [],
  ...more,
});
const ways = (): Ways => ({
  as_it_is: outcome('18:45, as asked for'),
  ways: [
    {
      id: 'slower',
      title: text('Slower: kettle at 130'),
      how: text('Bring the fire down now'),
      price: text('Paler outside'),
      file: aRoast().file,
      outcome: outcome('19:25, 40 min later', { slow: text('at 19:50 if it is slow'), cautions: [text('Too cool for a bird')] }),
    },
    {
      id: 'hold',
      title: text('Hold it hot'),
      how: text('Into a warm box'),
      price: text('The outside softens'),
      file: { ...aRoast().file, people: 11 },
      outcome: outcome('19:25, 40 min later', { fuel: [text('200 g more: Briquettes')] }),
    },
  ],
});

beforeEach(() => {
  calls.length = 0;
  answers.clear();
  answers.set('post /api/roasts/{roast}/ways', ways());
  answers.set('post /api/roasts/{roast}/ways/taken', aRoast());
  answers.set('post /api/ways', ways());
});

describe('the day changes', () => {
  it('asks what came between, holds the ways against each other, and takes one', async () => {
    const closed = vi.fn();
    show(<DayChanges roast={aRoast()} open asked={null} onClose={closed} />);
    await userEvent.click(await screen.findByRole('button', { name: '40 min' }));
    expect(calls[0]?.body).toEqual({ turn: 'guests_late', minutes: 40 });
    const column = (await screen.findByRole('heading', { name: 'Slower: kettle at 130' })).closest('li');
    if (column === null) throw new Error('no column');
    const slower = within(column);
    expect(slower.getByText('at 19:50 if it is slow')).toBeInTheDocument();
    expect(slower.getByText('Too cool for a bird')).toBeInTheDocument();
    expect(slower.getByText('Paler outside')).toBeInTheDocument();
    expect(screen.getByText('200 g more: Briquettes')).toBeInTheDocument();
    await userEvent.click(screen.getByRole('button', { name: /Do this.*Hold it hot/ }));
    await waitFor(() => expect(closed).toHaveBeenCalled());
    expect(calls.at(-1)).toMatchObject({ path: '/api/roasts/{roast}/ways/taken', body: { way: 'hold' } });
  });

  it('goes straight to the ways out of what it said by itself', async () => {
    show(<DayChanges roast={aRoast({ turn: 'behind' })} open asked={{ turn: 'behind' }} onClose={() => undefined} />);
    expect(await screen.findByRole('heading', { name: 'Hold it hot' })).toBeInTheDocument();
    expect(calls).toHaveLength(1);
    expect(calls[0]?.body).toEqual({ turn: 'behind' });
  });

  it('says so where nothing has to change, and where it could not be asked', async () => {
    answers.set('post /api/roasts/{roast}/ways', { ...ways(), ways: [] });
    const view = show(<DayChanges roast={aRoast()} open asked={{ turn: 'behind' }} onClose={() => undefined} />);
    expect(await screen.findByText(/Nothing has to change/)).toHaveTextContent('18:45, as asked for');
    view.unmount();
    answers.set('post /api/roasts/{roast}/ways', new Error('The kitchen cannot be reached.'));
    show(<DayChanges roast={aRoast()} open asked={{ turn: 'rain' }} onClose={() => undefined} />);
    expect(await screen.findByRole('alert')).toHaveTextContent('The kitchen cannot be reached.');
  });

  it('keeps the dialog and says why when a way no longer stands', async () => {
    const closed = vi.fn();
    answers.set('post /api/roasts/{roast}/ways/taken', new Error('The plan has changed since this was offered.'));
    show(<DayChanges roast={aRoast()} open asked={{ turn: 'rain' }} onClose={closed} />);
    await userEvent.click(await screen.findByRole('button', { name: /Do this.*Slower/ }));
    expect(await screen.findByRole('alert')).toHaveTextContent('The plan has changed');
    expect(closed).not.toHaveBeenCalled();
  });
});

describe('on the ticket', () => {
  const draft = (): Draft => ({ ...aRoast().file });

  it('says what two dishes ask of one cooker, and plans the way that is chosen', async () => {
    const clash = { id: 'one_cooker', dish: 0, words: text('Two heats of one kettle'), ways_out: [], cooker: 'kettle' };
    const plan = { ...aRoast().plan, obstacles: [clash] };
    const changed = vi.fn();
    show(<Obstacles plan={plan} draft={draft()} onChange={changed} />);
    expect(screen.getByRole('region')).toHaveTextContent('Two heats of one kettle.');
    await userEvent.click(screen.getByRole('button', { name: 'Ways out' }));
    expect(calls[0]?.body).toMatchObject({ turn: 'shared', cooker: 'kettle', roast: { people: draft().people } });
    await userEvent.click(await screen.findByRole('button', { name: /Plan it so.*Hold it hot/ }));
    expect(changed).toHaveBeenCalledWith(expect.objectContaining({ people: 11 }));
    await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
  });

  it('holds another heat or cooker against how it is planned', async () => {
    show(<OtherWays plan={aRoast().plan} draft={draft()} onChange={() => undefined} />);
    await userEvent.click(screen.getByRole('button', { name: /Hotter, cooler/ }));
    expect(calls[0]?.body).toMatchObject({ turn: 'compare', dish: 0 });
    expect(await screen.findByRole('heading', { name: 'As it stands' })).toBeInTheDocument();
  });
});

describe('beginnings', () => {
  const way = reference.beginnings[0];
  if (way === undefined) throw new Error('no way to begin');
  const own = [{ id: 'mine', kind: 'kettle', name: 'Boathouse kettle' }] as unknown as Parameters<typeof withOwn>[2];

  it('is found by what people say, and by what stands in the yard', () => {
    const find = (words: string, cooker: string | null = null) => found(reference, words, own, cooker).length;
    expect([find('duck'), find('BIRD kettle'), find('  '), find('duck', 'kettle')]).toEqual([1, 1, 1, 1]);
    expect([find('lamb'), find('duck', 'oven')]).toEqual([0, 0]);
  });

  it('begins on the cook’s own cooker', () => {
    const table: Draft = { serve_at: '2031-10-04T18:45:00Z', people: 4, dishes: [] };
    const draft = begunFrom(table, way, own, new Date(2031, 9, 4, 9));
    expect(draft.fires).toEqual([{ cooker: 'kettle', own: 'Boathouse kettle' }]);
    expect(draft.dishes[0]?.cut).toBe('duck');
    expect(withOwn([{ cooker: 'kettle', own: 'Another', fuel: 'lump' }], draft.dishes, own)).toEqual([
      { cooker: 'kettle', own: 'Another', fuel: 'lump' },
    ]);
    expect(withOwn([], draft.dishes, [])).toEqual([]);
  });

  it('grows with its guests, never below one', () => {
    const draft = begunFrom({ serve_at: '2031-10-04T18:45:00Z', people: 4, dishes: [] }, way, [], new Date(2031, 9, 4, 9));
    const pieces = (people: number) => grown(draft, way, people).dishes[0]?.pieces;
    expect([pieces(4), pieces(5), pieces(8), pieces(1)]).toEqual([1, 2, 2, 1]);
    const mass = grown(draft, { ...way, grows: 'mass' }, 6).dishes[0]?.mass_kg;
    expect(mass).toBe(3.3);
    expect(grown(draft, { ...way, grows: null }, 40).dishes).toEqual(draft.dishes);
  });
});

describe('the fireside card', () => {
  it('has what comes again in one line, the rest by its hour, and nothing that is done or days ago', () => {
    const plan = aRoast().plan;
    const at = (minutes: number) => new Date(Date.parse(plan.serve_at) - minutes * 60_000).toISOString();
    plan.run_sheet = [
      entry('d0.prepare.dry_brine', 'prepare', at(3000)),
      entry('d0.light', 'light', at(200), { done: true }),
      ...[180, 160, 140, 120, 100].map((minutes, i) => entry(`d0.chore.0.0.${i}`, 'chore', at(minutes), { title: text('Baste') })),
      entry('d0.on', 'on', at(190)),
      entry('d0.rest', 'rest', at(20)),
      entry('serve', 'serve', at(0), { dish: null }),
    ];
    const lines = cardLines(plan, (one) => String(one.title.values.text ?? ''));
    expect(lines.map((line) => [line.entry.id, line.times, line.every])).toEqual([
      ['d0.on', 1, null],
      ['d0.chore.0.0.0', 5, 20],
      ['serve', 1, null],
    ]);
    expect(lines[1]?.until).toBe(at(100));
  });
});
