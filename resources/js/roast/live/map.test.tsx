import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it, vi } from 'vitest';
import { aSpot, show } from '../../testing';
import { text } from '../../words/testing';
import { Keypad } from './Keypad';
import { ProbeMap } from './ProbeMap';

const ONE = { pieces: [], unread: [], uneven: null };

describe('the probe map', () => {
  it('says which place decides, where to look next, and that the fire is uneven', async () => {
    const onRead = vi.fn();
    const map = {
      ...ONE,
      spots: [aSpot('leg', 50, { decides: true }), aSpot('shoulder', 62), aSpot('saddle')],
      next: aSpot('saddle'),
      uneven: text('Move coals'),
    };
    show(<ProbeMap map={map} onRead={onRead} />);
    expect(screen.getByRole('img', { name: 'leg: 50.0 °C, decides; shoulder: 62.0 °C; saddle: not read' })).toBeInTheDocument();
    expect(screen.getByText('leg decides: 50.0°, the coldest of 2.')).toBeInTheDocument();
    expect(screen.getByRole('status')).toHaveTextContent('Move coals.');
    await userEvent.click(screen.getByRole('button', { name: /saddle.*next/ }));
    expect(onRead).toHaveBeenCalledWith(expect.objectContaining({ place: 'saddle', piece: 1 }));
  });

  it('says so where nothing was read in this round, and where all was', () => {
    const { unmount } = show(<ProbeMap map={{ ...ONE, spots: [aSpot('core')], next: aSpot('core') }} onRead={vi.fn()} />);
    expect(screen.getByText('Not read in this round.')).toBeInTheDocument();
    unmount();
    const all = { ...ONE, spots: [aSpot('thigh', 60, { decides: true }), aSpot('breast', 66)], next: aSpot('thigh', 60) };
    show(<ProbeMap map={all} onRead={vi.fn()} />);
    expect(screen.getByText(/look at thigh again next/)).toBeInTheDocument();
  });

  it('names the piece that decides and those that were not read, and reads the one that is touched', async () => {
    const onRead = vi.fn();
    const map = {
      spots: [aSpot('thigh', 61, { piece: 2, decides: true }), aSpot('breast', null, { piece: 2 })],
      pieces: [aSpot('thigh', 70), aSpot('thigh', 61, { piece: 2, decides: true }), aSpot('thigh', null, { piece: 3 })],
      unread: [3],
      next: aSpot('thigh', null, { piece: 3 }),
      uneven: null,
    };
    show(<ProbeMap map={map} onRead={onRead} />);
    expect(screen.getByText('thigh of no. 2 decides: 61.0°, the coldest of 2.')).toBeInTheDocument();
    expect(screen.getByText('Still to read: no. 3.')).toBeInTheDocument();
    await userEvent.click(screen.getByRole('button', { name: /no\. 3\W+not read/ }));
    expect(onRead).toHaveBeenCalledWith(expect.objectContaining({ place: 'thigh', piece: 3 }));
  });
});

describe('a round of readings', () => {
  const places = [
    { id: 'thigh', name: 'Thigh' },
    { id: 'breast', name: 'Breast' },
    { id: 'cooker', name: 'Cooker' },
  ];
  const pad = (next: { place: string; piece: number; name: string } | null, pieces: number[] = [], onSave = vi.fn()) => {
    show(
      <Keypad
        open
        onClose={vi.fn()}
        dish="Turkey"
        places={places}
        pieces={pieces}
        start={{ place: 'thigh', piece: 1 }}
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
    const onSave = pad({ place: 'breast', piece: 1, name: 'breast' });
    await userEvent.click(screen.getByRole('button', { name: '6' }));
    await userEvent.click(screen.getByRole('button', { name: '4' }));
    await userEvent.click(screen.getByRole('button', { name: 'and then breast' }));
    expect(onSave).toHaveBeenCalledWith(expect.objectContaining({ celsius: 64, place: 'thigh' }), true);
  });

  it('goes from piece to piece, and logs the one that was chosen', async () => {
    const onSave = pad({ place: 'thigh', piece: 2, name: 'no. 2' }, [1, 2, 3]);
    expect(screen.getByRole('button', { name: 'and then no. 2' })).toBeInTheDocument();
    await userEvent.click(screen.getByRole('radio', { name: 'no. 3' }));
    await userEvent.click(screen.getByRole('button', { name: '6' }));
    await userEvent.click(screen.getByRole('button', { name: '4' }));
    await userEvent.click(screen.getByRole('button', { name: 'and then no. 2' }));
    expect(onSave).toHaveBeenCalledWith(expect.objectContaining({ celsius: 64, place: 'thigh', piece: 3 }), true);
    await userEvent.click(screen.getByRole('radio', { name: 'Cooker' }));
    expect(screen.queryByRole('radiogroup', { name: 'Which one' })).toBeNull();
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
