import { theDb } from '@/db/context';
import { ratesRepo } from '@/db/repositories/rates';
import { now } from '@/platform/clock';

const QUARTER_MS = 15 * 60_000;

/** Counts one more try at somebody's secret, wherever it comes from. @returns whether there were more than so many in this quarter of an hour */
export async function isTriedTooOften(
  secret: 'user-name' | 'pin',
  whose: string,
  most: number,
): Promise<boolean> {
  const at = now();
  return (await ratesRepo(theDb()).count(secret, whose, at - (at % QUARTER_MS))) > most;
}
