import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { Refused } from '../api/client';
import type { OwnCooker } from '../api/types';
import { CookerCurve } from '../charts/CookerCurve';
import { reference, show } from '../testing';
import { aCooker } from '../testing-fire';
import { Cookers } from './Cookers';
import { Ask } from './Ask';
import { NewCooker } from './NewCooker';
import { Points } from './Points';
import { Trial } from './Trial';
import { text } from '../words/testing';

const call = vi.hoisted(() => vi.fn());
vi.mock('../api/client', async (original) => ({
  ...(await original<typeof import('../api/client')>()),
  call: (await import('../testing')).overTheWire(call),
}));

const said = {
  settings: { intake_mm: 8, exhaust_mm: 8 },
  words: text('both slots 8 mm'),
  celsius: { low: 148, likely: 150, high: 153 },
  reached: true,
  extrapolated: false,
};

/** The server, as far as these screens ask it. */
function answering(cookers: OwnCooker[]) {
  call.mockImplementation((_method: string, path: string) => {
    if (path === '/api/cookers') return Promise.resolve(cookers);
    if (path === '/api/reference') return Promise.resolve(reference);
    if (path.endsWith('/ask'))
      return Promise.resolve({ for_target: said, for_settings: { ...said, celsius: { low: 171, likely: 176, high: 181 } } });
    if (path === '/api/me') return Promise.resolve({ user: null, demo: false, csrf: 'x' });
    return Promise.resolve(cookers[0]);
  });
}

beforeEach(() => {
  localStorage.clear();
  call.mockReset();
  answering([aCooker()]);
});

const sent = (path: string) => call.mock.calls.filter((one) => one[1] === path).map((one) => one[2] as Record<string, unknown>);

describe('cookers', () => {
  it('shows the first one with its curve and its log', async () => {
    show(<Cookers />);
    expect(await screen.findByRole('button', { name: /Boathouse kettle/, current: true })).toBeInTheDocument();
    expect(screen.getByRole('img', { name: /Boathouse kettle: from 80 °C to 260 °C/ })).toBeInTheDocument();
    expect(screen.getByText('110° to 170° seen')).toBeInTheDocument();
  });

  it('says what to do when there is none', async () => {
    answering([]);
    show(<Cookers />);
    expect(await screen.findByText('None of your own yet')).toBeInTheDocument();
  });

  it('says so when the kitchen cannot be reached', async () => {
    call.mockRejectedValue(new Error('The kitchen cannot be reached.'));
    show(<Cookers />);
    expect(await screen.findByRole('alert')).toHaveTextContent('The kitchen cannot be reached.');
  });
});

describe('asking it', () => {
  it('says how to set it for a heat, once the typing rests', async () => {
    show(<Ask cooker={aCooker()} />);
    expect((await screen.findAllByText(/both slots 8 mm/i)).length).toBeGreaterThan(0);
    const field = screen.getByLabelText('I want');
    await userEvent.clear(field);
    await userEvent.type(field, '165');
    await waitFor(() => expect(sent('/api/cookers/cooker/ask').at(-1)).toMatchObject({ target_c: 165, air_c: 14, wind_ms: 1.5 }));
  });

  it('says where settings bring it', async () => {
    show(<Ask cooker={aCooker()} />);
    await userEvent.click(screen.getByRole('radio', { name: 'Set like this' }));
    await userEvent.type(screen.getByLabelText('Lower slot'), '10');
    expect(await screen.findByText('176°')).toBeInTheDocument();
    await waitFor(() => expect(sent('/api/cookers/cooker/ask').at(-1)).toMatchObject({ settings: { intake_mm: 10 } }));
  });

  it('says when it goes beyond what was seen, or beyond what it can', async () => {
    call.mockResolvedValue({ for_target: { ...said, extrapolated: true, reached: false }, for_settings: null });
    show(<Ask cooker={aCooker()} />);
    expect(await screen.findByText(/Extrapolated/)).toBeInTheDocument();
    expect(screen.getByText(/more than it reaches/)).toBeInTheDocument();
  });

  it('shows what cannot be asked at its field', async () => {
    call.mockRejectedValue(new Refused('no', { target_c: ['The target temperature must be a number.'] }));
    show(<Ask cooker={aCooker()} />);
    await waitFor(() => expect(screen.getByLabelText('I want')).toHaveAccessibleDescription('The target temperature must be a number.'));
  });
});

