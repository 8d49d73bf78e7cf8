import { resolvePolicy, type PolicyInput } from '@/core/evidence/policy';
import type { Hold, Requirement, Rule } from '@/core/evidence/rule';
import type { BatchEvent, Evidence, Reading } from '@/core/evidence/types';
import { judge, latestTime, prepare, type Verdict } from '@/core/evidence/verdict';

/** Midnight UTC of the day on which the test heaps are built. */
export const DAY0 = Date.UTC(2026, 4, 1);
export const H = 3_600_000;
/** Hours after DAY0 as an instant. */
export const at = (hours: number): number => DAY0 + Math.round(hours * H);

const POINTS = ['a', 'b', 'c'].map((id) => ({ id }));

/** A round of its own id: one value at each point. */
export function round(hours: number, ...values: number[]): Reading[] {
  return values.map((value, i) => ({
    id: `${String(hours).padStart(8, '0')}-${i}`,
    at: at(hours),
    point: POINTS[i]?.id ?? `p${i}`,
    value,
    unit: 'C',
    round: `r${hours}`,
  }));
}
/** A complete round at one temperature. */
export const flat = (hours: number, value: number): Reading[] => round(hours, value, value, value);
/** Complete rounds every `step` hours from the first to the last, both included. */
export const steady = (from: number, to: number, step: number, value: number): Reading[] => {
  const readings: Reading[] = [];
  for (let h = from; h <= to + 1e-9; h += step) readings.push(...flat(h, value));
  return readings;
};
let serial = 0;
export const turn = (hours: number, full = true): BatchEvent => ({
  id: `t${(serial += 1)}`,
  at: at(hours),
  type: 'turn',
  full,
});
export const add = (hours: number, raw: boolean, seeds?: boolean): BatchEvent => ({
  id: `x${(serial += 1)}`,
  at: at(hours),
  type: 'add',
  raw,
  ...(seeds === undefined ? {} : { seeds }),
});

export const evidence = (
  readings: readonly Reading[],
  events: readonly BatchEvent[] = [],
  policy: PolicyInput = {},
  more: Partial<Evidence> = {},
): Evidence => ({
  timeZone: 'UTC',
  unit: 'C',
  method: 'turned',
  builtAt: DAY0,
  policy: resolvePolicy(policy),
  points: POINTS,
  probes: [],
  readings,
  events,
  ambient: [],
  ...more,
});

export const holdRule = (hold: Partial<Hold> = {}, more: Partial<Rule> = {}): Rule => ({
  id: 'test',
  title: 'Test',
  jurisdiction: 'none',
  document: 'none',
  fromMemory: false,
  methods: ['turned', 'static', 'vessel'],
  clock: 'germs',
  conditions: [],
  requirement: { kind: 'hold', floorC: 55, hours: 72, consecutive: true, turnings: 0, ...hold },
  ...more,
});

/** A rule of any kind on the clock of germs. */
export const ruleOf = (requirement: Requirement, more: Partial<Rule> = {}): Rule => ({
  ...holdRule(),
  requirement,
  ...more,
});

export const verdictOf = (e: Evidence, rule: Rule = holdRule(), asOf = latestTime(e)): Verdict =>
  judge(prepare(e, asOf), rule);
export const codes = (v: Verdict): string[] => v.notes.map((n) => n.code);
