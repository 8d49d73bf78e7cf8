import {
  CacheFirst,
  ExpirationPlugin,
  NetworkFirst,
  NetworkOnly,
  Serwist,
  StaleWhileRevalidate,
  type PrecacheEntry,
  type SerwistPlugin,
} from 'serwist';
import { alwaysOffline } from '@/core/words/places';
import { forgetKeptHeaps, lastLoggedOf } from '@/outbox/kept-heaps';
import { sendWaiting } from '@/outbox/store';

/**
 * Keeps the application on the device: its scripts and fonts as built, its pages as last seen, and sends what waits when
 * there is a signal again, also with no page open. Pages are kept as documents; what Next fetches between pages is relative
 * to the page it came from and is let fail, upon which the whole document is loaded, from here if need be.
 */
type Scope = {
  readonly __SW_MANIFEST: (PrecacheEntry | string)[];
  readonly clients: { matchAll(options: object): Promise<readonly { readonly url: string }[]> };
  readonly location: Location;
  addEventListener(
    type: string,
    listener: (event: {
      waitUntil(p: Promise<unknown>): void;
      readonly data?: unknown;
      readonly tag?: string;
    }) => void,
  ): void;
};
declare const self: Scope;

const PAGES = 'pages';
const DAY_S = 86_400;

const whole: SerwistPlugin = {
  cacheWillUpdate: ({ response }) =>
    Promise.resolve(response.status === 200 && !response.redirected ? response : null),
};
/**
 * The script that starts a worker reads from its own address what the worker does. A response that was kept bears the address that it
 * was first asked for by, which another page's worker would take for its own; one without any leaves each its own.
 */
const withoutAddress: SerwistPlugin = {
  handlerWillRespond: ({ response: { body, status, statusText, headers } }) =>
    Promise.resolve(new Response(body, { status, statusText, headers })),
};
/** A page out of this memory says when it was made, so that it is not taken for what is so now. */
const withAge: SerwistPlugin = {
  cachedResponseWillBeUsed: async ({ cachedResponse }) => {
    const madeAt = Date.parse(cachedResponse?.headers.get('date') ?? '');
    if (!cachedResponse || Number.isNaN(madeAt)) return cachedResponse ?? null;
    const { status, statusText, headers } = cachedResponse;
    const page = await cachedResponse.text();
    const aged = page.replace('<html', `<html data-kept-at="${madeAt}"`);
    return new Response(aged, { status, statusText, headers: withoutLength(headers) });
  },
};
/** Headers of a body that was changed: its length and its packing are others now. */
function withoutLength(headers: Headers): Headers {
  const own = new Headers(headers);
  for (const name of ['content-length', 'content-encoding']) own.delete(name);
  return own;
}
const expires = new ExpirationPlugin({ maxEntries: 400, maxAgeSeconds: 30 * DAY_S });
const pages = new NetworkFirst({
  cacheName: PAGES,
  networkTimeoutSeconds: 4,
  matchOptions: { ignoreVary: true, ignoreSearch: false },
  plugins: [whole, expires, withAge],
});
// The round's page is an empty frame round what the device keeps itself: it opens at once, and is made anew behind it.
const round = new StaleWhileRevalidate({
  cacheName: PAGES,
  matchOptions: { ignoreVary: true },
  plugins: [whole, expires],
});
/** The page of a heap, and no page behind it. */
const HEAP_PAGE = /^\/batch\/([^/]+)$/;
/** What answers for a heap whose page is out of reach: a frame that shows what the device keeps of it. */
const OFFLINE_HEAPS = '/offline';

/** A heap's page as it was seen is used while nothing was logged of the heap since, as far as this device knows; then what is kept of it is newer. */
const keptHeap: SerwistPlugin = {
  cachedResponseWillBeUsed: async ({ request, cachedResponse }) => {
    const heap = HEAP_PAGE.exec(new URL(request.url).pathname)?.[1] ?? '';
    const loggedAt = await lastLoggedOf(heap).catch(() => null);
    const seenAt = Date.parse(cachedResponse?.headers.get('date') ?? '');
    return loggedAt === null || seenAt >= loggedAt ? (cachedResponse ?? null) : null;
  },
  handlerDidError: () => caches.match(OFFLINE_HEAPS, { cacheName: PAGES, ignoreVary: true }),
};
const heapPages = new NetworkFirst({
  cacheName: PAGES,
  networkTimeoutSeconds: 4,
  matchOptions: { ignoreVary: true, ignoreSearch: false },
  plugins: [whole, expires, keptHeap, withAge],
});
/** Whoever signs out, or goes over to another site, leaves no pages on the device; what waits to be sent stays. */
const forgetting: SerwistPlugin = {
  requestWillFetch: async ({ request }) => {
    await caches.delete(PAGES);
    await forgetKeptHeaps().catch(() => undefined);
    return request;
  },
};
const afterLeaving = new NetworkOnly({ plugins: [forgetting] });
const same =
  (path: string) =>
  ({ url, sameOrigin }: { url: URL; sameOrigin: boolean }): boolean =>
    sameOrigin && url.pathname.startsWith(path);

