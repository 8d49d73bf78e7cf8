import { scaleLinear, scaleTime, type ScaleLinear, type ScaleTime } from 'd3-scale';
import { line } from 'd3-shape';
import { lastOf } from '@/core/quantity/present';

export type Sample = { readonly at: number; readonly c: number };
export type ChartBox = {
  readonly left: number;
  readonly right: number;
  readonly top: number;
  readonly bottom: number;
};
export type Scales = {
  readonly x: ScaleTime<number, number>;
  readonly y: ScaleLinear<number, number>;
};

/** Lowest and highest temperature that the axis shows, °C; wider where the readings need it. */
const LOW_C = 5;
const HIGH_C = 80;

export function scalesOf(
  from: number,
  to: number,
  values: readonly number[],
  box: ChartBox,
): Scales {
  const low = values.reduce((a, b) => Math.min(a, b), LOW_C);
  const high = values.reduce((a, b) => Math.max(a, b), HIGH_C);
  return {
    x: scaleTime().domain([from, to]).range([box.left, box.right]),
    y: scaleLinear().domain([low, high]).range([box.bottom, box.top]),
  };
}

/** Cuts a line wherever two samples lie further apart than a rule would credit: never a line over a gap. */
export function piecesOf<T extends { readonly at: number }>(
  samples: readonly T[],
  maxGapMs: number,
): T[][] {
  const pieces: T[][] = [];
  for (const s of samples) {
    const open = pieces.at(-1);
    if (open && s.at - lastOf(open).at <= maxGapMs) open.push(s);
    else pieces.push([s]);
  }
  return pieces;
}

export const pathOf = ({ x, y }: Scales, samples: readonly Sample[]): string =>
  line<Sample>()
    .x((s) => x(s.at))
    .y((s) => y(s.c))(samples) ?? '';

/** Places labels along a line so that none runs into the one before; those without room take the next row. */
export function rowsFor(
  labels: readonly { readonly x: number; readonly width: number }[],
  rows: number,
): number[] {
  const ends = Array.from({ length: rows }, () => -Infinity);
  return labels.map(({ x, width }) => {
    const row = ends.findIndex((end) => x >= end);
    const chosen = row < 0 ? ends.indexOf(Math.min(...ends)) : row;
    ends[chosen] = x + width;
    return row < 0 ? -1 : chosen;
  });
}
