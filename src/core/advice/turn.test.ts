import fc from 'fast-check';
import {
  ago,
  DAY,
  heat,
  HOUR,
  NOW,
  situation,
  template,
  type Change,
} from '../../../tests/support/situation';
import { TEMPLATES } from './templates';
import { turnAdvice, type TurnAdvice } from './turn';
import { reasonText } from '../../telling/status/turn';

const advise = (c: Change): TurnAdvice => turnAdvice(situation(c));
const falling = (perDay: number, now = 60): ReturnType<typeof heat>[] =>
  [77, 65, 53, 41, 29, 17, 5].map((h) =>
    heat(h, now + (perDay * (h - 5)) / 24, now + 5 + (perDay * (h - 5)) / 24),
  );
const flat = (c: number): ReturnType<typeof heat>[] => falling(0, c);

/** Situations and what the schools of the trade do in them (trade facts, sections 1 and 2: common practice). */
const TABLE: [
  what: string,
  change: Change,
  expected: { act: TurnAdvice['act']; by?: TurnAdvice['by']; due?: number; code?: string },
][] = [
  // First turn on day 4, then every 2 days.
  [
    'fast method, day 3: first turning on day 4',
    { template: template('fast'), builtAt: ago(72), rounds: flat(60) },
    { act: 'turn', by: 'calendar', due: ago(72) + 4 * DAY, code: 'CALENDAR' },
  ],
  [
    'fast method, day 4, not turned: now',
    { template: template('fast'), builtAt: ago(97), rounds: flat(60) },
    { act: 'turn', by: 'calendar', due: NOW },
  ],
  [
    'fast method, turned two days ago: now',
    { template: template('fast'), builtAt: ago(146), turns: [ago(49)], rounds: flat(60) },
    { act: 'turn', by: 'calendar', due: NOW },
  ],
  [
    'fast method, turned a day and a bit ago: in the rest of the two days',
    { template: template('fast'), builtAt: ago(146), turns: [ago(30)], rounds: [heat(5, 58)] },
    { act: 'turn', by: 'calendar', due: ago(30) + 2 * DAY },
  ],
  [
    'opened ten hours ago: nobody turns again within a day',
    { template: template('fast'), builtAt: ago(146), turns: [ago(10)], rounds: [heat(5, 58)] },
    { act: 'wait', code: 'TURNED_LATELY' },
  ],
  [
    'turned by heat and steady: nothing asks for it',
    { rounds: flat(60) },
    { act: 'none', code: 'STEADY' },
  ],
  [
    'turned by heat and falling 1.6 a day: now',
    { rounds: falling(1.6, 60) },
    { act: 'turn', by: 'decline', due: NOW, code: 'FALLING' },
  ],
  [
    'down to 38 °C: turned again',
    {
      template: template('bays'),
      rounds: [...flat(50).slice(0, 4), heat(5, 33, 37)],
      proof: { status: 'broken', creditedHours: 0, lastHot: null },
    },
    { act: 'turn', by: 'low', code: 'LOW' },
  ],
  [
    'below its lower limit, but never above it since: it has not fallen, and nobody says still above',
    {
      template: { ...template('bays'), trigger: 'low' },
      rounds: [heat(53, 20, 25), heat(29, 24, 29), heat(5, 28, 32)],
      proof: { status: null, creditedHours: 0, lastHot: null },
    },
    { act: 'none', code: 'NOT_HOT' },
  ],
  [
    '71 °C inside: turn at once',
    { rounds: [heat(2, 66, 71)] },
    { act: 'turn', by: 'hot', due: NOW, code: 'HOT' },
  ],
  [
    '80 °C inside: nobody opens it blindly',
    { rounds: [heat(2, 70, 80)] },
    { act: 'wait', by: 'hot', code: 'HOT' },
  ],
  [
    'static under its cap on day 20: left alone',
    {
      template: template('cap'),
      kept: 'static',
      builtAt: ago(480),
      rounds: falling(1, 50),
      proof: { status: 'broken', creditedHours: 0, lastHot: null },
    },
    { act: 'none', code: 'LEFT_ALONE' },
  ],
  [
    'its bay wanted tomorrow',
    { template: template('bays'), rounds: flat(60), bayNeededBy: NOW + 20 * HOUR },
    { act: 'turn', by: 'bay', code: 'BAY' },
  ],
  // Five turnings in fifteen days, spread over what is missing.
  [
    'a rule owes two in four days',
    {
      rounds: flat(60),
      turns: [ago(72)],
      proof: { turningsOwed: 2, creditedHours: 264, earliestProofAt: NOW + 4 * DAY },
    },
    { act: 'turn', by: 'rule', due: NOW, code: 'OWED' },
  ],
  [
    'owed, but no hot round since the last turning: it would not count',
    {
      rounds: [heat(30, 60), heat(29, 60)],
      turns: [ago(28)],
      proof: { turningsOwed: 2, lastHot: ago(29) },
    },
    { act: 'wait', by: 'rule' },
  ],
  [
    'twenty hours from proof, nothing owed, falling: left alone',
    {
      template: template('fast'),
      turns: [ago(60)],
      rounds: falling(1, 62),
      proof: { creditedHours: 340, earliestProofAt: NOW + 20 * HOUR },
    },
    { act: 'wait', by: 'rule', code: 'NEAR_PROOF' },
  ],
  [
    'twenty hours from proof, but out of its heat before: turned',
    {
      turns: [ago(80)],
      rounds: falling(4, 56),
      proof: { creditedHours: 340, earliestProofAt: NOW + 20 * HOUR },
    },
    { act: 'turn', code: 'RUN_WOULD_END' },
  ],
  [
    'coming back from a turning: not opened',
    {
      turns: [ago(26)],
      rounds: [heat(2, 50)],
      proof: { status: 'recovering', graceUntil: NOW + 10 * HOUR },
    },
    { act: 'wait', by: 'rule', code: 'RECOVERING' },
  ],
  [
    'staged, two of three days held: not before the third',
    {
      template: template('fast'),
      turns: [ago(60)],
      rounds: flat(60),
      proof: { form: 'staged', requiredHours: 72, creditedHours: 50, turningsOwed: 4 },
    },
    { act: 'wait', by: 'rule', code: 'STAGE_RUNS' },
  ],
  [
    'staged, three days held: turn',
    {
      turns: [ago(80)],
      rounds: flat(60),
      proof: { form: 'staged', requiredHours: 72, creditedHours: 74, turningsOwed: 4 },
    },
    { act: 'turn', by: 'rule', code: 'STAGE_DONE' },
  ],
];

