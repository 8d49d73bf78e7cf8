import fc from 'fast-check';
import { tracedShareText } from './share-text';
import { answerTrace } from './trace-call';
import { orderFlows } from './order';
import { readSiteFile, type FlowSite } from './site-file';
import { traceFrom, traceOf, traceUnheated, type Interval, type Trace } from './trace';

type Given = { lots: object[]; flows: object[]; levels?: object[]; proofs?: object[] };
const fileOf = (given: Given): string =>
  JSON.stringify({ format: 'zealous-heap/site', version: 1, ...given });
function siteOf(given: Given): FlowSite {
  const parsed = readSiteFile(fileOf(given));
  if (!parsed.ok) throw new Error(JSON.stringify(parsed.problems));
  return parsed.site;
}
const lot = (id: string, kind = 'batch') => ({ id, kind });
const day = (d: number): string => `2026-05-${String(d).padStart(2, '0')}T08:00Z`;
const flow = (id: string, d: number, rest: object) => ({ id, at: day(d), ...rest });
const stateOf = (trace: Trace, id: string) => trace.lots.find((l) => l.lot === id);

/** Two loads into a heap that meets its rule; a third comes in afterwards; half goes to a bed. */
const HEAP: Given = {
  lots: [
    lot('hay', 'load'),
    lot('dung', 'load'),
    lot('late', 'load'),
    lot('A'),
    lot('C', 'curing'),
  ],
  flows: [
    flow('f1', 1, { to: 'hay', litres: 600 }),
    flow('f2', 1, { to: 'dung', litres: 400 }),
    flow('f3', 2, { from: 'hay', to: 'A', all: true }),
    flow('f4', 2, { from: 'dung', to: 'A', all: true }),
    flow('f5', 20, { to: 'late', litres: 250 }),
    flow('f6', 21, { from: 'late', to: 'A', all: true }),
    flow('f7', 22, { from: 'A', to: 'C', all: true }),
    flow('f8', 23, { from: 'C', litres: 625, party: 'bed 4' }),
  ],
  proofs: [{ lot: 'A', at: day(17), rule: 'x' }],
};

test('what came in after the proof makes the whole as unheated as its share', () => {
  const trace = traceUnheated(siteOf(HEAP), null);
  expect(stateOf(trace, 'C')).toEqual({ lot: 'C', litres: 625, any: [1, 1], raw: [0.2, 0.2] });
  expect(stateOf(trace, 'A')).toEqual({ lot: 'A', litres: 0, any: [0, 0], raw: [0, 0] });
  expect(stateOf(traceUnheated(siteOf(HEAP), Date.parse('2026-05-18T00:00Z')), 'A')).toMatchObject({
    litres: 1000,
    raw: [0, 0],
  });
});

test('forward and backward tell the same: 48 % of the bed is hay, none of it raw', () => {
  const site = siteOf(HEAP);
  const forward = traceFrom(site, ['hay'], null);
  expect(forward.out).toEqual([
    expect.objectContaining({ flow: 'f8', litres: 625, any: [0.48, 0.48], tagged: [300, 300] }),
  ]);
  expect(forward.out[0]!.raw).toEqual([0, 0]);
  expect(traceOf(site, 'f8', null).sources).toEqual([
    { lot: 'A', share: [1, 1] },
    { lot: 'dung', share: [0.32, 0.32] },
    { lot: 'hay', share: [0.48, 0.48] },
    { lot: 'late', share: [0.2, 0.2] },
  ]);
  // Its own last full moment is asked of a lot that is empty.
  const empty = traceOf(site, 'A', null);
  expect(empty.notes).toContainEqual({ code: 'EMPTY', lot: 'A' });
  expect(empty.sources).toContainEqual({ lot: 'A', share: [1, 1] });
});

test('with a moment only what is in the lot then is tagged', () => {
  const site = siteOf(HEAP);
  const trace = traceFrom(site, ['A'], Date.parse(day(18)));
  expect(stateOf(trace, 'C')).toMatchObject({ any: [0.8, 0.8], raw: [0, 0] });
  expect(stateOf(traceFrom(site, ['A'], null), 'C')).toMatchObject({
    any: [1, 1],
    raw: [0.2, 0.2],
  });
});

test('an amount that is not known widens the interval, a level tells the volume again', () => {
  const site = siteOf({
    lots: [lot('a', 'load'), lot('b', 'load'), lot('A')],
    flows: [
      flow('f1', 1, { to: 'a', litres: 100 }),
      flow('f2', 1, { to: 'b', litres: 100 }),
      flow('f3', 2, { from: 'a', to: 'A', litres: null, all: false }),
      flow('f4', 3, { from: 'b', to: 'A', all: true }),
    ],
    levels: [{ lot: 'A', at: day(4), litres: 90 }],
  });
  const trace = traceFrom(site, ['a'], null);
  expect(stateOf(trace, 'A')).toMatchObject({ litres: 90, any: [0, 1] });
  expect(stateOf(trace, 'a')).toMatchObject({ litres: null, any: [1, 1] });
});

