import type { TestKind, ValuesOf } from '../log/test-shapes';
import { MS, type Instant } from '../quantity/instant';

/** Outcomes of tests of maturity, worked out from raw values (contract, section 5). */

type TestOutcome = 'pass' | 'fail' | 'invalid' | 'open';

/** A test as it was written down. */
export type MaturityTest<K extends TestKind = TestKind> = {
  readonly startedAt: Instant;
  /** Null: it goes on. */ readonly endedAt: Instant | null;
  readonly values: ValuesOf<K>;
};

/** What a use asks of each test. */
export type TestLimits = {
  /** Rise of the core over the air after the turning, K (CCME 2005, from memory). */
  readonly reheatK: number;
  /** Least volume that stays hot on this site, m³. */ readonly leastM3: number;
  /** From which class of self-heating the flask passes (German Rottegrad, TMECC 05.08-D, from memory). */
  readonly flaskClass: FlaskClass;
  /** Germination index, % (Zucconi and others, 1981, from memory). */ readonly germinationPct: number;
  /** Seedlings of weeds in a litre. */ readonly sproutPerL: number;
  /** By unit: CCME 2005, PAS 100, EU 2019/1009 CMC 3, all from memory. */
  readonly respiration: Readonly<Record<ValuesOf<'respiration'>['unit'], number>>;
};
export const USUAL_TEST_LIMITS: TestLimits = {
  reheatK: 8,
  leastM3: 1,
  flaskClass: 4,
  germinationPct: 80,
  sproutPerL: 0,
  respiration: { 'mg CO2-C/g OM/d': 4, 'mg CO2/g OM/d': 16, 'mmol O2/kg OM/h': 25 },
};

/** What held a test back from saying anything, or is still to come. */
export type TestGap =
  | { readonly code: 'NOT_TURNED' }
  | { readonly code: 'NOT_MOIST' }
  | { readonly code: 'TOO_SMALL'; readonly volumeM3: number | null }
  | { readonly code: 'DAY_UNREAD'; readonly day: 1 | 2 | 3 }
  | { readonly code: 'UNREAD_AFTER_72_H' }
  | { readonly code: 'TOO_SHORT'; readonly days: number }
  | { readonly code: 'ROOM'; readonly roomC: number | null }
  | { readonly code: 'CONTROL_WEAK' }
  | { readonly code: 'TOO_FEW_SEEDS' }
  | { readonly code: 'TOO_FEW_POTS' }
  | { readonly code: 'CONTROL_DAMAGED' }
  | { readonly code: 'TOO_LITTLE' }
  | { readonly code: 'NOT_KEPT' }
  | { readonly code: 'OLD' }
  | { readonly code: 'NO_VALUE' };

export type AssessedTest = {
  readonly outcome: TestOutcome;
  /** The figure that it comes to: K of rise, %, seedlings in a litre, as measured; null: none. */
  readonly figure: number | null;
  /** What is missing or did not hold. */ readonly gaps: readonly TestGap[];
};

const TOLERANCE = 1e-9;
/** Whether a figure is within a limit, to a billionth of the limit. */
export const isAtMost = (figure: number, limit: number): boolean =>
  figure <= limit + Math.abs(limit) * TOLERANCE;
const isAtLeast = (figure: number, limit: number): boolean =>
  figure >= limit - Math.abs(limit) * TOLERANCE;

const TURN_BEFORE_MS = 2 * MS.hour;
const MOIST_WITHIN_MS = MS.day;
const AIR_WITHIN_MS = 3 * MS.hour;
const READ_FROM_MS = 3 * MS.day;
const REHEAT_MS = 5 * MS.day;

type Reheat = MaturityTest<'reheat'>;

/** How much warmer a core was than the air at the nearest time, of two as near the colder; null: no air was read. */
function overAir(
  core: { readonly at: Instant; readonly c: number },
  air: Reheat['values']['air'],
): number | null {
  const gap = (a: { readonly at: Instant }): number => Math.abs(a.at - core.at);
  const nearest = [...air].sort((a, b) => gap(a) - gap(b) || a.c - b.c)[0];
  return nearest ? core.c - nearest.c : null;
}

