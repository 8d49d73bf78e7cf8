import { say } from '@/messages/say';
import type { ChainFault } from '@/core/log/chain';
import type { SiteState } from '@/core/log/fold';
import { dayText } from '@/core/quantity/format';
import { theDb } from '@/db/context';
import { chainCheckRepo, type ChainCheck } from '@/db/repositories/chain-checks';
import type { Site } from '@/db/repositories/site';

/** What of the log does not fit, as pages and records say it. */

function faultText({ code, seq }: ChainFault): string {
  const at = { seq: String(seq) };
  switch (code) {
    case 'CHANGED':
      return say('frame.faultChanged', at);
    case 'OUT_OF_SEQUENCE':
      return say('frame.faultSequence', at);
    case 'TIME_RUNS_BACK':
      return say('frame.faultTime', at);
    case 'UNSIGNED':
      return say('frame.faultUnsigned', at);
    case 'OTHER_KEY':
      return say('frame.faultKey', at);
    case 'PHOTO_CHANGED':
      return say('frame.faultPhoto', at);
    case 'PHOTO_MISSING':
      return say('frame.faultPhotoGone', at);
    case 'SITE_CHANGED':
      return say('frame.faultSite');
    case 'SNAPSHOT_DIFFERS':
      return say('frame.faultSnapshot', at);
  }
}

/** So many are named; the others are counted. */
const NAMED = 5;
/** The last check is read anew at most so often: it is made once a day. */
const READ_EVERY_MS = 30_000;
const checks = new Map<string, { readonly readAt: number; readonly check: ChainCheck | null }>();

async function lastCheck(site: string): Promise<ChainCheck | null> {
  const known = checks.get(site);
  if (known && Date.now() - known.readAt < READ_EVERY_MS) return known.check;
  const check = await chainCheckRepo(theDb()).last(site);
  checks.set(site, { readAt: Date.now(), check });
  return check;
}

/** Sentences about what does not fit: found by the server's own check, or seen by a device. Empty: nothing is known. */
export async function faultTexts(site: Site, { witnesses }: SiteState): Promise<string[]> {
  const found = (await lastCheck(site.id))?.faults.map(faultText) ?? [];
  const seen = witnesses.map(({ by, seq, at }) =>
    say('frame.faultWitness', { by, seq: String(seq), at: dayText(site.timeZone, at) }),
  );
  const all = [...seen, ...found];
  return all.length <= NAMED
    ? all
    : [...all.slice(0, NAMED), say('frame.andMoreFaults', { n: all.length - NAMED })];
}
