import { keepPreviousData, useMutation, useQuery, useQueryClient, type QueryClient } from '@tanstack/react-query';
import { askedAt, call, Failed, isUnsettled, Unreachable } from './client';
import type { BodyOf } from './contract';
import type { AwaitedRoast, BrokenRoast, Me, OwnCooker, Roast, RoastFile, RoastSummary } from './types';

const LIVE_POLL_MS = 15_000;

/** A newer answer is being worked out. */
const UNSETTLED_POLL_MS = 1_500;
const HEARTH_POLL_MS = 30_000;
/** A network that went meanwhile holds no button for longer than this. */
const LONGEST_LOOK_MS = 3_000;

const passed = (ms: number) => new Promise<void>((done) => setTimeout(done, ms));

export const keys = {
  me: ['me'] as const,
  shownAs: ['shown as'] as const,
  reference: ['reference'] as const,
  account: ['account'] as const,
  mixes: ['mixes'] as const,
  handbook: ['handbook'] as const,
  roasts: ['roasts'] as const,
  roast: (id: string) => ['roast', id] as const,
  hands: (key: string) => ['hands', key] as const,
  sides: ['sides'] as const,
  cookers: ['cookers'] as const,
  devices: ['devices'] as const,
  weather: (of: WeatherOf | null) => ['weather', of] as const,
  preview: (file: RoastFile | null) => ['preview', file] as const,
  ask: (id: string, question: BodyOf<'post', '/api/cookers/{cooker}/ask'> | null) => ['ask', id, question] as const,
  /** all questions, and all roasts: what a cooker learnt tells in both */
  asked: ['ask'] as const,
  everyRoast: ['roast'] as const,
};

/** The list is asked for anew though no screen shows it: it is what opens where there is no network. */
export const everyList = { queryKey: keys.roasts, refetchType: 'all' as const };

export const useMe = () =>
  useQuery({ queryKey: keys.me, queryFn: ({ signal }) => call('get', '/api/me', { signal }), staleTime: Infinity });

/** Units and clock. */
export type ShownAs = Partial<Pick<NonNullable<Me['user']>, 'temperature_unit' | 'mass_unit' | 'clock_hours'>>;

/**
 * How figures are shown. Each change shows at once, and the server hears of them one after the other: its answer to one knows nothing of those
 * that wait behind it, so that only the last is taken for what stands. Where it cannot be reached, they are shown so on this page.
 */
export function useShownAs() {
  const cache = useQueryClient();
  const isLast = () => cache.isMutating({ mutationKey: keys.shownAs }) === 1;
  return useMutation({
    mutationKey: keys.shownAs,
    scope: { id: keys.shownAs[0] },
    mutationFn: (change: ShownAs) => call('patch', '/api/me', { body: change }),
    onMutate: (change) => stands<Me>(cache, keys.me, (old) => (old.user ? { ...old, user: { ...old.user, ...change } } : old)),
    onSuccess: (me) => (isLast() ? stands(cache, keys.me, me) : undefined),
    onError: (error) => (isLast() && !(error instanceof Unreachable) ? cache.invalidateQueries({ queryKey: keys.me }) : undefined),
  });
}

export const useAccount = () => useQuery({ queryKey: keys.account, queryFn: ({ signal }) => call('get', '/api/account', { signal }) });

const asHandbook = {
  queryKey: keys.handbook,
  queryFn: ({ signal }: { signal: AbortSignal }) => call('get', '/api/handbook', { signal }),
  staleTime: Infinity,
};

const asMixes = (kg: number, guests: number) => ({
  queryKey: [...keys.mixes, kg, guests] as const,
  queryFn: ({ signal }: { signal: AbortSignal }) => call('get', '/api/mixes', { query: { mass_kg: kg, guests }, signal }),
  staleTime: 60_000,
});

/** Marinades, rubs and the like, for so much meat and so many guests. */
export const useMixes = (kg: number, guests: number) => useQuery(asMixes(kg, guests));

export const useHandbook = () => useQuery(asHandbook);

export const useReference = () =>
  useQuery({
    queryKey: keys.reference,
    queryFn: ({ signal }) => call('get', '/api/reference', { signal }),
    staleTime: Infinity,
  });

type Listed = (RoastSummary | BrokenRoast | AwaitedRoast)[];

/** A page of which some are worked out still is asked for again. */
const untilWhole = (data: Listed | undefined, otherwise: number | false) =>
  data !== undefined && isUnsettled(data) ? UNSETTLED_POLL_MS : otherwise;

