import { env } from '@/platform/env';
import { connect, type Db } from './client';
import { siteRepo, type Site } from './repositories/site';

const held = globalThis as unknown as { zealousDb?: Db };

/** The process's one pool, opened at first use so that a build needs no database. */
export const theDb = (): Db => (held.zealousDb ??= connect(env.databaseUrl()));

export const theSite = (): Promise<Site | null> => siteRepo(theDb()).only();

/** @throws Error while no site has been named; pages send the visitor to name one first */
export async function requireSite(): Promise<Site> {
  const site = await theSite();
  if (!site) throw new Error('No site yet: open the first page and name it.');
  return site;
}
