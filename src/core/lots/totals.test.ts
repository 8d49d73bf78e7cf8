import fc from 'fast-check';
import { bookOf, C, DUNG, F, H, HAY, lot, SEASON, V, withId } from '../../../tests/support/season';
import { entry, idOf, load, NOW } from '../../../tests/support/store';
import { traceFrom, traceOutsOf } from '../flow/trace';
import type { Flow, FlowSite } from '../flow/site-file';
import type { Entry } from '../log/entry';
import { diseasedFamiliesIn } from '../mix/concerns';
import { LimitSetSchema, LotPageSchema } from '../log/lot-shapes';
import { MS } from '../quantity/instant';
import { assessUse } from '../release/assess-release';
import { findUse } from '../release/uses';
import { totalsOfBatches } from './batch-totals';
import type { UseId } from '../release/uses';
import { latestDecision, outDoubtOf } from '../status/lot-decision';
import { productOf, sharesOfPartners } from './partners';

const priced = SEASON.map((e) =>
  e.id === HAY.id ? ({ ...e, data: { ...e.data, cost: 90 } } as unknown as Entry) : e,
);
const totalsOf = (entries: readonly Entry[], ...batches: string[]) => {
  const { store, book } = bookOf(entries);
  return totalsOfBatches(batches, entries, store, book);
};

describe('what a batch took in and gave', () => {
  test('litres of loads in, product out, hours of people, and its part of what the loads cost', () => {
    const worked = [
      ...priced,
      entry('turn', { full: true, minutes: 45, people: 2 }, 50 * 24, H),
      entry('water', { litres: 120, clean: true }, 50 * 24, H),
    ];
    expect(totalsOf(worked, H)).toEqual([
      {
        batch: H,
        tookInL: 2000,
        unknownIn: 0,
        // 300 L onto a bed and 100 L sold, all of it out of this batch.
        productL: [400, 400],
        unknownOut: 0,
        waterL: 120,
        turningHours: 1.5,
        unknownHours: 0,
        cost: 90,
        // The manure bears no cost.
        unknownCost: 1,
      },
    ]);
  });
  test('a voided turning is no work', () => {
    const turned = entry('turn', { full: true, minutes: 60 }, 50 * 24, H);
    const voided = entry('correction', { target: turned.id, reason: 'twice' }, 1, H);
    expect(totalsOf([...SEASON, turned, voided], H)[0]?.turningHours).toBe(0);
  });
  test('what was thrown out is no product', () => {
    const out = entry('lot-out', { lot: V, how: 'discarded', litres: 50, all: false }, 24);
    expect(totalsOf([...SEASON, out], H)[0]?.productL).toEqual([400, 400]);
  });
});

/** Flows between six lots at random, some of amounts that nobody knows. */
const LOTS = ['a', 'b', 'c', 'd', 'e', 'f'];
const randomSite = fc
  .array(
    fc.record({
      from: fc.constantFrom(null, ...LOTS),
      to: fc.constantFrom(null, ...LOTS),
      litres: fc.option(fc.integer({ min: 1, max: 500 })),
      all: fc.boolean(),
    }),
    { minLength: 4, maxLength: 24 },
  )
  .map((list): FlowSite => ({
    lots: LOTS.map((id) => ({ id, kind: id === 'a' ? 'load' : 'batch' })),
    flows: list.flatMap((f, i): Flow[] =>
      f.from === f.to
        ? []
        : [{ ...f, id: `f${String(i).padStart(2, '0')}`, at: i, all: f.all, clean: false }],
    ),
    levels: [],
    proofs: [],
  }));

test('several lots followed together left the site as each does alone', () => {
  fc.assert(
    fc.property(randomSite, (site) => {
      const together = traceOutsOf(site, LOTS);
      for (const l of LOTS) {
        const alone = traceFrom(site, [l], null).out.map((o) => [o.flow, o.any]);
        const shared = (together.get(l) ?? []).map((o) => [o.flow, o.share]);
        expect(new Map(shared as never)).toEqual(new Map(alone as never));
      }
    }),
    { numRuns: 300 },
  );
});

