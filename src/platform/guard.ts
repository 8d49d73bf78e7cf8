import { say } from '@/messages/say';
import { bodyLimitOf } from './body-limits';
import { OUTSIDE } from './current-request';
/**
 * The one guard before every page, route and action. Another site's page must neither write here with this browser, nor read
 * through a name that was rebound to this machine; and no path reaches a page that cannot be read.
 */
export type Refusal = {
  readonly status: 400 | 403 | 405 | 411 | 413 | 421;
  readonly message: string;
};

const LOCAL = new Set(['localhost', '127.0.0.1', '[::1]']);
const SAFE_METHODS = new Set(['GET', 'HEAD', 'OPTIONS']);
const METHODS = new Set([...SAFE_METHODS, 'POST', 'PUT', 'PATCH', 'DELETE']);

/** The name in a Host header or an origin, without its port; null: it is none. */
function hostNameOf(host: string): string | null {
  try {
    return new URL(host.includes('://') ? host : `http://${host}`).hostname.toLowerCase();
  } catch {
    return null;
  }
}

const originOf = (text: string): string | null => {
  try {
    return new URL(text).host.toLowerCase();
  } catch {
    return null;
  }
};

/**
 * @param hosts names that the hub may be reached by beside this machine's own, as ZEALOUS_HOSTS gives them
 * @returns null: the request may pass
 */
export function refusalOf(
  request: { readonly method: string; readonly url: string; readonly headers: Headers },
  hosts: readonly string[],
): Refusal | null {
  const host = request.headers.get('host') ?? '';
  const name = hostNameOf(host);
  if (name === null || !(LOCAL.has(name) || hosts.includes(name))) {
    return {
      status: 421,
      message: say('app.thisServerDoesNotAnswer', {
        name: name ?? host,
        name2: name ?? 'its.name',
      }),
    };
  }
  try {
    decodeURIComponent(new URL(request.url).pathname);
  } catch {
    return {
      status: 400,
      message: say('app.theAddressContainsPercentSign'),
    };
  }
  if (!METHODS.has(request.method))
    return {
      status: 405,
      message: say('app.methodNotTaken', { method: request.method.replace(OUTSIDE, '') }),
    };
  // All that is written or asked goes through a door that checks and counts it; the framework's own way past them is shut.
  if (request.headers.has('next-action')) return { status: 400, message: say('app.noActions') };
  if (SAFE_METHODS.has(request.method)) return null;
  return isForeign(request.headers, host, hosts)
    ? { status: 403, message: say('app.thisCameFromAnotherWebsite') }
    : null;
}

/**
 * Refuses what an address does not take before any of it is kept in memory. What does not tell its size is refused as well: browsers
 * tell it, and what they do not send need not be waited for.
 */
export function refusalOfBody(request: {
  readonly method: string;
  readonly url: string;
  readonly headers: Headers;
}): Refusal | null {
  if (SAFE_METHODS.has(request.method)) return null;
  if (request.headers.has('transfer-encoding'))
    return { status: 411, message: say('app.bodyWithoutSize') };
  const most = bodyLimitOf(new URL(request.url).pathname);
  return most !== null && Number(request.headers.get('content-length') ?? '0') > most
    ? { status: 413, message: say('app.bodyTooLarge', { most: Math.round(most / 1000) }) }
    : null;
}

/** A browser says where a request comes from; what no browser sent (a script on this machine) says neither and may pass. */
function isForeign(headers: Headers, host: string, hosts: readonly string[]): boolean {
  const site = headers.get('sec-fetch-site');
  if (site !== null) return site !== 'same-origin' && site !== 'none';
  const origin = headers.get('origin');
  if (origin === null) return false;
  const from = originOf(origin);
  return (
    from === null || (from !== host.toLowerCase() && !hosts.includes(hostNameOf(origin) ?? ''))
  );
}
