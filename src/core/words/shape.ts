import { say } from '../../messages/say';
import { keysOf } from './feel';

/** Forms of heaps as crews call them; what is measured of each. */
export const SHAPE_WORDS = {
  get dome() {
    return say('terms.pile');
  },
  get cone() {
    return say('terms.cone');
  },
  get windrow() {
    return say('terms.windrowRounded');
  },
  get triangle() {
    return say('terms.windrowPeaked');
  },
  get trapezoid() {
    return say('terms.windrowFlatTop');
  },
  get cube() {
    return say('terms.binFilledLevel');
  },
  get cylinder() {
    return say('terms.roundBin');
  },
  get bay() {
    return say('terms.bayOpenInFront');
  },
  get tub() {
    return say('terms.drumOnItsSide');
  },
} as const;
export type HeapShape = keyof typeof SHAPE_WORDS;
export const SHAPES = keysOf(SHAPE_WORDS) as [HeapShape, ...HeapShape[]];
