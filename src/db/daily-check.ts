import { now } from '@/platform/clock';
import { inSite } from '@/platform/current-request';
import { log } from '@/platform/log';
import { checkLogAndKeep } from './check-log';
import { theDb } from './context';
import { layHead } from './lay-head';
import { stampLogEnd } from './stamp-log';
import { siteRepo } from './repositories/site';

const FIRST_MS = 15_000;
const EVERY_MS = 24 * 60 * 60 * 1000;

/** Checks the log of each site and keeps what was found; a database that is away is asked again the next time. */
async function check(): Promise<void> {
  try {
    for (const site of await siteRepo(theDb()).all()) {
      const { entries, faults } = await inSite(site.id, async () => {
        const report = await checkLogAndKeep(theDb(), site, now());
        await layHead(theDb(), site, now());
        return report;
      });
      if (faults.length > 0)
        log.error({ entries, faults: faults.length, first: faults[0] }, 'the log does not fit');
    }
  } catch (error) {
    log.warn({ error: error instanceof Error ? error.message : error }, 'the log was not checked');
  }
}

/** Has the end of each log vouched for, where the installation names a service for it. */
async function stamp(): Promise<void> {
  try {
    for (const site of await siteRepo(theDb()).all())
      await inSite(site.id, () => stampLogEnd(theDb(), site.id));
  } catch (error) {
    log.warn({ error: error instanceof Error ? error.message : error }, 'no time stamp was given');
  }
}

/** Checks the log soon after the start and once a day; this keeps no process alive. */
export function checkEveryDay(): void {
  const work = (): void => void check().then(stamp);
  setTimeout(work, FIRST_MS).unref();
  setInterval(work, EVERY_MS).unref();
}