function isMoist({ startedAt, values }: Reheat): boolean {
  const isNear = ({ at }: { readonly at: Instant }): boolean =>
    Math.abs(at - startedAt) <= MOIST_WITHIN_MS;
  return (
    values.squeezes.some((s) => isNear(s) && s.squeeze === 'drops') ||
    values.moistures.some((m) => isNear(m) && isAtLeast(m.pct, 40) && isAtMost(m.pct, 65))
  );
}

/** Whether a core was read on a day of the test with an air reading beside it. */
function isRead({ startedAt, values }: Reheat, day: 1 | 2 | 3): boolean {
  const [after, to] = [startedAt + (day - 1) * MS.day, startedAt + day * MS.day];
  return values.core.some(
    (r) =>
      r.at > after && r.at <= to && values.air.some((a) => Math.abs(a.at - r.at) <= AIR_WITHIN_MS),
  );
}

/** Gaps of a reheat test, each with until when it can still be filled. */
function reheatGaps(test: Reheat, limits: TestLimits): (TestGap & { readonly until: Instant })[] {
  const { startedAt, values } = test;
  const { turnedAt, volumeM3 } = values;
  const gaps: (TestGap & { readonly until: Instant })[] = [];
  const end = startedAt + REHEAT_MS;
  const isTurned =
    turnedAt !== null && turnedAt <= startedAt && startedAt - turnedAt <= TURN_BEFORE_MS;
  if (!isTurned) gaps.push({ code: 'NOT_TURNED', until: startedAt });
  if (!isMoist(test)) gaps.push({ code: 'NOT_MOIST', until: startedAt + MOIST_WITHIN_MS });
  if (volumeM3 === null || !isAtLeast(volumeM3, limits.leastM3))
    gaps.push({ code: 'TOO_SMALL', volumeM3, until: volumeM3 === null ? end : startedAt });
  for (const day of [1, 2, 3] as const)
    if (!isRead(test, day)) gaps.push({ code: 'DAY_UNREAD', day, until: startedAt + day * MS.day });
  if (!values.core.some((r) => r.at > startedAt + READ_FROM_MS && r.at <= end))
    gaps.push({ code: 'UNREAD_AFTER_72_H', until: end });
  return gaps;
}

function assessReheat(test: Reheat, limits: TestLimits, now: Instant): AssessedTest {
  const { startedAt, values } = test;
  const end = startedAt + REHEAT_MS;
  const rises = values.core
    .filter((r) => r.at > startedAt && r.at <= end)
    .flatMap((r) => overAir(r, values.air) ?? []);
  const figure = rises.length > 0 ? Math.max(...rises) : null;
  const open = reheatGaps(test, limits);
  const gaps: TestGap[] = open.map(({ until: _, ...gap }) => gap);
  if (figure !== null && !isAtMost(figure, limits.reheatK))
    return { outcome: 'fail', figure, gaps };
  // A test that was ended early can get nothing more.
  const seen = test.endedAt === null ? now : Math.max(now, end);
  if (open.some((gap) => gap.until < seen)) return { outcome: 'invalid', figure, gaps };
  return { outcome: seen < end ? 'open' : 'pass', figure, gaps };
}

/** When a test began, and ended. */
type TestSpan = Pick<MaturityTest, 'startedAt' | 'endedAt'>;
/** Days of 24 hours that a test lasted, so far or in all. */
const daysOf = ({ startedAt, endedAt }: TestSpan, now: Instant): number =>
  ((endedAt ?? now) - startedAt) / MS.day;

