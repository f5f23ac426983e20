import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it, vi } from 'vitest';
import { tapsAt } from '../testing-hand';
import { useSlips } from './useSlips';

function Button({ does }: { does: () => void }) {
  const slips = useSlips();
  return (
    <button type="button" onClick={() => slips('it') || does()}>
      Basted
    </button>
  );
}

describe('a second tap', () => {
  // A phone that draws is behind the thumb; what counts is when the thumb was there.
  it.each([
    { apart: 200, seenApart: 200, counts: 1 },
    { apart: 200, seenApart: 5_000, counts: 1 },
    { apart: 899, seenApart: 899, counts: 1 },
    { apart: 900, seenApart: 900, counts: 2 },
    { apart: 2_000, seenApart: 5, counts: 2 },
  ])('$apart ms after the first, seen to after $seenApart, makes $counts', async ({ apart, seenApart, counts }) => {
    const does = vi.fn();
    render(<Button does={does} />);
    const page = vi.spyOn(performance, 'now');
    tapsAt(10_000);
    page.mockReturnValue(10_000);
    await userEvent.click(screen.getByRole('button'));
    tapsAt(10_000 + apart);
    page.mockReturnValue(10_000 + seenApart);
    await userEvent.click(screen.getByRole('button'));
    expect(does).toHaveBeenCalledTimes(counts);
  });
});
