import { chainText, GENESIS, type Entry } from '@/core/log/entry';
import { sha256 } from './sha256';

/** Entries with the hashes that a site's log would give them, as if no other batch lay between. */
export function chainOf(site: string, entries: readonly Entry[]): { entry: Entry; prev: string }[] {
  let prev = GENESIS;
  return entries.map((e) => {
    const hash = sha256(prev + chainText(site, e));
    const link = { entry: { ...e, hash }, prev };
    prev = hash;
    return link;
  });
}
