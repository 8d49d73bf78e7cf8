import { env } from '@/platform/env';
import { currentSiteId, setCurrentSite } from '@/platform/current-request';
import { setSiteSpeech } from '@/platform/request-speech';
import { may, type Action } from '@/core/access/roles';
import { accessOfRequest, type Access } from './access';
import { connect, type Db } from './client';
import { siteCodes } from './site-codes';
import { siteRepo, speechOfSite, type Site } from './repositories/site';

const held = globalThis as unknown as {
  zealousDb?: Db;
  zealousWriter?: Db;
  zealousHealth?: Db;
  zealousAccounts?: Db;
};
/** Connections for accounts and sessions. */
const MOST_AT_ACCOUNTS = 6;
/** Connections for turns at the logs. */
const MOST_WRITING = 8;

/** The pool of the database role for accounts, sessions and the codes of sites, which may read no logged data. */
export const theAccounts = (): Db =>
  (held.zealousAccounts ??= connect(env.accountsDatabaseUrl(), MOST_AT_ACCOUNTS));
/** Connections of the application's role are taken for the site of whoever asks. */
const siteOfRequest = () => ({ siteOf: currentSiteId, codeOf: siteCodes(theAccounts()) });

/** The process's pool for whoever reads, and for what is written beside the logs; opened at first use so that a build needs no database. */
export const theDb = (): Db =>
  (held.zealousDb ??= connect(env.databaseUrl(), undefined, siteOfRequest()));
/** The pool for turns at the logs: however many wait there, pages have connections. */
export const theWriter = (): Db =>
  (held.zealousWriter ??= connect(env.databaseUrl(), MOST_WRITING, siteOfRequest()));
/** Asks whether the database answers, whatever else goes on. */
export const theHealthDb = (): Db =>
  (held.zealousHealth ??= connect(env.databaseUrl(), 1, undefined, true));

/**
 * The site that the request asks for; null: there is none for whoever asks, or their role there does not cover it.
 * @param action what is done with it: asked here too, behind the guard of addresses, since an action of a page can be sent to any
 */
export async function theSite(action: Action = 'see-site'): Promise<Site | null> {
  const { site, role } = await currentAccess();
  if (!may(role, action)) return null;
  if (site) setSiteSpeech(speechOfSite(site));
  return site;
}

/** The same. @throws Error for whoever has no place on a site, or none that covers what is done with it */
export async function requireSite(action?: Action): Promise<Site> {
  const site = await theSite(action);
  if (!site) throw new Error('Nobody has signed in, or their role does not cover this.');
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
export const currentAccess = (): Promise<Access> => accessOfRequest(theDb(), theAccounts());
