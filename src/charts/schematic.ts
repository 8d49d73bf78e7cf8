import { profile, type MoundFrame } from './mound';

/** Where the places of a round lie on a drawing of the heap. Lengths in px. */
export type SchemPlace = {
  readonly id: string;
  readonly zone?: string | undefined;
  readonly side?: string | undefined;
};
export type Spot = { readonly x: number; readonly y: number };

const SIDE: Readonly<Record<string, -1 | 0 | 1>> = {
  crown: 0,
  base: 0,
  left: -1,
  west: -1,
  back: -1,
  north: -1,
  right: 1,
  east: 1,
  front: 1,
  south: 1,
};
/** How far from the middle a zone is drawn, as a share of half the width, and how high. */
const ACROSS: Readonly<Record<string, number>> = { core: 0, middle: 0.38, edge: 0.68 };
const UP: Readonly<Record<string, number>> = { core: 0.62, middle: 0.5, edge: 0.2 };
/** Two plates closer than this hide each other. */
const [APART_X, APART_Y] = [48, 26];

/** A place without a side takes the one that its zone has fewer of. */
function sideOf(p: SchemPlace, taken: Map<string, number>): number {
  const known = p.side === undefined ? undefined : SIDE[p.side];
  const zone = p.zone ?? 'middle';
  const side = known ?? (zone === 'core' ? 0 : (taken.get(zone) ?? 0) % 2 === 0 ? -1 : 1);
  taken.set(zone, (taken.get(zone) ?? 0) + 1);
  return side;
}

/**
 * Spots for the places inside a heap: by zone and side under a mound's outline, or within the walls of a bay.
 * Those that would lie on each other are moved apart.
 */
export function spotsOf(places: readonly SchemPlace[], frame: MoundFrame, boxed: boolean): Spot[] {
  const taken = new Map<string, number>();
  const spots: Spot[] = [];
  for (const p of places) {
    const zone = p.zone ?? 'middle';
    const u = sideOf(p, taken) * (ACROSS[zone] ?? 0.3) * (boxed ? 1.15 : 1);
    const up = p.side === 'base' ? 0.1 : (UP[zone] ?? 0.5);
    let x = frame.x0 + (frame.w * (u + 1)) / 2;
    const roof = boxed ? frame.h : frame.h * profile(u, frame.lean);
    const y = frame.base - Math.min(up * frame.h, Math.max(16, roof - 16));
    for (
      let tries = 0;
      tries < 8 && spots.some((s) => Math.abs(s.x - x) < APART_X && Math.abs(s.y - y) < APART_Y);
      tries += 1
    )
      x += (tries % 2 ? 1 : -1) * (tries + 1) * APART_X * (p.zone === 'core' ? 1 : 0.6);
    spots.push({ x: Math.min(Math.max(x, frame.x0 + 22), frame.x0 + frame.w - 22), y });
  }
  return spots;
}
