import { AsyncLocalStorage } from 'node:async_hooks';
import diagnostics from 'node:diagnostics_channel';
import type { IncomingMessage } from 'node:http';

/** The request that is being answered, as far as the server asks: where it came from, what it bears, what was found out for it. */
type CurrentRequest = {
  readonly address: string;
  readonly host: string;
  readonly cookie: string;
  /** What the browser calls itself. */ readonly browser: string;
  /** For which site it asks, as soon as that is known; '': for none. */ site: string;
  /** Found out once for a request and used by all that answer it. */
  readonly known: Map<string, unknown>;
};

/** One for all bundles of the server: each has a copy of this module. */
const STORE = Symbol.for('zealous-heap.current-request');
const requests = ((globalThis as { [STORE]?: AsyncLocalStorage<CurrentRequest> })[STORE] ??=
  new AsyncLocalStorage<CurrentRequest>());

const LOOPBACK = new Set(['127.0.0.1', '::1', '::ffff:127.0.0.1']);

/** Who asks: the other end of the connection; where that is the web server on this machine, whom it forwards for. */
function addressOf({ socket, headers }: Pick<IncomingMessage, 'socket' | 'headers'>): string {
  const peer = socket.remoteAddress ?? '';
  if (!LOOPBACK.has(peer)) return peer;
  // Only the last in the list was written by the web server beside us; all before it is hearsay.
  const forwarded = String(headers['x-forwarded-for'] ?? '')
    .split(',')
    .at(-1)
    ?.trim();
  return forwarded === undefined || forwarded === '' ? peer : forwarded;
}

/** Before a method that no Request of the web platform can bear: the framework would answer 500 before the guard is asked. */
export const OUTSIDE = 'X-';

/** From now on every request knows where it came from and what it bears. */
export const followRequests = (): void =>
  diagnostics.subscribe('http.server.request.start', (message) => {
    const { request } = message as { request: IncomingMessage };
    if (request.method === 'TRACE') request.method = `${OUTSIDE}TRACE`;
    const { host = '', cookie = '', 'user-agent': browser = '' } = request.headers;
    const from = { address: addressOf(request), host, cookie, browser };
    requests.enterWith({ ...from, site: '', known: new Map() });
  });

/** Where the request that is being answered came from; '': outside of one. */
export const currentAddress = (): string => requests.getStore()?.address ?? '';
/** Whether the request came from this machine, by a name of this machine. */
export function isFromThisMachine(): boolean {
  const request = requests.getStore();
  return (
    request !== undefined &&
    LOOPBACK.has(request.address) &&
    /^(localhost|127\.0\.0\.1|\[::1\])(:\d+)?$/.test(request.host)
  );
}
/** The cookies of the request that is being answered, as they came; '': outside of one. */
export const currentCookies = (): string => requests.getStore()?.cookie ?? '';
/** One of them; null: it bears none of that name. */
export function currentCookie(name: string): string | null {
  for (const pair of currentCookies().split(';')) {
    const [key, ...value] = pair.trim().split('=');
    if (key === name) return value.join('=');
  }
  return null;
}

/** The headers of the request by which the library of accounts knows who asks, and from which browser; empty outside of one. */
export const currentHeaders = (): Headers =>
  new Headers({ cookie: currentCookies(), 'user-agent': requests.getStore()?.browser ?? '' });

/** Finds something out once for the request that is being answered; outside of one, each time. */
export function onceForRequest<T>(name: string, find: () => Promise<T>): Promise<T> {
  const request = requests.getStore();
  if (!request) return find();
  const known = request.known.get(name) as Promise<T> | undefined;
  if (known) return known;
  const found = find();
  request.known.set(name, found);
  return found;
}

/** For which site the work in hand is done; '': for none. */
export const currentSiteId = (): string => requests.getStore()?.site ?? '';

/** From now on the request that is being answered asks for a site. */
export function setCurrentSite(site: string): void {
  const request = requests.getStore();
  if (request) request.site = site;
}

/** Does work for a site: what the server does by itself, or what a request asks of a site that is not its own. */
export function inSite<T>(site: string, work: () => T): T {
  const request = requests.getStore();
  const rest = request ?? { address: '', host: '', cookie: '', browser: '' };
  return requests.run({ ...rest, site, known: request?.known ?? new Map<string, unknown>() }, work);
}