describe('whether to turn', () => {
  test.each(TABLE)('%s', (_, change, expected) => {
    const a = advise(change);
    expect({
      act: a.act,
      ...(expected.by === undefined ? {} : { by: a.by }),
      ...(expected.due === undefined ? {} : { due: a.due }),
    }).toEqual({
      act: expected.act,
      ...(expected.by === undefined ? {} : { by: expected.by }),
      ...(expected.due === undefined ? {} : { due: expected.due }),
    });
    if (expected.code) expect(a.reasons.map((r) => r.code)).toContain(expected.code);
  });
  test('what waiting costs is said: at its pace it falls out of its heat, and what is lost with it', () => {
    const a = advise({ rounds: falling(2, 57), proof: { creditedHours: 282 } });
    expect(a.waiting).toMatchObject({ code: 'RUN_WOULD_END', creditedHours: 282 });
    expect(reasonText(a.waiting!, { timeZone: 'UTC', unit: 'C', now: NOW })).toBe(
      'At 2.0 °C a day it falls below 55 °C tomorrow about 7:00\u00a0AM, and its 11 d 18 h of counted time would be lost.',
    );
    expect(a.latest!).toBeLessThan(NOW + DAY);
  });
  test('every school answers, each with what it rests on', () => {
    const a = advise({
      template: template('fast'),
      builtAt: ago(97),
      rounds: falling(1.6, 60),
      proof: { turningsOwed: 5 },
    });
    expect(Object.fromEntries(a.voices.map((v) => [v.strategy, v.says]))).toEqual({
      calendar: 'now',
      peak: 'now',
      decline: 'now',
      low: 'on',
      hot: 'no',
      bay: 'wait',
      never: 'no',
      rule: expect.stringMatching(/now|on/),
    });
  });

  const any = fc.record({
    template: fc.constantFrom(...TEMPLATES),
    builtAt: fc.integer({ min: 20, max: 900 }).map(ago),
    turns: fc
      .array(fc.integer({ min: 0, max: 400 }), { maxLength: 6 })
      .map((t) => t.sort((a, b) => b - a).map(ago)),
    rounds: fc
      .array(fc.tuple(fc.integer({ min: 0, max: 200 }), fc.integer({ min: 5, max: 82 })), {
        maxLength: 12,
      })
      .map((l) => l.sort((a, b) => b[0] - a[0]).map(([h, c]) => heat(h, c - 6, c))),
    bayNeededBy: fc.option(fc.integer({ min: -3, max: 12 }).map((d) => NOW + d * DAY)),
    proof: fc.record({
      status: fc.constantFrom('waiting', 'running', 'recovering', 'broken', 'proven'),
      form: fc.constantFrom('other', 'staged'),
      creditedHours: fc.integer({ min: 0, max: 360 }),
      turningsOwed: fc.integer({ min: 0, max: 5 }),
      lastHot: fc.option(fc.integer({ min: 0, max: 40 }).map(ago)),
      graceUntil: fc.option(fc.integer({ min: 1, max: 30 }).map((h) => NOW + h * HOUR)),
      earliestProofAt: fc.option(fc.integer({ min: 1, max: 400 }).map((h) => NOW + h * HOUR)),
    } as const),
  });
  test('never twice within a day, never without a reason, and each reason names what it rests on', () => {
    fc.assert(
      fc.property(any, (c) => {
        const a = advise(c as Change);
        const last = c.turns.at(-1);
        if (a.act === 'turn' && last !== undefined)
          expect(Math.min(a.due!, a.earliest!)).toBeGreaterThanOrEqual(last + DAY);
        expect(a.reasons.length).toBeGreaterThan(0);
        for (const r of [...a.reasons, ...a.voices.map((v) => v.because)])
          expect(Object.values(r).some((v) => typeof v === 'number' && v > NOW - 1000 * DAY)).toBe(
            true,
          );
        if (a.act === 'turn') {
          expect(a.by).not.toBeNull();
          if (a.latest !== null)
            expect(a.due!).toBeLessThanOrEqual(Math.max(a.latest, a.earliest!));
        }
      }),
      { seed: 11, numRuns: 1500 },
    );
  });
  test('shifted in time, the advice shifts with it and says the same', () => {
    fc.assert(
      fc.property(any, fc.integer({ min: 1, max: 400 }), (c, days) => {
        const by = days * DAY;
        const s = situation(c as Change);
        const move = <T>(v: T): T =>
          typeof v === 'number' && (v as number) > 1e12
            ? (((v as number) + by) as T)
            : Array.isArray(v)
              ? (v.map(move) as T)
              : v !== null && typeof v === 'object'
                ? (Object.fromEntries(Object.entries(v).map(([k, x]) => [k, move(x)])) as T)
                : v;
        const [a, b] = [turnAdvice(s), turnAdvice(move(s))];
        expect(b.act).toBe(a.act);
        expect(b.by).toBe(a.by);
        expect(b.due === null ? null : Math.abs(b.due - by - (a.due ?? 0)) < 1000).toBe(
          a.due === null ? null : true,
        );
      }),
      { seed: 5, numRuns: 300 },
    );
  });
});

