import '@/messages/all';
import { layUpDemo } from '../demo/lay-up';
import { siteFileJsonSchema } from '@/core/flow/site-file';
import { batchFileJsonSchema } from '@/core/formats/batch-file';
import { connect } from '@/db/client';
import { migrate } from '@/db/migrate';
import { logRepo } from '@/db/repositories/log';
import { siteRepo } from '@/db/repositories/site';
import { rebuildSnapshots } from '@/db/write';
import { now } from '@/platform/clock';
import { env } from '@/platform/env';

const SETTLE_MS = 60 * 60 * 1000;

/** What `./zealous` asks of the database. */
const COMMANDS: Record<string, () => Promise<void>> = {
  async migrate() {
    await withDb((db) => migrate(db));
  },
  /** The demo is laid up anew for today unless a person has written in it. */
  async seed() {
    await withDb(async (db) => {
      const site = await siteRepo(db).only();
      const laidUp = site?.demoUntil ?? null;
      if (site && laidUp !== null && !process.argv.includes('--fresh')) {
        if (now() - laidUp < SETTLE_MS) return;
        if (await logRepo(db).writtenSince(site.id, laidUp)) {
          console.error(
            'The demo is as you left it, with what you logged. ./zealous demo --fresh lays it up anew for today.',
          );
          return;
        }
      }
      await layUpDemo(db, now());
    });
  },
  /** The JSON Schema of the batch file, or of the site file, for docs/. */
  async schema() {
    const schema = process.argv.includes('site') ? siteFileJsonSchema() : batchFileJsonSchema();
    console.log(JSON.stringify(schema, null, 2));
  },
  async rebuild() {
    await withDb(async (db) => {
      const site = await siteRepo(db).only();
      if (!site) {
        console.log('No site yet: nothing to rebuild.');
        return;
      }
      const chain = await logRepo(db).checkChain(site.id);
      if (!chain.ok) {
        console.error(
          `The log has been changed: entry ${chain.seq} (${chain.id}) does not fit the one before.`,
        );
        process.exitCode = 1;
      } else console.log(`The log is whole: ${chain.entries} entries.`);
      const folded = await rebuildSnapshots(db, site, now());
      console.log(`Folded ${folded} ${folded === 1 ? 'batch' : 'batches'} anew.`);
    });
  },
};

async function withDb(work: (db: ReturnType<typeof connect>) => Promise<void>): Promise<void> {
  const db = connect(env.adminDatabaseUrl(), 2);
  try {
    await work(db);
  } finally {
    await db.destroy();
  }
}

const command = COMMANDS[process.argv[2] ?? ''];
if (!command) {
  console.error(`tool: one of ${Object.keys(COMMANDS).join(', ')}`);
  process.exit(2);
}
await command().catch((error: unknown) => {
  console.error(error instanceof Error ? error.message : error);
  process.exitCode = 1;
});
