import type { SiteHead } from '@/core/formats/batch-file-of';
import { languageOf, type Language } from '@/messages/languages';
import type { Db } from '../client';

export type Site = SiteHead & {
  readonly id: string;
  readonly demoUntil: number | null;
  /** Of its records, and of devices that ask for none; absent: American English. */
  readonly language?: Language;
};

export const siteRepo = (db: Db) => ({
  /** The site of this database, or null before the first start has named one. */
  async only(): Promise<Site | null> {
    const row = await db.selectFrom('site').selectAll().limit(1).executeTakeFirst();
    return row
      ? {
          id: row.id,
          name: row.name,
          timeZone: row.time_zone,
          unit: row.unit,
          language: languageOf(row.language) ?? 'en',
          demoUntil: row.demo_until?.getTime() ?? null,
        }
      : null;
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
        demo_until,
      })
      .execute();
  },
});
