import { judgeInitialCn } from './initial-cn';

/** The band of a rule that asks for an initial C:N: 25:1 to 40:1 (United States, 7 CFR 205.203(c)(2), National Organic Program; from memory). */
const ASKED = { low: 25, high: 40 };
const cn = (low: number, value: number, high: number) => ({
  ok: true as const,
  est: { low, value, high },
});

describe('the C:N that a heap was built with, against what a rule asks', () => {
  test.each([
    ['all of its band inside', cn(26, 30, 39), 'met'],
    ['the ends belong to it', cn(25, 30, 40), 'met'],
    ['all of it outside', cn(45, 50, 60), 'not-met'],
    ['all of it under', cn(12, 15, 20), 'not-met'],
    ['inside, and its band reaches out', cn(20, 30, 39), 'unsure'],
    ['outside, and its band reaches in', cn(38, 44, 50), 'unsure'],
  ])('%s', (_, figure, code) => expect(judgeInitialCn(ASKED, figure as never).code).toBe(code));
  test('a heap that nobody logged the building of is not judged', () =>
    expect(judgeInitialCn(ASKED, null)).toEqual({ code: 'unknown', missing: [] }));
  test('what is missing is named', () =>
    expect(
      judgeInitialCn(ASKED, { ok: false, missing: ['Roots of invasive plants'] } as never),
    ).toMatchObject({ code: 'unknown', missing: ['Roots of invasive plants'] }));
});
