import { act, fireEvent, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { FilePile, Fire, NewEvent, NewReading } from '../../api/types';
import { aRoast, entry, show } from '../../testing';
import { aCooker, aFire, aFloor, aSpitFire, aTending } from '../../testing-fire';
import { tapsAt } from '../../testing-hand';
import { choreFor, eventFor } from '../acts';
import { withFire, type Draft } from '../draft';
import { TendingStrip } from '../live/TendingStrip';
import { useLogging } from '../useLogging';
import { Banking } from './Banking';
import { FireTicket } from './FireTicket';
import { FireView } from './FireView';
import { FloorPanel } from './FloorPanel';
import { HandTest } from './HandTest';
import { text } from '../../words/testing';

const call = vi.hoisted(() => vi.fn());
vi.mock('../../api/client', async (original) => ({
  ...(await original<typeof import('../../api/client')>()),
  call: (await import('../../testing')).overTheWire(call),
}));

beforeEach(() => {
  localStorage.clear();
  call.mockReset();
  call.mockResolvedValue(aRoast());
});

const roast = () => aRoast();
const planWith = (fire: Fire) => ({ ...roast().plan, fires: [fire] });
const NOON = Date.parse('2031-10-04T12:00:00Z');

describe('moving coals', () => {
  function Moving({ onPiles }: { onPiles: (piles: FilePile[]) => void }) {
    const [floor, setFloor] = useState(aFloor);
    return (
      <FloorPanel
        fire={aFire()}
        laid={undefined}
        floor={floor}
        meat="Ducks"
        onPiles={(piles) => {
          if (piles === undefined) return;
          onPiles(piles);
          setFloor({
            ...floor,
            piles: piles.map((pile) => ({
              ...pile,
              pieces: Math.round(pile.kg / 0.025),
              words: text(`${Math.round(pile.kg / 0.025)} briquettes`),
            })),
          });
        }}
      />
    );
  }
  const coals = (n: number) => screen.getByRole('button', { name: new RegExp(`^Coals ${n} of`) });

  it('moves a pile by the arrows, further with shift, and not off the floor', async () => {
    const seen: FilePile[][] = [];
    show(<Moving onPiles={(piles) => seen.push(piles)} />);
    coals(2).focus();
    await userEvent.keyboard('{ArrowUp}');
    expect(seen.at(-1)?.[1]).toEqual({ x_cm: 0, y_cm: 16, kg: 0.45 });
    await userEvent.keyboard('{Shift>}{ArrowLeft}{/Shift}');
    expect(seen.at(-1)?.[1]?.x_cm).toBe(-8);
    for (let i = 0; i < 12; i++) await userEvent.keyboard('{Shift>}{ArrowDown}{/Shift}');
    const last = seen.at(-1)?.[1];
    expect(Math.hypot(last?.x_cm ?? 0, last?.y_cm ?? 0)).toBeLessThanOrEqual(28.5);
    // The others lie where they lay.
    expect(seen.at(-1)?.[0]).toEqual({ x_cm: -15, y_cm: 18, kg: 0.475 });
  });

  it('loses no move to a slow server: each starts from where the hand left the coals', async () => {
    const seen: FilePile[][] = [];
    // The answer to the first move is still on its way while the keys go on.
    function Slow() {
      const [laid, setLaid] = useState<FilePile[] | undefined>();
      return (
        <FloorPanel
          fire={aFire()}
          laid={laid}
          floor={aFloor}
          meat="Ducks"
          onPiles={(piles) => {
            setLaid(piles);
            if (piles !== undefined) seen.push(piles);
          }}
        />
      );
    }
    show(<Slow />);
    coals(2).focus();
    for (const key of ['{ArrowUp}', '{ArrowUp}', '{ArrowRight}', '{ArrowRight}', '{ArrowRight}']) await userEvent.keyboard(key);
    coals(1).focus();
    await userEvent.keyboard('{ArrowLeft}+');
    expect(seen.at(-1)?.[1]).toEqual({ x_cm: 6, y_cm: 14, kg: 0.45 });
    expect(seen.at(-1)?.[0]).toEqual({ x_cm: -17, y_cm: 18, kg: 0.5938 });
  });

  it('adds to a pile, takes from it and rakes it away by keys', async () => {
    const seen: FilePile[][] = [];
    show(<Moving onPiles={(piles) => seen.push(piles)} />);
    coals(1).focus();
    await userEvent.keyboard('+');
    expect(seen.at(-1)?.[0]?.kg).toBeCloseTo(0.475 * 1.25, 4);
    await userEvent.keyboard('-');
    expect(seen.at(-1)?.[0]?.kg).toBeCloseTo(0.475, 3);
    await userEvent.keyboard('{Delete}');
    expect(seen.at(-1)).toHaveLength(2);
  });

  it('does the same by thumb', async () => {
    const seen: FilePile[][] = [];
    show(<Moving onPiles={(piles) => seen.push(piles)} />);
    expect(screen.getByRole('button', { name: 'More here' })).toBeDisabled();
    await userEvent.click(screen.getByRole('button', { name: 'Add a pile' }));
    expect(seen.at(-1)).toHaveLength(4);
    await userEvent.click(screen.getByRole('button', { name: 'Fewer here' }));
    expect(seen.at(-1)?.[3]?.kg).toBeLessThan(seen.at(-2)?.[3]?.kg ?? 0);
    await userEvent.click(screen.getByRole('button', { name: 'Rake away' }));
    expect(seen.at(-1)).toHaveLength(3);
  });

  it('says where a pile lies and how many are in it', () => {
    show(<Moving onPiles={() => undefined} />);
    expect(coals(1)).toHaveAccessibleName(/19 briquettes, 15 cm left, 18 cm to the front/);
    expect(coals(2)).toHaveAccessibleName(/in the middle, 18 cm to the front/);
  });

  it('lets nothing be moved while it burns', () => {
    show(<FloorPanel fire={aFire()} laid={undefined} floor={aFloor} meat="Ducks" onPiles={null} />);
    expect(screen.queryByRole('button', { name: /Coals 1/ })).toBeNull();
    expect(screen.queryByRole('button', { name: 'Add a pile' })).toBeNull();
  });

  it('tells the near side of the meat from the far', () => {
    show(<FloorPanel fire={aFire()} laid={undefined} floor={aFloor} meat="Ducks" onPiles={null} />);
    expect(screen.getByText('0.9, 0.2')).toBeInTheDocument();
    expect(screen.getByText('turn it half way')).toBeInTheDocument();
  });
});

describe('fire view', () => {
  const view = (fire: Fire, units?: { temperatureUnit: 'c' | 'f'; massUnit: 'kg' | 'lb'; clockHours: 12 | 24 }) =>
    show(<FireView laid={undefined} plan={planWith(fire)} fire={fire} roast={roast()} now={NOON} onPiles={() => undefined} />, units);

  it('says which cooker it takes over, and lights nothing anew', () => {
    view(aFire({ lender: 'gas grill', start: null, fuel: null }));
    expect(screen.getByText('the gas grill')).toBeInTheDocument();
    expect(screen.getByText('nothing is lit anew')).toBeInTheDocument();
    expect(screen.queryByText(/Light at/)).toBeNull();
  });

  it('says what to light, when, and how it is set', () => {
    view(aFire());
    expect(screen.getByText('Light at 16:20')).toBeInTheDocument();
    expect(screen.getByText('57 briquettes')).toBeInTheDocument();
    expect(screen.getByText('both 9.5 mm')).toBeInTheDocument();
    expect(screen.getByRole('img', { name: 'Lower slot open 9.5 mm of 20' })).toBeInTheDocument();
    expect(screen.getByText('at 18:00')).toBeInTheDocument();
    expect(screen.getByText('2.2 kg')).toBeInTheDocument();
    expect(screen.getByText('Outdoors only.')).toBeInTheDocument();
  });

  it('speaks the cook’s units', () => {
    view(aFire(), { temperatureUnit: 'f', massUnit: 'lb', clockHours: 24 });
    expect(screen.getByText('For 356 °F')).toBeInTheDocument();
    expect(screen.getByText('4.9 lb')).toBeInTheDocument();
  });

  it('names coals and wood where wood is burned down', () => {
    view(aSpitFire());
    expect(screen.getAllByText('5.2 kg').length).toBeGreaterThan(0);
    expect(screen.getByText('of coals, from 23 kg of wood')).toBeInTheDocument();
    expect(screen.getByText('a 6 s hand')).toBeInTheDocument();
    expect(screen.getByRole('region', { name: 'Hand test' })).toBeInTheDocument();
  });

  it('tells an open fire by the hand alone, in figures and along its course', () => {
    const step = aSpitFire().steps[0];
    if (step === undefined) throw new Error('It has a step.');
    const ticks = [
      { seconds: 4, celsius: 400 },
      { seconds: 9, celsius: 318 },
    ];
    view(aSpitFire({ hand_ticks: ticks, steps: [{ ...step, target_c: 366, hand_s: { target: 6, least: 4.2, most: 9.1 } }] }));
    expect(screen.getByText('Fresh, at the meat')).toBeInTheDocument();
    expect(screen.getByText('4 to 9 s, eight fires in ten')).toBeInTheDocument();
    expect(screen.queryByText(/366/)).not.toBeInTheDocument();
    expect(screen.getByText('9 s')).toBeInTheDocument();
  });

  it('has one refuel in hand where coals are shovelled, and a third to spare where they pass through', () => {
    const { unmount } = view(aSpitFire({ buy_name: 'Hardwood', buy_kg: 99, kwh: null }));
    expect(screen.getByText('hardwood, one refuel in hand')).toBeInTheDocument();
    unmount();
    view(aFire({ fuel: null, fuels: [], buy_name: 'Propane', buy_kg: 1.2, kwh: null }));
    expect(screen.getByText('propane, a third to spare')).toBeInTheDocument();
  });

  it('draws burners as knobs', () => {
    const share = (id: string, name: string) => ({ id, name: text(name), unit: 'share' as const, least: 0, most: 1, step: 0.125 });
    const first = aFire().steps[0];
    view(
      aFire({
        start: null,
        fuel: null,
        floor: null,
        fuel_left: [],
        controls: [share('burner_1', 'Burner 1'), share('burner_2', 'Burner 2')],
        steps:
          first === undefined
            ? []
            : [
                {
                  ...first,
                  settings: [
                    { id: 'burner_1', value: 0.75 },
                    { id: 'burner_2', value: 0 },
                  ],
                },
              ],
      }),
    );
    expect(screen.getByRole('img', { name: 'Burner 1 ¾' })).toBeInTheDocument();
    expect(screen.getByRole('img', { name: 'Burner 2 off' })).toBeInTheDocument();
    expect(screen.getByText('1 of 2 burning')).toBeInTheDocument();
  });

  it('counts a camp oven by both schools', () => {
    view(
      aFire({
        floor: null,
        controls: [
          { id: 'over', name: text('Coals on the lid'), unit: 'pieces', least: 0, most: 60, step: 1 },
          { id: 'under', name: text('Coals below'), unit: 'pieces', least: 0, most: 60, step: 1 },
        ],
        steps: aFire().steps.map((step) => ({
          ...step,
          settings: [
            { id: 'over', value: 14 },
            { id: 'under', value: 13 },
          ],
        })),
        count: { over: 14, under: 13, diameter_cm: 30.5, plain: 24, other: { over: 15, under: 9 }, refresh_minutes: 52 },
      }),
    );
    expect(screen.getByText('14 over, 13 under')).toBeInTheDocument();
    expect(screen.getByRole('img', { name: 'Coals on the lid: 14' })).toBeInTheDocument();
    expect(screen.getByText('15 and 9')).toBeInTheDocument();
    expect(screen.getByText('27')).toBeInTheDocument();
  });

  it('counts coals of wood for a pot beside a fire, and speaks of no gram of them', () => {
    view(
      aFire({
        fuel: 'hardwood',
        controls: [
          { id: 'over', name: text('Coals on the lid'), unit: 'pieces', least: 0, most: 60, step: 1 },
          { id: 'under', name: text('Coals below'), unit: 'pieces', least: 0, most: 60, step: 1 },
        ],
        start: { kg: 0.219, words: text('17 coals'), pieces: null, bought_kg: 6, chimneys: null },
        count: { over: 17, under: 0, diameter_cm: 30.5, plain: 24, other: { over: 15, under: 9 }, refresh_minutes: 29 },
      }),
    );
    expect(screen.getByText('17 on the lid')).toBeInTheDocument();
    expect(screen.getByText('17 coals')).toBeInTheDocument();
    expect(screen.getByText(/as big as briquettes, from 6/)).toBeInTheDocument();
    expect(screen.queryByText(/219/)).toBeNull();
    expect(screen.getByText(/the fire at its side does that/)).toBeInTheDocument();
  });

  it('opens a figure to its working', async () => {
    view(aFire());
    await userEvent.click(screen.getByRole('button', { name: '57 briquettes' }));
    expect(await screen.findByText('As much as can give the heat.')).toBeInTheDocument();
  });
});

describe('sharing the coals out', () => {
  it('shows how far apart the parts are, and lays the coals where they belong', async () => {
    const laid: FilePile[][] = [];
    const fire = aSpitFire();
    if (fire.banking === null) throw new Error('no banking');
    show(<Banking fire={fire} banking={fire.banking} onLay={(piles) => laid.push(piles)} />);
    expect(screen.getByText('Its parts are done 4 h 30 apart')).toBeInTheDocument();
    expect(within(screen.getByRole('row', { name: /Hind legs/ })).getByText('8 h 46')).toBeInTheDocument();
    await userEvent.click(screen.getByRole('button', { name: 'Lay them so' }));
    // A handful in the middle is not worth raking.
    expect(laid[0]?.map((pile) => pile.x_cm)).toEqual([-60, 36]);
  });

  it('asks for nothing when all is done together', () => {
    const banking = aSpitFire().banking;
    if (banking === null) throw new Error('no banking');
    show(<Banking fire={aSpitFire()} banking={{ ...banking, apart_minutes: 6 }} onLay={() => undefined} />);
    expect(screen.getByText('All parts are done together')).toBeInTheDocument();
    expect(screen.queryByRole('button', { name: 'Lay them so' })).toBeNull();
  });
});

describe('hand test', () => {
  it('counts while the palm is held and judges it', () => {
    vi.useFakeTimers();
    tapsAt(() => performance.now());
    try {
      show(<HandTest fire={aSpitFire()} roast={roast()} live={false} />);
      fireEvent.click(screen.getByRole('button', { name: 'Palm in' }));
      act(() => vi.advanceTimersByTime(3000));
      expect(screen.getByText('3.0')).toBeInTheDocument();
      fireEvent.click(screen.getByRole('button', { name: 'Away!' }));
      expect(screen.getByText(/Too hot: rake some out/)).toBeInTheDocument();
      expect(screen.queryByRole('button', { name: 'Log it' })).toBeNull();
      fireEvent.click(screen.getByRole('button', { name: 'Palm in' }));
      act(() => vi.advanceTimersByTime(6300));
      fireEvent.click(screen.getByRole('button', { name: 'Away!' }));
      expect(screen.getByText('That is the fire that was asked for.')).toBeInTheDocument();
      fireEvent.click(screen.getByRole('button', { name: 'Palm in' }));
      act(() => vi.advanceTimersByTime(20000));
      fireEvent.click(screen.getByRole('button', { name: 'Away!' }));
      expect(screen.getByText(/Not hot enough/)).toBeInTheDocument();
    } finally {
      vi.useRealTimers();
    }
  });

  it.each([
    [0, '0.0', 'Under two seconds'],
    [1_949, '1.9', 'Under two seconds'],
    [1_951, '2.0', 'Too hot'],
    [4_749, '4.7', 'Too hot'],
    [4_751, '4.8', 'That is the fire that was asked for.'],
    [7_249, '7.2', 'That is the fire that was asked for.'],
    [7_251, '7.3', 'Not hot enough'],
    [60_049, '60.0', 'Not hot enough'],
    [60_051, '60.1', 'Over a minute'],
  ])('judges %d ms by the figure that it shows, %s', (ms, shown, words) => {
    let moment = 1000;
    tapsAt(() => moment);
    show(<HandTest fire={aSpitFire({ hand_s: 5.6 })} roast={roast()} live={false} />);
    expect(screen.getByText('6 seconds')).toBeInTheDocument();
    fireEvent.click(screen.getByRole('button', { name: 'Palm in' }));
    moment += ms;
    fireEvent.click(screen.getByRole('button', { name: 'Away!' }));
    expect(screen.getByText(shown)).toBeInTheDocument();
    expect(screen.getByText(words, { exact: false })).toBeInTheDocument();
  });

  it('logs it as a reading of the fire once it burns', async () => {
    vi.useFakeTimers();
    tapsAt(() => performance.now());
    show(<HandTest fire={aSpitFire()} roast={roast()} live />);
    fireEvent.click(screen.getByRole('button', { name: 'Palm in' }));
    act(() => vi.advanceTimersByTime(5500));
    fireEvent.click(screen.getByRole('button', { name: 'Away!' }));
    vi.useRealTimers();
    await userEvent.click(screen.getByRole('button', { name: 'Log it' }));
    await waitFor(() => expect(call).toHaveBeenCalled());
    const [, path, body] = call.mock.calls[0] as [string, string, NewReading];
    expect(path).toBe('/api/roasts/roast/readings');
    expect(body).toMatchObject({ place: 'cooker', hand_s: 5.5, dish: 0 });
  });
});

describe('tending', () => {
  function Strip({ tending }: { tending: ReturnType<typeof aTending> }) {
    const refuelled = aRoast();
    refuelled.plan.fires = [aFire()];
    refuelled.plan.run_sheet.push(entry('fire.kettle.refuel.0', 'fire', '2031-10-04T18:00:00Z', { title: text('Add 12 briquettes') }));
    const log = useLogging(refuelled);
    return <TendingStrip tending={tending} roast={refuelled} log={log} />;
  }

  it('says how the cooker stands and logs what is accepted', async () => {
    show(<Strip tending={aTending()} />);
    expect(screen.getByText(/target 150°, falling 9 °C an hour, both slots 8.5 mm/)).toBeInTheDocument();
    await userEvent.click(screen.getByRole('button', { name: 'Set so' }));
    await waitFor(() => expect(call).toHaveBeenCalled());
    const [, , body] = call.mock.calls[0] as [string, string, NewEvent];
    expect(body).toMatchObject({ kind: 'set', dish: 0, settings: { intake_mm: 9, exhaust_mm: 9 }, celsius: 150 });
  });

  it('ticks the refuel off when coals were what was missing', async () => {
    const correction = aTending().correction;
    show(
      <Strip
        tending={aTending({
          correction: correction === null ? null : { ...correction, act: 'fuel', words: text('Add 12 briquettes now'), settings: null },
        })}
      />,
    );
    await userEvent.click(screen.getByRole('button', { name: 'Added' }));
    await waitFor(() => expect(call).toHaveBeenCalled());
    expect((call.mock.calls[0] as [string, string, NewEvent])[2]).toMatchObject({ kind: 'fuel', entry: 'fire.kettle.refuel.0' });
  });

  it('offers nothing to do when nothing is worth doing', () => {
    const correction = aTending().correction;
    show(
      <Strip
        tending={aTending({
          correction: correction === null ? null : { ...correction, act: 'hold', words: text('Leave it as it is'), drift_k_h: 1 },
        })}
      />,
    );
    expect(screen.getByText('Leave it as it is')).toBeInTheDocument();
    expect(screen.getByText(/steady/)).toBeInTheDocument();
    // What was read, not what a line through all readings makes of it.
    expect(screen.getByText('139°')).toBeInTheDocument();
    expect(screen.getByText(/10 min ago, target 150°/)).toBeInTheDocument();
    expect(screen.queryByRole('button')).toBeNull();
  });

  it('tells how an open fire stands by the hand', () => {
    const open = aTending().correction;
    if (open === null) throw new Error('It is corrected.');
    show(<Strip tending={aTending({ target_c: 366, correction: { ...open, drift_k_h: -40, hand_s: { read: 8, target: 6 } } })} />);
    expect(screen.getByText('an 8 s hand')).toBeInTheDocument();
    expect(screen.getByText(/target a 6 s hand, falling,/)).toBeInTheDocument();
    expect(screen.queryByText(/330|366/)).not.toBeInTheDocument();
  });

  it('asks for a reading where there is none', () => {
    show(<Strip tending={aTending({ correction: null, readings: [] })} />);
    expect(screen.getByText(/take a reading of the cooker/)).toBeInTheDocument();
  });
});

describe('figures of a fire', () => {
  const see = (fire: Fire) =>
    show(<FireView laid={undefined} plan={planWith(fire)} fire={fire} roast={roast()} now={NOON} onPiles={() => undefined} />);
  const first = aFire().steps[0];
  if (first === undefined) throw new Error('A fire has a step.');

  it('opens when to close the slots in to its rule and source', async () => {
    see(
      aFire({
        steps: [{ ...first, wide_until_c: 118 }],
        workings: [
          {
            of: 'fire.close',
            rule: text('Coals glow on.'),
            inputs: [{ label: text('Closed in at'), value: text('118 °C') }],
            source: text('Common practice'),
          },
        ],
      }),
    );
    await userEvent.click(screen.getByRole('button', { name: '118 °C' }));
    expect(await screen.findByText('Coals glow on.')).toBeVisible();
    expect(screen.getByText('Closed in at')).toBeVisible();
  });

  it('says nothing of open slots where there are none', () => {
    see(aSpitFire());
    expect(screen.queryByText(/Wide open until/)).toBeNull();
  });

  it('gives charcoal by weight its name, and briquettes their number', () => {
    see(
      aFire({
        buy_name: 'Lump charcoal',
        start: { kg: 0.5, words: text('0.5 kg of lump charcoal'), pieces: null, bought_kg: 0.5, chimneys: 0.2 },
      }),
    );
    expect(screen.getByText('lump charcoal, 0.2 of a chimney')).toBeInTheDocument();
  });

  it('speaks of the middle once coals were moved in the open, and of the target before', () => {
    see(aSpitFire({ moved: true }));
    expect(screen.getByText('As laid, in the middle')).toBeInTheDocument();
  });

  it('tells smoke by the piece, and not where it is not wanted', () => {
    see(aFire({ smoke_g: 160, smoke_words: text('2 chunks, or 4 handfuls of chips') }));
    expect(screen.getByText('2 chunks, or 4 handfuls of chips')).toBeInTheDocument();
  });

  it('is silent on smoke for a fire in the open', () => {
    see(aSpitFire({ smoke_g: 0, smoke_words: text('') }));
    expect(screen.queryByText(/Smoke, if you like it/)).toBeNull();
  });
});

describe('fire ticket', () => {
  function Writing({ fire, onChange, errors = {} }: { fire: Fire; onChange: (draft: Draft) => void; errors?: Record<string, string[]> }) {
    const [draft, setDraft] = useState<Draft>({
      serve_at: '2031-10-04T18:45:00+00:00',
      dishes: [],
      fires: [{ cooker: 'kettle', piles: [{ x_cm: 0, y_cm: 0, kg: 1 }] }],
    });
    return (
      <FireTicket
        draft={draft}
        fire={fire}
        cookers={[aCooker(), aCooker({ id: 'gas', name: 'Regatta gas grill', kind: 'gas' })]}
        errors={errors}
        onChange={(next) => {
          setDraft(next);
          onChange(next);
        }}
      />
    );
  }

  it('takes another layout, and lays the coals anew', async () => {
    const seen: Draft[] = [];
    show(<Writing fire={aFire()} onChange={(next) => seen.push(next)} />);
    await userEvent.click(screen.getByRole('radio', { name: 'Both sides of a pan' }));
    expect(seen.at(-1)?.fires).toEqual([{ cooker: 'kettle', layout: 'two_sides', piles: undefined }]);
  });

  it('offers the cook’s own of that kind alone', async () => {
    const seen: Draft[] = [];
    show(<Writing fire={aFire()} onChange={(next) => seen.push(next)} />);
    await userEvent.click(screen.getByRole('button', { name: 'Which one' }));
    expect(screen.queryByRole('option', { name: /Regatta/ })).toBeNull();
    await userEvent.click(await screen.findByRole('option', { name: /Boathouse kettle/ }));
    expect(seen.at(-1)?.fires?.[0]?.own).toBe('Boathouse kettle');
  });

  it('shows what is wrong at its field', () => {
    show(<Writing fire={aFire()} onChange={() => undefined} errors={{ wind_ms: ['The wind must be between 0 and 20 m/s.'] }} />);
    expect(screen.getByLabelText('Wind')).toHaveAccessibleDescription('The wind must be between 0 and 20 m/s.');
  });

  it('asks for the water in wood, and not in charcoal', async () => {
    const seen: Draft[] = [];
    show(<Writing fire={aSpitFire()} onChange={(next) => seen.push(next)} />);
    await userEvent.type(screen.getByLabelText('Water in the wood'), '35');
    expect(seen.at(-1)?.fires?.[1]).toEqual({ cooker: 'open-spit', moisture_percent: 35 });
    await userEvent.click(screen.getByRole('button', { name: 'Fuel' }));
    await userEvent.click(await screen.findByRole('option', { name: 'Lump charcoal' }));
    expect(seen.at(-1)?.fires?.[1]).toMatchObject({ fuel: 'lump', moisture_percent: undefined });
    expect(screen.queryByLabelText('Water in the wood')).toBeNull();
  });

  it('asks how an open fire is fed', async () => {
    const seen: Draft[] = [];
    show(<Writing fire={aSpitFire()} onChange={(next) => seen.push(next)} />);
    await userEvent.click(screen.getByRole('radio', { name: 'Kept steady' }));
    expect(withFire({ serve_at: '', dishes: [] }, { cooker: 'open-spit', steady: true }).fires).toEqual([seen.at(-1)?.fires?.[1]]);
  });
});

describe('what a tap of the fire logs', () => {
  const refuel = entry('fire.kettle.refuel.0', 'fire', '2031-10-04T17:10:00Z');

  it('is fuel for a refuel and a tick for all else', () => {
    expect(eventFor(refuel, [])).toEqual({ kind: 'fuel' });
    expect(eventFor(entry('fire.kettle.ready.0', 'fire', '2031-10-04T17:00:00Z'), [])).toEqual({ kind: 'tick' });
  });

  it('is found by the fuel key when it is due', () => {
    const plan = { ...roast().plan, run_sheet: [refuel] };
    expect(choreFor('fuel', 0, plan, [], Date.parse('2031-10-04T17:05:00Z'))?.id).toBe('fire.kettle.refuel.0');
    expect(choreFor('fuel', 0, plan, [], Date.parse('2031-10-04T16:00:00Z'))).toBeUndefined();
  });
});

describe('a fire that only a hand can read', () => {
  function Spit() {
    const burning = aRoast();
    burning.plan.fires = [aSpitFire()];
    const log = useLogging(burning);
    return (
      <TendingStrip tending={aTending({ cooker: 'open-spit', name: 'Spit', correction: null, readings: [] })} roast={burning} log={log} />
    );
  }

  it('leads to the hand test', () => {
    show(<Spit />);
    expect(screen.getByRole('link', { name: 'Hand test' })).toHaveAttribute('href', '/roasts/roast/fire');
    expect(screen.getByText(/hold your palm over it/)).toBeInTheDocument();
  });
});
