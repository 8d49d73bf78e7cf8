import { systemOfSite, type SiteHead } from '@/core/formats/batch-file-of';
import { languageOf, type Language } from '@/messages/languages';
import { UNIT_SYSTEMS } from '@/core/units/units';
import type { Speech } from '@/messages/say';
import { canonicalJson } from '@/core/log/entry';
import { siteKey } from '@/platform/site-key';
import { sql, type Selectable } from 'kysely';
import { now } from '@/platform/clock';
import { inSite } from '@/platform/current-request';
import type { Db } from '../client';
import type { Database } from '../schema';
import { keepMark } from '../site-heads';

export type Site = SiteHead & {
  readonly id: string;
  readonly demoUntil: number | null;
  /** Of its records, and of devices that ask for none; absent: American English. */
  readonly language?: Language;
};

/** How a site speaks: in its records, and to devices that ask for nothing. */
export const speechOfSite = (site: Site): Speech => ({
  language: site.language ?? 'en',
  units: { system: systemOfSite(site), temp: site.unit },
});

/** What a site calls itself, reads and speaks in, as it is sealed. */
const siteFacts = ({ id, name, timeZone, unit, language = 'en', ...site }: Site): string =>
  canonicalJson({
    ...{ format: 'zealous-heap/site-facts', id, name, timeZone, unit, language },
    units: systemOfSite({ unit, ...site }),
  });
/** The same as it was sealed before its language was. */
const olderFacts = ({ id, name, timeZone, unit }: Site): string =>
  canonicalJson({ format: 'zealous-heap/site-facts', id, name, timeZone, unit });

const siteOf = (row: Selectable<Database['site']>): Site => ({
  id: row.id,
  name: row.name,
  timeZone: row.time_zone,
  unit: row.unit,
  language: languageOf(row.language) ?? 'en',
  units: UNIT_SYSTEMS.find((system) => system === row.units) ?? 'metric',
  demoUntil: row.demo_until?.getTime() ?? null,
});

/** Puts a seal in the place of another one. @param instead the seal that is there; null: none */
async function putSeal(db: Db, site: Site, instead: string | null): Promise<void> {
  const sealed = siteKey()?.sign(siteFacts(site)) ?? null;
  await db
    .updateTable('site')
    .set({ sealed })
    .where('id', '=', site.id)
    .where('sealed', instead === null ? 'is' : '=', instead)
    .execute();
}

export const siteRepo = (db: Db) => ({
  /** Ids of all sites of this database, the first one first. */
  async ids(): Promise<string[]> {
    const { rows } = await sql<{ id: string }>`select id from all_sites() as id`.execute(db);
    return rows.map((r) => r.id);
  },
  /** All sites, each read as if for itself. */
  async all(): Promise<Site[]> {
    const sites: Site[] = [];
    for (const id of await this.ids()) {
      const site = await inSite(id, () => this.byId(id));
      if (site) sites.push(site);
    }
    return sites;
  },
  /** The first site of this database, or null before one was named. */
  async first(): Promise<Site | null> {
    const [id] = await this.ids();
    return id === undefined ? null : inSite(id, () => this.byId(id));
  },
  async byId(id: string): Promise<Site | null> {
    const row = await db.selectFrom('site').selectAll().where('id', '=', id).executeTakeFirst();
    return row ? siteOf(row) : null;
  },
  async create(site: Site): Promise<void> {
    const demo_until = site.demoUntil === null ? null : new Date(site.demoUntil);
    await db
      .insertInto('site')
      .values({
        id: site.id,
        name: site.name,
        time_zone: site.timeZone,
        unit: site.unit,
        language: site.language ?? 'en',
        units: systemOfSite(site),
        demo_until,
        sealed: siteKey()?.sign(siteFacts(site)) ?? null,
      })
      .execute();
    // Its log begins with this installation: all of it is signed.
    keepMark({ site: site.id, from: 0, at: now() });
  },
  /** Seals what a site calls itself, where it comes from before there were seals: once, at the upgrade. */
  seal: (site: Site): Promise<void> => putSeal(db, site, null),
  /** Seals its language and units with the rest, where they were not yet: once, at the upgrade, and only where the older seal fits. */
  async sealLanguage(site: Site): Promise<void> {
    const older = siteKey()?.sign(olderFacts(site));
    if (older !== undefined) await putSeal(db, site, older);
  },
  /** Whether a site is still called what was sealed; null: it was never sealed, or there is no key. */
  async isAsSealed(site: Site): Promise<boolean | null> {
    const key = siteKey();
    const row = await db
      .selectFrom('site')
      .select('sealed')
      .where('id', '=', site.id)
      .executeTakeFirst();
    if (!key || !row?.sealed) return null;
    return key.sign(siteFacts(site)) === row.sealed;
  },
});
