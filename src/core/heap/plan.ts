import { say } from '../../messages/say';
import { figureWithUnit } from '../quantity/format';
import type { PointZone } from '../evidence/types';
import type { PlanPlace } from '../log/fold';
import type { Side } from '../log/shapes';
import { itemAt } from '../quantity/present';

/** Where a round reads a heap: proposals by shape and size, and what is doubtful about a plan. Lengths in metres. */

/** How far in each zone is read: the core all the way, the middle two thirds, the toe one third of it (common practice). */
const SHARE_OF_DEPTH: Readonly<Record<PointZone, number>> = {
  core: 1,
  middle: 2 / 3,
  edge: 1 / 3,
};

/** What decides where a heap is read. Null: not known. */
export type HeapSize = {
  readonly shape: string | null;
  readonly coreDepthM: number | null;
  /** Of a row. */ readonly lengthM: number | null;
};

type Spot = { readonly zone: PointZone; readonly side: Side };
/** Five places, common practice: the core, half-way on both sides, the toe on both. */
const FIVE: readonly Spot[] = [
  { zone: 'core', side: 'crown' },
  { zone: 'middle', side: 'left' },
  { zone: 'middle', side: 'right' },
  { zone: 'edge', side: 'front' },
  { zone: 'edge', side: 'back' },
];
/** In a bay the front is where air and cold come in, and the base by the floor lags. */
const FIVE_IN_BAY: readonly Spot[] = [
  { zone: 'core', side: 'crown' },
  { zone: 'middle', side: 'left' },
  { zone: 'middle', side: 'right' },
  { zone: 'edge', side: 'front' },
  { zone: 'edge', side: 'base' },
];
/** One set for a stretch of a row; the sides take turns, so that two stretches see both. */
const STRETCH: readonly (readonly Spot[])[] = [
  [
    { zone: 'core', side: 'crown' },
    { zone: 'middle', side: 'left' },
    { zone: 'edge', side: 'right' },
  ],
  [
    { zone: 'core', side: 'crown' },
    { zone: 'middle', side: 'right' },
    { zone: 'edge', side: 'left' },
  ],
];

/** The zones of a heap, in one word each. */
export const ZONE_WORDS: Readonly<Record<PointZone, string>> = {
  get core() {
    return say('places.core');
  },
  get middle() {
    return say('places.middle');
  },
  get edge() {
    return say('places.edge');
  },
};
/** The sides of a heap, in one word each. */
export const SIDE_WORDS: Readonly<Record<Side, string>> = {
  get crown() {
    return say('places.top');
  },
  get left() {
    return say('places.left');
  },
  get right() {
    return say('places.right');
  },
  get front() {
    return say('places.front');
  },
  get back() {
    return say('places.back');
  },
  get north() {
    return say('places.north');
  },
  get east() {
    return say('places.east');
  },
  get south() {
    return say('places.south');
  },
  get west() {
    return say('places.west');
  },
  get base() {
    return say('places.base');
  },
};
const cm = (m: number): number => Math.round(m * 100) / 100;

/** `P4 edge, south`; along a row with its metre: `P7 core, 12.5 m`. */
export const placeLabel = (
  id: string,
  zone: PointZone,
  side: Side | undefined,
  alongM: number | undefined,
): string =>
  `${id} ${[ZONE_WORDS[zone], side && SIDE_WORDS[side], alongM === undefined ? null : figureWithUnit('length', alongM)].filter(Boolean).join(', ')}`;

/** Depth at which a zone is read: its share of the way to the core, never further than the thermometer reaches. Undefined: the way is not known. */
export const depthInZone = (
  zone: PointZone,
  coreDepthM: number | null,
  reachM: number | null,
): number | undefined =>
  coreDepthM === null
    ? undefined
    : cm(Math.min(reachM ?? Infinity, coreDepthM * SHARE_OF_DEPTH[zone]));

/** How many sets of places a row of a length has: one for each stretch. */
export const rowStretchesOf = (lengthM: number | null, stretchM: number): number =>
  lengthM === null ? 1 : Math.max(1, Math.ceil(lengthM / stretchM - 1e-9));

/**
 * Places proposed for a heap: five, or for a row longer than one stretch a set of three for each, in the middle of it.
 * @param stretchM length of row that one set of places speaks for
 * @param reachM how far the thermometer reaches in; null: not known
 */
