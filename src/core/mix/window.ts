import { currentUnits, say } from '../../messages/say';
import { unitOf } from '../units/units';
import type { Est, Figure, Mix } from './mix';

/** Where a figure of a mix is wanted: best between the inner bounds, workable between the outer ones. */
export type Window = {
  readonly id: WindowId;
  readonly name: string;
  readonly unit: string;
  readonly preferred: readonly [number, number];
  readonly reasonable: readonly [number, number];
  readonly scale: readonly [number, number];
  readonly digits: number;
  readonly source: string;
};
export const WINDOW_IDS = ['cn', 'moisture', 'density', 'air'] as const;
export type WindowId = (typeof WINDOW_IDS)[number];

const NRAES = 'On-Farm Composting Handbook, NRAES-54 (1992), from memory';

/** Preferred and reasonable conditions of a hot heap. */
export const WINDOWS: Readonly<Record<WindowId, Window>> = {
  cn: {
    id: 'cn',
    get name() {
      return say('mix.carbonToNitrogen');
    },
    unit: 'C:N',
    preferred: [25, 30],
    reasonable: [20, 40],
    scale: [10, 55],
    digits: 1,
    source: NRAES,
  },
  moisture: {
    id: 'moisture',
    get name() {
      return say('mix.moistureContent');
    },
    get unit() {
      return say('mix.ofWeight');
    },
    preferred: [50, 60],
    reasonable: [40, 65],
    scale: [25, 80],
    digits: 0,
    source: NRAES,
  },
  density: {
    id: 'density',
    get name() {
      return say('mix.bulkDensity');
    },
    get unit() {
      return say('mix.kgPerMLoose', { density: unitOf('density', currentUnits()).sign });
    },
    preferred: [300, 550],
    reasonable: [200, 640],
    scale: [100, 900],
    digits: 0,
    get source() {
      return say('mix.upperEndRestCommonPractice', { nraes: NRAES });
    },
  },
  air: {
    id: 'air',
    get name() {
      return say('mix.airSpace');
    },
    get unit() {
      return say('mix.ofVolume');
    },
    preferred: [35, 60],
    reasonable: [30, 75],
    scale: [0, 100],
    digits: 0,
    get source() {
      return say('mix.commonPracticeBelowAboutThird');
    },
  },
};

export type WindowPosition = 'unknown' | 'preferred' | 'low' | 'high' | 'too-low' | 'too-high';

/** Under what is preferred, by a little or by much. */
export const isBelow = (position: WindowPosition): boolean =>
  position === 'low' || position === 'too-low';

/** Where a value stands in its window. */
export function windowPositionOf(w: Window, value: number): Exclude<WindowPosition, 'unknown'> {
  if (value < w.reasonable[0]) return 'too-low';
  if (value > w.reasonable[1]) return 'too-high';
  if (value < w.preferred[0]) return 'low';
  return value > w.preferred[1] ? 'high' : 'preferred';
}

/** The estimate of a figure; null: it cannot be told. */
export const estOf = (f: Figure): Est | null => (f.ok ? f.est : null);

/** How far a value lies outside of the preferred window, in widths of the reasonable margin on that side: 1 is its edge. */
export function distanceFromPreferred(w: Window, value: number): number {
  if (value < w.preferred[0])
    return (w.preferred[0] - value) / Math.max(1e-9, w.preferred[0] - w.reasonable[0]);
  return value > w.preferred[1]
    ? (value - w.preferred[1]) / Math.max(1e-9, w.reasonable[1] - w.preferred[1])
    : 0;
}

/** How far a mix is from what is preferred, all figures taken together; null: C:N or moisture cannot be told. */
export function mixDistanceFromPreferred(mix: Mix): number | null {
  const [cn, wet, dense, air] = [
    estOf(mix.cn),
    estOf(mix.moisture),
    estOf(mix.density),
    estOf(mix.air),
  ];
  if (!cn || !wet) return null;
  return (
    distanceFromPreferred(WINDOWS.cn, cn.value) +
    distanceFromPreferred(WINDOWS.moisture, wet.value) +
    (dense
      ? distanceFromPreferred(WINDOWS.density, Math.max(dense.value, WINDOWS.density.preferred[0]))
      : 0) +
    (air ? distanceFromPreferred(WINDOWS.air, Math.min(air.value, WINDOWS.air.preferred[1])) : 0)
  );
}
