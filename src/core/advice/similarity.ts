import type { Method } from '../evidence/types';
import { MS, type Instant } from '../quantity/instant';
import type { RoundHeat } from './trend';
import { valueAt } from '../quantity/present';

/** Which heap of the site was most like this one at its age, and how that one went on. */
export type ComparableBatch = {
  readonly id: string;
  readonly name: string;
  readonly builtAt: Instant | null;
  readonly kept: Method;
  readonly m3: number | null;
  readonly inputs: readonly string[] | null;
  /** Hottest place by whole day of age, °C; days without a round are left out. */
  readonly hottestByDay: readonly (readonly [day: number, celsius: number])[];
  /** Full turnings, by time. */
  readonly turns: readonly Instant[];
  readonly provenAt: Instant | null;
};
export type SimilarBatch = {
  readonly id: string;
  readonly name: string;
  /** Root mean square of the difference of their hottest places by day, K, over so many days. */
  readonly apartK: number;
  readonly days: number;
  /** From the age of this heap on: when it was proven, how often it was turned, its heat after a week. */
  readonly ageDays: number;
  readonly provenDay: number | null;
  readonly turnsAfter: number;
  readonly weekLaterC: number | null;
};

/** A difference of size, of method or of what went in weighs like so many K. */
const [SIZE_K, KEPT_K, INPUTS_K] = [3, 8, 4];
const MIN_DAYS = 2;
/** Further apart than this they are not alike. */
const MAX_K = 15;

/** Hottest place by whole day of age; days without a round, and what was read before it was built, are left out. */
export function hottestByDay(
  rounds: readonly RoundHeat[],
  builtAt: Instant,
): ComparableBatch['hottestByDay'] {
  const days = new Map<number, number>();
  for (const r of rounds) {
    const day = Math.floor((r.at - builtAt) / MS.day);
    if (day >= 0) days.set(day, Math.max(days.get(day) ?? -Infinity, r.peakC));
  }
  return [...days];
}

/** Share of what went in that two heaps have in common (Jaccard). */
function common(a: readonly string[], b: readonly string[]): number {
  const all = new Set([...a, ...b]);
  return all.size === 0
    ? 1
    : [...all].filter((x) => a.includes(x) && b.includes(x)).length / all.size;
}

/** The others, most alike first: those that are older, so that they show how it may go on. */
export function findSimilarBatches(
  own: ComparableBatch,
  others: readonly ComparableBatch[],
  now: Instant,
): SimilarBatch[] {
  if (own.builtAt === null) return [];
  const age = (now - own.builtAt) / MS.day;
  const mine = own.hottestByDay;
  return others
    .flatMap((o): { alike: SimilarBatch; unlike: number }[] => {
      if (o.id === own.id || o.builtAt === null || (now - o.builtAt) / MS.day <= age + 1) return [];
      const theirs = new Map(o.hottestByDay);
      const shared = mine.filter(([day]) => theirs.has(day));
      if (shared.length < MIN_DAYS) return [];
      const rms = Math.sqrt(
        shared.reduce((sum, [day, c]) => sum + (c - valueAt(theirs, day)) ** 2, 0) / shared.length,
      );
      const size =
        own.m3 === null || o.m3 === null ? 0 : Math.abs(Math.log2(own.m3 / o.m3)) * SIZE_K;
      const inputs =
        own.inputs === null || o.inputs === null
          ? 0
          : (1 - common(own.inputs, o.inputs)) * INPUTS_K;
      const unlike = rms + size + inputs + (own.kept === o.kept ? 0 : KEPT_K);
      if (unlike > MAX_K) return [];
      const then = o.builtAt + age * MS.day;
      return [
        {
          unlike,
          alike: {
            id: o.id,
            name: o.name,
            apartK: rms,
            days: shared.length,
            ageDays: age,
            provenDay: o.provenAt === null ? null : (o.provenAt - o.builtAt) / MS.day,
            turnsAfter: o.turns.filter((t) => t > then && (o.provenAt === null || t <= o.provenAt))
              .length,
            weekLaterC: theirs.get(Math.floor(age) + 7) ?? null,
          },
        },
      ];
    })
    .sort((a, b) => a.unlike - b.unlike)
    .map(({ alike: similar }) => similar);
}
