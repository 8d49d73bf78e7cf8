import { env } from '@/platform/env';
import { setSiteSpeech } from '@/platform/request-speech';
import { connect, type Db } from './client';
import { siteRepo, speechOfSite, type Site } from './repositories/site';

const held = globalThis as unknown as { zealousDb?: Db };

/** The process's one pool, opened at first use so that a build needs no database. */
export const theDb = (): Db => (held.zealousDb ??= connect(env.databaseUrl()));

/** The site of this server; null: none has been named yet. */
export async function theSite(): Promise<Site | null> {
  const site = await siteRepo(theDb()).only();
  if (site) setSiteSpeech(speechOfSite(site));
  return site;
}

/** @throws Error while no site has been named; pages send the visitor to name one first */
export async function requireSite(): Promise<Site> {
  const site = await theSite();
  if (!site) throw new Error('No site yet: open the first page and name it.');
  return site;
}
