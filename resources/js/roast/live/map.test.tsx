import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it, vi } from 'vitest';
import type { Live } from '../../api/types';
import { show } from '../../testing';
import { text } from '../../words/testing';
import { Keypad } from './Keypad';
import { ProbeMap } from './ProbeMap';

const spot = (place: string, celsius: number | null, decides = false): Live['probe_map']['spots'][number] => ({
  place,
  words: text(place),
  celsius,
  minutes_ago: celsius === null ? null : 3,
  decides,
});

describe('the probe map', () => {
  it('says which place decides, where to look next, and that the fire is uneven', async () => {
    const onRead = vi.fn();
    const map = { spots: [spot('leg', 50, true), spot('shoulder', 62), spot('saddle', null)], next: 'saddle', uneven: text('Move coals') };
    show(<ProbeMap map={map} kind="lamb" onRead={onRead} />);
    expect(screen.getByRole('img', { name: 'leg: 50.0 °C, decides; shoulder: 62.0 °C; saddle: not read' })).toBeInTheDocument();
    expect(screen.getByText('leg decides: 50.0°, the coldest of 2.')).toBeInTheDocument();
    expect(screen.getByRole('status')).toHaveTextContent('Move coals.');
    await userEvent.click(screen.getByRole('button', { name: /saddle.*next/ }));
    expect(onRead).toHaveBeenCalledWith('saddle');
  });

  it('says so where nothing was read in this round, and where all was', () => {
    const { unmount } = show(<ProbeMap map={{ spots: [spot('core', null)], next: 'core', uneven: null }} kind="pork" onRead={vi.fn()} />);
    expect(screen.getByText('Not read in this round.')).toBeInTheDocument();
    unmount();
    const all = { spots: [spot('thigh', 60, true), spot('breast', 66)], next: 'thigh', uneven: null };
    show(<ProbeMap map={all} kind="poultry" onRead={vi.fn()} />);
    expect(screen.getByText(/look at thigh again next/)).toBeInTheDocument();
  });
});

describe('a round of readings', () => {
  const places = [
    { id: 'thigh', name: 'Thigh' },
    { id: 'breast', name: 'Breast' },
    { id: 'cooker', name: 'Cooker' },
  ];
  const pad = (next: string | null, onSave = vi.fn()) => {
    show(
      <Keypad
        open
        onClose={vi.fn()}
        dish="Turkey"
        places={places}
        next={next}
        zone="UTC"
        odd={() => null}
        onSave={onSave}
        error=""
        busy={false}
      />,
    );
    return onSave;
  };

  it('goes on to the next place in one press', async () => {
    const onSave = pad('breast');
    await userEvent.click(screen.getByRole('button', { name: '6' }));
    await userEvent.click(screen.getByRole('button', { name: '4' }));
    await userEvent.click(screen.getByRole('button', { name: 'and then breast' }));
    expect(onSave).toHaveBeenCalledWith(expect.objectContaining({ celsius: 64, place: 'thigh' }), true);
  });

  it('ends with the last', async () => {
    const onSave = pad(null);
    expect(screen.queryByRole('button', { name: /and then/ })).toBeNull();
    await userEvent.click(screen.getByRole('button', { name: '7' }));
    await userEvent.click(screen.getByRole('button', { name: '0' }));
    await userEvent.click(screen.getByRole('button', { name: 'Log it' }));
    expect(onSave).toHaveBeenCalledWith(expect.objectContaining({ celsius: 70 }), false);
  });
});