describe('partners', () => {
  const span = { from: NOW - 90 * MS.day, to: NOW };
  const sharesOf = (entries: readonly Entry[], productL = 1000) => {
    const { store, book } = bookOf(entries);
    return sharesOfPartners(entries, store, span, productL, (f) => book.carriedBy(f).litres);
  };
  test('get the share of product that they brought of all matter: 1,200 L of 2,000 L is 60 %', () => {
    expect(sharesOf(SEASON)).toMatchObject([
      { partner: 'Low meadow', broughtL: 1200, mayTakeL: 600, tookL: 0 },
      { partner: 'Livery', broughtL: 800, mayTakeL: 400, tookL: 0 },
    ]);
  });
  test('are one however their name was typed, and what they took counts', () => {
    const took = entry(
      'lot-out',
      { lot: F, how: 'shared', litres: 40, all: false, party: ' low MEADOW' },
      24,
    );
    expect(sharesOf([...SEASON, took])[0]).toMatchObject({ partner: 'Low meadow', tookL: 40 });
  });
  test('who only took is listed with nothing brought', () => {
    const took = entry(
      'lot-out',
      { lot: F, how: 'shared', litres: 40, all: false, party: 'Orchard' },
      24,
    );
    expect(sharesOf([...SEASON, took]).at(-1)).toMatchObject({ share: 0, mayTakeL: 0, tookL: 40 });
  });
  test('shares of what was brought add up to one', () => {
    const more = load('straw', { in: 'litres', n: 333 }, { supplier: 'Barn' }, 50 * 24);
    const sum = sharesOf([...SEASON, more]).reduce((a, p) => a + p.share, 0);
    expect(sum).toBeCloseTo(1, 12);
  });
  test('product is what went out as such, and what lies there', () => {
    const { state } = bookOf(SEASON);
    expect(productOf(state.outs, span, () => null, [300, null])).toBe(700);
  });
});

const released = (more: object = {}): Entry =>
  entry(
    'lot-decision',
    { lot: F, decision: 'released', uses: ['mulch'], reasons: [], from: null, ...more },
    48,
  );

describe('what speaks against letting a lot out', () => {
  const doubtOf = (entries: readonly Entry[]) => {
    const { state, book } = bookOf(entries);
    return outDoubtOf(state, book, [], F, null);
  };
  test('nobody decided; a hold; a refusal; a release in question; nothing', () => {
    expect(doubtOf(SEASON)).toBe('not-released');
    expect(doubtOf([...SEASON, released({ decision: 'hold', uses: [] })])).toBe('on-hold');
    expect(doubtOf([...SEASON, released({ decision: 'refused', uses: [] })])).toBe('refused');
    // No rule on seeds was met, and nobody gave a reason.
    expect(doubtOf([...SEASON, released()])).toBe('in-question');
    const reasons = [{ item: 'seed-rule', words: 'under trees only' }];
    expect(doubtOf([...SEASON, released({ reasons })])).toBeNull();
  });
  test('released for beds, it does not go out as potting mix without a word', () => {
    const reasons = [{ item: 'seed-rule', words: 'under trees only' }];
    const { state, book } = bookOf([...SEASON, released({ reasons })]);
    const [use] = state.decisions.at(-1)!.data.uses as [UseId];
    expect(outDoubtOf(state, book, [], F, use)).toBeNull();
    expect(outDoubtOf(state, book, [], F, 'potting-mix')).toBe('other-use');
    // Entries from before it was asked name none.
    expect(outDoubtOf(state, book, [], F, null)).toBeNull();
  });
  test('the later decision stands', () => {
    const { state, book } = bookOf([
      ...SEASON,
      released({ reasons: [{ item: 'seed-rule', words: 'under trees' }] }),
      entry('lot-decision', { lot: F, decision: 'hold', uses: [], reasons: [], from: null }, 24),
    ]);
    expect(latestDecision(state, book, [], F)?.entry.data.decision).toBe('hold');
  });
});

