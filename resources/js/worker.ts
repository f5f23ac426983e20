/// <reference lib="webworker" />
/**
 * Keeps the screens themselves on the device: page, scripts, styles and letters, so that they open without a network. What the kitchen
 * says is kept elsewhere (api/keep.ts), and what is logged goes out by the outbox.
 */
export type {};
declare const self: ServiceWorkerGlobalScope;

const PREFIX = 'diatherm ';
const PAGE = '/';
const MANIFEST = '/build/manifest.json';
const BESIDES = ['/icon.svg', '/app.webmanifest', '/icon-192.png', '/icon-512.png'];
/** A network that does not answer is none. */
const PATIENCE_MS = 4_000;

type Chunk = { file: string; css?: string[]; assets?: string[] };

/** Named by what is in it: another version of the screens is another shelf. */
async function shelf(): Promise<{ name: string; files: string[] }> {
  const text = await (await fetch(MANIFEST, { cache: 'no-cache' })).text();
  const chunks = Object.values(JSON.parse(text) as Record<string, Chunk>);
  const files = new Set(
    chunks.flatMap((chunk) => [chunk.file, ...(chunk.css ?? []), ...(chunk.assets ?? [])]).map((file) => `/build/${file}`),
  );
  const digest = await crypto.subtle.digest('SHA-1', new TextEncoder().encode(text));
  const name = [...new Uint8Array(digest)].map((byte) => byte.toString(16).padStart(2, '0')).join('');
  return { name: PREFIX + name, files: [...files] };
}

self.addEventListener('install', (event) => {
  event.waitUntil(
    (async () => {
      const { name, files } = await shelf();
      const cache = await caches.open(name);
      await cache.addAll([PAGE, ...files, ...BESIDES]);
      await self.skipWaiting();
    })(),
  );
});

self.addEventListener('activate', (event) => {
  event.waitUntil(
    (async () => {
      const { name } = await shelf().catch(() => ({ name: null }));
      // The shelf before stays: a page that is open may still ask for a screen of its own version.
      const old = (await caches.keys()).filter((key) => key.startsWith(PREFIX) && key !== name).slice(0, -1);
      await Promise.all(old.map((key) => caches.delete(key)));
      await self.clients.claim();
    })(),
  );
});

self.addEventListener('fetch', (event) => {
  const { request } = event;
  const url = new URL(request.url);
  if (request.method !== 'GET' || url.origin !== self.location.origin || url.pathname.startsWith('/api/') || url.pathname === '/up') return;
  if (request.mode === 'navigate') event.respondWith(page(request));
  else if (url.pathname.startsWith('/build/') || BESIDES.includes(url.pathname)) event.respondWith(kept(request));
});

/** The page from the network while there is one, else as it was. */
async function page(request: Request): Promise<Response> {
  try {
    const answer = await fetch(request, { signal: AbortSignal.timeout(PATIENCE_MS) });
    if (answer.status < 500) return answer;
  } catch {
    // As it was.
  }
  return (await caches.match(PAGE)) ?? Response.error();
}

/** A file is named by what is in it: what is here is right. */
const kept = async (request: Request): Promise<Response> => (await caches.match(request, { ignoreVary: true })) ?? (await fetch(request));
