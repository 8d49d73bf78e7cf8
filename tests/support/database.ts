import { Kysely, PostgresDialect, sql } from 'kysely';
import pg from 'pg';
import { connect, type Db } from '@/db/client';
import { migrate } from '@/db/migrate';
import { siteRepo, type Site } from '@/db/repositories/site';
import { siteCodes } from '@/db/site-codes';
import { newId } from '@/platform/ids';

const need = (name: string): string => {
  const value = process.env[name];
  if (!value) throw new Error(`${name} is not set: run the tests with ./zealous test`);
  return value;
};
const onDatabase = (url: string, name: string): string => url.replace(/\/[^/]*$/, `/${name}`);

/** A fresh, migrated database of its own, as owner and as the application's role. */
export async function freshDatabase(): Promise<{
  name: string;
  admin: Db;
  app: Db;
  adminUrl: string;
  appUrl: string;
  accountsUrl: string;
  drop: () => Promise<void>;
}> {
  const name = `t_${newId().replaceAll('-', '')}`;
  const root = new Kysely<unknown>({
    dialect: new PostgresDialect({
      pool: new pg.Pool({ connectionString: need('TEST_ADMIN_URL'), max: 1 }),
    }),
  });
  await sql`create database ${sql.id(name)}`.execute(root);
  const adminUrl = onDatabase(need('TEST_ADMIN_URL'), name);
  const appUrl = onDatabase(need('TEST_APP_URL'), name);
  const accountsUrl = onDatabase(need('TEST_ACCOUNTS_URL'), name);
  const admin = connect(adminUrl, 2);
  const asked: Asked = { site: '' };
  // A test that says for which site it asks is held to it; else it asks for the first one there is.
  const app = connect(appUrl, 6, {
    siteOf: async () => asked.site || ((await firstSite(admin)) ?? ''),
    codeOf: siteCodes(admin),
  });
  askedBy.set(app, asked);
  await migrate(admin);
  await sql`select 1`.execute(app);
  return {
    name,
    admin,
    app,
    adminUrl,
    appUrl,
    accountsUrl,
    drop: async () => {
      await admin.destroy();
      await app.destroy();
      await sql`drop database ${sql.id(name)} with (force)`.execute(root);
      await root.destroy();
    },
  };
}

type Asked = { site: string };
const askedBy = new WeakMap<Db, Asked>();
/** From now on a connection of the application's role asks for a site. */
export function askFor(db: Db, site: string): void {
  const asked = askedBy.get(db);
  if (asked) asked.site = site;
}

const firstSite = async (admin: Db): Promise<string | null> => {
  const { rows } = await sql<{ id: string }>`select id from site order by id limit 1`
    .execute(admin)
    .catch(() => ({ rows: [] }));
  return rows[0]?.id ?? null;
};

export async function aSite(db: Db): Promise<Site> {
  const site: Site = {
    id: newId(),
    name: 'Hopyard Corner',
    timeZone: 'Europe/London',
    unit: 'C',
    demoUntil: null,
  };
  askFor(db, site.id);
  await siteRepo(db).create(site);
  return site;
}
