import type { PlanView } from './view';

/** Measures of the plan’s drawing, in its own units: names at the left, a row for each heap, the hours as pits below. */
const LEFT = 132;
const TOP = 46;
const PIT = 22;
const DEEPEST_PIT = 92;
export const PLAN_WIDTH = 1240;
export const ROW_HEIGHT = 40;

export type PlanGeometry = {
  readonly days: number;
  /** Width of one day. */ readonly dayWidth: number;
  /** Where the soil begins, and how high all of it is. */
  readonly bottom: number;
  readonly height: number;
  readonly top: number;
  /** From the left, of a day and its share: 2.5 is noon of the third. */
  readonly x: (day: number) => number;
  /** Ground line of a row. */ readonly base: (row: number) => number;
  /** How deep so many hours of work go. */ readonly pit: (hours: number) => number;
};

export function planGeometry({ days, rows }: Pick<PlanView, 'days' | 'rows'>): PlanGeometry {
  const dayWidth = (PLAN_WIDTH - LEFT) / days.length;
  const bottom = TOP + rows.length * ROW_HEIGHT + 6;
  const deepest = Math.max(4, ...days.map((d) => Math.max(d.hoursNumber, d.capHours)));
  return {
    days: days.length,
    dayWidth,
    bottom,
    height: bottom + PIT + 118,
    top: TOP,
    x: (day) => LEFT + day * dayWidth,
    base: (row) => TOP + (row + 1) * ROW_HEIGHT - 3,
    pit: (hours) => PIT + (hours / deepest) * DEEPEST_PIT,
  };
}
