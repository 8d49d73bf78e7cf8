import type { Position } from '@/core/log/shapes';

/** Heaps of the site with where they stand, for neighbours. */
export type PlacedHeap = {
  readonly id: string;
  readonly name: string;
  readonly position: Position | null;
  readonly m3: number | null;
  /** Rules that it has met, and those that it is kept under, by clock: what a heap that it is joined to may count on. */
  readonly met: readonly string[];
  readonly germRules: readonly string[];
  readonly seedRules: readonly string[];
};
