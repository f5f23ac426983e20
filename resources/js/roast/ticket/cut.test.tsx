import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { describe, expect, it, vi } from 'vitest';
import type { Cut } from '../../api/types';
import { reference, show } from '../../testing';
import { CutChoice } from './CutChoice';

const [first] = reference.cuts;
if (first === undefined) throw new Error('There are cuts.');

function Line({ told }: { told: (cut: Cut) => void }) {
  const [cut, setCut] = useState<Cut | null>(first ?? null);
  const take = (next: Cut) => {
    told(next);
    setCut(next);
  };
  return <CutChoice cuts={reference.cuts} value={cut} locked={false} errors={undefined} onChange={take} />;
}

describe('the choice of a cut', () => {
  it('says so where nothing goes by what was typed, takes nothing by Enter, and shows all again', async () => {
    const told = vi.fn();
    show(<Line told={told} />);
    const line = screen.getByRole('combobox', { name: 'What' });
    await userEvent.clear(line);
    await userEvent.type(line, 'unicorn');
    expect(screen.getByRole('option', { name: /Nothing goes by “unicorn” here/ })).toHaveAttribute('aria-disabled', 'true');
    await userEvent.keyboard('{Enter}');
    expect(told).not.toHaveBeenCalled();
    await userEvent.clear(line);
    expect(screen.getAllByRole('option')).toHaveLength(reference.cuts.length);
    // Left with nothing chosen, what was there stands.
    await userEvent.type(line, 'unicorn');
    await userEvent.keyboard('{Escape}');
    expect(told).not.toHaveBeenCalled();
    expect(line).toHaveValue(first.name);
  });
});
