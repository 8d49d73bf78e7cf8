import { noteText, type Note, type NoteFact } from '../words/note';
import type { VerdictFacts } from './verdict-facts';
import { plainText, progressText, verdictSentence } from './verdict-words';
import { problemLine } from '../words/problem';
import { policyText } from '../words/policy';

const NOW = Date.UTC(2026, 4, 18, 7, 40);
const locale = { timeZone: 'UTC', unit: 'C', now: NOW } as const;
const facts: VerdictFacts = {
  status: 'running',
  creditedHours: 282.5,
  requiredHours: 360,
  turningsCounted: 3,
  turningsRequired: 5,
  provenAt: null,
  earliestProofAt: Date.UTC(2026, 4, 21, 13),
  notes: [],
  latestHotAt: null,
  floorC: 55,
  combine: 'coldest',
  consecutive: true,
  form: { kind: 'hold' },
  reachedMeanC: null,
};
const say = (v: Partial<VerdictFacts>, unit: 'C' | 'F' = 'C') =>
  plainText(verdictSentence({ ...facts, ...v } as VerdictFacts, { ...locale, unit }));
const note = (fact: NoteFact, at: number): Note => ({
  code: fact.code,
  fact,
  at,
  text: noteText(fact, at, locale),
});

describe('the verdict as a grower would say it', () => {
  test('running: what is missing is rounded up, and could be is said', () => {
    expect(say({})).toBe(
      'Still needed: 3 d 6 h more at 55 °C at its coldest point, and 2 more turnings. Could be met on Thu May 21 at the earliest.',
    );
    expect(say({ turningsCounted: 4 }, 'F')).toBe(
      'Still needed: 3 d 6 h more at 131 °F at its coldest point, and 1 more turning. Could be met on Thu May 21 at the earliest.',
    );
    expect(say({ turningsCounted: 5, combine: 'median' })).toBe(
      'Still needed: 3 d 6 h more at 55 °C as the median of its points. Could be met on Thu May 21 at the earliest.',
    );
    expect(say({ creditedHours: 400 })).toBe(
      'Still needed: 2 more turnings. The time is reached. Now it needs the turning and a hot check after it.',
    );
  });
  test('proven names when, how long and how often turned', () => {
    expect(
      say({
        status: 'proven',
        provenAt: Date.UTC(2026, 4, 16, 9),
        creditedHours: 360,
        turningsCounted: 6,
      }),
    ).toBe('Met Sat May 16 9:00\u00a0AM: 15 d 0 h at 55 °C, 6 turnings.');
  });
  test('waiting says what it takes', () =>
    expect(say({ status: 'waiting' })).toBe(
      'No temperatures since its clock started. It needs 15 days at 55 °C at its coldest point and 5 turnings.',
    ));
  test('paused says until when', () => {
    const pause = note(
      { code: 'RECOVERING', valueC: 49, floorC: 55, until: Date.UTC(2026, 4, 19, 4) },
      NOW,
    );
    expect(say({ status: 'recovering', creditedHours: 120, notes: [pause] })).toBe(
      'Paused at 5 d 0 h. The check of Mon May 18 7:40\u00a0AM came to 49 °C after a turning: paused, not lost. It has until Tue May 19 4:00\u00a0AM to reach 55 °C.',
    );
  });
  test('broken says why before what is needed', () => {
    const why = note(
      { code: 'COLD', valueC: 48, floorC: 55, lostMs: 156 * 3_600_000 },
      Date.UTC(2026, 4, 17, 17),
    );
    expect(say({ status: 'broken', creditedHours: 0, turningsCounted: 0, notes: [why] })).toBe(
      'Starts over: The check of Sun May 17 5:00\u00a0PM came to 48 °C, below 55 °C, with no turning to explain it. 6 d 12 h of it no longer count toward days in a row. Still needed: 15 d 0 h more at 55 °C at its coldest point, and 5 more turnings.',
    );
    expect(say({ status: 'broken', creditedHours: 0 })).toMatch(
      /^Its coldest point was not read at 55 °C or more so far\. Still needed: /,
    );
    expect(say({ status: 'broken', consecutive: false, notes: [why] })).toMatch(/^Needs heat: /);
  });
  test('quantities and dates are the strong pieces', () => {
    expect(
      verdictSentence(facts, locale)
        .filter((p) => p.strong)
        .map((p) => p.text),
    ).toEqual(['3 d 6 h', '2 more turnings', 'Thu May 21']);
  });
  test('progress never rounds up', () =>
    expect(progressText({ creditedHours: 282.99, requiredHours: 360 })).toBe('11 d 18 h of 15 d'));
});

