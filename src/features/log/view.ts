import { LATE_MS, patternsOf } from '@/core/log/patterns';
import { say } from '@/messages/say';
import { clockText, durationText, soonText, whenText } from '@/core/quantity/format';
import { MS, parseInstant } from '@/core/quantity/instant';
import {
  CLOCK_TOLERANCE_MS,
  deviceOf,
  isCorrectable,
  isCorrectedInPlace,
  tellEntry,
  type DataOf,
  type Entry,
  type InPlaceKind,
} from '@/core/log/entry';
import { enteredByOf } from '@/core/log/entered-by';
import { localInput } from '@/core/quantity/calendar';
import { readingText } from '@/core/words/reading';
import type { EntryMark } from '@/core/log/kinds/kind';
import type { BatchState, LoggedReading } from '@/core/log/fold';
import type { Locale } from '@/core/words/note';

/** A line of the log as people read it. */
export type LogLineView = {
  readonly id: string;
  readonly mark: EntryMark;
  readonly title: string;
  readonly detail: string;
  readonly when: string;
  readonly by: string;
  /** What is said of an entry that somebody is still to check; null: of this one nothing. */
  readonly toCheck: string | null;
  readonly late: string | null;
  readonly clock: string | null;
  readonly photo: string | null;
  readonly struck: string | null;
  readonly readings: readonly {
    readonly id: string;
    readonly place: string;
    readonly value: string;
    readonly struck: string | null;
  }[];
  readonly correctable: boolean;
  /** What can be put right in it, as it stands; null: it is struck as a whole. */
  readonly parts: CorrectableParts | null;
};

/** Time, amount and kind of an entry that can be put right; the time by the site's clock. */
export type CorrectableParts = { readonly at: string } & (
  | { readonly kind: 'turn'; readonly full: boolean }
  | { readonly kind: 'water'; readonly clean: boolean; readonly litres: number | null }
  | {
      readonly kind: 'addition';
      readonly raw: boolean;
      readonly seeds: boolean | null;
      readonly what: string;
    }
  | { readonly kind: 'built' }
);

/** What can be put right in each kind, out of its data; null: it is one end of an act that touches another heap. */
const PARTS: {
  readonly [K in InPlaceKind]: (
    data: DataOf<K>,
  ) => Omit<Extract<CorrectableParts, { kind: K }>, 'at' | 'kind'> | null;
} = {
  turn: (data) => (data.act === undefined ? { full: data.full } : null),
  water: (data) => ({ clean: data.clean, litres: data.litres ?? null }),
  addition: (data) =>
    data.from === undefined
      ? { raw: data.raw, seeds: data.seeds ?? null, what: data.what ?? '' }
      : null,
  built: () => ({}),
};

function partsOf(e: Entry, timeZone: string): CorrectableParts | null {
  if (!isCorrectedInPlace(e.kind)) return null;
  // Each kind's reader takes the data of its own kind.
  const parts = (PARTS[e.kind] as (data: Entry['data']) => object | null)(e.data);
  return parts && ({ at: localInput(timeZone, e.at), kind: e.kind, ...parts } as CorrectableParts);
}

/** Lines of the log that a heap's page comes with; earlier ones are asked for. */
export const FIRST_LINES = 12;

/** Who did it; and whose sign-in brought it, where that was somebody else. */
function byText({ by, data }: Entry): string {
  const name = enteredByOf(data)?.name;
  return name === undefined || name === by ? by : say('log.byEnteredBy', { by, name });
}

/** Above this many readings an entry is a block from a file: it is struck as a whole. */
const MAX_READINGS = 60;

/**
 * The log, newest first by when it happened.
 * @param from how many of the newest are left out
 * @param count the most lines to tell
 */
