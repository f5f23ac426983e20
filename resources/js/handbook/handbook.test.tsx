import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../api/types';
import { reference, show } from '../testing';
import { typesQuickly } from '../testing-hand';
import { formatter } from '../units/units';
import { say } from '../words/say';
import { text } from '../words/testing';
import { CHAPTERS } from '../ui/chapters';
import { entriesOf, finding, type Entry } from './entries';

const { call } = vi.hoisted(() => ({ call: vi.fn() }));
vi.mock('../api/client', async (original) => ({ ...(await original<typeof import('../api/client')>()), call }));

const { Handbook } = await import('./Handbook');

const handbook: Schemas['Handbook'] = {
  troubles: [
    { id: 'standstill', name: text('The core stands still'), called: 'stall', words: text('Wait.'), source: text('Common practice') },
  ],
  minimums: [{ id: 'poultry', name: 'poultry', core_c: 74, hold_minutes: 0, by_time: null, source: text('Published: USDA FSIS') }],
  cautions: [{ id: 'flare-up', name: 'Fat that burns', called: 'flames', words: 'Lid on, vents closed.', source: text('Common practice') }],
  keeping: [{ when: text('Out for two hours'), then: text('Then it is thrown away'), source: text('Published: USDA FSIS') }],
  fuels: [
    { id: 'lump', name: 'Lump charcoal', use: 'Hot and quick.', caution: '', ash_over_minutes: 18, burn_out_minutes: 60, piece_g: null },
  ],
  hand: [{ seconds: 5, wall_c: 300, words: text('a 5 s hand') }],
  hand_source: text('Common practice'),
};

const mix: Schemas['Mix'] = {
  id: 'yoghurt',
  own: false,
  name: 'Yoghurt marinade',
  kind: 'marinade',
  basis: 'per_kg',
  basis_words: text('Common practice'),
  items: [{ what: 'plain yoghurt', amount: text('125 g') }],
  method: 'Stir, rub in, keep cold.',
  trouble: null,
};

const all = (temperatureUnit: 'c' | 'f' = 'c') => {
  const format = formatter({ temperatureUnit, massUnit: 'kg', clockHours: 24 });
  return entriesOf(reference, handbook, [mix], format, (message) => (message === null ? '' : say(message, format)));
};

beforeEach(() => {
  call.mockImplementation((_verb: string, path: string) =>
    Promise.resolve(
      path === '/api/reference'
        ? reference
        : path === '/api/handbook'
          ? handbook
          : path === '/api/mixes'
            ? [mix]
            : { user: null, demo: false, csrf: '' },
    ),
  );
});

const found = (entries: readonly Entry[], typed: string): Entry[] => finding(entries)(typed);

describe('the handbook', () => {
  it('has something in every chapter, each entry under an anchor of its own', () => {
    const entries = all();
    for (const [chapter] of CHAPTERS) if (chapter !== 'preparations') expect(entries.some((entry) => entry.chapter === chapter)).toBe(true);
    expect(new Set(entries.map((entry) => entry.id)).size).toBe(entries.length);
  });

  // NIST SP 811: 74 °C is 165 °F to the whole degree; USDA FSIS says 165 °F for poultry.
  it('says its figures in the reader’s units', () => {
    expect(found(all('f'), 'poultry minimum').length + found(all('f'), 'poultry 165').length).toBeGreaterThan(0);
    expect(found(all('c'), '74 °c poultry').map((entry) => entry.id)).toContain('minimums-poultry');
    expect(found(all(), 'degrees')[0]?.figures).toContainEqual(['74 °C', '165 °F']);
    expect(found(all(), 'weights')[0]?.figures).toContainEqual(['1 kg', '2.2 lb']);
  });

  it('finds what people call things, by every word, and nothing by nonsense', () => {
    expect(found(all(), 'bread').map((entry) => entry.name)).toContain('Buttered loaf');
    expect(found(all(), 'lump hot').map((entry) => entry.name)).toEqual(['Lump charcoal']);
    expect(found(all(), 'lump loaf')).toEqual([]);
    expect(found(all(), 'yoghurt rub')[0]?.figures).toEqual([['plain yoghurt', '125 g']]);
    expect(found(all(), '  ')).toHaveLength(all().length);
  });

  it('takes each letter of a quick hand on a busy phone', async () => {
    show(<Handbook />);
    await screen.findByRole('region', { name: 'Fuels' });
    const field = screen.getByLabelText<HTMLInputElement>('Look up');
    typesQuickly(field, 'poultry');
    expect(field).toHaveValue('poultry');
    await waitFor(() => expect(screen.queryByRole('region', { name: 'Fuels' })).toBeNull());
    expect(screen.getByRole('region', { name: 'Safe minimums' })).toHaveTextContent('74 °C');
  });

  it('narrows as one types, and says so where there is nothing', async () => {
    show(<Handbook />);
    expect(await screen.findByRole('region', { name: 'Fuels' })).toBeInTheDocument();
    await userEvent.type(screen.getByLabelText('Look up'), 'poultry');
    const minimums = within(screen.getByRole('region', { name: 'Safe minimums' }));
    expect(minimums.getByText('74 °C')).toBeInTheDocument();
    expect(minimums.getByText('Published: USDA FSIS')).toBeInTheDocument();
    expect(screen.queryByRole('region', { name: 'Fuels' })).toBeNull();
    await userEvent.type(screen.getByLabelText('Look up'), ' trifle');
    expect(screen.getByText('Nothing goes by “poultry trifle” here.')).toBeInTheDocument();
  });
});
