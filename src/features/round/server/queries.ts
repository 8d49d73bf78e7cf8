import { currentUnits, say } from '@/messages/say';
import { v5 } from 'uuid';
import { theDb, theSite } from '@/db/context';
import { snapshotRepo } from '@/db/repositories/snapshots';
import { now } from '@/platform/clock';
import { readOwnPrefs } from '@/entry/server/own-prefs';
import { createOfflineRoundData, type OfflineRoundData } from '../offline-round-data';

/** The sheet for a round as of now, for this device. Null: no site has been named yet. */
export async function loadOfflineRoundData(): Promise<OfflineRoundData | null> {
  const site = await theSite();
  if (!site) return null;
  const [prefs, at, db] = [await readOwnPrefs(), now(), theDb()];
  const [board, siteState] = await Promise.all([
    snapshotRepo(db).board(site, at),
    snapshotRepo(db).siteState(site),
  ]);
  return createOfflineRoundData(
    site,
    board,
    siteState,
    prefs.by,
    { timeZone: site.timeZone, unit: currentUnits().temp, now: at },
    (after) => v5(`walk after ${after}`, site.id),
  );
}

export async function serveOfflineRoundData(): Promise<Response> {
  const data = await loadOfflineRoundData();
  return data
    ? Response.json(data, { headers: { 'cache-control': 'no-store' } })
    : Response.json({ problem: say('round.noSiteHasBeenNamed') }, { status: 404 });
}
