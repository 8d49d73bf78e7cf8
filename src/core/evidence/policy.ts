import { POINT_ZONES, type Policy } from './types';

/** What a file or a site may say of its policy: absent fields take the defaults. */
export type PolicyInput = { readonly [K in keyof Policy]?: Policy[K] | undefined };

/** The longest credited time between two hot rounds, unless the policy says otherwise. */
export const DEFAULT_MAX_GAP_HOURS = 36;

const DEFAULTS: Omit<Policy, 'turnGraceHours'> = {
  combine: 'coldest',
  minPoints: 3,
  roundMinutes: 60,
  maxGapHours: DEFAULT_MAX_GAP_HOURS,
  guardBandC: 0,
  counting: 'hours',
  maxBlankDays: 0,
  calibrationDays: 180,
  zones: POINT_ZONES,
};

/** The default grace is the lesser of 36 h and the longest credited gap (contract, section 2). */
export function resolvePolicy(input: PolicyInput = {}): Policy {
  const given = Object.fromEntries(
    Object.entries(input).filter(([, value]) => value !== undefined),
  );
  const filled = { ...DEFAULTS, ...given } as Policy;
  return { ...filled, turnGraceHours: input.turnGraceHours ?? Math.min(36, filled.maxGapHours) };
}
