import { render, screen } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { Notice } from './Notice';

const page = (shows: boolean) => (
  <>
    <Notice shows={shows} className="mt-1">
      The kitchen cannot be reached
    </Notice>
    <div className="stands">Live</div>
  </>
);
const guard = () => screen.getByText('Live').previousElementSibling?.className ?? null;

describe('a notice across the page', () => {
  it('guards what it pushes as it comes and as it goes, and nothing before it ever came', () => {
    const { rerender } = render(page(false));
    expect(guard()).toBeNull();
    for (let times = 0; times < 2; times++) {
      rerender(page(true));
      expect(screen.getByRole('status')).toHaveTextContent('cannot be reached');
      expect(guard()).toContain('notice');
      rerender(page(false));
      expect(screen.queryByRole('status')).toBeNull();
      expect(guard()).toBe('gone');
    }
  });
});
