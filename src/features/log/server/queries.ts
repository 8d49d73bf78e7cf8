import { firstLineOf } from '@/entry/server/trust';
import { say } from '@/messages/say';
import type { BatchId } from '@/core/log/ids';
import type { Locale } from '@/core/words/note';
import { deviceOf, tellEntry, type Entry } from '@/core/log/entry';
import { dayFrom, zoneOf } from '@/core/quantity/calendar';
import { durationText, whenText } from '@/core/quantity/format';
import { isoOf, MS, parseInstant } from '@/core/quantity/instant';
import type { BatchSnapshot } from '@/core/snapshot/batch-snapshot';
import { requireSite, theDb } from '@/db/context';
import { logRepo } from '@/db/repositories/log';
import type { Site } from '@/db/repositories/site';
import { readBatchState } from '@/db/repositories/states';
import { logLines, patternView, type EntryRow, type LogLineView, type PatternView } from '../view';

/** Lines of a heap's log, newest first, behind so many that are known. Null: there is no such heap. */
export async function loadLogLines(
  id: BatchId,
  from: number,
  count: number,
  locale: Locale,
): Promise<LogLineView[] | null> {
  const state = await readBatchState(theDb(), id);
  return state && logLines(state, locale, from, count);
}

/** As many entries a table holds; older ones are asked for by their day. */
const MOST_ROWS = 500;

/** The entries of a site up to the end of a local day, the latest first, each as the log tells it. @param day null: up to now */
export async function loadEntryRows(
  site: Site,
  board: readonly BatchSnapshot[],
  day: string | null,
  { timeZone, unit, now }: Locale,
): Promise<{
  readonly rows: readonly EntryRow[];
  readonly inAll: number;
  readonly patterns: PatternView;
}> {
  const end = day === null ? now : endOfDay(timeZone, day);
  const entries = await logRepo(theDb()).latest(site.id, end, MOST_ROWS);
  const named = new Map(board.map((d) => [d.id, d.name ?? d.code]));
  const voided = new Set(
    entries.flatMap((e) =>
      e.kind === 'correction' && e.data.reading === undefined ? [e.data.target] : [],
    ),
  );
  return {
    inAll: await logRepo(theDb()).countUntil(site.id, end),
    patterns: patternView(entries, (batch) => named.get(batch as BatchId) ?? ''),
    rows: entries.map((e) => {
      const readings = e.kind === 'round' ? e.data.readings : [];
      const { title, detail } = tellEntry(e, { unit, readings });
      return {
        id: e.id,
        at: e.at,
        when: whenText(timeZone, e.at, now),
        batch: (e.batch && named.get(e.batch)) ?? '',
        batchId: e.batch,
        title,
        detail,
        by: e.by,
        seq: e.seq,
        loggedAt: e.recordedAt,
        ...loggedTexts(e, timeZone, now),
        voided: voided.has(e.id),
      };
    }),
  };
}

/** When the log took an entry, and when a device had saved it before that. */
function loggedTexts(e: Entry, timeZone: string, now: number): Pick<EntryRow, 'logged' | 'device'> {
  const at = whenText(timeZone, e.recordedAt, now);
  const lateMs = e.recordedAt - e.at;
  const device = deviceOf(e.data);
  const saved = device ? parseInstant(device.enteredAt) : null;
  const isLater = saved !== null && e.recordedAt - saved > MS.minute;
  return {
    logged: lateMs > MS.hour ? say('log.lateBy', { at, late: durationText(lateMs / MS.hour) }) : at,
    device: isLater ? say('log.fromDevice', { at: whenText(timeZone, saved, now) }) : '',
  };
}

/** The trail as JSON, entry by entry, as the log holds it. */
export async function answerTrail(request: Request): Promise<Response> {
  const site = await requireSite();
  const before = Number(new URL(request.url).searchParams.get('before') ?? Number.MAX_SAFE_INTEGER);
  const entries = await logRepo(theDb()).latestBySeq(site.id, before, MOST_JSON);
  const notice = await firstLineOf(site);
  const body = {
    ...(notice === null ? {} : { notice }),
    ...{ format: 'zealous-heap/trail', version: 1, site: { id: site.id, name: site.name } },
    entries: entries.map(({ at, recordedAt, ...e }) => ({
      ...e,
      at: isoOf(at),
      recordedAt: isoOf(recordedAt),
    })),
  };
  return new Response(`${JSON.stringify(body, null, 1)}\n`, {
    headers: {
      'content-type': 'application/json; charset=utf-8',
      'content-disposition': 'attachment; filename="trail.json"',
    },
  });
}
/** As many entries one file of the trail holds; older ones are asked for by their number. */
const MOST_JSON = 20_000;

/** The first instant of the local day after this one. */
const endOfDay = (timeZone: string, day: string): number =>
  dayFrom(zoneOf(timeZone), Date.parse(`${day}T12:00:00Z`)).end;
