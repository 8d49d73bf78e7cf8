import { MS, type Instant } from '../quantity/instant';
import { calibrationsOf } from './calibration';
import type { ProbeCheck } from './types';

/** What one group of checks says of a thermometer: K to be added to what it reads, at ice and in a hot heap. */
export type DriftPoint = {
  readonly at: Instant;
  readonly atIceK: number;
  readonly atHotK: number;
  /** One point only: the same is added all along the scale. */ readonly single: boolean;
  readonly poor: boolean;
};

/** Where the hot end of a heap lies, °C. */
export const DRIFT_HOT_C = 60;

/** How a thermometer's error has moved, one point for each calibration (contract, section 3). */
export const driftOf = (checks: readonly ProbeCheck[], asOf: Instant): DriftPoint[] =>
  calibrationsOf(checks, asOf).map(({ at, a, b, poor }) => ({
    at,
    atIceK: a,
    atHotK: a + (b - 1) * DRIFT_HOT_C,
    single: b === 1,
    poor,
  }));

/** Twice a year where the instrument says nothing (common practice). */
const CHECK_EVERY_DAYS = 180;

/** When the next check is due; null: it was never checked, so now. */
export const checkDue = (
  checks: readonly ProbeCheck[],
  everyDays: number | undefined,
): Instant | null =>
  checks.length === 0
    ? null
    : Math.max(...checks.map((c) => c.at)) + (everyDays ?? CHECK_EVERY_DAYS) * MS.day;

/**
 * Whether a check is out of what the thermometer's maker promises. Without a promise 1 K is taken: a dial is read to
 * about that (common practice).
 */
export const isOff = (
  check: Pick<ProbeCheck, 'referenceC' | 'readC'>,
  accuracyK: number | undefined,
): boolean => Math.abs(check.readC - check.referenceC) > (accuracyK ?? 1) + 1e-9;

/**
 * Further off than this a check is more likely a slip than a thermometer: the wrong unit, a digit too many (common practice;
 * a dial that is so far off is not set right but taken out of service), K.
 */
const IMPLAUSIBLE_OFFSET_K = 5;

/** Whether a check says that a thermometer is further off than one that still works. */
export const isImplausibleCheck = (check: {
  readonly referenceC: number;
  readonly readC: number;
}): boolean => Math.abs(check.readC - check.referenceC) > IMPLAUSIBLE_OFFSET_K;
