import { currentUnits, say } from '@/messages/say';
import { notFound, redirect } from 'next/navigation';
import { may, type Action } from '@/core/access/roles';
import { deviceOfKey, type Access } from '@/db/access';
import { currentAccess, publicSite, theDb, theSite } from '@/db/context';
import { logRepo } from '@/db/repositories/log';
import { chainRepo } from '@/db/repositories/chain';
import { siteRepo, type Site } from '@/db/repositories/site';
import { snapshotRepo } from '@/db/repositories/snapshots';
import type { SiteState } from '@/core/log/fold';
import { ageText, tempText } from '@/core/quantity/format';
import { MS } from '@/core/quantity/instant';
import { toCelsius, type TempUnit } from '@/core/units/units';
import type { BatchSnapshot } from '@/core/snapshot/batch-snapshot';
import { byBay } from '@/telling/status/picture';
import type { Locale } from '@/core/words/note';
import { now } from '@/platform/clock';
import { inSite } from '@/platform/current-request';
import { roleName } from '@/entry/role-name';
import { readOwnPrefs } from '@/entry/server/own-prefs';
import { firstLineOfPage, openFaultTexts } from '@/entry/server/trust';
import { readPrefs, type Prefs } from '@/platform/prefs';

type AirPoint = { readonly at: number; readonly celsius: number };
export type PageContext = {
  readonly site: Site;
  readonly prefs: Prefs;
  /** Who uses the device: somebody who has signed in, or whoever holds a shared phone; null: neither. */
  readonly user: PageUser | null;
  /** Whether whoever asks keeps the record: corrects, checks what trainees logged. */ readonly records: boolean;
  /** Whether whoever asks may change rules and what else is the manager's. */ readonly manages: boolean;
  readonly unit: TempUnit;
  readonly now: number;
  readonly locale: Locale;
  readonly board: readonly BatchSnapshot[];
  /** Names the state of the log that the page is of: the hash of its last entry. */
  readonly asOf: string;
  /** Where the log ends, for the device to remember: number and hash; '': it is empty. */
  readonly head: string;
  /** What does not fit in the log; empty: nothing that is known. */ readonly faults: readonly string[];
  /** The first line of what leaves a page as a file, where the log does not fit. */
  readonly notice: string | null;
  readonly siteState: SiteState;
  readonly air: readonly AirPoint[];
  readonly airText: string;
  readonly lastText: string;
};

/** Entries that wait on a device are whoever's who used it then: a page says who that is. */
type PageUser = {
  readonly kind: 'person' | 'phone';
  readonly id: string;
  readonly name: string;
};
function userOf({ person, device }: Access): PageUser | null {
  if (person) return { kind: 'person', id: person.id, name: person.name };
  return device && { kind: 'phone', id: device.id, name: device.name };
}

/** What every page needs: the site, this device's choices, all heaps, the air. Sends a new site to be named first. */
export async function loadPageContext(action?: Action): Promise<PageContext> {
  const site = await theSite(action);
  if (!site) redirect('/site');
  return contextOf(site);
}

/** The same for a page that anybody may open. @param lot what it shows, which says of which site it is */
export async function loadPublicContext(lot: string): Promise<PageContext> {
  const site = await publicSite((db) => logRepo(db).siteOfPublicLot(lot));
  if (!site) notFound();
  return contextOf(site);
}

/** The same for a calendar that bears a key; null: it bears none that is good. */
export async function loadCalendarContext(key: string | null): Promise<PageContext | null> {
  const own = await theSite();
  if (own) return contextOf(own);
  const device = await deviceOfKey(theDb(), key, 'calendar');
  if (!device || device.revoked) return null;
  const site = await publicSite(() => Promise.resolve(device.site));
  return site && contextOf(site);
}

async function contextOf(site: Site): Promise<PageContext> {
  const [prefs, at] = [await readOwnPrefs(), now()];
  const db = theDb();
  // Asked for first: what comes in meanwhile is shown, and is looked for once more by the next page.
  const head = await chainRepo(db).head(site.id);
  const asOf = head?.hash ?? '';
  const [board, siteState] = await Promise.all([
    snapshotRepo(db).board(site, at),
    snapshotRepo(db).siteState(site),
  ]);
  const unit = currentUnits().temp;
  const air = siteState.ambient
    .map((a) => ({ at: a.at, celsius: toCelsius(a.value, a.unit) }))
    .filter((a) => a.at <= at)
    .sort((a, b) => a.at - b.at);
  const latest = air.at(-1);
  const last = board.reduce<BatchSnapshot | null>(
    (a, b) => (a === null || b.lastLogged.at > a.lastLogged.at ? b : a),
    null,
  );
  return {
    site,
    prefs,
    user: userOf(await currentAccess()),
    records: may((await currentAccess()).role, 'log', { kind: 'entry-check' }),
    manages: may((await currentAccess()).role, 'manage-people'),
    unit,
    now: at,
    locale: { timeZone: site.timeZone, unit, now: at },
    board: [...board].sort(byBay),
    asOf,
    head: head ? `${head.seq}:${head.hash}` : '',
    faults: await openFaultTexts(site, siteState),
    notice: await firstLineOfPage(site, siteState),
    siteState,
    air,
    airText: latest
      ? say('frame.airAgo', {
          celsius: tempText(latest.celsius, unit),
          at: ageText((at - latest.at) / MS.hour),
        })
      : say('frame.noAirTemperatureYet'),
    lastText: last
      ? at - last.lastLogged.at < MS.minute
        ? say('frame.loggedJustNow', { by: last.lastLogged.by, name: last.name ?? last.code })
        : say('frame.loggedAgo', {
            by: last.lastLogged.by,
            name: last.name ?? last.code,
            at: ageText((at - last.lastLogged.at) / MS.hour),
          })
      : say('frame.nothingLoggedYet'),
  };
}

/** Who has signed in on this device, in words. */
export type WhoIsInView = {
  readonly text: string;
  readonly hasAccount: boolean;
  readonly managesPeople: boolean;
  /** The site that is shown, and all that whoever has signed in has a place at. */
  readonly site: string;
  readonly sites: readonly { readonly id: string; readonly name: string }[];
};

/** Sites by name; each is read as if for itself. */
async function namesOfSites(ids: readonly string[]): Promise<WhoIsInView['sites']> {
  const sites = [];
  for (const id of ids) {
    const site = await inSite(id, () => siteRepo(theDb()).byId(id));
    if (site) sites.push({ id, name: site.name });
  }
  return sites;
}

export async function loadWhoIsIn(): Promise<WhoIsInView> {
  const { person, device, role, site, memberships } = await currentAccess();
  return {
    text: person?.role
      ? say('people.signedInAs', { name: person.name, role: roleName(person.role) })
      : say('people.onSharedPhone', {
          name: device?.name ?? '',
          by: (await readPrefs()).by || '?',
        }),
    hasAccount: person !== null,
    managesPeople: may(role, 'manage-people'),
    site: site?.id ?? '',
    sites: await namesOfSites(memberships.map((m) => m.site)),
  };
}
