import { say } from '@/messages/say';
import { dayText, whenText } from '@/core/quantity/format';
import { publicSite, theDb } from '@/db/context';
import { inspectionRepo, type SinceVisit } from '@/db/repositories/inspections';
import { readBatchState } from '@/db/repositories/states';
import type { Site } from '@/db/repositories/site';
import { snapshotRepo } from '@/db/repositories/snapshots';
import { now } from '@/platform/clock';
import { sha256 } from '@/platform/hash';
import { currentUnits } from '@/messages/say';
import { inspectedBatch, type InspectedBatch, type InspectionView } from '../inspection-view';
import { batchFileResponse, sorry } from './files';
import { recordScreen } from './records';

/** Links of a site that are open at a moment, the newest first. */
export const listOpenLinks = (site: Site, at: number) => inspectionRepo(theDb()).open(site.id, at);

const openLink = async (site: Site, token: string) =>
  /^[0-9a-f]{64}$/.test(token) ? inspectionRepo(theDb()).find(site.id, sha256(token), now()) : null;

function sinceText(since: SinceVisit, nameOf: (batch: string) => string): string {
  const batch = nameOf(since.batch);
  if (since.is === 'added') return say('record.visitAdded', { batch, n: since.n });
  return since.is === 'same'
    ? say('record.visitSame', { batch })
    : say('record.visitChanged', { batch });
}

/** The site that a link shows some batches of; null: no such link was ever made. */
const siteOfLink = (token: string): Promise<Site | null> =>
  publicSite((db) => inspectionRepo(db).siteOfToken(sha256(token)));

/** What whoever has a link sees, and that it was seen. Null: the link is closed, or was never made. */
export async function visitInspection(token: string): Promise<InspectionView | null> {
  const site = await siteOfLink(token);
  const link = site && (await openLink(site, token));
  if (!link) return null;
  const [repo, at] = [inspectionRepo(theDb()), now()];
  const siteState = await snapshotRepo(theDb()).siteState(site);
  const batches: InspectedBatch[] = [];
  for (const id of link.data.batches) {
    const [record, state] = [
      await recordScreen(site, id, at, currentUnits().temp),
      await readBatchState(theDb(), id),
    ];
    if (record && state) batches.push(inspectedBatch(record, state, siteState, site.timeZone));
  }
  const ends = await repo.endsOf(site.id, link.data.batches);
  const last = await repo.lastVisit(link.id);
  const since = last ? await repo.since(site.id, last, ends) : [];
  await repo.keepVisit(site.id, link.id, at, ends);
  const nameOf = (id: string): string => batches.find((b) => b.id === id)?.name ?? id;
  return {
    site: site.name,
    until: dayText(site.timeZone, link.data.until),
    since: last
      ? [
          say('record.sinceVisit', { at: whenText(site.timeZone, last.at, at) }),
          ...since.map((s) => sinceText(s, nameOf)),
        ]
      : [say('record.firstVisit')],
    changed: since.some((s) => s.is === 'changed'),
    batches,
  };
}

/** The batch file for whoever has a link that the batch is in. */
export async function inspectedFile(
  request: Request,
  token: string,
  id: string,
): Promise<Response> {
  const site = await siteOfLink(token);
  const link = site && (await openLink(site, token));
  return site && link?.data.batches.some((b) => (b as string) === id)
    ? batchFileResponse(request, id, site)
    : sorry(say('record.linkClosed'), 404);
}
