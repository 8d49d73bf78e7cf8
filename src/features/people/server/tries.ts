import { theDb } from '@/db/context';
import { ratesRepo } from '@/db/repositories/rates';
import { addressBlock } from '@/platform/address-block';
import { now } from '@/platform/clock';
import { currentAddress } from '@/platform/current-request';
import { sha256 } from '@/platform/hash';

const MINUTE_MS = 60_000;
const QUARTER_MS = 15 * MINUTE_MS;

/** Uses since the start of a span, this one included. */
const countIn = (door: string, whose: string, spanMs: number, at: number): Promise<number> =>
  ratesRepo(theDb()).count(door, whose, at - (at % spanMs));
/** Seconds until a span ends. */
const restOf = (spanMs: number, at: number): number => Math.ceil((spanMs - (at % spanMs)) / 1000);

/** Counts one more try at somebody's PIN. @returns whether there were more than so many in this quarter of an hour */
export const isTriedTooOften = async (whose: string, most: number): Promise<boolean> =>
  (await countIn('pin', whose, QUARTER_MS, now())) > most;

/** Tries at one user name from one place in a quarter of an hour: the first ones at any time, then one a minute. */
const [FREE_TRIES, MOST_TRIES] = [8, 20];
/** Tries at one user name from all places where nobody has signed in by it before. */
const MOST_FROM_ANYWHERE = 200;

/**
 * Counts one more try at a user name: by the place that it comes from, so that nobody shuts out whoever the name belongs to. A device
 * on which its owner has signed in before is counted by itself.
 * @param device the word of such a device; null where nobody has signed in on it by this name
 * @returns after how many seconds the next try is taken; 0: this one is
 */
export async function waitBeforeTry(username: string, device: string | null): Promise<number> {
  const at = now();
  // Kept as its hash: the count is no list of who there is.
  const name = sha256(username.toLowerCase());
  const from = sha256(`${name} ${device ?? addressBlock(currentAddress())}`);
  const here = await countIn('user-name', from, QUARTER_MS, at);
  const anywhere = device === null ? await countIn('user-name-anywhere', name, QUARTER_MS, at) : 0;
  if (here > MOST_TRIES || anywhere > MOST_FROM_ANYWHERE) return restOf(QUARTER_MS, at);
  if (here <= FREE_TRIES) return 0;
  return (await countIn('user-name-slow', from, MINUTE_MS, at)) > 1 ? restOf(MINUTE_MS, at) : 0;
}
