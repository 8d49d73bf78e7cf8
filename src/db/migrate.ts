import { Migrator, sql, type Migration } from 'kysely';
import type { Db } from './client';
import * as log from './migrations/0001-log';
import * as refold from './migrations/0002-refold';
import * as photos from './migrations/0003-photos';
import * as advice from './migrations/0004-advice';
import * as store from './migrations/0005-store';
import * as touched from './migrations/0007-touched';
import * as likeness from './migrations/0008-likeness';
import * as language from './migrations/0009-language';
import * as search from './migrations/0010-search';
import * as units from './migrations/0011-units';
import * as rates from './migrations/0012-rates';
import * as inspectorVisits from './migrations/0014-inspector-visits';
import * as ownSequences from './migrations/0013-own-sequences';
import * as people from './migrations/0015-people';
import * as sitesApart from './migrations/0016-sites-apart';
import * as calendarKeys from './migrations/0017-calendar-keys';
import * as backIn from './migrations/0018-back-in';
import * as timeStamps from './migrations/0019-time-stamps';
import * as passkeys from './migrations/0020-passkeys';
import * as heirs from './migrations/0022-heirs';
import * as appRights from './migrations/0023-app-rights';
import * as siteOnce from './migrations/0024-site-once';
import * as sealedAudit from './migrations/0025-sealed-audit';
import * as accountsApart from './migrations/0026-accounts-apart';
import * as siteCodes from './migrations/0027-site-codes';
import * as smallCodes from './migrations/0028-small-codes';
import * as refoldSnapshots from './migrations/0029-refold-snapshots';
import * as sealedSnapshots from './migrations/0021-sealed-snapshots';

/** In their order; one that has run on any site never changes again. */
export const MIGRATIONS = {
  '0001-log': log,
  '0002-refold': refold,
  '0003-photos': photos,
  '0004-advice': advice,
  '0005-store': store,
  '0006-refold': refold,
  '0007-touched': touched,
  '0008-likeness': likeness,
  '0009-language': language,
  '0010-search': search,
  '0011-units': units,
  '0012-rates': rates,
  '0013-own-sequences': ownSequences,
  '0014-inspector-visits': inspectorVisits,
  '0015-people': people,
  '0016-sites-apart': sitesApart,
  '0017-calendar-keys': calendarKeys,
  '0018-back-in': backIn,
  '0019-time-stamps': timeStamps,
  '0020-passkeys': passkeys,
  '0021-sealed-snapshots': sealedSnapshots,
  '0022-heirs': heirs,
  '0023-app-rights': appRights,
  '0024-site-once': siteOnce,
  '0025-sealed-audit': sealedAudit,
  '0026-accounts-apart': accountsApart,
  '0027-site-codes': siteCodes,
  '0028-small-codes': smallCodes,
  '0029-refold-snapshots': refoldSnapshots,
} as const satisfies Readonly<Record<string, Migration>>;

/** Brings the database to the newest form. @throws Error with the failed migration's name and cause */
export async function migrate(
  db: Db,
  migrations: Readonly<Record<string, Migration>> = MIGRATIONS,
): Promise<void> {
  const provider = { getMigrations: () => Promise.resolve(migrations) };
  const migrator = new Migrator({ db, provider });
  const { error, results } = await migrator.migrateToLatest();
  const failed = results?.find((r) => r.status === 'Error');
  if (error)
    throw new Error(
      `migration ${failed?.migrationName ?? '(none begun)'} failed: ${error instanceof Error ? error.message : 'for an unknown reason'}`,
    );
}

/** Migrations that a database has not seen yet; read with the application's own role. */
export async function missingMigrations(db: Db): Promise<string[]> {
  const { rows } = await sql<{ there: boolean }>`
    select exists (select from pg_indexes where indexname = 'log_entry_heirs') as there`.execute(
    db,
  );
  // The list itself belongs to the owner; the newest thing in it tells whether the last migration has run.
  return rows[0]?.there ? [] : [Object.keys(MIGRATIONS).at(-1) ?? ''];
}
