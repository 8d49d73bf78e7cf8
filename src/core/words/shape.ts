import { keysOf } from './feel';

/** Forms of heaps as crews call them; what is measured of each. */
export const SHAPE_WORDS = {
  dome: 'Heap',
  cone: 'Cone',
  windrow: 'Row, rounded',
  triangle: 'Row, sharp',
  trapezoid: 'Row, flat top',
  cube: 'Bin, filled level',
  cylinder: 'Round bin',
  bay: 'Bay, open in front',
  tub: 'Lying tub',
} as const;
export type HeapShape = keyof typeof SHAPE_WORDS;
export const SHAPES = keysOf(SHAPE_WORDS) as [HeapShape, ...HeapShape[]];
