import type { Point } from '../evidence/types';

/** Depth of a place from the surface (0) to the core (1) where only its zone is known. */
const ZONE_DEPTH = { core: 1, middle: 0.6, edge: 0.25 } as const;

/** Greatest depth of a heap's places in metres; 0 when none is known. */
export const deepestOf = (points: readonly Point[]): number =>
  points.reduce((a, p) => Math.max(a, p.depthM ?? 0), 0);

/** Relative depth of a place in [0, 1], for a drawing: by its zone, else by its depth, else in between. */
export function depthOf(p: Point, deepestM: number): number {
  if (p.zone) return ZONE_DEPTH[p.zone];
  return p.depthM !== undefined && deepestM > 0 ? p.depthM / deepestM : ZONE_DEPTH.middle;
}
