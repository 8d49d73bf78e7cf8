import type { Hold } from '../evidence/rule';
import { METHODS, type Method } from '../evidence/types';

export const ALL_METHODS = METHODS;
export const CLOSED_OR_STATIC: readonly Method[] = ['static', 'vessel'];

/** A hold of whole days; in a row and without turnings unless it says otherwise. */
export const hold = (
  floorC: number,
  days: number,
  more: Partial<Omit<Hold, 'kind'>> = {},
): Hold => ({
  kind: 'hold',
  floorC,
  hours: days * 24,
  consecutive: true,
  turnings: 0,
  ...more,
});