describe('a fall', () => {
  const decline = (c: Change) => advise(c).voices.find((v) => v.strategy === 'decline')!;
  const f = (x: number): number => ((x - 32) * 5) / 9;
  const weekly = [150, 149, 148, 138].map((x, i) => heat((3 - i) * 7 * 24 + 2, f(x), f(x)));

  test('is read over the last four checks, a week apart: 150, 149, 148, 138 °F', () =>
    expect(decline({ rounds: weekly, builtAt: ago(40 * 24) })).toMatchObject({
      says: 'now',
      because: { code: 'FALLING', rounds: 4 },
    }));
  test('is not reported if a check between them rose, or if it is within the scatter of a thermometer', () => {
    const risen = [150, 149, 152, 138].map((x, i) => heat((3 - i) * 7 * 24 + 2, f(x), f(x)));
    expect(decline({ rounds: risen, builtAt: ago(40 * 24) }).says).not.toBe('now');
    const scatter = [150, 149, 149, 148].map((x, i) => heat((3 - i) * 7 * 24 + 2, f(x), f(x)));
    expect(decline({ rounds: scatter, builtAt: ago(40 * 24) }).says).not.toBe('now');
  });
  test('leaves out checks within half a day of a watering: cold water cooled them', () => {
    const cooled = [...flat(60).slice(0, -1), heat(1, 50, 55)];
    const watered = [{ at: ago(2), litres: 80 }];
    const before = { rounds: [...flat(60).slice(0, -1)] };
    expect(decline({ rounds: cooled, watered }).because).toEqual(decline(before).because);
  });
});

describe('the highest that was read', () => {
  const peakOf = (hours: readonly number[]) =>
    advise({
      template: template('by-heat'),
      builtAt: ago(20 * 24),
      rounds: hours.map((h, i) => heat(h, 60, i === 1 ? 70 : 60)),
    }).voices.find((v) => v.strategy === 'peak')!.because;
  test('is a peak only where it was read about then', () => {
    expect(peakOf([100, 76, 52, 28])).toMatchObject({ code: 'PEAKED', isPeak: true });
    expect(peakOf([400, 220, 100, 28])).toMatchObject({ code: 'PEAKED', isPeak: false });
  });
});