const listed = {
  queryKey: keys.roasts,
  queryFn: ({ signal }: { signal: AbortSignal }) => call('get', '/api/roasts', { signal }),
  refetchInterval: ({ state: { data } }: { state: { data: Listed | undefined } }) => untilWhole(data, HEARTH_POLL_MS),
  // It stays the answer that it is, which knows whether there is more to come.
  structuralSharing: false,
};
const sound = (all: Listed) => all.filter((one): one is RoastSummary => one.status !== 'broken' && one.status !== 'awaited');
const broken = (all: Listed) => all.filter((one): one is BrokenRoast => one.status === 'broken');

const awaited = (all: Listed): number => all.filter((one) => one.status === 'awaited').length;

export const useRoasts = () => useQuery({ ...listed, select: sound });

/** How many are worked out still. */
export const useAwaitedRoasts = () => useQuery({ ...listed, select: awaited }).data ?? 0;

/** As many as the kitchen tells at once. */
const ROASTS_AT_ONCE = 60;

/** The last roast of a full page, after which older ones are asked for; null where there are none. */
const endOf = (all: Listed): string | null => (all.length < ROASTS_AT_ONCE ? null : (all.at(-1)?.id ?? null));

export const useEndOfRoasts = () => useQuery({ ...listed, select: endOf }).data ?? null;

/** A page of older roasts, and where it ends; asked for once. */
export const useOlderRoasts = (before: string | null) =>
  useQuery({
    queryKey: [...keys.roasts, 'before', before] as const,
    queryFn: ({ signal }) => call('get', '/api/roasts', { query: { before: before ?? '' }, signal }),
    select: (all: Listed) => ({ roasts: sound(all), end: endOf(all) }),
    enabled: before !== null,
    refetchInterval: ({ state: { data } }) => untilWhole(data, false),
    structuralSharing: false,
    staleTime: Infinity,
  });

/** Stored roasts that can no longer be worked out. */
export const useBrokenRoasts = () => useQuery({ ...listed, select: broken });

const asRoast = (id: string) => ({
  queryKey: keys.roast(id),
  queryFn: ({ signal }: { signal: AbortSignal }) => call('get', '/api/roasts/{roast}', { at: { roast: id }, signal }),
  // It stays the answer that it is, which knows when it was asked for.
  structuralSharing: false,
});

/** Ends with the session: what is asked after it is refused. */
let session = new AbortController();

/** Roasts that may be wanted where there is no network: told once now, and kept. */
export async function fetchAhead(cache: QueryClient, ids: readonly string[]): Promise<void> {
  const { signal: over } = session;
  const wanted = [
    () => cache.prefetchQuery(asHandbook),
    () => cache.prefetchQuery(asMixes(1, 1)),
    () =>
      cache.prefetchQuery({
        queryKey: keys.reference,
        queryFn: ({ signal }) => call('get', '/api/reference', { signal }),
        staleTime: Infinity,
      }),
    ...ids.map((id) => () => cache.prefetchQuery({ ...asRoast(id), staleTime: AHEAD_STANDS_MS })),
  ];
  for (const fetch of wanted) {
    if (over.aborted) return;
    await fetch();
  }
}

/** Before a session ends: nothing more is asked ahead, and nobody waits for what was asked. */
export async function stopAsking(cache: QueryClient): Promise<void> {
  session.abort();
  session = new AbortController();
  await cache.cancelQueries();
}

const AHEAD_STANDS_MS = 10 * 60_000;

/** A roast that is on the fire is asked for again and again, so that every device shows the same. */
export const useRoast = (id: string) =>
  useQuery({
    ...asRoast(id),
    refetchInterval: ({ state: { data } }) => {
      if (data !== undefined && isUnsettled(data)) return UNSETTLED_POLL_MS;
      return data?.status === 'done' ? false : LIVE_POLL_MS;
    },
  });

/** What is being worked out for somebody else first is asked for again; what cannot be is not. */
const WAITS_ITS_TURN = {
  retry: (count: number, error: Error) => error instanceof Failed && error.status === 429 && count < 5,
  retryDelay: (_count: number, error: Error) => 1000 * ((error instanceof Failed && error.waitS) || 1),
};

export const usePreview = (file: RoastFile | null) =>
  useQuery({
    queryKey: keys.preview(file),
    queryFn: ({ signal }) => call('post', '/api/preview', { body: file ?? undefined, signal }),
    enabled: file !== null,
    placeholderData: keepPreviousData,
    staleTime: 60_000,
    ...WAITS_ITS_TURN,
  });

/** Sides that no table has and this cook keeps. */
export const useOwnSides = () => useQuery({ queryKey: keys.sides, queryFn: ({ signal }) => call('get', '/api/sides', { signal }) });

export const useCookers = () => useQuery({ queryKey: keys.cookers, queryFn: ({ signal }) => call('get', '/api/cookers', { signal }) });

/** A place, and some hours as moments in ms. */
export type WeatherOf = { latitude: number; longitude: number; from: number; until: number };

