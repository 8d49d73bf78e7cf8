/** The most of a thing that one entry may say: more is a slip of the pen. */
export const MOST = {
  /** Barrows, buckets and the like. */ measures: 10_000,
  litres: 500_000,
  kg: 100_000,
} as const;
