import { dateText } from '@/core/quantity/format';
import { say } from '@/messages/say';
import { byBay } from '@/telling/status/picture';
import { positionText } from '@/core/words/position';
import { localParts } from '@/core/quantity/calendar';
import { theDb, theSite } from '@/db/context';
import { snapshotRepo } from '@/db/repositories/snapshots';
import { now } from '@/platform/clock';
import { inWorkerThread } from '@/platform/worker-threads';
import { baseAddress, LABEL_SHEETS, type Label } from '../sheets';
import { labelsPdf } from './pdf';

const printLabels = inWorkerThread('labelsJob', labelsPdf);

const bad = (message: string): Response =>
  new Response(message, { status: 400, headers: { 'content-type': 'text/plain; charset=utf-8' } });

/** `?sheet=a4-8&base=https://…&heaps=id,id&skip=3`: flags for these heaps, or for all that stand. */
export async function serveLabels(request: Request): Promise<Response> {
  const query = new URL(request.url).searchParams;
  const site = await theSite();
  if (!site) return bad(say('labels.noSiteHasBeenNamed'));
  const sheet = LABEL_SHEETS.find((s) => s.id === query.get('sheet'));
  if (!sheet)
    return bad(
      say('labels.thereNoSheetChooseOne', {
        get: query.get('sheet') ?? '',
        labelsheets: LABEL_SHEETS.map((s) => s.id).join(', '),
      }),
    );
  const base = baseAddress(query.get('base') ?? '');
  if (!base.ok) return bad(base.problem);
  const skip = Number(query.get('skip') ?? '0');
  if (!Number.isInteger(skip) || skip < 0 || skip >= sheet.columns * sheet.rows)
    return bad(say('labels.theNumberUsedLabelsMust'));
  const board = [...(await snapshotRepo(theDb()).board(site, now()))].sort(byBay);
  const wanted = query.get('heaps')?.split(',').filter(Boolean) ?? [];
  const heaps =
    wanted.length > 0
      ? wanted.flatMap((id) => board.find((d) => d.id === id) ?? [])
      : board.filter((d) => d.state !== 'released');
  if (heaps.length === 0) return bad(say('labels.noneTheseBatchesOnThis'));
  const labels = heaps.map((d): Label => {
    const p = localParts(site.timeZone, d.builtAt ?? d.openedAt);
    return {
      code: d.code,
      name: d.name ?? d.code,
      started: dateText(p, true),
      place: positionText(d.position),
      url: `${base.base}/batch/${d.id}`,
    };
  });
  return new Response(new Uint8Array(await printLabels({ labels, sheet, skip })), {
    headers: {
      'content-type': 'application/pdf',
      'content-disposition': 'inline; filename="flags.pdf"',
      'cache-control': 'no-store',
    },
  });
}