const serwist = new Serwist({
  precacheEntries: self.__SW_MANIFEST,
  skipWaiting: true,
  clientsClaim: true,
  navigationPreload: false,
  precacheOptions: { cleanupOutdatedCaches: true },
  runtimeCaching: [
    {
      matcher: same('/api/photo/'),
      handler: new CacheFirst({
        cacheName: 'photos',
        plugins: [whole, new ExpirationPlugin({ maxEntries: 200 })],
      }),
    },
    { matcher: same('/api/'), handler: new NetworkOnly() },
    {
      matcher: ({ request, sameOrigin }) => sameOrigin && request.headers.get('RSC') === '1',
      handler: new NetworkOnly(),
    },
    {
      matcher: ({ request, url, sameOrigin }) =>
        sameOrigin && request.mode === 'navigate' && url.pathname === '/round',
      handler: round,
    },
    {
      matcher: ({ request, url, sameOrigin }) =>
        sameOrigin && request.mode === 'navigate' && HEAP_PAGE.test(url.pathname),
      handler: heapPages,
    },
    {
      matcher: ({ request, url, sameOrigin }) =>
        sameOrigin && request.mode === 'navigate' && url.searchParams.has('out'),
      handler: afterLeaving,
    },
    {
      matcher: ({ request, sameOrigin }) => sameOrigin && request.mode === 'navigate',
      handler: pages,
    },
    {
      matcher: ({ request, sameOrigin }) => sameOrigin && request.destination === 'worker',
      handler: new CacheFirst({ cacheName: 'static', plugins: [whole, withoutAddress] }),
    },
    {
      matcher: same('/_next/static/'),
      handler: new CacheFirst({ cacheName: 'static', plugins: [whole] }),
    },
  ],
  fallbacks: {
    entries: [{ url: '/no-signal.html', matcher: ({ request }) => request.mode === 'navigate' }],
  },
});
serwist.addEventListeners();

async function keepPage(href: string): Promise<void> {
  const url = new URL(href, self.location.origin);
  url.hash = '';
  if (url.origin !== self.location.origin || url.pathname.startsWith('/api/')) return;
  const response = await fetch(url.href, {
    credentials: 'same-origin',
    headers: { accept: 'text/html' },
  }).catch(() => null);
  if (
    response?.ok &&
    !response.redirected &&
    response.headers.get('content-type')?.startsWith('text/html')
  )
    await (await caches.open(PAGES)).put(url.href, response);
}
/** One after the other: a phone at the heap has other things to do with its signal. */
async function keepPages(list: readonly string[]): Promise<void> {
  for (const href of list) await keepPage(href);
}

self.addEventListener('activate', (e) =>
  e.waitUntil(
    (async () => {
      // Pages that were made by an older build point at scripts that are gone.
      await caches.delete(PAGES);
      const open = (await self.clients.matchAll({ type: 'window', includeUncontrolled: true })).map(
        (c) => c.url,
      );
      await keepPages([...new Set([...open, ...alwaysOffline()])]);
    })(),
  ),
);
self.addEventListener('message', (e) => {
  const m = e.data as { type?: string; urls?: readonly string[] } | null;
  if (m?.type === 'KEEP_PAGES' && Array.isArray(m.urls))
    e.waitUntil(keepPages(m.urls.slice(0, 200)));
});
self.addEventListener('sync', (e) => {
  // Refused by the browser's promise, it is asked again later.
  if (e.tag === 'zh-outbox')
    e.waitUntil(
      sendWaiting().then(({ reached }) => {
        if (!reached) throw new Error('no signal yet');
      }),
    );
});
