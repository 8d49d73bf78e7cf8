import '../src/messages/all';
import { performance } from 'node:perf_hooks';
import { resolvePolicy } from '../src/core/evidence/policy';
import type { Rule } from '../src/core/evidence/rule';
import type { Evidence, Reading } from '../src/core/evidence/types';
import { judge, prepare } from '../src/core/evidence/verdict';
import { RULE_LIBRARY, findRule } from '../src/core/rules/library';

/** Half a million readings of six wireless points, one each minute for 58 days: one rule, all rules, and one more round. */
const START = Date.UTC(2026, 4, 1);
const MINUTES = 58 * 24 * 60;
const END = START + MINUTES * 60_000;
const points = Array.from({ length: 6 }, (_, i) => ({ id: `p${i}` }));
const sweep = (m: number, named = false): Reading[] =>
  points.map((p, i) => ({
    id: `${m}-${i}`,
    at: START + m * 60_000 + i * 500,
    point: p.id,
    value: 58 + 5 * Math.sin(m / 700) + i * 0.3,
    unit: 'C',
    ...(named ? { round: `sweep ${m}` } : {}),
  }));
const readings: Reading[] = [];
for (let m = 0; m < MINUTES; m += 1) readings.push(...sweep(m));
const evidence: Evidence = {
  timeZone: 'Europe/London',
  unit: 'C',
  method: 'turned',
  builtAt: START,
  policy: resolvePolicy(),
  points,
  probes: [],
  readings,
  ambient: [],
  events: Array.from({ length: 6 }, (_, i) => ({
    id: `t${i}`,
    at: START + (i + 1) * 3 * 86_400_000,
    type: 'turn' as const,
    full: true,
  })),
};
/** The library, and rules of a site's own beside it: two dozen. */
const OWN: Rule[] = [57, 58, 59, 61, 62, 63, 64, 66].map((floorC) => ({
  ...findRule('us-503-pfrp-turned')!,
  id: `site-${floorC}`,
  requirement: { kind: 'hold', floorC, hours: 240, consecutive: true, turnings: 3 },
}));
const ALL = [...RULE_LIBRARY, ...OWN];

function measured(
  n: number,
  work: () => unknown,
): { medianMs: number; bestMs: number; extraHeapMB: number } {
  const times: number[] = [];
  let peak = 0;
  for (let i = 0; i < n; i += 1) {
    globalThis.gc?.();
    const before = process.memoryUsage().heapUsed;
    const t = performance.now();
    const kept = work();
    times.push(performance.now() - t);
    peak = Math.max(peak, process.memoryUsage().heapUsed - before);
    if (kept === undefined) throw new Error('nothing was reckoned');
  }
  times.sort((a, b) => a - b);
  return {
    medianMs: Math.round(times[n >> 1]!),
    bestMs: Math.round(times[0]!),
    extraHeapMB: Math.round(peak / 1e6),
  };
}
const out = (what: string, figures: object): void =>
  console.log(JSON.stringify({ what, ...figures }));
const one = findRule('us-503-pfrp-turned')!;
out(
  `${readings.length} readings, one rule`,
  measured(7, () => judge(prepare(evidence, END), one)),
);
out(
  `the same, ${ALL.length} rules in one pass over shared rounds`,
  measured(7, () => {
    const p = prepare(evidence, END);
    return ALL.map((rule) => judge(p, rule));
  }),
);
out(
  `the same, ${ALL.length} rules each from the readings`,
  measured(1, () => ALL.map((rule) => judge(prepare(evidence, END), rule))),
);

const growing = prepare(evidence, END);
ALL.forEach((rule) => judge(growing, rule));
const updates: number[] = [];
const sweeps: number[] = [];
for (let i = 0; i < 300; i += 1) {
  const m = MINUTES + 1 + i;
  const round = sweep(m, true);
  const t = performance.now();
  growing.add(round, START + m * 60_000 + 30_000);
  judge(growing, one);
  updates.push(performance.now() - t);
  ALL.forEach((rule) => judge(growing, rule));
  sweeps.push(performance.now() - t);
}
const middle = (times: number[]): object => {
  const s = [...times].sort((a, b) => a - b);
  return {
    medianMs: +s[s.length >> 1]!.toFixed(3),
    p95Ms: +s[Math.floor(s.length * 0.95)]!.toFixed(3),
  };
};
// The first one looks through the past once, to know which round ids are taken.
out('one more round, one rule', middle(updates.slice(1)));
out(`one more round, ${ALL.length} rules`, middle(sweeps.slice(1)));