export function logLines(
  state: BatchState,
  { timeZone, unit, now }: Locale,
  from = 0,
  count = Infinity,
): LogLineView[] {
  const label = new Map(state.points.map((p) => [p.id, p.label ?? p.id]));
  const shown = [...state.entries]
    .sort((a, b) => b.at - a.at || b.seq - a.seq)
    .slice(from, from + count);
  const byEntry = new Map<string, LoggedReading[]>(shown.map((e) => [e.id, []]));
  for (const r of state.readings) byEntry.get(r.entry)?.push(r);
  return shown.map((e): LogLineView => {
    const strike = state.struck.get(e.id);
    const own = byEntry.get(e.id) ?? [];
    const readings =
      e.kind !== 'round' || e.data.readings.length > MAX_READINGS
        ? []
        : own.map((r) => ({
            id: r.id,
            place: label.get(r.point) ?? r.point,
            value: readingText(r, unit),
            struck: r.flag ? `${r.flag}: ${r.flagReason ?? say('log.noReasonGiven')}` : null,
          }));
    const lateMs = e.recordedAt - e.at;
    const device = deviceOf(e.data);
    const enteredAt = device ? parseInstant(device.enteredAt) : null;
    const waited = enteredAt !== null && enteredAt - e.at < LATE_MS;
    return {
      id: e.id,
      ...tellEntry(e, { unit, readings: own }),
      when: soonText(timeZone, e.at, now),
      by: byText(e),
      toCheck: state.toCheck.has(e.id) ? say('log.toCheck') : null,
      late:
        lateMs > LATE_MS &&
        e.kind !== 'opened' &&
        e.kind !== 'correction' &&
        !(e.kind === 'round' && e.data.source === 'file')
          ? say('log.cameoffSentFromPhoneOther', {
              waited: waited ? 'cameOff' : 'other',
              lateMs: durationText(lateMs / MS.hour),
              recordedAt: whenText(timeZone, e.recordedAt, now),
            })
          : null,
      clock:
        Math.abs(device?.clockAheadMs ?? 0) <= CLOCK_TOLERANCE_MS
          ? null
          : say('log.thePhonesClockWasTime', {
              clockAheadMs: clockText(device!.clockAheadMs!),
            }),
      photo: e.kind === 'photo' ? e.data.sha256 : null,
      struck: strike?.kind === 'correction' ? strike.data.reason : null,
      readings, // What happened before it was carried off is corrected where it was logged.
      correctable: isCorrectable(e.kind) && !strike && e.batch === state.id,
      parts: partsOf(e, timeZone),
    };
  });
}

/** An entry in the table of the whole site. */
export type EntryRow = {
  readonly id: string;
  readonly at: number;
  readonly when: string;
  /** The name of its batch; '': it speaks of the site. */ readonly batch: string;
  readonly batchId: string | null;
  readonly title: string;
  readonly detail: string;
  readonly by: string;
  /** Its number in the log. */ readonly seq: number;
  /** When the log took it, and how late that was. */ readonly logged: string;
  readonly loggedAt: number;
  /** When it was saved on the device that sent it later; '': it came at once. */ readonly device: string;
  /** It, or a part of it, was corrected or voided since. */ readonly voided: boolean;
};

/** Counts of what stands out, as a table: by person, by batch. */
type PatternTable = {
  readonly title: string;
  readonly head: readonly string[];
  readonly rows: readonly { readonly name: string; readonly cells: readonly string[] }[];
};
/** What stands out, with its heading and what the counts mean. */
export type PatternView = {
  readonly title: string;
  readonly note: string;
  readonly tables: readonly PatternTable[];
};
/** What stands out in some entries. @param nameOf what a batch is called */
export function patternView(
  entries: readonly Entry[],
  nameOf: (batch: string) => string,
): PatternView {
  const table = (title: string, keyOf: (e: Entry) => string | null): PatternTable => ({
    title,
    head: [
      say('log.patternEntries'),
      say('log.patternLate'),
      say('log.patternCorrected'),
      say('log.patternKept'),
      say('log.patternRetaken'),
    ],
    rows: patternsOf(entries, keyOf).map(({ of, ...c }) => ({
      name: of,
      cells: [c.entries, c.late, c.corrected, c.insisted, c.retaken].map(String),
    })),
  });
  const tables = [
    table(say('log.who'), (e) => e.by),
    table(say('log.batch'), (e) => (e.batch === null ? null : nameOf(e.batch))),
  ].filter((t) => t.rows.length > 0);
  return { title: say('log.patterns'), note: say('log.patternsHow'), tables };
}
