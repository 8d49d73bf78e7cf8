import { env } from '@/platform/env';
import { digestOfToken, requestTimeStamp } from '@/platform/time-stamp';
import type { Db } from './client';
import { chainRepo } from './repositories/chain';
import { timeStampRepo, type KeptTimeStamp } from './repositories/time-stamps';

/**
 * Has the service that the installation names vouch for the end of a log, unless it has done so.
 * @returns whether it vouched for one now
 * @throws Error where the service does not answer, or vouches for something else
 */
export async function stampLogEnd(db: Db, site: string): Promise<boolean> {
  const service = env.timeStampService();
  const head = service === null ? null : await chainRepo(db).head(site);
  if (service === null || !head || (await timeStampRepo(db).has(site, head.seq))) return false;
  const { token, at } = await requestTimeStamp(service, head.hash);
  await timeStampRepo(db).keep(site, { seq: head.seq, hash: head.hash, at, service, token });
  return true;
}

/** Time stamps that today's log does not bear out: the entry that one vouches for is gone, or another. */
export async function differingStamps(db: Db, site: string): Promise<KeptTimeStamp[]> {
  const differing: KeptTimeStamp[] = [];
  for (const stamp of await timeStampRepo(db).all(site)) {
    const there = await chainRepo(db).hashAt(site, stamp.seq);
    if (there !== stamp.hash || digestOfToken(stamp.token) !== stamp.hash) differing.push(stamp);
  }
  return differing;
}
