import type { BatchId } from '@/core/log/ids';
import type { Position } from '@/core/log/shapes';
import { findRule } from '@/core/rules/library';
import type { BatchSnapshot } from '@/core/snapshot/batch-snapshot';

/** Heaps of the site with where they stand, for neighbours. */
export type PlacedHeap = {
  readonly id: BatchId;
  readonly name: string;
  readonly position: Position | null;
  readonly m3: number | null;
  /** Rules that it has met, and those that it is kept under, by clock: what a heap that it is joined to may count on. */
  readonly met: readonly string[];
  readonly germRules: readonly string[];
  readonly seedRules: readonly string[];
};

/** Heaps that still stand on the site, with where, and what they have met. */
export const placedHeaps = (board: readonly BatchSnapshot[]): PlacedHeap[] =>
  board
    .filter((d) => d.state !== 'released')
    .map((d) => {
      const seeds = new Set(
        d.rules.map((r) => r.rule).filter((id) => findRule(id)?.clock === 'seeds'),
      );
      return {
        id: d.id,
        name: d.name ?? d.code,
        position: d.position,
        m3: d.volumeM3,
        met: d.rules.filter((r) => r.status === 'proven').map((r) => r.rule),
        germRules: d.rules.filter((r) => !seeds.has(r.rule)).map((r) => r.rule),
        seedRules: d.rules.filter((r) => seeds.has(r.rule)).map((r) => r.rule),
      };
    });
