import { readCsv, type BadRow, type CsvOptions } from '@/core/formats/csv-readings';
import type { FileReading } from '@/core/log/shapes';
import { instantOf, isoOf } from '@/core/quantity/instant';
import { toCelsius } from '@/core/units/units';
import { lastOf } from '@/core/quantity/present';

/** A table of readings that goes into a batch that is there: which of its columns is which point, and what is new in it. Pure. */

/** A point of the batch. */
export type BatchPoint = { readonly id: string; readonly label: string };
/** The point of the batch that each point of the table is; null: it is left out. */
export type PointMapping = Readonly<Record<string, string | null>>;

const plain = (text: string): string => text.trim().toLowerCase().replace(/\s+/g, ' ');

/** A mapping to begin with: by the same id or name; where none fits and there are as many, in their order. */
export function proposeMapping(
  found: readonly string[],
  points: readonly BatchPoint[],
): PointMapping {
  const byName = (name: string): string | null =>
    points.find((p) => plain(p.id) === plain(name) || plain(p.label) === plain(name))?.id ?? null;
  const named = found.map((name) => [name, byName(name)] as const);
  if (named.some(([, id]) => id !== null) || found.length !== points.length)
    return Object.fromEntries(named);
  return Object.fromEntries(found.map((name, i) => [name, points[i]?.id ?? null]));
}

/** What a table is called by, so that its mapping can be remembered: the same logger writes the same head. */
export const headOf = (rows: readonly (readonly string[])[]): string =>
  (rows[0] ?? []).map(plain).join('|');

/** A table as far as it can be read. */
export type ReadInto = {
  /** Points that the table names. */ readonly found: readonly string[];
  /** Readings at points of the batch, by time. */ readonly readings: readonly FileReading[];
  readonly bad: readonly BadRow[];
  /** Readings at points that are left out. */ readonly leftOut: number;
};

export function readInto(
  rows: readonly (readonly string[])[],
  options: CsvOptions,
  mapping: PointMapping | null,
  points: readonly BatchPoint[],
): ReadInto & { readonly mapping: PointMapping } {
  const read = readCsv(rows, options);
  const found = read.points.map((p) => p.id);
  const used = { ...proposeMapping(found, points), ...mapping };
  const readings = read.readings
    .flatMap((r) => {
      const point = used[r.point];
      return point ? [{ ...r, point }] : [];
    })
    .sort((a, b) => instantOf(a.at) - instantOf(b.at));
  return {
    found,
    mapping: Object.fromEntries(found.map((name) => [name, used[name] ?? null])),
    readings,
    bad: read.bad,
    leftOut: read.readings.length - readings.length,
  };
}

/** What makes two readings the same: the point, the moment and the value. */
export const readingKey = (r: Pick<FileReading, 'point' | 'at' | 'value' | 'unit'>): string =>
  `${r.point} ${instantOf(r.at)} ${toCelsius(r.value, r.unit).toFixed(3)}`;

/** Readings that one entry holds. */
const PER_ENTRY = 1000;

/** Readings as entries of the log, each of so many and as of its last. @param ids one for each entry that may be needed */
export function entriesOfReadings(
  readings: readonly FileReading[],
  {
    batch,
    by,
    probe,
    ids,
  }: {
    readonly batch: string;
    readonly by: string;
    readonly probe: string | null;
    readonly ids: (n: number) => string;
  },
) {
  const entries = [];
  for (let i = 0; i < readings.length; i += PER_ENTRY) {
    const id = ids(i / PER_ENTRY);
    const own = readings.slice(i, i + PER_ENTRY);
    entries.push({
      id,
      batch,
      kind: 'round' as const,
      at: isoOf(instantOf(lastOf(own).at)),
      by,
      data: {
        source: 'file' as const,
        readings: own.map((r, n) => ({
          ...r,
          id: `${id}-${n}`,
          ...(probe && r.probe === undefined ? { probe } : {}),
        })),
      },
    });
  }
  return entries;
}
