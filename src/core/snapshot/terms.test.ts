import { at, DAY0, H } from '../../../tests/support/evidence';
import { logOf } from '../../../tests/support/log';
import { foldBatch, foldSite } from '../log/fold';
import { assessBatch } from './assess-batch';
import { createBatchSnapshot } from './batch-snapshot';
import { statusOfBatch } from '../status/batch-status';
import { saidOf } from '../../telling/status/said';

const SITE = { name: 'Hopyard Corner', timeZone: 'Europe/London', unit: 'C' as const };
const STATIC = 'us-503-pfrp-static';

/** Proven at 74 h with 36 h gaps; stricter terms follow. */
function heap(changeAt: number, more: (log: ReturnType<typeof logOf>) => void = () => undefined) {
  const log = logOf(DAY0 - H, { method: 'static', rules: [STATIC] });
  log.put('built', {}, { at: DAY0 });
  for (let h = 2; h <= 98; h += 24) log.round(at(h), 56, 57, 58);
  log.put(
    'terms',
    {
      policy: { guardBandC: 2 },
      rules: [STATIC, 'uk-pas100-default'],
      ownRules: [],
      siteVersion: 2,
    },
    { at: at(changeAt), recordedAt: at(changeAt) },
  );
  more(log);
  return (now: number) => {
    const [state, site] = [foldBatch(log.entries), foldSite([])];
    const assessment = assessBatch(state, SITE, site, at(now))!;
    const snapshot = createBatchSnapshot(state, SITE, site, at(now), assessment);
    return {
      of: (id: string) => assessment.rules.find((a) => a.rule.id === id)!,
      ids: assessment.rules.map((a) => a.rule.id).sort(),
      said: saidOf(assessment, statusOfBatch(snapshot, at(now)), 2, {
        timeZone: 'UTC',
        unit: 'C',
        now: at(now),
      }),
    };
  };
}

test('a proof reached before the terms changed stands, under its own version, with what the new ones would say beside it', () => {
  const { of, ids, said } = heap(80)(100);
  expect(ids).toEqual(['uk-pas100-default', STATIC]);
  expect(of(STATIC)).toMatchObject({
    terms: { version: 1 },
    assessment: { verdict: { status: 'proven', provenAt: at(74), policy: { guardBandC: 0 } } },
    present: { verdict: { status: 'broken', policy: { guardBandC: 2 } } },
  });
  expect(said.find((s) => s.id === STATIC)!.version).toMatch(
    /^Met under version 1 .*and it stands; under version 2, in force now, it would be ‘nothing counts yet’\.$/,
  );
  expect(of('uk-pas100-default').terms.version).toBe(2);
});

test('what was not proven by then is judged by the terms in force', () => {
  const { of } = heap(60)(100);
  expect(of(STATIC)).toMatchObject({
    terms: { version: 2 },
    assessment: { verdict: { status: 'broken' } },
  });
  expect(of(STATIC).present).toBeUndefined();
});

test('something raw after the change takes the kept proof too', () => {
  const { of } = heap(80, (log) => log.put('addition', { raw: true }, { at: at(90) }))(100);
  expect(of(STATIC)).toMatchObject({
    terms: { version: 2 },
    assessment: { verdict: { provenAt: null } },
  });
});

test('a rule that is asked for no more keeps the proof it had', () => {
  const log = logOf(DAY0 - H, { method: 'static', rules: [STATIC] });
  log.put('built', {}, { at: DAY0 });
  for (let h = 2; h <= 98; h += 24) log.round(at(h), 56, 57, 58);
  log.put(
    'terms',
    { policy: {}, rules: ['uk-pas100-default'], ownRules: [] },
    { at: at(99), recordedAt: at(99) },
  );
  const kept = assessBatch(foldBatch(log.entries), SITE, foldSite([]), at(100))!.rules.find(
    (a) => a.rule.id === STATIC,
  )!;
  expect(kept).toMatchObject({ present: null, assessment: { verdict: { status: 'proven' } } });
});

test('a change cannot be dated back: it holds from when the log took it', () => {
  const log = logOf(DAY0 - H, { method: 'static', rules: [STATIC] });
  log.put(
    'terms',
    { policy: { guardBandC: 2 }, rules: [STATIC], ownRules: [] },
    { at: at(1), recordedAt: at(80) },
  );
  expect(foldBatch(log.entries).terms.map((t) => [t.version, t.since])).toEqual([
    [1, DAY0 - H],
    [2, at(80)],
  ]);
});

test('the site’s own rules and terms have versions', () => {
  const log = logOf(DAY0);
  const rule = (floorC: number) => ({
    rule: {
      id: 'site-x',
      title: 'Ours',
      requirement: { kind: 'hold' as const, floorC, hours: 24, consecutive: true, turnings: 0 },
    },
  });
  log.put('rule', rule(55), { at: at(1) });
  log.put('rule', rule(60), { at: at(2) });
  log.put('site-terms', { policy: {}, rules: ['site-x'] }, { at: at(3) });
  const site = foldSite(log.entries);
  expect(
    site.rules
      .get('site-x')!
      .map((v) => [v.version, 'floorC' in v.rule.requirement && v.rule.requirement.floorC]),
  ).toEqual([
    [1, 55],
    [2, 60],
  ]);
  expect(site.terms).toMatchObject([{ version: 1, rules: ['site-x'] }]);
});