export function proposePlan(
  { shape, coreDepthM, lengthM }: HeapSize,
  stretchM: number,
  reachM: number | null,
): (PlanPlace & { id: string; label: string; zone: PointZone })[] {
  const sets = shape === 'windrow' ? rowStretchesOf(lengthM, stretchM) : 1;
  const spots =
    sets === 1
      ? (shape === 'cube' ? FIVE_IN_BAY : FIVE).map((s) => ({ ...s, alongM: undefined }))
      : Array.from({ length: sets }, (_, k) =>
          itemAt(STRETCH, k % 2).map((s) => ({
            ...s,
            alongM: Math.round(((lengthM! * (k + 0.5)) / sets) * 2) / 2,
          })),
        ).flat();
  return spots.map(({ zone, side, alongM }, i) => {
    const id = `P${i + 1}`;
    const depthM = depthInZone(zone, coreDepthM, reachM);
    return {
      id,
      label: placeLabel(id, zone, side, alongM),
      zone,
      side,
      ...(depthM === undefined ? {} : { depthM }),
      ...(alongM === undefined ? {} : { alongM }),
    };
  });
}

/** A neighbour along a shared row, and how far into this heap's stretch (from its own start) their common border lies. */
export type Border = { readonly name: string; readonly atM: number };

export type PlanDoubt =
  | { readonly code: 'TOO_SHORT'; readonly stemM: number; readonly coreDepthM: number }
  | {
      readonly code: 'DEEPER_THAN_STEM';
      readonly places: readonly string[];
      readonly stemM: number;
    }
  | { readonly code: 'NO_CORE' }
  | { readonly code: 'ONE_SPOT' }
  | { readonly code: 'NO_EDGE' }
  | { readonly code: 'FEW'; readonly places: number; readonly minPoints: number }
  | { readonly code: 'BORDERS'; readonly neighbours: readonly string[]; readonly keepM: number }
  | {
      readonly code: 'NEAR_BORDER';
      readonly place: string;
      readonly neighbour: string;
      readonly distanceM: number;
    };

/**
 * What is doubtful about a plan: it is said, never forbidden. A hot middle says nothing of the toe; only the spot that can
 * be reached says nothing of the heap; near a neighbour's border its heat is read too.
 */
export function planDoubts(
  plan: readonly PlanPlace[],
  known: {
    coreDepthM: number | null;
    stemM: number | null;
    minPoints: number;
    borders: readonly Border[];
    borderM: number;
  },
): PlanDoubt[] {
  const { coreDepthM, stemM, minPoints, borders, borderM } = known;
  const doubts: PlanDoubt[] = [];
  const name = (p: PlanPlace): string => p.label ?? p.id;
  if (coreDepthM !== null && stemM !== null && stemM < coreDepthM - 1e-9)
    doubts.push({ code: 'TOO_SHORT', stemM, coreDepthM });
  else if (stemM !== null) {
    const deep = plan.filter((p) => (p.depthM ?? 0) > stemM + 1e-9);
    if (deep.length > 0) doubts.push({ code: 'DEEPER_THAN_STEM', places: deep.map(name), stemM });
  }
  const zones = new Set(plan.map((p) => p.zone));
  if (plan.length === 1) doubts.push({ code: 'ONE_SPOT' });
  else {
    if (!zones.has('core')) doubts.push({ code: 'NO_CORE' });
    if (!zones.has('edge')) doubts.push({ code: 'NO_EDGE' });
  }
  if (plan.length < minPoints) doubts.push({ code: 'FEW', places: plan.length, minPoints });
  // Without metres along the row it cannot be told how near a place is to the flag.
  if (borders.length > 0 && plan.some((p) => p.alongM === undefined))
    doubts.push({ code: 'BORDERS', neighbours: borders.map((b) => b.name), keepM: borderM });
  for (const p of plan) {
    if (p.alongM === undefined) continue;
    for (const b of borders) {
      const distanceM = Math.abs(p.alongM - b.atM);
      if (distanceM < borderM - 1e-9)
        doubts.push({
          code: 'NEAR_BORDER',
          place: name(p),
          neighbour: b.name,
          distanceM: cm(distanceM),
        });
    }
  }
  return doubts;
}

/** The first of P1, P2, … that no place has or ever had. */
export function freshPlaceId(taken: readonly string[]): string {
  const used = new Set(taken);
  let n = 1;
  while (used.has(`P${n}`)) n += 1;
  return `P${n}`;
}
