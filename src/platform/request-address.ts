import { AsyncLocalStorage } from 'node:async_hooks';
import diagnostics from 'node:diagnostics_channel';
import type { IncomingMessage } from 'node:http';

/** One for all bundles of the server: each has a copy of this module. */
const STORE = Symbol.for('zealous-heap.request-address');
const addresses = ((globalThis as { [STORE]?: AsyncLocalStorage<string> })[STORE] ??=
  new AsyncLocalStorage<string>());

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

/** From now on every request knows where it came from. */
export const followRequestAddress = (): void =>
  diagnostics.subscribe('http.server.request.start', (message) => {
    addresses.enterWith(addressOf((message as { request: IncomingMessage }).request));
  });

/** Where the request that is being answered came from; '': outside of one. */
export const currentAddress = (): string => addresses.getStore() ?? '';
