import { env } from '@/platform/env';
import { currentSiteId, setCurrentSite } from '@/platform/current-request';
import { setSiteSpeech } from '@/platform/request-speech';
import { accessOfRequest, type Access } from './access';
import { connect, type Db } from './client';
import { siteRepo, speechOfSite, type Site } from './repositories/site';

const held = globalThis as unknown as { zealousDb?: Db };

/** Connections at most. */
const POOL = 10;
/** The process's one pool, opened at first use so that a build needs no database. */
export const theDb = (): Db => (held.zealousDb ??= connect(env.databaseUrl(), POOL, currentSiteId));

/** The site that the request asks for, for somebody who has a place there; null: there is none for whoever asks. */
export async function theSite(): Promise<Site | null> {
  const { site } = await currentAccess();
  if (site) setSiteSpeech(speechOfSite(site));
  return site;
}

/** @throws Error for whoever has no place on a site: every page and door reads the log of the site that this gives */
export async function requireSite(): Promise<Site> {
  const site = await theSite();
  if (!site) throw new Error('Nobody has signed in, or there is no site for whoever has.');
  return site;
}

/**
 * The site behind what anybody may open: the page of a lot, a link for inspectors. The request asks for it from then on.
 * @param find its id, found by what the address bears; null: there is none
 */
export async function publicSite(find: (db: Db) => Promise<string | null>): Promise<Site | null> {
  const id = await find(theDb());
  if (id === null) return null;
  setCurrentSite(id);
  const site = await siteRepo(theDb()).byId(id);
  if (site) setSiteSpeech(speechOfSite(site));
  return site;
}

/** Speaks as the first site does, until a request says for which site it is. */
export async function speakAsSite(): Promise<void> {
  const site = await siteRepo(theDb()).first();
  if (site) setSiteSpeech(speechOfSite(site));
}

/** Who asks, for which site, and what they are there. */
export const currentAccess = (): Promise<Access> => accessOfRequest(theDb());
