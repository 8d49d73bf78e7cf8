import { SHAPES, type HeapShape } from '../words/shape';
import type { Measures } from '../log/shapes';
import type { Instant } from '../quantity/instant';
import { M3_PER_YD3, type UnitSystem } from '../units/units';

/** How big a heap is and how it shrinks. Lengths in metres, volumes in m³. */

/** Least size of a free-standing heap that stays hot: about one cubic metre (common practice; one cubic yard is 0.765 m³ and is less). */
export const MIN_HOT_M3 = 1;
/** The same as a site says it: its own figure, else one cubic yard where it measures in yards, and one cubic metre elsewhere. */
export const leastHotVolume = (own: number | undefined, system: UnitSystem): number =>
  own ?? (system === 'us' ? M3_PER_YD3 : MIN_HOT_M3);
/**
 * Shapes that a heap is drawn and measured as. Rows: `triangle`, `windrow` (a parabola), `trapezoid`. `cube`: a bin filled
 * level. `bay`: three walls, open in front, where it slopes down. `tub`: lying, round below and straight above.
 */
export { SHAPES, type HeapShape } from '../words/shape';
/** Whether a text of a form or a file names a shape. */
export const isShape = (s: string | null | undefined): s is HeapShape =>
  SHAPES.includes(s as HeapShape);

/**
 * Volume by outer measures. Cross-sections of a row: triangle b·h/2, parabola 2·b·h/3 (a row that has settled), trapezoid
 * (a + b)·h/2; cone π·r²·h/3; a dome is taken as half an ellipsoid, 2/3·π·a·b·h; a tub is half a cylinder of its width with
 * straight sides above. Source: geometry; the row's sections as composting handbooks give them (trade facts, section 3).
 * @param topWidthM of a trapezoid the width of its top; of a bay, how far its top reaches from the back wall; absent: half the foot, or to the front
 */
export function volumeOf(
  shape: HeapShape,
  { lengthM: l, widthM: w, heightM: h, topWidthM }: Measures,
): number {
  switch (shape) {
    case 'cube':
      return l * w * h;
    case 'cylinder':
      return Math.PI * (l / 2) * (w / 2) * h;
    case 'bay':
      return ((l + Math.min(l, topWidthM ?? l)) / 2) * w * h;
    case 'tub':
      return troughAreaM2(w, h) * l;
    case 'cone':
      return (Math.PI * (l / 2) * (w / 2) * h) / 3;
    case 'dome':
      return (2 / 3) * Math.PI * (l / 2) * (w / 2) * h;
    case 'triangle':
      return ((w * h) / 2) * l;
    case 'trapezoid':
      return (((topWidthM ?? w / 2) + w) / 2) * h * l;
    case 'windrow':
      return ((2 * w * h) / 3) * l;
  }
}

/** What looks as if it was typed in another unit: one measure far from the others, or hardly anything in all. */
export type SizeDoubt = 'uneven' | 'tiny';
const UNEVEN = 5;
const TINY = 10;
/**
 * What is odd about a size, to be asked about and never refused.
 * @param measures null: the volume was judged by eye
 * @param leastM3 below which a pile rarely stays hot
 */
export function sizeDoubt(
  measures: Measures | null,
  m3: number,
  leastM3: number,
): SizeDoubt | null {
  if (measures) {
    const { lengthM, widthM, heightM } = measures;
    const [low, middle] = [lengthM, widthM, heightM].sort((a, b) => a - b) as [number, number];
    if (low * UNEVEN < middle) return 'uneven';
  }
  return m3 * TINY < leastM3 ? 'tiny' : null;
}

/** Section of a tub filled to a height: a circle of its width below, straight sides above. */
function troughAreaM2(w: number, h: number): number {
  const r = w / 2;
  if (h >= r) return (Math.PI * r * r) / 2 + w * (h - r);
  return r * r * Math.acos((r - h) / r) - (r - h) * Math.sqrt(2 * r * h - h * h);
}

/** A size at a moment, and how it is known: measured, judged by eye, from the level against the first mark, joined or carried off. */
export type SizeAt = {
  readonly at: Instant;
  readonly m3: number;
  readonly how: 'built' | 'measured' | 'judged' | 'level' | 'joined' | 'carried-off';
};

export type SizeEvent =
  | {
      readonly at: Instant;
      readonly kind: 'measured' | 'judged';
      readonly m3: number;
      readonly heightM: number | null;
    }
  | { readonly at: Instant; readonly kind: 'level'; readonly sunkCm: number }
  | { readonly at: Instant; readonly kind: 'joined' | 'carried-off'; readonly m3: number };

/**
 * A heap's volume over time. A heap settles downward on its own foot, so that its volume goes with its height, where that was measured; the mark that
 * a level is read against is that of the last measuring. What is joined or carried off is added and taken from what was
 * there before.
 * @returns by time; empty when its first volume is not known
 */
export function sizesOf(
  first: { at: Instant; m3: number | null; heightM: number | null },
  events: readonly SizeEvent[],
): SizeAt[] {
  let base: { m3: number; heightM: number | null; sunkCm: number } | null =
    first.m3 === null ? null : { m3: first.m3, heightM: first.heightM, sunkCm: 0 };
  const out: SizeAt[] = base === null ? [] : [{ at: first.at, m3: base.m3, how: 'built' }];
  let sunk = 0;
  for (const e of [...events].sort((a, b) => a.at - b.at)) {
    if (e.kind === 'measured' || e.kind === 'judged') {
      base = { m3: e.m3, heightM: e.heightM, sunkCm: sunk };
      out.push({ at: e.at, m3: e.m3, how: e.kind });
    } else if (base !== null && e.kind === 'level') {
      sunk = e.sunkCm;
      // How far it sank tells a share only of a height that somebody measured.
      if (base.heightM === null) continue;
      const left = Math.max(0.05, 1 - (sunk - base.sunkCm) / 100 / base.heightM);
      out.push({ at: e.at, m3: base.m3 * left, how: 'level' });
    } else if (e.kind !== 'level') {
      const was = out.at(-1)?.m3;
      if (was === undefined) continue;
      const m3 = Math.max(0.01, e.kind === 'joined' ? was + e.m3 : was - e.m3);
      base = { m3, heightM: null, sunkCm: sunk };
      out.push({ at: e.at, m3, how: e.kind });
    }
  }
  return out;
}

/** Dry matter in a heap, kg/m³: a fresh mix of 550 kg/m³ at 60 % water has 220 of it; loose straw less, settled litter more (common practice). */
export const DRY_KG_M3 = { low: 160, usual: 220, high: 280 } as const;