describe('texts of notes', () => {
  const at = Date.UTC(2026, 4, 17, 17);
  const all: NoteFact[] = [
    { code: 'RESTART', what: 'add', clock: 'germs' },
    { code: 'RESTART', what: 'water', clock: 'seeds' },
    { code: 'PROOF_LOST', provenAt: at },
    { code: 'STRADDLES_RESTART' },
    { code: 'LONG_ROUND' },
    { code: 'THIN_ROUND', points: 1, minPoints: 3 },
    { code: 'OVER_CEILING', peakC: 77, ceilingC: 76.67, lostMs: 0 },
    { code: 'SLOW_RECOVERY', lostMs: 1e8 },
    { code: 'GAP', gapMs: 37 * 3.6e6, maxGapHours: 36, lostMs: 0 },
    { code: 'STALE', since: at, lostMs: 0 },
    { code: 'TURN_PARTIAL' },
    { code: 'TURN_WITHOUT_HEAT' },
    { code: 'TURN_OUTSIDE_RUN', mayStill: false },
    { code: 'UNCHECKED_PROBE', probe: 'T1', count: 1, days: 180 },
    { code: 'CALIBRATION_POOR', probe: 'T1' },
    { code: 'LATE_ENTRY', count: 2, hours: 30 },
    { code: 'EXCLUDED_READING', flag: 'rejected', valueC: 20, point: 'P1' },
    { code: 'EXCLUDED_MATTERS', valueC: 20, point: 'P1' },
    { code: 'METHOD_MISMATCH', method: 'static' },
    { code: 'MOISTURE_UNKNOWN' },
  ];
  test.each(all)('$code is a plain sentence', (fact) => {
    const text = noteText(fact, at, locale);
    expect(text).toMatch(/^[A-Z0-9].*[.]$/);
    expect(text).not.toMatch(/undefined|NaN|\bsterile\b|\bsafe\b|alert|critical|failed/i);
  });
  test('a gap is told in the unit of its limit', () =>
    expect(
      noteText({ code: 'GAP', gapMs: 37 * 3.6e6, maxGapHours: 36, lostMs: 0 }, at, locale),
    ).toBe('No temperatures for 37 h before Sun May 17 5:00\u00a0PM; at most 36 h can count.'));
  test('a problem is one line, whatever the input held', () =>
    expect(problemLine({ path: 'a', message: 'x\ny\u2028z' })).toBe('a: x y z'));
  test('the policy in words', () => {
    const policy = {
      combine: 'coldest',
      minPoints: 3,
      maxGapHours: 36,
      turnGraceHours: 36,
      guardBandC: 1,
      counting: 'days',
      maxBlankDays: 1,
      zones: ['core'],
    } as const;
    expect(policyText({ ...policy, maxGapHours: 60 }, 'C')).toMatch(/more than 48 h is long/);
    expect(policyText(policy, 'F')).toBe(
      'Judged on the coldest point, less 1.8 °F for the thermometer, at least 3 points per check, gaps up to 36 h, 36 h to reheat after a full turn, counted in calendar days, at most 1 in a row without readings; points: core.',
    );
  });
});
