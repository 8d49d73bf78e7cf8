import { MS, type Instant } from '../quantity/instant';
import { toCelsius } from '../units/units';
import type { Probe, ProbeCheck, Reading } from './types';
import { firstOf, itemAt, lastOf } from '../quantity/present';

/** corrected = a + b · value, from one group of checks. */
export type Calibration = {
  readonly at: Instant;
  readonly a: number;
  readonly b: number;
  readonly poor: boolean;
};

/** Checks of one probe in groups of at most 2 hours after the first; later ones than asOf are left out first (contract, section 3). */
export function groupChecks<C extends ProbeCheck>(checks: readonly C[], asOf: Instant): C[][] {
  const known = checks.filter((check) => check.at <= asOf).sort((x, y) => x.at - y.at);
  const groups: C[][] = [];
  for (const check of known) {
    const open = groups.at(-1);
    if (open && check.at - firstOf(open).at <= 2 * MS.hour) open.push(check);
    else groups.push([check]);
  }
  return groups;
}

/** Each group of checks is one calibration, dated by its last check (contract, section 3). */
export const calibrationsOf = (checks: readonly ProbeCheck[], asOf: Instant): Calibration[] =>
  groupChecks(checks, asOf).map(calibrationFrom);

function calibrationFrom(group: readonly ProbeCheck[]): Calibration {
  const at = lastOf(group).at;
  const mean = (f: (check: ProbeCheck) => number): number =>
    group.reduce((sum, check) => sum + f(check), 0) / group.length;
  const offset = { at, a: mean((c) => c.referenceC - c.readC), b: 1, poor: false };
  if (new Set(group.map((c) => c.readC)).size < 2) return offset;
  const [x, y] = [mean((c) => c.readC), mean((c) => c.referenceC)];
  const b = mean((c) => (c.readC - x) * (c.referenceC - y)) / mean((c) => (c.readC - x) ** 2);
  if (b < 0.8 || b > 1.25) return { ...offset, poor: true }; // such a line says more of the checks than of the probe
  return { at, a: y - b * x, b, poor: false };
}

/** Corrects readings by the latest calibration at or before each; without one a value stands as read. */
export type Corrector = {
  correct(reading: Reading): number;
  calibrationFor(reading: Reading): Calibration | undefined;
  /** Whether the reading's probe has no check in the `days` before it. A reading without a probe is not asked. */
  unchecked(reading: Reading, days: number): boolean;
};

/** The last of those, by time, that lie at or before t. */
function latestBy<T>(list: readonly T[], t: Instant, timeOf: (item: T) => Instant): T | undefined {
  let [low, high] = [0, list.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (timeOf(itemAt(list, middle)) <= t) low = middle + 1;
    else high = middle;
  }
  return list[low - 1];
}

/**
 * Corrects readings by the checks of their thermometers that are known at a moment (contract, section 3). Temperatures
 * in °C.
 */
export function correctorOf(probes: readonly Probe[], asOf: Instant): Corrector {
  const calibrations = new Map(probes.map((p) => [p.id, calibrationsOf(p.checks, asOf)]));
  const checkTimes = new Map(
    probes.map((p) => [
      p.id,
      p.checks
        .map((c) => c.at)
        .filter((at) => at <= asOf)
        .sort((a, b) => a - b),
    ]),
  );
  const calibrationFor = (r: Reading): Calibration | undefined =>
    r.probe === undefined
      ? undefined
      : latestBy(calibrations.get(r.probe) ?? [], r.at, (c) => c.at);
  return {
    calibrationFor,
    correct(r) {
      const celsius = toCelsius(r.value, r.unit);
      const c = calibrationFor(r);
      return c ? c.a + c.b * celsius : celsius;
    },
    unchecked(r, days) {
      if (r.probe === undefined) return false;
      const last = latestBy(checkTimes.get(r.probe) ?? [], r.at, (at) => at);
      return last === undefined || r.at - last > days * MS.day;
    },
  };
}
