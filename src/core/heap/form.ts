import type { Measures } from '../log/shapes';
import { volumeOf, type HeapShape } from './size';

/** What the form of a heap means for its heat: surface, the way to the core, room in a bay. Lengths in metres. */

const STRIPS = 200;
/** Rows slope on the long sides; their ends are taken as cut straight. */
const isRow = (s: HeapShape): boolean => s === 'windrow' || s === 'triangle' || s === 'trapezoid';

/** Height of the cross-section at a way across it, 0 to the width. */
function profile(
  shape: HeapShape,
  { widthM: w, heightM: h, topWidthM }: Measures,
): (x: number) => number {
  const u = (x: number): number => Math.abs((2 * x) / w - 1);
  switch (shape) {
    case 'dome':
      return (x) => h * Math.sqrt(Math.max(0, 1 - u(x) ** 2));
    case 'cone':
    case 'triangle':
      return (x) => h * Math.max(0, 1 - u(x));
    case 'windrow':
      return (x) => h * Math.max(0, 1 - u(x) ** 2);
    case 'trapezoid': {
      const top = Math.min(1, (topWidthM ?? w / 2) / w);
      return (x) => h * (u(x) <= top ? 1 : Math.max(0, (1 - u(x)) / Math.max(1e-9, 1 - top)));
    }
    case 'cube':
    case 'cylinder':
    case 'bay':
    case 'tub':
      return () => h;
  }
}

/** Length of the section's upper outline, m. */
function outlineM(shape: HeapShape, m: Measures): number {
  const f = profile(shape, m);
  let sum = 0;
  for (let i = 0; i < STRIPS; i += 1) {
    const [a, b] = [(i / STRIPS) * m.widthM, ((i + 1) / STRIPS) * m.widthM];
    sum += Math.hypot(b - a, f(b) - f(a));
  }
  return sum;
}

/** Area of half an ellipsoid without its foot, m². Thomsen's formula, at most 1.1 % off (K. Thomsen, 2004; from memory). */
function domeSurface(a: number, b: number, c: number): number {
  const p = 1.6075;
  return 2 * Math.PI * (((a * b) ** p + (a * c) ** p + (b * c) ** p) / 3) ** (1 / p);
}

/** Side of a cone on an elliptic foot, m²: summed over its slope lines. */
function coneSurface(a: number, b: number, h: number): number {
  let sum = 0;
  for (let i = 0; i < STRIPS; i += 1) {
    const [s, t] = [(i / STRIPS) * 2 * Math.PI, ((i + 1) / STRIPS) * 2 * Math.PI];
    const [x1, y1, x2, y2] = [a * Math.cos(s), b * Math.sin(s), a * Math.cos(t), b * Math.sin(t)];
    sum += 0.5 * Math.hypot(h * (y1 - y2), h * (x2 - x1), x1 * y2 - x2 * y1);
  }
  return sum;
}

/** Surface towards air and walls, without the foot, m². A tub has its round side too: there is no ground under it. */
export function surfaceM2(shape: HeapShape, m: Measures): number {
  const { lengthM: l, widthM: w, heightM: h, topWidthM } = m;
  if (shape === 'dome') return domeSurface(l / 2, w / 2, h);
  if (shape === 'cone') return coneSurface(l / 2, w / 2, h);
  if (shape === 'cylinder')
    return (
      Math.PI * (l / 2) * (w / 2) +
      Math.PI * (3 * (l / 2 + w / 2) - Math.sqrt((3 * (l / 2) + w / 2) * (l / 2 + 3 * (w / 2)))) * h
    );
  if (isRow(shape)) return outlineM(shape, m) * l + (2 * volumeOf(shape, m)) / l;
  if (shape === 'tub') {
    const r = w / 2;
    const side = h >= r ? Math.PI * r + 2 * (h - r) : 2 * r * Math.acos((r - h) / r);
    return (
      (h >= r ? w : 2 * Math.sqrt(2 * r * h - h * h)) * l + side * l + (2 * volumeOf(shape, m)) / l
    );
  }
  const top = shape === 'bay' ? Math.min(l, topWidthM ?? l) : l;
  return top * w + Math.hypot(l - top, h) * w + w * h + (l + top) * h;
}