const changedUse = (change: object, hoursAgo = 24): Entry =>
  entry(
    'lot-use',
    {
      ...{ use: 'mulch', asks: { limits: 'must' }, leastDays: 0, maturity: { atLeast: 0, of: [] } },
      ...{ germinationPct: 80, flaskClass: 4, limitSets: [], meshMm: null, from: null },
      ...change,
    },
    hoursAgo,
  );

describe('uses and limits of a site', () => {
  test('a change stands in the place of what ships, the last one of several', () => {
    const { state } = bookOf([
      ...SEASON,
      changedUse({ leastDays: 5 }, 30),
      changedUse({ leastDays: 9 }),
    ]);
    expect(findUse('mulch', state.uses)).toMatchObject({ leastDays: 9, asks: { limits: 'must' } });
    expect(findUse('seed-mix', state.uses)).toEqual(findUse('seed-mix'));
  });
  test('own limits are asked for like any others', () => {
    const id = idOf(950) as string;
    const own = withId(
      id,
      entry(
        'limit-set',
        {
          ...{ title: 'Our buyer', document: 'Contract, page 2' },
          limits: [{ analyte: 'Pb', unit: 'mg/kg', basis: 'dry', ask: { kind: 'max', limit: 50 } }],
        },
        30,
      ),
    );
    const sample = withId(idOf(951) as string, entry('lab-sample', { lot: F }, 40));
    const found = (n: number): Entry =>
      entry('lab-report', {
        sample: sample.id,
        results: [
          { analyte: 'Pb', value: { is: 'figure', n, mark: null }, unit: 'mg/kg', basis: 'dry' },
        ],
      });
    const standing = (n: number) => {
      const { state, book } = bookOf([
        ...SEASON,
        own,
        sample,
        found(n),
        changedUse({ limitSets: [id] }),
      ]);
      const mulch = findUse('mulch', state.uses)!;
      return assessUse(mulch, book.factsOf(F), NOW).lines.find((l) => l.item === 'limits')
        ?.standing;
    };
    expect([standing(50), standing(51)]).toEqual(['met', 'not-met']);
  });
  test('a limit needs a number, and none below nothing', () => {
    const limits = (limit: number) => ({
      ...{ title: 'Ours', document: 'Own' },
      limits: [{ analyte: 'Pb', unit: 'mg/kg', basis: null, ask: { kind: 'max', limit } }],
    });
    expect(LimitSetSchema.safeParse(limits(1)).success).toBe(true);
    expect(LimitSetSchema.safeParse(limits(-1)).success).toBe(false);
    expect(LimitSetSchema.safeParse({ ...limits(1), limits: [] }).success).toBe(false);
  });
});

test('diseased plants in a load stay with what was made of it', () => {
  const sick = SEASON.map((e) =>
    e.id === DUNG.id
      ? ({ ...e, data: { ...e.data, diseased: 'brassicas' } } as unknown as Entry)
      : e,
  );
  const familiesIn = (of: ReturnType<typeof bookOf>, lot: string) =>
    diseasedFamiliesIn(of.book.factsOf(lot).concerns);
  expect(familiesIn(bookOf(sick), F)).toEqual(['brassicas']);
  expect(familiesIn(bookOf(SEASON), C)).toEqual([]);
});

test.each([
  ['Fine compost for beds, 3 L for each m²', true],
  ['Sterile and ready', false],
  ['Weed-free compost', false],
  ['Es segura para todo', false],
  ['Met its pathogen rule on May 3', true],
])('the text of a label, “%s”, may stand: %s', (text, may) => {
  expect(LotPageSchema.safeParse({ lot: F, shown: true, text }).success).toBe(may);
});

test('a lot that is only begun holds nothing', () => {
  const { book } = bookOf([...SEASON, lot(idOf(960) as string, 'product', 'P9', 2)]);
  expect(book.isEmpty(idOf(960) as string)).toBe(true);
});
