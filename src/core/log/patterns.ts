import { MS } from '../quantity/instant';
import type { Entry } from './entry';

/** An entry that was made so long after it happened is late. */
export const LATE_MS = 24 * MS.hour;

/** What stands out in the entries of one person or one batch: a pattern to ask about, never an accusation. */
export type EntryPattern = {
  readonly of: string;
  readonly entries: number;
  /** Made more than a day after it happened. */ readonly late: number;
  /** Voided or corrected since. */ readonly corrected: number;
  /** Readings that were questioned and kept as they were read. */ readonly insisted: number;
  /** Readings that were typed again, or set aside as faulty. */ readonly retaken: number;
};
type Counts = { -readonly [K in keyof Omit<EntryPattern, 'of'>]: number };

const isLate = (e: Entry): boolean =>
  e.recordedAt - e.at > LATE_MS && e.kind !== 'opened' && e.kind !== 'correction';

/** Questions about the readings of a round, by what was answered. */
function answersIn(e: Entry): { readonly insisted: number; readonly retaken: number } {
  if (e.kind !== 'round') return { insisted: 0, retaken: 0 };
  const readings = e.data.readings as readonly {
    readonly typed?: unknown;
    readonly doubts?: readonly { readonly answer: string }[];
  }[];
  const has = (r: (typeof readings)[number], answer: string): boolean =>
    (r.doubts ?? []).some((d) => d.answer === answer);
  return {
    insisted: readings.filter((r) => has(r, 'as-read')).length,
    retaken: readings.filter((r) => r.typed !== undefined || has(r, 'faulty')).length,
  };
}

/**
 * Late entries, corrections and questioned readings, counted for each person or batch; those with the most to ask about first.
 * @param keyOf whom or what an entry counts for; null: it is left out
 */
export function patternsOf(
  entries: readonly Entry[],
  keyOf: (e: Entry) => string | null,
): EntryPattern[] {
  const corrected = new Set(
    entries.flatMap((e) => (e.kind === 'correction' ? [e.data.target as string] : [])),
  );
  const counts = new Map<string, Counts>();
  for (const e of entries) {
    const key = keyOf(e);
    if (key === null) continue;
    const c = counts.get(key) ?? { entries: 0, late: 0, corrected: 0, insisted: 0, retaken: 0 };
    const { insisted, retaken } = answersIn(e);
    c.entries += 1;
    c.late += Number(isLate(e));
    c.corrected += Number(corrected.has(e.id));
    c.insisted += insisted;
    c.retaken += retaken;
    counts.set(key, c);
  }
  const weight = (p: EntryPattern): number => p.late + p.corrected + p.insisted + p.retaken;
  return [...counts]
    .map(([of, c]): EntryPattern => ({ of, ...c }))
    .sort((a, b) => weight(b) - weight(a) || (a.of < b.of ? -1 : 1));
}
