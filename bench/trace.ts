import '../src/messages/all';
import { performance } from 'node:perf_hooks';
import type { Flow, FlowSite, LotKind } from '@/core/flow/site-file';
import { traceFrom, traceOf, traceUnheated } from '@/core/flow/trace';

/** Tracing on a large made-up site: loads into batches, batches into curing, screened, overs back into batches, sold. */
const LOTS = Number(process.env.BENCH_LOTS ?? 10_000);
const FLOWS = LOTS * 4;
const SHARES: Readonly<Record<LotKind, number>> = {
  load: 0.45,
  batch: 0.3,
  curing: 0.05,
  fines: 0.08,
  overs: 0.08,
  product: 0.04,
};

let seed = 7;
/** Numerical Recipes' linear congruential generator: the same site at each run. */
const next = (below: number): number => {
  seed = (Math.imul(seed, 1_664_525) + 1_013_904_223) >>> 0;
  return Math.floor((seed / 2 ** 32) * below);
};
const HOUR = 3_600_000;
const START = Date.UTC(2020, 0, 1);

function largeSite(): FlowSite {
  const lots = Object.entries(SHARES).flatMap(([kind, share]) =>
    Array.from({ length: Math.round(LOTS * share) }, (_, i) => ({
      id: `${kind}${i}`,
      kind: kind as LotKind,
    })),
  );
  const of = (kind: LotKind, part: number): string =>
    `${kind}${Math.min(Math.round(LOTS * SHARES[kind]) - 1, Math.max(0, Math.floor(part * Math.round(LOTS * SHARES[kind])) + next(5) - 2))}`;
  const flows: Flow[] = [];
  const add = (at: number, from: string | null, to: string | null, litres: number | null): void => {
    const id = `f${String(flows.length).padStart(6, '0')}`;
    flows.push({ id, at, from, to, litres, all: false, clean: false });
  };
  for (let i = 0; flows.length < FLOWS; i += 1) {
    const part = (flows.length / FLOWS) * 0.98;
    const at = START + i * 12 * HOUR;
    const [load, batch] = [of('load', part), of('batch', part)];
    const unknown = next(40) === 0;
    add(at, null, load, 1000);
    add(at + HOUR, load, batch, unknown ? null : 900);
    add(at + 2 * HOUR, of('overs', part), batch, 40);
    add(at + 3 * HOUR, batch, of('curing', part), 500);
    add(at + 4 * HOUR, of('curing', part), of('fines', part), 300);
    add(at + 5 * HOUR, of('curing', part), of('overs', part), 100);
    add(at + 6 * HOUR, of('fines', part), of('product', part), 250);
    add(at + 7 * HOUR, of('product', part), null, 200);
  }
  return { lots, flows, levels: [], proofs: [] };
}

const site = largeSite();
const timed = (what: string, work: () => { readonly [k: string]: unknown }): void => {
  const runs = Array.from({ length: 5 }, () => {
    const t = performance.now();
    const found = work();
    return { ms: performance.now() - t, found };
  }).sort((a, b) => a.ms - b.ms);
  console.log(
    JSON.stringify({
      what,
      lots: site.lots.length,
      flows: site.flows.length,
      medianMs: Math.round(runs[2]!.ms),
      ...runs[2]!.found,
    }),
  );
};
timed('unheated share of every lot', () => ({ found: traceUnheated(site, null).lots.length }));
timed('recall of one load', () => ({ found: traceFrom(site, ['load20'], null).out.length }));
timed('recall of ten loads', () => {
  const loads = Array.from({ length: 10 }, (_, i) => `load${i * 20}`);
  return { found: traceFrom(site, loads, null).out.length };
});
const last = site.flows.filter((f) => f.to === null).at(-1)!;
timed('sources of the last outflow', () => ({
  found: traceOf(site, last.id, null).sources.length,
}));
