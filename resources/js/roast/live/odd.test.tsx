import { render, screen } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import type { FollowedDish, Reading, Roast } from '../../api/types';
import { aLive, aReading, aRoast, show } from '../../testing';
import { UnitsContext, useUnits } from '../../units/units';
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

type Asked = { of: FollowedDish; celsius: number; place: string; readings?: Roast['readings'] };

function Asks({ of, celsius, place, readings = [] }: Asked) {
  const format = useUnits();
  const roast = aRoast({ readings });
  const doubt = useOddReading({ ...roast, plan: { ...roast.plan, dishes: [of] } }, 0)(celsius, { place, piece: 1 }, NOW);
  const meant = doubt?.meant.map((one) => `${format.shown(one)} ${format.degreeSign}`) ?? [];
  return <p>{doubt === null ? 'nothing odd' : [doubt.question, ...meant].join(' | ')}</p>;
}

/** A reading of the dish so many minutes before now. */
const read = (celsius: number, ago: number, place = 'core', more: Partial<Reading> = {}): Reading =>
  aReading(`${place} ${ago}`, new Date(NOW - ago * 60_000).toISOString(), celsius, { place, ...more });

const asked = (of: FollowedDish, celsius: number, place: string, unit: 'c' | 'f' = 'c', readings: Roast['readings'] = []) => {
  const { container, unmount } = render(
    <UnitsContext value={{ temperatureUnit: unit, massUnit: 'kg', clockHours: 24 }}>
      <Asks of={of} celsius={celsius} place={place} readings={readings} />
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
    [60, 'core', 'nothing odd'],
    [150, 'cooker', 'nothing odd'],
    [620, 'cooker', '620° in the cooker? That is more than it can be. | 326.7 °C'],
    [140, 'core', '140° in the meat? That is hotter than boiling water. | 60 °C'],
  ])('%d° at the place “%s”: %s', (celsius, place, words) => expect(asked(dish(), celsius, place)).toBe(words));

  it('asks in the cook’s unit', () =>
    expect(asked(dish(), 57, 'cooker', 'f')).toContain('135° in the cooker? It should be well above 176°'));

  it('asks nothing of a cooker before the dish is on, nor where it is not known what it may show', () => {
    expect(asked(dish({ status: 'waiting' }), 30, 'cooker')).toBe('nothing odd');
    expect(asked(dish({ cooker_sense_c: null }), 30, 'cooker')).toBe('nothing odd');
  });
});

describe('an impossible jump', () => {
  const at45 = dish({ live: live({ core_now_c: { low: 44, likely: 45, high: 46 } }) });

  it('is asked about down as well as up, in the same place', () => {
    expect(asked(at45, 23, 'core', 'c', [read(45, 1)])).toBe('23° now, 45° 1 min before? Meat does not change that fast.');
    expect(asked(at45, 80, 'core', 'c', [read(45, 1)])).toContain('80° now, 45° 1 min before?');
    expect(asked(at45, 48, 'core', 'c', [read(45, 1)])).toBe('nothing odd');
  });

  it('is held against what was read here and is not with the kitchen yet', () => {
    const kept = read(45, 1, 'core', { counts: false, verdict: { id: 'verdict.kept_here', values: {} } });
    expect(asked(at45, 23, 'core', 'c', [kept])).toContain('45° 1 min before?');
    // What the kitchen did not count is no measure.
    expect(asked(at45, 42, 'core', 'c', [read(90, 1, 'core', { counts: false })])).toBe('nothing odd');
  });

  it('is no jump from another place', () => {
    expect(asked(at45, 58, 'breast', 'c', [read(45, 1, 'thigh')])).toBe('nothing odd');
  });
});

describe('a figure of the other unit or without its point', () => {
  // Half an hour on, a bird has about 30 °C in its middle.
  const bird = dish({
    on_at: new Date(NOW - 30 * 60_000).toISOString(),
    live: live({
      read: null,
      core_now_c: { low: 22, likely: 27, high: 33 },
      core_ahead: { from: '2031-10-04T18:00:00Z', every_minutes: 2, celsius: [27, 27] },
    }),
  });

  it('is offered as what may have been meant', () => {
    expect(asked(bird, 95, 'core')).toBe('95° after 30 min on the heat? Meat does not change that fast. | 35 °C | 9.5 °C');
  });

  it('is asked about where it could just be, and is far from what is expected', () => {
    expect(asked(bird, 70, 'core')).toContain('70°, where about 27° is expected?');
    expect(asked(bird, 45, 'core')).toBe('nothing odd');
  });

  it('is offered in the unit that the cook reads', () => {
    // 35 typed where °F are read: that is 1.7 °C, and 35 °C or 95 °F may have been meant.
    expect(
      asked({ ...bird, live: live({ read: null, core_now_c: { low: 32, likely: 35, high: 38 } }) }, (35 - 32) / 1.8, 'core', 'f'),
    ).toContain('95 °F');
  });

  it('is not offered where it would be odd itself', () => {
    expect(asked(bird, 101, 'core', 'c', [read(27, 1)])).not.toContain('10.1');
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