describe('a trial', () => {
  it('is logged with how it was set and what it was like outside', async () => {
    show(<Trial cooker={aCooker()} />);
    await userEvent.type(screen.getByLabelText('Lower slot'), '6');
    await userEvent.type(screen.getByLabelText('Upper slot'), '6');
    await userEvent.type(screen.getByLabelText('It read'), '131');
    await userEvent.click(screen.getByRole('button', { name: 'Log it' }));
    expect(await screen.findByText(/The curve follows/)).toBeInTheDocument();
    expect(sent('/api/cookers/cooker/observations')[0]).toMatchObject({
      settings: { intake_mm: 6, exhaust_mm: 6 },
      celsius: 131,
      air_c: 14,
      phase: 'settled',
    });
    expect(screen.getByLabelText('It read')).toHaveValue('');
  });

  it('asks for the minutes while it warms up', async () => {
    show(<Trial cooker={aCooker()} />);
    expect(screen.queryByLabelText('Since it was lit')).toBeNull();
    await userEvent.click(screen.getByRole('radio', { name: 'Warming up' }));
    await userEvent.type(screen.getByLabelText('Since it was lit'), '12');
    await userEvent.type(screen.getByLabelText('It read'), '90');
    await userEvent.click(screen.getByRole('button', { name: 'Log it' }));
    await waitFor(() => expect(sent('/api/cookers/cooker/observations')[0]).toMatchObject({ phase: 'warming', minutes: 12 }));
  });

  it('loses nothing when it is refused', async () => {
    call.mockRejectedValue(new Refused('no', { 'settings.exhaust_mm': ['Give the upper slot.'] }));
    show(<Trial cooker={aCooker()} />);
    await userEvent.type(screen.getByLabelText('It read'), '131');
    await userEvent.click(screen.getByRole('button', { name: 'Log it' }));
    await waitFor(() => expect(screen.getByLabelText('Upper slot')).toHaveAccessibleDescription('Give the upper slot.'));
    expect(screen.getByLabelText('It read')).toHaveValue('131');
  });

  it('takes burners in per cent and sends them as shares', async () => {
    const gas = aCooker({ controls: [{ id: 'burner_1', name: text('Burner 1'), unit: 'share', least: 0, most: 1, step: 0.125 }] });
    show(<Trial cooker={gas} />);
    await userEvent.type(screen.getByLabelText('Burner 1'), '75');
    await userEvent.type(screen.getByLabelText('It read'), '190');
    await userEvent.click(screen.getByRole('button', { name: 'Log it' }));
    await waitFor(() => expect(sent('/api/cookers/cooker/observations')[0]).toMatchObject({ settings: { burner_1: 0.75 } }));
  });
});

describe('what was read', () => {
  it('keeps strays and says that they hardly count', () => {
    show(<Points cooker={aCooker()} />);
    expect(screen.getByText(/stray: kept, and counts 8 %/)).toBeInTheDocument();
    expect(screen.getAllByRole('listitem')).toHaveLength(2);
  });

  it('takes one out', async () => {
    show(<Points cooker={aCooker()} />);
    await userEvent.click(screen.getByRole('button', { name: 'Take out 148°, both slots 11 mm' }));
    await waitFor(() => expect(call).toHaveBeenCalledWith('DELETE', '/api/cookers/cooker/observations/b'));
  });

  it('says that there is nothing yet', () => {
    show(<Points cooker={aCooker({ observations: [] })} />);
    expect(screen.getByText(/Nothing yet/)).toBeInTheDocument();
  });
});

describe('a new one', () => {
  const kinds = {
    ...reference,
    cookers: reference.cookers.map((cooker) => (cooker.id === 'kettle' ? { ...cooker, facts: aCooker().facts } : cooker)),
  };

  it('takes a name and what differs from the usual', async () => {
    const added: OwnCooker[] = [];
    show(<NewCooker open reference={kinds} onClose={() => undefined} onAdded={(cooker) => added.push(cooker)} />);
    const sheet = within(await screen.findByRole('dialog'));
    await userEvent.type(sheet.getByLabelText('You call it'), 'Island kettle');
    await userEvent.type(sheet.getByLabelText('Across the grate'), '47');
    await userEvent.click(sheet.getByRole('button', { name: 'Add it' }));
    await waitFor(() => expect(added).toHaveLength(1));
    expect(sent('/api/cookers').at(-1)).toEqual({ name: 'Island kettle', kind: 'kettle', facts: { diameter_cm: 47 } });
  });

  it('shows what is wrong at its field', async () => {
    call.mockRejectedValue(new Refused('no', { name: ['You have a cooker of that name.'] }));
    show(<NewCooker open reference={kinds} onClose={() => undefined} onAdded={() => undefined} />);
    const sheet = within(await screen.findByRole('dialog'));
    await userEvent.click(sheet.getByRole('button', { name: 'Add it' }));
    await waitFor(() => expect(sheet.getByLabelText('You call it')).toHaveAccessibleDescription('You have a cooker of that name.'));
  });
});

describe('its curve', () => {
  it('is drawn along what a hand sets', () => {
    const share = (id: string) => ({ id, name: text(id), unit: 'share' as const, least: 0, most: 1, step: 0.125 });
    show(<CookerCurve cooker={aCooker()} />);
    expect(screen.getByText('Lower slot, mm')).toBeInTheDocument();
    show(<CookerCurve cooker={aCooker({ controls: [share('burner_1'), share('burner_2')] })} />);
    expect(screen.getByText(/Burners, all together/)).toBeInTheDocument();
  });
});