/** Foot on the ground, m²: what rain falls on. */
export function footM2(shape: HeapShape, { lengthM: l, widthM: w }: Measures): number {
  return shape === 'dome' || shape === 'cone' || shape === 'cylinder'
    ? Math.PI * (l / 2) * (w / 2)
    : l * w;
}

/** The shortest way from the surface to the core, m: half-way up the middle, straight in from above or from the side. */
export function coreWayM(shape: HeapShape, m: Measures): number {
  const f = profile(shape, m);
  const [cx, cy] = [m.widthM / 2, m.heightM / 2];
  let way = m.heightM / 2;
  for (let i = 0; i <= STRIPS; i += 1) {
    const x = (i / STRIPS) * m.widthM;
    way = Math.min(way, Math.hypot(x - cx, f(x) - cy));
  }
  return Math.min(
    way,
    shape === 'cube' || shape === 'cylinder' || shape === 'bay' || shape === 'tub' ? cx : Infinity,
    isRow(shape) ? Infinity : m.lengthM / 2,
  );
}

/** Width to height as heaps lie when nobody shapes them (common practice): domes and rows about twice as wide as high. */
const SLACK: Readonly<Record<HeapShape, number>> = {
  dome: 2.2,
  cone: 1.8,
  windrow: 2,
  triangle: 2,
  trapezoid: 2.4,
  cube: 1,
  cylinder: 1,
  bay: 1,
  tub: 1.1,
};

/** Measures that a volume takes in a shape. @param lengthM of a row; @param like keeps these where they bind: a bay's walls */
export function measuresFor(
  shape: HeapShape,
  m3: number,
  lengthM: number | null,
  like: { readonly lengthM: number; readonly widthM: number } | null = null,
): Measures {
  const of = (k: number): Measures => {
    const w = like ? like.widthM : k * SLACK[shape];
    const l = like ? like.lengthM : isRow(shape) ? (lengthM ?? w * 1.6) : w;
    return {
      lengthM: l,
      widthM: w,
      heightM: k,
      ...(shape === 'trapezoid' ? { topWidthM: w / 3 } : {}),
    };
  };
  let [low, high] = [1e-3, 50];
  for (let i = 0; i < 60; i += 1) {
    const mid = (low + high) / 2;
    if (volumeOf(shape, of(mid)) < m3) low = mid;
    else high = mid;
  }
  return of((low + high) / 2);
}

/** Length of a row that a volume takes at a width and height, m. */
export const rowLengthM = (shape: HeapShape, m3: number, m: Omit<Measures, 'lengthM'>): number =>
  m3 / volumeOf(shape, { ...m, lengthM: 1 });

export type SlotSize = {
  readonly lengthM: number;
  readonly widthM: number;
  readonly heightM: number;
};
/** Whether a heap fits into a bay, and by how much it does not, m. Turned by a quarter where that helps. */
export function fitsForm(
  m: Measures,
  slot: SlotSize,
): {
  readonly ok: boolean;
  readonly overM: { readonly length: number; readonly width: number; readonly height: number };
} {
  const over = (l: number, w: number) => ({
    length: Math.max(0, l - slot.lengthM),
    width: Math.max(0, w - slot.widthM),
    height: Math.max(0, m.heightM - slot.heightM),
  });
  const sum = (o: ReturnType<typeof over>): number => o.length + o.width + o.height;
  const [straight, turned] = [over(m.lengthM, m.widthM), over(m.widthM, m.lengthM)];
  const overM = sum(turned) < sum(straight) ? turned : straight;
  return { ok: sum(overM) < 0.005, overM };
}

/** Litres that rain of so many mm brings onto an uncovered heap, at most: what runs off a dry skin does not go in. 1 mm on 1 m² is 1 L. */
export const rainLitres = (mm: number, foot: number): number => mm * foot;
