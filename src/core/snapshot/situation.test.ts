import { logOf } from '../../../tests/support/log';
import { courseFor, diagnosesOf, hotOf, isGone, waterOf } from '../advice/situation';
import { TEMPLATES } from '../advice/templates';
import { foldBatch, foldSite } from '../log/fold';
import type { Entry } from '../log/entry';
import { createBatchSnapshot } from './batch-snapshot';

/** What advice looks at, read off a log. */
const H = 3_600_000;
const NOW = Date.UTC(2026, 4, 18, 12);
const ago = (h: number): number => NOW - h * H;
const SITE = { name: 'Test', timeZone: 'UTC', unit: 'C' as const };
const siteEntry = (kind: string, data: object, at = ago(300)): Entry =>
  ({
    id: `${kind}${at}`,
    batch: null,
    at,
    by: 'Mo',
    kind,
    data,
    seq: 1,
    recordedAt: at,
    hash: '',
  }) as unknown as Entry;
const air = (c: number): Entry[] =>
  [60, 36, 12].map((h) => siteEntry('ambient', { value: c, unit: 'C' }, ago(h)));
function heap(fill: (log: ReturnType<typeof logOf>) => void, opened: object = {}) {
  const log = logOf(ago(202), { volumeM3: 4, inputs: ['manure'], ...opened });
  log.put('built', {}, { at: ago(200) });
  fill(log);
  return (site: Entry[] = []) => {
    const d = createBatchSnapshot(foldBatch(log.entries), SITE, foldSite(site), NOW);
    return { d, s: { ...d.situation, now: NOW } };
  };
}

test('the latest squeeze counts, also one that a file calls moisture; what was struck does not', () => {
  const { s } = heap((log) => {
    log.put('observation', { squeeze: 'drops' }, { at: ago(50) });
    const wrong = log.put('observation', { squeeze: 'runs' }, { at: ago(4) });
    log.put('moisture', { state: 'dry' }, { at: ago(10) });
    log.put('correction', { target: wrong, reason: 'the other heap' }, { at: ago(3) });
  })();
  expect(s.squeeze).toEqual({ squeeze: 'crumbles', at: ago(10) });
  expect(waterOf(s).code).toBe('WATER');
});
test('water since the squeeze is taken into account', () => {
  const { s } = heap((log) => {
    log.put('observation', { squeeze: 'holds' }, { at: ago(20) });
    log.put('water', { clean: true, litres: 260 }, { at: ago(10) });
  })();
  expect(waterOf(s).code).toBe('MOIST_ENOUGH');
});
test('its method is the one it was given, else the site’s version of the usual one, else the usual one', () => {
  const fast = TEMPLATES.find((t) => t.id === 'fast')!;
  const usual = TEMPLATES.find((t) => t.id === 'by-heat')!;
  expect(heap(() => undefined)().s.template.id).toBe('by-heat');
  expect(
    heap(() => undefined)([siteEntry('template', { template: { ...usual, everyDays: 5 } })]).s
      .template.everyDays,
  ).toBe(5);
  expect(
    heap((log) => {
      log.put('method', { template: fast }, { at: ago(5) });
    })([siteEntry('template', { template: { ...fast, everyDays: 9 } })]).s.template.everyDays,
  ).toBe(2);
  expect(heap(() => undefined, { template: fast })().s.template.id).toBe('fast');
});
test('the site’s own limits go before those of the method', () => {
  const hot = heap((log) => {
    log.round(ago(3), 60, 60, 66);
  });
  expect(hotOf(hot().s)?.level).toBe('warn');
  const work = {
    work: {
      from: '08:00',
      to: '16:00',
      days: [1],
      crew: [],
      machine: null,
      flowLPerMin: 12,
      bucketL: 14,
      limits: { warnC: 55, actC: 60, dangerC: 75 },
      chores: [],
    },
  };
  const { d, s } = hot([siteEntry('work', work)]);
  expect(hotOf(s)?.level).toBe('act');
  expect(d.state).toBe('hot');
  expect([s.flowLPerMin, s.bucketL]).toEqual([12, 14]);
});
test('a word of fire at the thermometer makes it a danger for a day', () => {
  const { s } = heap((log) => {
    log.put(
      'round',
      {
        source: 'hand',
        readings: ['P1', 'P2', 'P3'].map((point, i) => ({
          id: `f${i}`,
          at: new Date(ago(2)).toISOString(),
          point,
          value: 66,
          unit: 'C' as const,
          round: 'f',
          ...(i === 0 ? { doubts: [{ code: 'OVER_90', answer: 'emergency' }] } : {}),
        })),
      },
      { at: ago(2) },
    );
  })();
  expect(s.burnt).toBe(ago(2));
  expect(hotOf(s)).toMatchObject({ level: 'danger', burnt: true });
});
test('cold by mild air is a heap that does not heat; by frost it may sleep', () => {
  const cold = heap((log) => {
    for (const h of [150, 100, 50, 5]) log.round(ago(h), 2, 2, 3);
  });
  expect(cold(air(10)).s.stage.code).toBe('heating');
  expect(diagnosesOf(cold(air(10)).s)[0]).toMatchObject({ symptom: 'NOT_HEATING' });
  expect(cold(air(-6)).s.stage).toMatchObject({ code: 'dormant', since: ago(150) });
  expect(diagnosesOf(cold(air(-6)).s).map((x) => x.symptom)).not.toContain('DRY');
});
test('size, stage and end follow their entries', () => {
  const { d, s } = heap((log) => {
    log.put('size', { measures: { lengthM: 3, widthM: 2, heightM: 1 } }, { at: ago(100) });
    log.put('observation', { sunkCm: 20 }, { at: ago(50) });
    log.put('hold', { on: true, reason: 'no hands' }, { at: ago(20) });
    log.put('hold', { on: false }, { at: ago(15) });
    log.put('ended', { reason: 'gave-up' }, { at: ago(2) });
  })();
  // Half an ellipsoid of 3 × 2 × 1 m, a fifth lower.
  expect(d.volumeM3).toBeCloseTo((2 / 3) * Math.PI * 1.5 * 0.8, 6);
  expect(s.builtM3).toBe(4);
  expect([isGone(s), d.state, s.stage.reason]).toEqual([true, 'released', 'gave-up']);
});
test('something raw puts a curing heap back to work', () => {
  const cures = (raw: boolean) =>
    heap((log) => {
      log.round(ago(6), 30, 30, 31);
      log.put('cure', {}, { at: ago(40) });
      if (raw) log.put('addition', { raw: true, what: 'litter' }, { at: ago(20) });
    })().s.stage.code;
  expect([cures(false), cures(true)]).toEqual(['curing', 'heating']);
});
test('a round is judged by the method at its age; before the first there is nothing to judge', () => {
  const read = heap((log) => {
    log.round(ago(4), 60, 60, 62);
  });
  expect(courseFor(read().s)?.code).toBe('ON_COURSE');
  expect(courseFor(heap(() => undefined)().s)).toBeNull();
});

test('a part that went to cure leaves the rest what it was, less its volume', () => {
  const part = heap((log) => {
    for (let h = 60; h > 0; h -= 12) log.round(ago(h), 60, 61, 62);
    log.put('cure', { to: 'lot' as never, all: false, litres: 300 }, { at: ago(2) });
  })();
  expect(part.s.stage.code).toBe('hot');
  expect(part.d.volumeM3).toBeCloseTo(3.7);
  const whole = heap((log) => log.put('cure', {}, { at: ago(2) }))();
  expect(whole.s.stage.code).toBe('curing');
});