test('more than there is, and a level out of nothing, are noted', () => {
  const site = siteOf({
    lots: [lot('A'), lot('B'), lot('C')],
    flows: [
      flow('f1', 1, { to: 'A', litres: 10 }),
      flow('f2', 2, { from: 'A', to: 'B', litres: 15 }),
      flow('f3', 3, { from: 'C', to: 'B', litres: 5 }),
    ],
    levels: [
      { lot: 'C', at: day(5), litres: 0 },
      { lot: 'C', at: day(6), litres: 7 },
    ],
  });
  const { notes, lots } = traceUnheated(site, null);
  expect(notes).toEqual([
    { code: 'OVERDRAWN', flow: 'f2' },
    { code: 'OVERDRAWN', flow: 'f3' },
    { code: 'FROM_NOWHERE', lot: 'C' },
  ]);
  expect(lots.find((l) => l.lot === 'C')).toMatchObject({ litres: 7, any: [0, 1], raw: [0, 1] });
});

test('of one moment: out of an empty lot after what comes into it; circles by id', () => {
  const f = (id: string, from: string | null, to: string | null) =>
    ({ id, at: 0, from, to, litres: 1, all: false, clean: false }) as const;
  const order = (...flows: ReturnType<typeof f>[]): string[] =>
    orderFlows(flows, () => true).map((x) => x.id);
  expect(order(f('1', 'B', 'C'), f('2', 'A', 'B'), f('3', null, 'A'))).toEqual(['3', '2', '1']);
  expect(order(f('1', 'A', 'B'), f('2', 'B', 'A'), f('3', 'B', 'C'))).toEqual(['1', '2', '3']);
  expect(order(f('1', 'B', 'C'), f('2', 'A', 'B'), f('3', 'B', 'A'))).toEqual(['2', '3', '1']);
});

/** A site that is made up step by step, every amount known and none overdrawn. */
const LOTS = ['a', 'b', 'A', 'B', 'C'];
const steps = fc.array(
  fc.record({
    from: fc.constantFrom(null, ...LOTS),
    to: fc.constantFrom(null, ...LOTS),
    share: fc.integer({ min: 1, max: 9 }),
    proof: fc.constantFrom(null, null, null, 'A', 'B'),
  }),
  { minLength: 4, maxLength: 24 },
);
function madeUp(
  plan: readonly { from: string | null; to: string | null; share: number; proof: string | null }[],
) {
  const volume = new Map<string, number>();
  const flows: object[] = [];
  const proofs: object[] = [];
  plan.forEach(({ from, to, share, proof }, i) => {
    const at = new Date(Date.UTC(2026, 0, 1) + i * 3_600_000).toISOString();
    if (proof) proofs.push({ lot: proof, at, rule: 'x' });
    const litres = from === null ? share * 10 : Math.floor(((volume.get(from) ?? 0) * share) / 10);
    if (from === to || litres < 1) return;
    if (from !== null) volume.set(from, (volume.get(from) ?? 0) - litres);
    if (to !== null) volume.set(to, (volume.get(to) ?? 0) + litres);
    flows.push({ id: `f${String(i).padStart(3, '0')}`, at, from, to, litres });
  });
  const lots = LOTS.map((id) => lot(id, id === id.toLowerCase() ? 'load' : 'batch'));
  return { site: siteOf({ lots, flows, proofs }), volume };
}

test('nothing is lost and nothing made: volumes, and shares of all sources that are apart', () => {
  fc.assert(
    fc.property(steps, (plan) => {
      const { site, volume } = madeUp(plan);
      const { lots, notes } = traceUnheated(site, null);
      expect(notes).toEqual([]);
      for (const l of lots) {
        expect(l.litres).toBeCloseTo(volume.get(l.lot) ?? 0, 6);
        expect(l.raw[0]).toBeLessThanOrEqual(l.raw[1] + 1e-12);
        expect(l.raw[1]).toBeLessThanOrEqual(l.any[1] + 1e-12);
      }
    }),
  );
});

/** The slow second way: each litre is a thousand beads, and what flows takes as many of each kind as its share. */
function countBeads(site: FlowSite, tagged: string): Map<string, [number, number]> {
  const lots = new Map<string, [litres: number, marked: number]>();
  const of = (id: string): [number, number] => lots.get(id) ?? [0, 0];
  for (const f of [...site.flows].sort((a, b) => a.at - b.at)) {
    const litres = f.litres ?? 0;
    let marked = 0;
    if (f.from !== null) {
      const [all, own] = of(f.from);
      marked = all > 0 ? (own * litres) / all : 0;
      lots.set(f.from, [all - litres, own - marked]);
    }
    if (f.to !== null) {
      const [all, own] = of(f.to);
      const isTagged = f.to === tagged;
      lots.set(f.to, [all + litres, isTagged ? all + litres : own + marked]);
    }
  }
  return lots;
}

