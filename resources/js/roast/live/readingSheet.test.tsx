import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { MemoryRouter } from 'react-router';
import { describe, expect, it, vi } from 'vitest';
import type { Roast } from '../../api/types';
import { aLive, aRoast, aSpot } from '../../testing';
import { UnitsContext } from '../../units/units';
import { ReadingSheet, USUAL } from './ReadingSheet';

const mutate = vi.fn();

function Shown({ roast }: { roast: Roast }) {
  return (
    <QueryClientProvider client={new QueryClient()}>
      <UnitsContext value={{ temperatureUnit: 'c', massUnit: 'kg', clockHours: 24 }}>
        <MemoryRouter>
          <ReadingSheet
            roast={roast}
            index={0}
            log={{ read: { mutate, isPending: false, error: null } as never }}
            at={USUAL}
            onClose={vi.fn()}
          />
        </MemoryRouter>
      </UnitsContext>
    </QueryClientProvider>
  );
}

const map = { spots: [aSpot('thigh'), aSpot('breast')], unread: [1, 2], next: aSpot('thigh'), uneven: null };
const pieces = [aSpot('thigh'), aSpot('thigh', null, { piece: 2 })];
const on = (live: ReturnType<typeof aLive> | null) => aRoast({}, { status: 'on', live });

describe('the sheet for a reading', () => {
  it('keeps what was typed while an answer comes in that would begin elsewhere', async () => {
    const { rerender } = render(<Shown roast={on(null)} />);
    await userEvent.click(screen.getByRole('button', { name: '4' }));
    rerender(<Shown roast={on(aLive({ probe_map: { ...map, pieces } }))} />);
    rerender(<Shown roast={on(aLive({ probe_map: { ...map, pieces, unread: [2] } }))} />);
    await userEvent.click(screen.getByRole('button', { name: '1' }));
    expect(screen.getByRole('status')).toHaveTextContent('41');
  });

  it('goes from piece to piece that was not read, and names each in the log', async () => {
    render(<Shown roast={on(aLive({ probe_map: { ...map, pieces } }))} />);
    expect(screen.getByRole('radio', { name: 'no. 1' })).toBeChecked();
    for (const key of ['4', '1']) await userEvent.click(screen.getByRole('button', { name: key }));
    await userEvent.click(screen.getByRole('button', { name: 'and then no. 2' }));
    expect(mutate).toHaveBeenCalledWith(expect.objectContaining({ dish: 0, place: 'thigh', piece: 1, celsius: 41 }), expect.anything());
  });
});
