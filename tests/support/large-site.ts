import type { NewEntry } from '@/core/log/entry';
import type { Db } from '@/db/client';
import type { Site } from '@/db/repositories/site';
import { writeEntries } from '@/db/write';
import { newId } from '@/platform/ids';
import { batchId, entryId } from './ids';

const H = 3_600_000;
const POINTS = ['P1', 'P2', 'P3', 'P4', 'P5'];

/** A round of five places at a moment. */
export function roundOfFive(batch: string, at: number, value: number): NewEntry {
  const id = newId();
  return {
    id: entryId(id),
    batch: batchId(batch),
    at,
    by: 'Mo',
    kind: 'round',
    data: {
      source: 'hand',
      readings: POINTS.map((point, i) => ({
        id: `${id}.${point}`,
        at: new Date(at).toISOString(),
        point,
        value: value + i,
        unit: 'C' as const,
        round: id,
      })),
    },
  };
}

/**
 * Batches with hourly rounds up to now, three rules each, logged as people do: a minute later.
 * @param options.isLoggedNow all of it is logged at its end instead: of several batches, times of logging then run in their order
 * @returns their ids
 */
export async function fillSite(
  db: Db,
  site: Site,
  {
    batches,
    rounds,
    now,
    isLoggedNow = false,
  }: { batches: number; rounds: number; now: number; isLoggedNow?: boolean },
): Promise<string[]> {
  const ids: string[] = [];
  for (let b = 0; b < batches; b += 1) {
    const id = newId();
    ids.push(id);
    const start = now - (rounds + 1) * H;
    const entries: NewEntry[] = [
      {
        id: entryId(id),
        batch: batchId(id),
        at: start,
        by: 'Mo',
        kind: 'opened',
        data: {
          code: `B${b}`,
          method: 'turned',
          bay: String(b),
          volumeM3: 4,
          points: POINTS.map((p) => ({ id: p })),
          policy: {},
          rules: ['us-503-pfrp-turned', 'us-produce-turned', 'practice-weed-seed-week'],
          ownRules: [],
        },
      },
      { id: entryId(newId()), batch: batchId(id), at: start, by: 'Mo', kind: 'built', data: {} },
    ];
    for (let r = 0; r < rounds; r += 1)
      entries.push(roundOfFive(id, start + (r + 1) * H - 60_000, 57 + 4 * Math.sin(r / 30)));
    await writeEntries(db, site, entries, now, isLoggedNow ? undefined : (e) => e.at + 60_000);
  }
  return ids;
}
