import { at, evidence, flat, holdRule, round, steady } from '../../../tests/support/evidence';
import { findingText } from '../words/grade';
import { doseText, oneInText, shareText } from '../words/beyond';
import { gradeOf } from './grade';
import { strictness } from './strictness';
import { assessRule, prepare } from './verdict';
import type { Reading } from './types';

const graded = (readings: Reading[], more: Parameters<typeof evidence>[3] = {}) => {
  const p = prepare(evidence(readings, [], {}, more), at(200));
  return gradeOf(p, assessRule(p, holdRule({ hours: 72 })));
};
const five = (hours: number): Reading[] =>
  [60, 61, 62, 63, 64].map((value, i) => ({
    id: `${hours}-${i}`,
    at: at(hours),
    point: `p${i}`,
    probe: 'T',
    value,
    unit: 'C',
    round: `r${hours}`,
  }));
const FIVE = Array.from({ length: 5 }, (_, i) => ({ id: `p${i}`, depthM: 0.5 + i * 0.125 }));
const CHECKED = [{ id: 'T', checks: [{ at: at(-10), referenceC: 0, readC: 0 }] }];

test('five places twice a day by a checked thermometer to the core is strong', () => {
  expect(
    graded([0, 12, 24, 36, 48, 60, 72].flatMap(five), {
      points: FIVE,
      probes: CHECKED,
      coreDepthM: 1,
    }),
  ).toMatchObject({ grade: 'strong' });
});
test('readings with a thermometer that its next check found off are weak, those before its last good check are not', () => {
  const p = prepare(
    evidence(
      [0, 12, 24, 36, 48, 60, 72].flatMap(five),
      [],
      {},
      {
        ...{ points: FIVE, probes: CHECKED, coreDepthM: 1 },
      },
    ),
    at(200),
  );
  const assessment = assessRule(p, holdRule({ hours: 72 }));
  const instrument = (since: number | null, found: number, probe = 'T') =>
    gradeOf(p, assessment, [
      { probe, since: since === null ? null : at(since), at: at(found) },
    ])!.findings.find(({ finding }) => finding.code === 'INSTRUMENT')!;
  expect(instrument(30, 100)).toMatchObject({ grade: 'thin', finding: { inDoubt: 20, total: 35 } });
  expect(findingText(instrument(30, 100).finding).is).toMatch(/^20 of 35 readings/);
  expect(instrument(null, 100).finding).toMatchObject({ inDoubt: 35 });
  expect(instrument(80, 100)).toMatchObject({ grade: 'strong' });
  expect(instrument(null, 100, 'T9')).toMatchObject({ grade: 'strong' });
});
test('one weak part brings it down a step, two bring it all the way', () => {
  const rounds = [0, 12, 24, 36, 48, 60, 72].flatMap(five);
  expect(graded(rounds, { points: FIVE, probes: CHECKED, coreDepthM: 3 })!.grade).toBe('fair'); // a short thermometer in a big heap
  expect(
    graded(
      rounds.map((r) => ({ ...r, probe: undefined })),
      { points: FIVE, coreDepthM: 3 },
    )!.grade,
  ).toBe('thin');
});
test('what nobody read since counts as a gap, as long as nothing is met', () => {
  const gapOf = (readings: Reading[]): number | null | undefined => {
    const gap = graded(readings, { points: FIVE })!.findings.find(
      ({ finding }) => finding.code === 'GAP',
    )!.finding;
    return gap.code === 'GAP' ? gap.hours : undefined;
  };
  // Read for two days, then not for six: looked at after 200 h.
  expect(gapOf([0, 12, 24, 36, 48].flatMap(five))).toBe(152);
  expect(gapOf([0, 12, 24, 36, 48, 60, 72].flatMap(five))).toBe(12);
});
test('nothing read gives no grade; one round is thin', () => {
  expect(graded([])).toBeNull();
  expect(graded(flat(3, 60))!.grade).toBe('thin');
});
test('what would raise it is said where something would', () => {
  const findings = graded([...flat(0, 60), ...flat(36, 60), ...flat(72, 60)])!.findings.map(
    ({ finding }) => findingText(finding),
  );
  expect(findings.map((f) => f.is)).toEqual([
    '3 temperature checks, one every 36 h',
    '3 points read',
    'the depth of the core was not given',
    'longest time between checks 36 h',
    'no reading names its thermometer',
    'nothing entered more than a day late',
  ]);
  expect(findings.at(-1)!.better).toBeNull();
});

test('the table of strictness: coldest is never kinder than the mean, nor a wider guard band than a narrow one', () => {
  const readings = [...steady(0, 30, 10, 58), ...round(40, 53, 60, 61), ...steady(50, 110, 10, 58)];
  const p = prepare(evidence(readings), at(110));
  const cells = strictness(p, holdRule());
  expect(cells).toHaveLength(18);
  expect(cells.filter((c) => c.own)).toHaveLength(1);
  const of = (combine: string, counting: string, guardBandC: number) =>
    cells.find(
      (c) => c.combine === combine && c.counting === counting && c.guardBandC === guardBandC,
    )!.account.verdict;
  expect(of('mean', 'hours', 0).status).toBe('proven');
  expect(of('coldest', 'hours', 0)).toMatchObject({ status: 'running', creditedHours: 60 });
  for (const counting of ['hours', 'days'])
    for (const combine of ['coldest', 'mean', 'median'])
      expect(of(combine, counting, 2).creditedHours).toBeLessThanOrEqual(
        of(combine, counting, 0).creditedHours,
      );
});

test('figures beyond the rules carry no false digits', () => {
  expect([0, 0.004, 0.27, 3.456, 46.2, 2222].map(doseText)).toEqual([
    'none',
    'under 0.01',
    '0.3',
    '3.5',
    '46',
    'over 1000',
  ]);
  expect([0, 0.004, 0.042, 0.334, 0.97, 0.995, 1].map(shareText)).toEqual([
    'none',
    'under 1 %',
    'about 4 %',
    'about 35 %',
    'about 97 %',
    'over 99 %',
    'all of it',
  ]);
  expect([0.9, 0.2, 0.0301, 1e-9].map(oneInText)).toEqual([
    'more than half',
    'about 1 in 5',
    'about 1 in 33',
    'fewer than 1 in a million',
  ]);
});