/** The outcome of a test whose conditions are known: one that goes on is open until its days are over. */
function conclude(
  test: TestSpan,
  gaps: readonly TestGap[],
  figure: number | null,
  isPassed: boolean | null,
): AssessedTest {
  if (test.endedAt === null) return { outcome: 'open', figure, gaps };
  if (gaps.length > 0) return { outcome: 'invalid', figure, gaps };
  if (isPassed === null) return { outcome: 'invalid', figure, gaps: [{ code: 'NO_VALUE' }] };
  return { outcome: isPassed ? 'pass' : 'fail', figure, gaps };
}
const tooShort = (test: TestSpan, leastDays: number, now: Instant): TestGap[] => {
  const days = daysOf(test, now);
  return isAtLeast(days, leastDays) ? [] : [{ code: 'TOO_SHORT', days }];
};

/** Classes of self-heating, 5 the most mature: by the rise in the flask, K (Rottegrad, from memory). */
export type FlaskClass = 1 | 2 | 3 | 4 | 5;
/** The class that a rise in the flask falls into. */
export function flaskClassOf(riseK: number): FlaskClass {
  if (isAtMost(riseK, 10)) return 5;
  if (isAtMost(riseK, 20)) return 4;
  if (isAtMost(riseK, 30)) return 3;
  return isAtMost(riseK, 40) ? 2 : 1;
}

function assessFlask(test: MaturityTest<'flask'>, limits: TestLimits, now: Instant): AssessedTest {
  const { highestC, roomC, adjusted } = test.values;
  const figure = highestC === null || roomC === null ? null : highestC - roomC;
  const isPassed = figure === null ? null : flaskClassOf(figure) >= limits.flaskClass;
  const isRoomRight = roomC !== null && isAtLeast(roomC, 17) && isAtMost(roomC, 25);
  const gaps: TestGap[] = [
    ...(adjusted === true ? [] : [{ code: 'NOT_MOIST' } as const]),
    ...(isRoomRight ? [] : [{ code: 'ROOM', roomC } as const]),
    ...tooShort(test, 2, now),
  ];
  if (isPassed === false) return { outcome: 'fail', figure, gaps };
  return conclude(test, gaps, figure, isPassed);
}

/** Germination index, %: share that germinated times length of roots, against the control (Zucconi and others, 1981). */
export function germinationIndexOf(
  extract: NonNullable<ValuesOf<'germination'>['extract']>,
  control: NonNullable<ValuesOf<'germination'>['control']>,
): number | null {
  const of = (s: typeof extract): number => (s.germinated / s.seeds) * s.rootMm;
  const [a, b] = [of(extract), of(control)];
  return extract.seeds > 0 && control.seeds > 0 && b > 0 ? (100 * a) / b : null;
}

function assessGermination(test: MaturityTest<'germination'>, limits: TestLimits): AssessedTest {
  const { extract, control } = test.values;
  if (!extract || !control) return conclude(test, [{ code: 'NO_VALUE' }], null, null);
  const figure = germinationIndexOf(extract, control);
  const gaps: TestGap[] = [
    ...(control.seeds > 0 && isAtLeast(control.germinated / control.seeds, 0.9)
      ? []
      : [{ code: 'CONTROL_WEAK' } as const]),
    ...(Math.min(extract.seeds, control.seeds) >= 20 ? [] : [{ code: 'TOO_FEW_SEEDS' } as const]),
  ];
  return conclude(
    test,
    gaps,
    figure,
    figure === null ? null : isAtLeast(figure, limits.germinationPct),
  );
}

function assessSeedlings(test: MaturityTest<'seedlings'>, now: Instant): AssessedTest {
  const { compost, control } = test.values;
  const short = tooShort(test, 14, now);
  if (!compost || !control) return conclude(test, [{ code: 'NO_VALUE' }, ...short], null, null);
  const isUndamaged = control.clear === 0 && control.slight <= 1;
  const controlsCameUp = control.sown > 0 && isAtLeast(control.up / control.sown, 0.9);
  const clear = compost.clear + (controlsCameUp ? Math.max(0, compost.sown - compost.up) : 0);
  const isHarmed = clear > 0 || compost.slight * 3 > compost.sown;
  const figure = compost.sown > 0 ? (100 * (clear + compost.slight)) / compost.sown : null;
  const gaps: TestGap[] = [
    ...(compost.pots >= 3 && control.pots >= 3 ? [] : [{ code: 'TOO_FEW_POTS' } as const]),
    ...(isUndamaged ? [] : [{ code: 'CONTROL_DAMAGED' } as const]),
    ...short,
  ];
  if (isHarmed && isUndamaged) return { outcome: 'fail', figure, gaps };
  return conclude(test, gaps, figure, compost.sown > 0 ? !isHarmed : null);
}