const WEATHER_STANDS_MS = 15 * 60_000;

/** Asked for by the quarter of an hour, so that a clock that ticks asks nothing. */
const quarter = (moment: number) => Math.floor(moment / WEATHER_STANDS_MS) * WEATHER_STANDS_MS;

export function useWeather(of: WeatherOf | null) {
  const asked = of === null ? null : { ...of, from: quarter(of.from), until: quarter(of.until + WEATHER_STANDS_MS - 1) };
  return useQuery({
    queryKey: keys.weather(asked),
    queryFn: ({ signal }) =>
      call('get', '/api/weather', {
        query: {
          latitude: asked?.latitude ?? 0,
          longitude: asked?.longitude ?? 0,
          from: new Date(asked?.from ?? 0).toISOString(),
          until: new Date(asked?.until ?? 0).toISOString(),
        },
        signal,
      }),
    enabled: asked !== null,
    staleTime: WEATHER_STANDS_MS,
    placeholderData: keepPreviousData,
    retry: false,
  });
}

/** What a cooker answers in a weather, either way. */
export const useAnswer = (id: string, question: Record<string, unknown> | null) =>
  useQuery({
    queryKey: keys.ask(id, question),
    queryFn: ({ signal }) => call('post', '/api/cookers/{cooker}/ask', { at: { cooker: id }, body: question ?? undefined, signal }),
    enabled: question !== null,
    placeholderData: keepPreviousData,
    retry: false,
  });

/** A change to one cooker whose answer is its new state. */
export function useCookerChange<T>(change: (input: T) => Promise<OwnCooker>) {
  const cache = useQueryClient();
  return useMutation({
    mutationFn: change,
    onSuccess: async (cooker) => {
      await stands<OwnCooker[]>(cache, keys.cookers, (old) =>
        [...old.filter((one) => one.id !== cooker.id), cooker].sort((a, b) => a.name.localeCompare(b.name)),
      );
      void cache.invalidateQueries({ queryKey: keys.asked });
      void cache.invalidateQueries({ queryKey: keys.everyRoast });
    },
  });
}

/**
 * A new state of something, or what becomes of the old one: what was asked for before it would tell of an older one, and is given up. Where
 * there is no old one yet, it is asked for anew.
 */
export async function stands<T extends object>(cache: QueryClient, key: readonly string[], state: T | ((old: T) => T)): Promise<void> {
  await cache.cancelQueries({ queryKey: key, exact: true });
  const old = cache.getQueryData<T>(key);
  if (typeof state !== 'function') cache.setQueryData<T>(key, state);
  else if (old !== undefined) cache.setQueryData<T>(key, state(old));
  else void cache.invalidateQueries({ queryKey: key, exact: true });
}

/**
 * A new state of a roast. What was logged while it was on its way is in another answer, which was here or is given up for it. An answer from
 * before the change is no new state: the roast is asked for again.
 */
export async function roastStands(cache: QueryClient, roast: Roast | BrokenRoast): Promise<void> {
  const key = keys.roast(roast.id);
  if (isUnsettled(roast)) {
    void cache.invalidateQueries({ queryKey: key, exact: true });
    return;
  }
  const shown = cache.getQueryData<Roast>(key);
  const knowsLess = shown !== undefined && askedAt(shown, 0) > askedAt(roast, Date.now());
  const wasAsked = cache.isFetching({ queryKey: key, exact: true }) > 0;
  await stands(cache, key, roast);
  if (knowsLess || wasAsked) void cache.invalidateQueries({ queryKey: key, exact: true });
}

/**
 * A change to one roast, whose answer is its new state; null where it was a change of what has not been sent yet. One goes after the other,
 * so that the last answer is the newest.
 */
export function useRoastChange<T>(id: string, change: (input: T) => Promise<Roast | BrokenRoast | null>) {
  const cache = useQueryClient();
  return useMutation({
    scope: { id: `roast ${id}` },
    mutationFn: change,
    onSuccess: async (roast) => {
      if (roast !== null) await roastStands(cache, roast);
      void cache.invalidateQueries(everyList);
    },
  });
}

/**
 * Something that is logged to one roast: once it is with the server, the roast is asked for anew (by the outbox, which sent it), and until
 * that is here, or has been waited for long enough, it is not over. What is kept for later is over at once.
 */
export function useRoastLog<T>(id: string, log: (input: T) => Promise<boolean>) {
  const cache = useQueryClient();
  return useMutation({
    mutationFn: log,
    onSuccess: async (isWithTheServer) => {
      void cache.invalidateQueries(everyList);
      const anew = () => cache.invalidateQueries({ queryKey: keys.roast(id) }, { cancelRefetch: false });
      if (isWithTheServer) await Promise.race([anew(), passed(LONGEST_LOOK_MS)]);
    },
  });
}
