import type { BatchId } from '@/core/log/ids';
import type { Locale } from '@/core/words/note';
import { tellEntry } from '@/core/log/entry';
import { dayFrom, zoneOf } from '@/core/quantity/calendar';
import { whenText } from '@/core/quantity/format';
import type { BatchSnapshot } from '@/core/snapshot/batch-snapshot';
import { theDb } from '@/db/context';
import { logRepo } from '@/db/repositories/log';
import type { Site } from '@/db/repositories/site';
import { readBatchState } from '@/db/repositories/states';
import { logLines, type EntryRow, type LogLineView } from '../view';

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
): Promise<{ readonly rows: readonly EntryRow[]; readonly more: boolean }> {
  const end = day === null ? now : endOfDay(timeZone, day);
  const entries = await logRepo(theDb()).latest(site.id, end, MOST_ROWS + 1);
  const named = new Map(board.map((d) => [d.id, d.name ?? d.code]));
  const voided = new Set(
    entries.flatMap((e) =>
      e.kind === 'correction' && e.data.reading === undefined ? [e.data.target] : [],
    ),
  );
  return {
    more: entries.length > MOST_ROWS,
    rows: entries.slice(0, MOST_ROWS).map((e) => {
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
        voided: voided.has(e.id),
      };
    }),
  };
}

/** The first instant of the local day after this one. */
const endOfDay = (timeZone: string, day: string): number =>
  dayFrom(zoneOf(timeZone), Date.parse(`${day}T12:00:00Z`)).end;
