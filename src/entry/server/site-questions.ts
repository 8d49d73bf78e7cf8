import { isOpen, mayHaveQuestions, type SiteQuestion } from '@/core/status/open-questions';
import type { Db } from '@/db/client';
import { lotsRepo } from '@/db/repositories/lots';
import type { Site } from '@/db/repositories/site';
import { storeRepo } from '@/db/repositories/store';
import { now } from '@/platform/clock';
import { readSiteLots, type KnownSite } from './lot-book';

/** What speaks against evidence of a site, open and settled. Lots are followed only where something may have been found. */
export async function readSiteQuestions(db: Db, s: KnownSite): Promise<readonly SiteQuestion[]> {
  const { state } = await lotsRepo(db).read(s.site.id, s.asOf);
  if (!mayHaveQuestions(s.board, state)) return [];
  const store = await storeRepo(db).state(s.site.id, s.asOf);
  return (await readSiteLots(db, s.site, s.now, { ...s, store })).questions;
}

/** Whether a question stands in the log and nobody has settled it. */
export async function isOpenQuestion(db: Db, site: Site, id: string): Promise<boolean> {
  const { questions } = await readSiteLots(db, site, now());
  return questions.some((q) => q.id === id && isOpen(q));
}
