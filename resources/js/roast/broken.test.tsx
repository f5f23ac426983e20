import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { Failed, Refused } from '../api/client';
import type { BrokenRoast } from '../api/types';
import { Hearth } from '../hearth/Hearth';
import { aRoast, reference, show } from '../testing';
import { Broken } from './Broken';
import { text } from '../words/testing';

const call = vi.hoisted(() => vi.fn());
vi.mock('../api/client', async (original) => ({
  ...(await original<typeof import('../api/client')>()),
  call: (await import('../testing')).overTheWire(call),
}));

const NOW = Date.parse('2031-10-04T12:00:00Z');

const broken: BrokenRoast = {
  id: 'b',
  edition: 'e1',
  name: 'Mammoth for the lock keeper',
  status: 'broken',
  trouble: {
    id: 'words.sentences',
    values: {
      parts: [
        { id: 'field.unknown', values: { what: { id: 'quantity.cut', values: {} }, name: 'mammoth' } },
        { id: 'forecast.at_this_height_water_boils', values: { boils: { value: 95, unit: '°C', digits: 0 } } },
      ],
    },
  },
  now: '2031-10-04T12:00:00Z',
  serve_at: '2031-10-04T18:45:00Z',
  note: '',
  file: {
    serve_at: '2031-10-04T18:45:00Z',
    dishes: [{ cut: 'duck', name: 'Duck', mass_kg: 2.2, stages: [{ cooker: 'kettle', pull: true }] }],
  },
  logged: [
    { at: '2031-10-04T11:00:00Z', words: text('On the heat'), celsius: null },
    { at: '2031-10-04T11:40:00Z', words: text('Middle'), celsius: 22 },
  ],
};

const answering = (answers: Record<string, unknown>) =>
  call.mockImplementation((method: string, path: string) => {
    const answer = answers[`${method} ${path}`];
    if (answer instanceof Error) return Promise.reject(answer);
    if (answer !== undefined) return Promise.resolve(answer);
    if (path === '/api/reference') return Promise.resolve(reference);
    if (path.startsWith('/api/mixes')) return Promise.resolve([]);
    if (path === '/api/preview') return Promise.resolve(aRoast().plan);
    return Promise.resolve({ user: null, demo: false, csrf: 'c' });
  });

describe('a roast that can no longer be worked out', () => {
  beforeEach(() => {
    localStorage.clear();
    call.mockReset();
  });

  it('says why, shows what was logged, and how to take it out', async () => {
    answering({});
    show(<Broken roast={broken} now={NOW} />, { temperatureUnit: 'f', massUnit: 'lb', clockHours: 24 });
    expect(screen.getByRole('alert')).toHaveTextContent('There is no cut called “mammoth”. At this height water boils at 203 °F');
    expect(screen.getByRole('link', { name: 'Save the roast as a file' })).toHaveAttribute('href', '/api/roasts/b/file');
    expect(screen.getByRole('link', { name: 'Its readings (CSV)' })).toHaveAttribute('href', '/api/roasts/b/readings.csv');
    expect(screen.getByRole('region', { name: 'What was logged' })).toHaveTextContent('11:40Middle71.6°');
    expect(await screen.findByRole('button', { name: 'Keep it mended' })).toBeInTheDocument();
  });

  it('is mended in place, or told what is still wrong', async () => {
    answering({ 'PATCH /api/roasts/b/file': new Refused('no', { 'dishes.0.mass_kg': ['Duck, whole: one piece weighs 0.7 to 6.4 kg.'] }) });
    show(<Broken roast={broken} now={NOW} />);
    const keep = await screen.findByRole('button', { name: 'Keep it mended' });
    await waitFor(() => expect(keep).toBeEnabled());
    await userEvent.click(keep);
    expect(await screen.findByText(/one piece weighs/)).toBeInTheDocument();
    answering({ 'PATCH /api/roasts/b/file': aRoast() });
    await userEvent.click(keep);
    expect(call.mock.calls.filter((one) => one[0] === 'PATCH')).toHaveLength(2);
  });

  it('says so when the kitchen cannot answer, and loses nothing of it', async () => {
    answering({ 'PATCH /api/roasts/b/file': new Failed(500, 'The kitchen could not answer. Try again.') });
    show(<Broken roast={broken} now={NOW} />);
    const keep = await screen.findByRole('button', { name: 'Keep it mended' });
    await waitFor(() => expect(keep).toBeEnabled());
    await userEvent.click(keep);
    expect(await screen.findByText('The kitchen could not answer. Try again.')).toBeInTheDocument();
    expect(screen.getByDisplayValue('Duck, whole')).toBeInTheDocument();
  });

  it('lets another cut be chosen for one that is not known, and does not wait for an answer that cannot come', async () => {
    answering({
      'POST /api/preview': new Refused('no', { 'dishes.0.cut': ['There is no cut called “mammoth”.'] }),
      'PATCH /api/roasts/b/file': aRoast(),
    });
    const unknown = {
      ...broken,
      file: { ...broken.file, dishes: [{ cut: 'mammoth', mass_kg: 9, stages: [{ cooker: 'kettle', pull: true }] }] },
    };
    show(<Broken roast={unknown} now={NOW} />);
    await waitFor(() => expect(screen.getAllByText(/no cut called “mammoth”/).length).toBeGreaterThan(1));
    expect(screen.queryByText(/the answer/)).not.toBeInTheDocument();
    answering({ 'PATCH /api/roasts/b/file': aRoast() });
    await userEvent.click(screen.getByLabelText('What'));
    await userEvent.click(await screen.findByRole('option', { name: /Duck, whole/ }));
    expect(await screen.findByLabelText('Mass')).toBeInTheDocument();
    const keep = screen.getByRole('button', { name: 'Keep it mended' });
    await waitFor(() => expect(keep).toBeEnabled());
    await userEvent.click(keep);
    expect(call.mock.calls.find((one) => one[0] === 'PATCH')?.[2]).toMatchObject({ dishes: [{ cut: 'duck' }] });
  });

  it('is deleted only when the cook says so', async () => {
    answering({});
    const confirm = vi.spyOn(window, 'confirm').mockReturnValueOnce(false).mockReturnValueOnce(true);
    show(<Broken roast={broken} now={NOW} />);
    await userEvent.click(screen.getByRole('button', { name: 'Delete the roast' }));
    expect(call.mock.calls.some((one) => one[0] === 'DELETE')).toBe(false);
    await userEvent.click(screen.getByRole('button', { name: 'Delete the roast' }));
    await waitFor(() => expect(call).toHaveBeenCalledWith('DELETE', '/api/roasts/b'));
    confirm.mockRestore();
  });

  it('stands on the hearth beside the sound ones, which it does not harm', async () => {
    answering({ 'GET /api/roasts': [aRoast({ name: 'Sunday on the lock island' }), broken] });
    show(<Hearth />);
    expect(await screen.findByText('Mammoth for the lock keeper')).toBeInTheDocument();
    expect(screen.getByText(/cannot be worked out as it stands/)).toBeInTheDocument();
    expect(screen.getByText('Sunday on the lock island')).toBeInTheDocument();
  });
});
