import { keyName } from '@/core/formats/seal';
import type { SiteState } from '@/core/log/fold';
import { theDb } from '@/db/context';
import { chainCheckRepo } from '@/db/repositories/chain-checks';
import type { Site } from '@/db/repositories/site';
import { readMemory } from '@/db/site-heads';
import { knownFaults } from '@/entry/server/trust';
import { sha256 } from '@/platform/hash';
import { siteKey } from '@/platform/site-key';
import { logCheckView, type LogCheckView } from '../view';

/** What is known of the log of a site: when it was checked, who vouches for it, what does not fit. */
export async function loadLogCheck(
  site: Site,
  siteState: SiteState,
  now: number,
): Promise<LogCheckView> {
  const key = siteKey();
  const { signedFrom, heads } = readMemory(site.id);
  return logCheckView({
    timeZone: site.timeZone,
    now,
    check: await chainCheckRepo(theDb()).last(site.id),
    key: key && keyName(key.publicKey, sha256),
    signedFrom,
    lastHead: heads.at(-1) ?? null,
    faults: await knownFaults(site, siteState),
  });
}
