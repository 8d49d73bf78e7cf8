import fc from 'fast-check';
import { logOf } from '../../../tests/support/log';
import { TEMPLATES } from '../advice/templates';
import { foldBatch, foldSite, type SiteState } from '../log/fold';
import { applySite, createBatchSnapshot } from './batch-snapshot';
import { airAt, airOf, siteConditionsOf } from './site-conditions';

const H = 3_600_000;
const D = 24 * H;
const NOW = Date.UTC(2026, 9, 25, 12);
const SITE = { name: 'Hopyard Corner', timeZone: 'Europe/London', unit: 'C' } as const;

/** The mean, slowly: every value of the last day before the last one in three days. */
function slowAir(air: readonly { at: number; c: number }[], now: number): number | null {
  const known = air.filter((a) => a.at <= now && a.at > now - 3 * D);
  const last = known.at(-1);
  if (!last) return null;
  const day = known.filter((a) => a.at > last.at - D);
  return day.reduce((sum, a) => sum + a.c, 0) / day.length;
}
const airs = fc.array(
  fc.record({
    at: fc.integer({ min: NOW - 9 * D, max: NOW + D }),
    c: fc.integer({ min: -9, max: 30 }),
  }),
  { maxLength: 40 },
);

test('the air of a day is that which a slow count finds, at any moment', () =>
  fc.assert(
    fc.property(airs, fc.integer({ min: NOW - 10 * D, max: NOW + 2 * D }), (list, now) => {
      const air = [...list].sort((a, b) => a.at - b.at);
      const [fast, slow] = [airOf(air, now), slowAir(air, now)];
      if (slow === null) expect(fast).toBeNull();
      else expect(fast).toBeCloseTo(slow, 9);
    }),
  ));

test('the air of a check is the one read nearest to it within three hours, or not known', () => {
  fc.assert(
    fc.property(airs, fc.integer({ min: NOW - 10 * D, max: NOW + 2 * D }), (list, at) => {
      const air = [...list].sort((a, b) => a.at - b.at);
      const apart = (a: { at: number }): number => Math.abs(a.at - at);
      const near = air.filter((a) => apart(a) <= 3 * H);
      const found = airAt(air, at);
      if (near.length === 0) expect(found).toBeNull();
      else {
        const nearest = Math.min(...near.map(apart));
        expect(near.filter((a) => apart(a) === nearest).map((a) => a.c)).toContain(found);
      }
    }),
  );
  // 78 °F, then 35 °F nineteen minutes before the check: a mean of 56 was never the air.
  const air = [
    { at: NOW - 10 * H, c: 25.6 },
    { at: NOW - H / 3, c: 1.7 },
  ];
  expect([airAt(air, NOW), airAt(air, NOW - 6 * H)]).toEqual([1.7, null]);
});

/** A batch that was read hot for some days, and a site that anything may have happened at. */
const coreC = fc.integer({ min: 6, max: 80 });
const siteOf = (
  air: readonly { at: number; c: number }[],
  more: Partial<SiteState>,
): SiteState => ({
  ...foldSite([]),
  ambient: air.map((a) => ({ at: a.at, value: a.c, unit: 'C' as const })),
  ...more,
});
const someWork = fc.option(
  fc.record({
    limits: fc.record({ actC: fc.integer({ min: 60, max: 75 }) }),
    flowLPerMin: fc.integer({ min: 5, max: 40 }),
    bucketL: fc.integer({ min: 5, max: 20 }),
  }),
);
const usual = TEMPLATES.find((t) => t.kept === 'turned')!;
const someTemplates = fc
  .boolean()
  .map((own) => new Map(own ? [[usual.id, { ...usual, name: 'Our own way' }]] : []));
const someSite = fc.tuple(airs, someWork, someTemplates).map(([air, work, templates]) =>
  siteOf(air, {
    work:
      work &&
      ({ ...work, limits: { ...usual.limits, ...work.limits } } as unknown as SiteState['work']),
    templates,
  }),
);

test('a snapshot that takes in what its site gives it now is the one that would be made anew', () =>
  fc.assert(
    fc.property(
      fc.array(coreC, { minLength: 1, maxLength: 6 }),
      someSite,
      someSite,
      (cores, then, since) => {
        const log = logOf(NOW - 10 * D);
        log.put('built', {}, { at: NOW - 10 * D });
        cores.forEach((c, i) => log.round(NOW - (cores.length - i) * 12 * H, c, c, c));
        const state = foldBatch(log.entries);
        const made = createBatchSnapshot(state, SITE, then, NOW);
        expect(applySite(made, siteConditionsOf(since, SITE), NOW)).toEqual(
          createBatchSnapshot(state, SITE, since, NOW),
        );
      },
    ),
    { numRuns: 60 },
  ));
