import { firstOf, itemAt } from '@/core/quantity/present';

/** Geometry of the folded mound. u runs from -1 to 1 across the foot; lean moves the crest. Lengths in px. */

/** Profile height in [0, 1]. */
export function profile(u: number, lean: number): number {
  const v = u - lean * (1 - u * u);
  return Math.max(0, 1 - Math.abs(v) ** 2.15) ** 1.22;
}

/** What is worked out once for each way to lean. */
function memoByLean<T>(work: (lean: number) => T): (lean: number) => T {
  const known = new Map<number, T>();
  return (lean) => {
    const found = known.get(lean);
    if (found !== undefined) return found;
    const value = work(lean);
    known.set(lean, value);
    return value;
  };
}

export type MoundFrame = {
  readonly x0: number;
  readonly w: number;
  readonly base: number;
  readonly h: number;
  readonly lean: number;
};

type Corner = readonly [x: number, y: number];

/** A corner of the outline for so many px of its width: closer together they are not told apart. */
const CORNER_EVERY_PX = 3.5;
const MOST_CORNERS = 64;

function edge({ x0, w, base, h, lean }: MoundFrame, k: number, from = -1, to = 1): Corner[] {
  const corners = Math.min(MOST_CORNERS, Math.max(12, w / CORNER_EVERY_PX));
  const n = Math.max(4, Math.round((corners * (to - from)) / 2));
  return Array.from({ length: n + 1 }, (_, i): Corner => {
    const u = from + ((to - from) * i) / n;
    return [x0 + (w * (u + 1)) / 2, base - h * k * profile(u, lean)];
  });
}

const tenths = (px: number): number => Math.round(px * 10);
const lengthText = (t: number): string => String(t / 10).replace(/^(-?)0\./, '$1.');

/** A line through corners, to a tenth of a px; steps instead of places, since a page holds many of them. */
function linePath(corners: readonly Corner[]): string {
  let [x, y] = firstOf(corners).map(tenths) as [number, number];
  let path = `M${lengthText(x)} ${lengthText(y)}l`;
  for (const corner of corners.slice(1)) {
    const [nextX, nextY] = [tenths(corner[0]), tenths(corner[1])];
    path += `${lengthText(nextX - x)} ${lengthText(nextY - y)} `;
    [x, y] = [nextX, nextY];
  }
  return path.trimEnd();
}

const STRIPS = 200;
/** Heights in the middle of each of so many strips. Heaps lean in a hundred ways, and one page draws one of them many times. */
const stripsOf = memoByLean((lean) =>
  Array.from({ length: STRIPS }, (_, i) => profile(-1 + (2 * (i + 0.5)) / STRIPS, lean)),
);

/** Where a fraction of the area under the profile lies to the left, so that the toes do not swallow it. */
export function uAt(fraction: number, lean: number): number {
  if (fraction <= 0) return -1;
  if (fraction >= 1) return 1;
  const n = STRIPS;
  const heights = stripsOf(lean);
  const total = heights.reduce((a, b) => a + b, 0);
  let sum = 0;
  for (let i = 0; i < n; i += 1) {
    sum += itemAt(heights, i);
    if (sum / total >= fraction) return -1 + (2 * (i + 1)) / n;
  }
  return 1;
}

/** The stratum between the fold lines k0 and k1, from fraction f0 to f1 of its area. */
export function bandPath(frame: MoundFrame, k0: number, k1: number, f0 = 0, f1 = 1): string {
  const [from, to] = [uAt(f0, frame.lean), uAt(f1, frame.lean)];
  return `${linePath([...edge(frame, k1, from, to), ...edge(frame, k0, from, to).reverse()])}Z`;
}

export const foldPath = (frame: MoundFrame, k: number): string => linePath(edge(frame, k));

const crestAt = memoByLean((lean) => {
  let best = 0;
  for (let u = -0.5; u <= 0.5; u += 0.01) if (profile(u, lean) > profile(best, lean)) best = u;
  return best;
});

export function crestOf({ x0, w, base, h, lean }: MoundFrame): { x: number; y: number } {
  const best = crestAt(lean);
  return { x: x0 + (w * (best + 1)) / 2, y: base - h * profile(best, lean) };
}

/** Fixed lean of a heap from its id, in [-0.06, 0.06]. */
export function leanOf(id: string): number {
  let hash = 7;
  for (const c of id) hash = (hash * 31 + c.charCodeAt(0)) % 100_003;
  return ((hash % 121) - 60) / 1000;
}

/** Width and height for a volume beside the site's largest. */
export function sizeOf(
  volume: number,
  largest: number,
  maxW: number,
  maxH: number,
): { w: number; h: number } {
  const r = Math.cbrt(Math.max(volume, 0) / largest);
  return { w: Math.max(maxW * r ** 0.92, maxW / 2), h: Math.max(maxH * r ** 1.15, maxH / 2.4) };
}

export type StratumIn = {
  readonly hours: number;
  readonly meanC: number;
  readonly uncredited: number;
};
type MoundLayer = {
  readonly from: number;
  readonly to: number;
  readonly meanC: number;
  readonly hatched: number;
};
export type MoundLayers = {
  readonly lostTo: number;
  readonly layers: readonly MoundLayer[];
  readonly filledTo: number;
  readonly owed: readonly number[];
};

const THINNEST = 0.045;

/**
 * Heights of lost, earned and owed parts as fractions of the mound's height. Height is credited time; a heap that
 * has its time but owes turnings is pressed into the lower 90 %, so that the owed folds show in the cap.
 */
export function moundLayersOf(
  strata: readonly StratumIn[],
  requiredHours: number,
  turningsRequired: number,
  lostHours: number,
  recovering: boolean,
  proven: boolean,
): MoundLayers {
  const lostTo =
    lostHours > 0 && strata.every((s) => s.hours === 0)
      ? Math.min(0.3, (0.75 * lostHours) / requiredHours)
      : 0;
  const total = lostTo + strata.reduce((sum, s) => sum + s.hours / requiredHours, 0);
  const owedTurns = proven ? 0 : Math.max(0, turningsRequired - Math.max(0, strata.length - 1));
  const press = proven && total > 0 ? 1 / total : owedTurns > 0 && total > 0.9 ? 0.9 / total : 1;
  const layers: MoundLayer[] = [];
  let k = lostTo;
  strata.forEach((s, i) => {
    const last = i === strata.length - 1;
    const thin = last && recovering ? 0.13 : THINNEST;
    const to = Math.min(1, k + Math.max(thin, (s.hours / requiredHours) * press));
    layers.push({ from: k, to, meanC: s.meanC, hatched: last && recovering ? 1 : s.uncredited });
    k = to;
  });
  const owed = Array.from(
    { length: owedTurns },
    (_, i) => k + ((1 - k) * (i + 1)) / (owedTurns + 1),
  );
  return { lostTo, layers, filledTo: k, owed: 1 - k > 0.02 ? owed : [] };
}