test('marked beads, counted, agree with the share', () => {
  fc.assert(
    fc.property(steps, fc.constantFrom(...LOTS), (plan, tagged) => {
      const { site } = madeUp(plan);
      const beads = countBeads(site, tagged);
      for (const { lot: id, litres, any } of traceFrom(site, [tagged], null).lots) {
        const [all, marked] = beads.get(id) ?? [0, 0];
        if (litres === null || litres < 1) continue;
        expect(any[0]).toBeCloseTo(marked / all, 6);
        expect(any[1]).toBeCloseTo(any[0], 9);
      }
    }),
  );
});

test('all sources at once are what each is when it is tagged alone', () => {
  const asked = ['C', ...LOTS];
  fc.assert(
    fc.property(steps, fc.constantFrom(...asked), fc.array(fc.nat(23)), (plan, of, hidden) => {
      const { site } = madeUp(plan);
      const flows = site.flows.map((f, i) => (hidden.includes(i) ? { ...f, litres: null } : f));
      const partly = { ...site, flows };
      if (stateOf(traceUnheated(partly, null), of)?.any[1] === 0) return;
      const { sources } = traceOf(partly, of, null);
      for (const source of LOTS) {
        const alone = stateOf(traceFrom(partly, [source], null), of)?.any ?? [0, 0];
        const found = sources.find((s) => s.lot === source)?.share ?? [0, 0];
        expect(found[0]).toBeCloseTo(alone[0], 9);
        expect(found[1]).toBeCloseTo(alone[1], 9);
      }
    }),
  );
});

test('hiding an amount never makes the answer surer: the true share stays inside', () => {
  fc.assert(
    fc.property(steps, fc.constantFrom(...LOTS), fc.nat(23), (plan, tagged, hidden) => {
      const { site } = madeUp(plan);
      if (site.flows.length === 0) return;
      const at = hidden % site.flows.length;
      const flows = site.flows.map((f, i) => (i === at ? { ...f, litres: null } : f));
      const true_ = traceFrom(site, [tagged], null);
      const wide = traceFrom({ ...site, flows }, [tagged], null);
      for (const { lot: id, any, litres } of true_.lots) {
        if (litres !== null && litres < 1) continue;
        const other: Interval = stateOf(wide, id)?.any ?? [0, 0];
        expect(other[0]).toBeLessThanOrEqual(any[0] + 1e-9);
        expect(other[1]).toBeGreaterThanOrEqual(any[1] - 1e-9);
      }
    }),
  );
});

test.each<[string, Given, RegExp]>([
  [
    'a flow with no end',
    { lots: [lot('A')], flows: [flow('f', 1, { litres: 1 })] },
    /^flows\[0\]: /,
  ],
  [
    'a flow to itself',
    { lots: [lot('A')], flows: [flow('f', 1, { from: 'A', to: 'A' })] },
    /^flows\[0\]\.to: /,
  ],
  [
    'an unknown lot',
    { lots: [lot('A')], flows: [flow('f', 1, { to: 'B' })] },
    /^flows\[0\]\.to: .*B/,
  ],
  [
    'a negative amount',
    { lots: [lot('A')], flows: [flow('f', 1, { to: 'A', litres: -1 })] },
    /^flows\[0\]\.litres: /,
  ],
  ['an id twice', { lots: [lot('A')], flows: [flow('A', 1, { to: 'A' })] }, /^flows\[0\]\.id: /],
  [
    'two levels at a moment',
    {
      lots: [lot('A')],
      flows: [],
      levels: [
        { lot: 'A', at: day(1), litres: 1 },
        { lot: 'A', at: day(1), litres: 2 },
      ],
    },
    /^levels\[1\]\.litres: /,
  ],
])('%s is refused by its path', (_, given, path) => {
  const call = { unheated: true, from: undefined, of: undefined, at: undefined, json: true };
  const answer = answerTrace(fileOf(given), call);
  expect(answer.status).toBe(2);
  expect(answer.errors[0]).toMatch(path);
});

test('a call asks exactly one question of lots that there are', () => {
  const call = { unheated: false, from: undefined, of: undefined, at: undefined, json: false };
  const ask = (change: Partial<Parameters<typeof answerTrace>[1]>) =>
    answerTrace(fileOf(HEAP), { ...call, ...change });
  expect(ask({}).status).toBe(2);
  expect(ask({ unheated: true, of: 'A' }).errors[0]).toMatch(/one question/);
  expect(ask({ from: 'hay,moon' }).errors[0]).toMatch(/--from: .*moon/);
  expect(ask({ unheated: true, at: 'noon' }).errors[0]).toMatch(/^--at: /);
  expect(ask({ from: 'hay' }).out).toMatch(/f8 at 2026-05-23.*tagged 48 %, never heated none/);
  expect(JSON.parse(ask({ of: 'f8', json: true }).out)).toMatchObject({ lots: [], out: [] });
});

test('shares are said without claiming more than is known', () => {
  const said = (
    [
      [0, 0],
      [0, 1],
      [1, 1],
      [0.12, 0.12],
      [0.03, 0.4],
      [0.001, 0.001],
      [0.998, 0.999],
    ] as const
  ).map(tracedShareText);
  expect(said).toEqual(['none', 'not known', '100 %', '12 %', '3–40 %', 'under 1 %', 'over 99 %']);
});
