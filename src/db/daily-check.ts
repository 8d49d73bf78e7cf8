import { now } from '@/platform/clock';
import { inSite } from '@/platform/current-request';
import { log } from '@/platform/log';
import { checkLogAndKeep } from './check-log';
import { theDb } from './context';
import { siteRepo } from './repositories/site';

const FIRST_MS = 15_000;
const EVERY_MS = 24 * 60 * 60 * 1000;

/** Checks the log of each site and keeps what was found; a database that is away is asked again the next time. */
async function check(): Promise<void> {
  try {
    for (const site of await siteRepo(theDb()).all()) {
      const { entries, faults } = await inSite(site.id, () =>
        checkLogAndKeep(theDb(), site, now()),
      );
      if (faults.length > 0)
        log.error({ entries, faults: faults.length, first: faults[0] }, 'the log does not fit');
    }
  } catch (error) {
    log.warn({ error: error instanceof Error ? error.message : error }, 'the log was not checked');
  }
}

/** Checks the log soon after the start and once a day; this keeps no process alive. */
export function checkEveryDay(): void {
  setTimeout(() => void check(), FIRST_MS).unref();
  setInterval(() => void check(), EVERY_MS).unref();
}
