import { render, screen } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import type { FollowedDish } from '../../api/types';
import { aLive, aRoast, show } from '../../testing';
import { UnitsContext } from '../../units/units';
import { CoreAdvice } from './CoreAdvice';
import { Figures } from './Figures';
import { useOddReading } from './useOddReading';
import type { Message } from '../../words/say';

const call = vi.hoisted(() => vi.fn().mockResolvedValue({}));
vi.mock('../../api/client', async (original) => ({
  ...(await original<typeof import('../../api/client')>()),
  call: (await import('../../testing')).overTheWire(call),
}));

const NOW = Date.parse('2031-10-04T18:00:00Z');

type Live = NonNullable<FollowedDish['live']>;

const live = (more: Partial<Live> = {}): Live =>
  aLive({
    pull_c: 74,
    core_now_c: { low: 59, likely: 60, high: 61 },
    read: { id: 'a', celsius: 59.4, at: '2031-10-04T17:52:00Z' },
    ...more,
  });

const dish = (more: Partial<FollowedDish> = {}): FollowedDish => {
  const [first] = aRoast({}, { status: 'on', on_at: '2031-10-04T17:00:00Z', live: live(), ...more }).plan.dishes;
  if (first === undefined) throw new Error('There is no dish.');
  return first;
};

function Asked({ of, celsius, place }: { of: FollowedDish; celsius: number; place: string }) {
  return <p>{useOddReading(of)(celsius, place) ?? 'nothing odd'}</p>;
}

const asked = (of: FollowedDish, celsius: number, place: string, unit: 'c' | 'f' = 'c') => {
  const { container, unmount } = render(
    <UnitsContext value={{ temperatureUnit: unit, massUnit: 'kg', clockHours: 24 }}>
      <Asked of={of} celsius={celsius} place={place} />
    </UnitsContext>,
  );
  const words = container.textContent;
  unmount();
  return words;
};

describe('what is odd about a reading', () => {
  it.each([
    [57, 'core', 'nothing odd'],
    [57, 'cooker', '57° in the cooker? It should be well above 80°. Was it the core?'],
    [150, 'cooker', 'nothing odd'],
    [620, 'cooker', '620° in the cooker? That is more than it can be.'],
    [140, 'core', '140° in the meat? That is hotter than boiling water.'],
    [100, 'breast', 'nothing odd'],
  ])('%d° at the place “%s”: %s', (celsius, place, words) => expect(asked(dish(), celsius, place)).toBe(words));

  it('asks in the cook’s unit', () =>
    expect(asked(dish(), 57, 'cooker', 'f')).toContain('135° in the cooker? It should be well above 176°'));

  it('asks nothing of a cooker before the dish is on, nor where it is not known what it may show', () => {
    expect(asked(dish({ status: 'waiting' }), 30, 'cooker')).toBe('nothing odd');
    expect(asked(dish({ cooker_sense_c: null }), 30, 'cooker')).toBe('nothing odd');
  });
});

describe('the figures by the fire', () => {
  const figures = (more: Partial<Live>, also: Partial<FollowedDish> = {}) => {
    const one = dish({ live: live(more), ...also });
    show(<Figures roast={aRoast()} dish={one} index={0} now={NOW} />);
  };

  it('say what was read and when, beside what the core is now', () => {
    figures({});
    expect(screen.getByText('60°')).toBeInTheDocument();
    expect(screen.getByText(/59\.4° read 8 min ago/)).toBeInTheDocument();
  });

  it('say so where nothing was read', () => {
    figures({ read: null });
    expect(screen.getByText(/worked out, not read yet/)).toBeInTheDocument();
    expect(screen.getByText(/59° to 61°/)).toBeInTheDocument();
  });

  it('promise no climb where none is counted on', () => {
    figures({});
    expect(screen.getByText('Stays at')).toBeInTheDocument();
    expect(screen.getByText('no climb off the heat')).toBeInTheDocument();
  });

  it('say how far it climbs and by when where it is', () => {
    figures({ pull_c: 52, peak_c: 57 });
    expect(screen.getByText('Climbs to')).toBeInTheDocument();
    expect(screen.getByText('by 18:35')).toBeInTheDocument();
  });

  it('promise no hour at a heat that will never do it', () => {
    figures({ gets_there: false });
    expect(screen.getByText('not at this heat')).toBeInTheDocument();
    expect(screen.queryByText(/18:20/)).not.toBeInTheDocument();
  });

  it('call a pull that was not read by “about”', () => {
    figures({ read: null }, { status: 'resting', pulled_at: '2031-10-04T17:58:00Z' });
    expect(screen.getByText('at about 74°')).toBeInTheDocument();
  });
});

describe('the core’s advice', () => {
  const advised = (act: NonNullable<Live['advice']>['act'], words: Message, why: Message) => {
    show(<CoreAdvice dish={dish({ live: live({ advice: { act, words, why, minutes: null } }) })} />, {
      temperatureUnit: 'f',
      massUnit: 'lb',
      clockHours: 24,
    });
    return screen.getByRole('alert');
  };

  it.each(['take_off', 'back_on', 'discard', 'next_stage', 'read', 'read_cooker', 'hotter', 'wait', 'disagree'] as const)(
    'is heard and follows the units (%s)',
    (act) => {
      const minutes = { value: 25, unit: 'min', digits: 0 };
      const read = { value: 63, unit: '°C', digits: 0 };
      const core = { value: 74, unit: '°C', digits: 0 };
      expect(
        advised(
          act,
          { id: 'advice.back_on_the_heat_about', values: { minutes } },
          { id: 'advice.short_as_read', values: { core_now: read, safe: 'poultry', core } },
        ),
      ).toHaveTextContent('Back on the heat: about 25 minIt reads 145 °F; poultry should have 165 °F by the carving');
    },
  );

  it('is silent when there is nothing to do', () => {
    show(<CoreAdvice dish={dish()} />);
    expect(screen.queryByRole('alert')).toBeNull();
  });
});
