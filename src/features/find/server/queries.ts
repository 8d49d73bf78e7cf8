import { theDb } from '@/db/context';
import { logRepo } from '@/db/repositories/log';
import { storeRepo } from '@/db/repositories/store';
import type { Site } from '@/db/repositories/site';
import type { BatchSnapshot } from '@/core/snapshot/batch-snapshot';
import type { Locale } from '@/core/words/note';
import { textQueryOf, wordsTyped } from '../query';
import { findView, kindsCalled, MOST_ENTRIES, type FindView } from '../view';

/** Letters that a search begins with: one finds everything. */
const LEAST_LETTERS = 2;

/** What a site holds of what was typed; null: too little was typed. */
export async function findOnSite(
  site: Site,
  board: readonly BatchSnapshot[],
  typed: string,
  locale: Locale,
): Promise<FindView | null> {
  if (wordsTyped(typed).join('').length < LEAST_LETTERS) return null;
  const [store, entries] = await Promise.all([
    storeRepo(theDb()).state(site.id),
    logRepo(theDb()).find(site.id, textQueryOf(typed), kindsCalled(typed), MOST_ENTRIES + 1),
  ]);
  return findView(typed, board, store, entries, locale);
}
