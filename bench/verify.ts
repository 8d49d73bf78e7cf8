import { performance } from 'node:perf_hooks';
import { resolvePolicy } from '../src/core/evidence/policy';
import type { Evidence, Reading } from '../src/core/evidence/types';
import { judge, prepare } from '../src/core/evidence/verdict';
import { findRule } from '../src/core/rules/library';

/** Half a million readings of six wireless points, one each minute for 58 days, judged by one rule in one pass. */
const START = Date.UTC(2026, 4, 1);
const MINUTES = 58 * 24 * 60;
const points = Array.from({ length: 6 }, (_, i) => ({ id: `p${i}` }));
const readings: Reading[] = [];
for (let m = 0; m < MINUTES; m += 1) for (let p = 0; p < 6; p += 1) {
  readings.push({ id: `${m}-${p}`, at: START + m * 60_000 + p * 500, point: `p${p}`, value: 58 + 5 * Math.sin(m / 700) + p * 0.3, unit: 'C' });
}
const evidence: Evidence = {
  timeZone: 'Europe/London', unit: 'C', method: 'turned', builtAt: START, policy: resolvePolicy(), points, probes: [], readings, ambient: [],
  events: Array.from({ length: 6 }, (_, i) => ({ id: `t${i}`, at: START + (i + 1) * 3 * 86_400_000, type: 'turn' as const, full: true })),
};
const rule = findRule('us-503-pfrp-turned')!;

const before = process.memoryUsage().heapUsed;
const times: number[] = [];
let status = '';
let peak = 0;
for (let i = 0; i < 7; i += 1) {
  globalThis.gc?.();
  const t = performance.now();
  status = judge(prepare(evidence, START + MINUTES * 60_000), rule).status;
  times.push(performance.now() - t);
  peak = Math.max(peak, process.memoryUsage().heapUsed - before);
}
times.sort((a, b) => a - b);
console.log(JSON.stringify({ readings: readings.length, status, medianMs: Math.round(times[3]!), bestMs: Math.round(times[0]!), extraHeapMB: Math.round(peak / 1e6), readingsHeapMB: Math.round(before / 1e6), rssMB: Math.round(process.memoryUsage().rss / 1e6) }));