function assessSprout(
  test: MaturityTest<'sprout'>,
  limits: TestLimits,
  now: Instant,
): AssessedTest {
  const { litres, seedlings, kept } = test.values;
  const figure = litres === null || seedlings === null ? null : seedlings / litres;
  const gaps: TestGap[] = [
    ...(litres !== null && isAtLeast(litres, 2) ? [] : [{ code: 'TOO_LITTLE' } as const]),
    ...(kept === true ? [] : [{ code: 'NOT_KEPT' } as const]),
    ...tooShort(test, 21, now),
  ];
  const isPassed = figure === null ? null : isAtMost(figure, limits.sproutPerL);
  if (isPassed === false) return { outcome: 'fail', figure, gaps };
  return conclude(test, gaps, figure, isPassed);
}

const smellsFinished = (smell: ValuesOf<'bag'>['smell']): boolean | null =>
  smell === null ? null : smell === 'earthy' || smell === 'none';
/** Both hold; null: one is not known. */
const both = (a: boolean | null, b: boolean | null): boolean | null =>
  a === false || b === false ? false : a === null || b === null ? null : true;

function assessBag(test: MaturityTest<'bag'>, now: Instant): AssessedTest {
  const { moist, smell, puffed } = test.values;
  const gaps: TestGap[] = [
    ...(moist === true ? [] : [{ code: 'NOT_MOIST' } as const]),
    ...tooShort(test, 3, now),
  ];
  const isFlat = puffed === null ? null : !puffed;
  return conclude(test, gaps, null, both(smellsFinished(smell), isFlat));
}

const LOOKS_HOLD_MS = 14 * MS.day;
function assessLooks({ startedAt, values }: MaturityTest<'looks'>, now: Instant): AssessedTest {
  const isGone = values.recognisable === null ? null : values.recognisable !== 'soft';
  const gaps: TestGap[] = now - startedAt <= LOOKS_HOLD_MS ? [] : [{ code: 'OLD' }];
  return conclude(
    { startedAt, endedAt: startedAt },
    gaps,
    null,
    both(isGone, smellsFinished(values.smell)),
  );
}

function assessRespiration(test: MaturityTest<'respiration'>, limits: TestLimits): AssessedTest {
  const { value, unit } = test.values;
  const isPassed = value === null ? null : isAtMost(value, limits.respiration[unit]);
  return conclude({ ...test, endedAt: test.startedAt }, [], value, isPassed);
}

/**
 * What a test says at a moment.
 * A reheat test stays open to the end of its fifth day; the others until they are ended. What is not known does not hold.
 */
export function assessTest(test: MaturityTest, limits: TestLimits, now: Instant): AssessedTest {
  const { values, ...span } = test;
  switch (values.kind) {
    case 'reheat':
      return assessReheat({ ...span, values }, limits, now);
    case 'flask':
      return assessFlask({ ...span, values }, limits, now);
    case 'germination':
      return assessGermination({ ...span, values }, limits);
    case 'seedlings':
      return assessSeedlings({ ...span, values }, now);
    case 'sprout':
      return assessSprout({ ...span, values }, limits, now);
    case 'bag':
      return assessBag({ ...span, values }, now);
    case 'looks':
      return assessLooks({ ...span, values }, now);
    case 'respiration':
      return assessRespiration({ ...span, values }, limits);
  }
}
