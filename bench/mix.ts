import '../src/messages/all';
import { performance } from 'node:perf_hooks';
import type { Entry } from '@/core/log/entry';
import { planLayers } from '@/core/mix/layers';
import { MATERIAL_LIBRARY } from '@/core/mix/library';
import { amountOf } from '@/core/mix/amount';
import { resolveMaterialProperties } from '@/core/mix/ingredient';
import { mixOf } from '@/core/mix/mix';
import { compareApproaches } from '@/core/mix/approaches';
import { additionsTo } from '@/core/mix/additions';
import { inSteps } from '@/core/mix/in-steps';
import { solveMix } from '@/core/mix/solve';
import type { Offer } from '@/core/mix/programme';
import { loadsDue, stockByRole } from '@/core/mix/stock';
import { contentsOf } from '@/core/mix/contents';
import { foldStore } from '@/core/mix/store';
import { solveLinear } from '@/workers/solver';

/** The bench with thirty materials: what is worked out with every change, a solve, what to add; and the store of a busy site. */
const timed = (name: string, runs: number, work: () => void): void => {
  const times: number[] = [];
  for (let i = 0; i < runs; i += 1) {
    const t = performance.now();
    work();
    times.push(performance.now() - t);
  }
  times.sort((a, b) => a - b);
  console.log(
    JSON.stringify({
      what: name,
      medianMs: +times[Math.floor(runs / 2)]!.toFixed(2),
      p95Ms: +times[Math.floor(runs * 0.95)]!.toFixed(2),
    }),
  );
};
const known = MATERIAL_LIBRARY.filter((m) => m.cn && m.moisture && m.density).slice(0, 30);
const parts = known.map((m, i) => {
  const s = resolveMaterialProperties(m, 'fresh');
  return {
    ...s,
    key: m.id,
    ...amountOf({ in: 'litres', n: 60 + 40 * (i % 7) }, s.density),
    about: i % 3 === 0,
    price: i % 2 ? 0.05 : null,
  };
});
timed('every figure, band, school and layer of 30 materials', 200, () => {
  const mix = mixOf(parts, 100);
  compareApproaches(parts, mix);
  planLayers(parts, 100, 1.2);
});
const target = {
  cn: [25, 30],
  moisturePct: [50, 60],
  densityMost: 640,
  litres: 4000,
  keep: true,
} as const;
const solved = (offers: readonly Offer[]): void => {
  const answer = solveMix(offers, target, solveLinear);
  if (answer)
    inSteps(
      offers,
      answer,
      target,
      new Map(offers.map((o) => [o.stuff.key, 0.045 * o.stuff.density!.usual])),
    );
};
timed('a solve with 30 materials, stock and costs, to half barrows', 60, () => {
  solved(
    parts.map((p) => ({ stuff: p, nowKg: p.kg!, fixed: false, leastKg: 0, mostKg: p.kg! * 2 })),
  );
});
timed('a solve with 12 materials, to half barrows', 60, () => {
  solved(
    parts
      .slice(0, 12)
      .map((p) => ({ stuff: p, nowKg: p.kg!, fixed: false, leastKg: 0, mostKg: null })),
  );
});
timed('a solve that cannot be reached, with what binds', 60, () => {
  solved(
    parts
      .filter((p) => p.role === 'green')
      .map((p) => ({ stuff: p, nowKg: p.kg!, fixed: false, leastKg: p.kg! / 2, mostKg: p.kg! })),
  );
});
timed('what to add, of 30 loads in whole barrows', 30, () => {
  additionsTo(
    parts.slice(0, 8),
    0,
    parts.map((p) => ({ stuff: p, litresEach: 90, hasLitres: 5000 })),
  );
});

const LOADS = 3000;
const id = (n: number): string => `0190cccc-0000-7000-8000-${String(n).padStart(12, '0')}`;
const entry = (seq: number, kind: string, data: object, batch: string | null = null): Entry =>
  ({
    id: id(seq),
    seq,
    batch,
    at: seq * 1000,
    recordedAt: seq * 1000,
    by: 'Mo',
    kind,
    data,
    hash: '',
  }) as unknown as Entry;
const log: Entry[] = [];
for (let i = 0; i < LOADS; i += 1)
  log.push(
    entry(i, 'load', {
      material: known[i % 30]!.id,
      supplier: `S${i % 40}`,
      amount: { in: 'litres', n: 2500 },
      state: 'fresh',
      sprayed: 'no',
      answer: 'accept',
      waste: true,
    }),
  );
for (let i = 0; i < 6000; i += 1)
  log.push(
    entry(
      LOADS + i,
      'charge',
      {
        parts: [0, 1, 2].map((k) => ({
          material: known[(i + k) % 30]!.id,
          load: id((i * 3 + k) % LOADS),
          amount: { in: 'litres', n: 180 },
        })),
      },
      id(900_000 + (i % 600)),
    ),
  );
timed(`the store of ${LOADS} loads and 6,000 charges, folded`, 15, () => {
  const s = foldStore(log);
  stockByRole(s);
  loadsDue(s, 1e12);
});
const store = foldStore(log);
timed('the mixes of its 600 heaps', 15, () => {
  for (const heap of store.went.keys()) {
    const c = contentsOf(store, heap);
    mixOf(c.ingredients, c.waterL, false);
  }
});
