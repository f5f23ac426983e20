import type { ComponentProps } from 'react';
import { render, screen } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { Plan } from '../api/types';
import { entry } from '../testing';
import { CoreCurve } from './CoreCurve';
import { profileAt, temperatureAt } from './HeatSection';
import { outlineOf } from './outlines';
import { inkOn, luminance } from './temperature';
import { named, segmentsOf } from './TimeSkewer';

describe('a name in a bar', () => {
  it('is never crossed out by the needle where one side has room for a shorter one, and never leaves its bar', () => {
    const names = ['Rack · kettle', 'Rack', 'kettle'];
    for (let room = 20; room < 900; room += 17)
      for (let needle = -50; needle < 950; needle += 13) {
        const { words, x } = named(names, 0, room, needle);
        const half = (words.length * 7.4) / 2;
        expect([...names, '']).toContain(words);
        if (words === '') {
          expect(room).toBeLessThan(4 * 7.4 + 9);
          continue;
        }
        expect(x - half).toBeGreaterThanOrEqual(0);
        expect(x + half).toBeLessThanOrEqual(room);
        if (Math.max(needle, room - needle) > 4 * 7.4 + 8) expect(Math.abs(needle - x)).toBeGreaterThan(half);
      }
  });
});

describe('temperature as colour', () => {
  it('grows lighter with every degree', () => {
    for (let celsius = 1; celsius <= 160; celsius++) expect(luminance(celsius)).toBeGreaterThanOrEqual(luminance(celsius - 1) - 1e-3);
  });

  // Contrast of 4.5 : 1 as WCAG 2.2, criterion 1.4.3, counts it.
  it('keeps figures readable on every temperature', () => {
    for (let celsius = 0; celsius <= 160; celsius += 2) {
      const ground = luminance(celsius);
      const contrast = inkOn(celsius) === '#fff' ? 1.05 / (ground + 0.05) : (ground + 0.05) / 0.05;
      expect(contrast).toBeGreaterThan(4.5);
    }
  });
});

describe('heat section', () => {
  const section = {
    positions: [0, 0.5, 1],
    minutes: [0, 10],
    celsius: [
      [5, 10, 40],
      [15, 30, 60],
    ],
  };

  it('finds the profile between two frames', () => {
    expect(profileAt(section, 5)).toEqual([10, 20, 50]);
    expect(profileAt(section, 99)).toEqual([15, 30, 60]);
  });

  it('is coldest at the deepest point and hottest at the surface', () => {
    const profile = profileAt(section, 10);
    expect(temperatureAt(section.positions, profile, 0)).toBe(60);
    expect(temperatureAt(section.positions, profile, 1)).toBe(15);
    expect(temperatureAt(section.positions, profile, 0.25)).toBe(45);
  });

  it('gives a rack, a bird, a fish and a root each its own outline', () => {
    const outlines = [
      outlineOf('pork-rack', 'pork'),
      outlineOf('duck', 'poultry'),
      outlineOf('fish-whole', 'fish'),
      outlineOf('beetroot', 'roots'),
      outlineOf('beef-brisket', 'beef'),
    ];
    expect(new Set(outlines).size).toBe(5);
  });
});

describe('time skewer', () => {
  const plan = {
    serve_at: '2031-10-04T18:45:00Z',
    dishes: [{ name: 'Rack', stages: [{ cooker: 'kettle', cooker_name: 'kettle', cooker_c: 150, from_minutes: 0, to_minutes: 110 }] }],
    run_sheet: [
      entry('d0.light', 'light', '2031-10-04T15:30:00Z'),
      entry('d0.preheat', 'preheat', '2031-10-04T15:50:00Z'),
      entry('d0.take_out', 'take_out', '2031-10-04T15:45:00Z'),
      entry('d0.on', 'on', '2031-10-04T16:10:00Z'),
      entry('d0.pull', 'pull', '2031-10-04T18:00:00Z'),
      entry('d0.carve', 'carve', '2031-10-04T18:35:00Z'),
    ],
  } as unknown as Plan;

  it('threads the day without gaps, from the first match to the table', () => {
    const segments = segmentsOf(plan, 0);
    expect(segments.map((segment) => segment.words)).toEqual(['light', 'preheat', 'kettle', 'rest', 'carve']);
    segments.slice(1).forEach((segment, i) => expect(segment.from).toBe(segments[i]?.to));
  });
});

describe('core curve', () => {
  const drawn = (more: Partial<ComponentProps<typeof CoreCurve>>) =>
    render(
      <CoreCurve
        pictures={{
          curve: { minutes: [0, 60, 120], core_c: [5, 30, 60], surface_c: [5, 80, 90], air_c: [150, 150, 150] },
          band: [{ minutes: 60, low_c: 28, high_c: 32 }],
          section: { positions: [], minutes: [], celsius: [] },
        }}
        startAt={Date.UTC(2031, 9, 4, 16)}
        zone="+00:00"
        now={null}
        pull={null}
        target={63}
        safe={63}
        {...more}
      />,
    ).container;

  it('has what was and what will be meet at the moment, wherever the points beside it are', () => {
    const container = drawn({ now: 95, pull: { minutes: 120, celsius: 60, done: false } });
    const paths = [...container.querySelectorAll('path[fill="none"]')].map((one) => one.getAttribute('d') ?? '');
    const solid = paths.find(
      (_, i) =>
        container.querySelectorAll('path[fill="none"]')[i]?.getAttribute('stroke-width') === '3' &&
        !container.querySelectorAll('path[fill="none"]')[i]?.hasAttribute('stroke-dasharray'),
    );
    const moment = Number(container.querySelector('line[stroke="var(--ink)"][stroke-width="1.5"]')?.getAttribute('x1'));
    const numbers = (solid ?? '').match(/-?[\d.]+/g)?.map(Number) ?? [];
    expect(numbers.at(-2)).toBeCloseTo(moment, 1);
    const starts = paths.map((d) => Number(d.match(/^M([\d.]+)/)?.[1]));
    expect(starts.some((at) => Math.abs(at - moment) < 0.1)).toBe(true);
  });

  it('says in words what it draws', () => {
    drawn({ pull: { minutes: 110, celsius: 56, done: false } });
    expect(screen.getByRole('img', { name: 'Core temperature: pull at 56 °C, 17:50; target 63 °C' })).toBeInTheDocument();
    expect(screen.getByText('pull at 56°')).toBeInTheDocument();
  });

  it('joins its lines on the curve, not at a number that lies off it', () => {
    const container = drawn({ pull: { minutes: 90, celsius: 74, done: false }, target: 74, safe: 74 });
    const [on, off] = ['ember', 'water'].map((tone) => container.querySelector(`path[stroke="var(--${tone})"]`)?.getAttribute('d') ?? '');
    const ends = (d: string) => d.match(/-?[\d.]+/g)?.map(Number) ?? [];
    expect(ends(on ?? '').slice(-2)).toEqual(ends(off ?? '').slice(0, 2));
    // Half way between 30° and 60°, and so below the mark of 74°.
    expect(ends(on ?? '').at(-1)).toBeGreaterThan(Number(container.querySelector('circle[fill="var(--ember)"]')?.getAttribute('cy')));
  });

  it('draws no pull where there is none to come', () => {
    drawn({ now: 60 });
    expect(screen.getByRole('img', { name: 'Core temperature: does not reach its pull; target 63 °C' })).toBeInTheDocument();
    expect(screen.queryByText(/^pull/)).not.toBeInTheDocument();
  });
});
