import fc from 'fast-check';
import { adviceWords } from '../../telling/status/advice';
import { nextAdvice } from './next';
import { STAGES } from './stage';
import { TEMPLATES } from './templates';
import {
  ago,
  DAY,
  heat,
  HOUR as H,
  NOW,
  situation,
  template,
  type Change,
} from '../../../tests/support/situation';

const advise = (s: Change) => nextAdvice(situation(s));
const say = (s: Change, unit: 'C' | 'F' = 'C') =>
  adviceWords(advise(s), { timeZone: 'UTC', unit, now: NOW });

describe('what to do next', () => {
  test('a run that is on and owes nothing: read once a day', () => {
    expect(advise({})).toEqual({ code: 'KEEP_READING', due: NOW + 19 * H, missingHours: 260 });
    expect(say({})).toMatchObject({
      act: 'Log temperatures by Tue 7:00\u00a0AM',
      urgent: false,
      mark: 'probe',
    });
  });
  test('too hot comes before all else, with its caution; danger keeps people back', () => {
    expect(say({ rounds: [heat(1, 66, 74)] })).toMatchObject({
      urgent: true,
      act: 'Cool it: turn or water',
      why: expect.stringMatching(/^74 °C inside, 1 h.*Above 70 °C/),
      caution: expect.stringMatching(/burn/),
    });
    expect(say({ rounds: [heat(1, 66, 79)] })).toMatchObject({
      act: 'Stand back and check it now',
      caution: expect.stringMatching(/call the fire service/),
    });
    expect(say({ rounds: [heat(1, 66, 74)] }, 'F').why).toMatch(/^165 °F inside.*Above 158 °F/);
  });
  test('the last third of the gap cannot wait', () => {
    expect(advise({ proof: { lastHot: ago(24) } })).toMatchObject({
      code: 'READ_BEFORE_LOST',
      due: NOW + 12 * H,
    });
    expect(say({ proof: { lastHot: ago(34) } })).toMatchObject({
      act: 'Log temperatures by 2:00\u00a0PM',
      urgent: true,
      why: 'Last hot check 34 h ago. After 36 h its 4 d 4 h are lost.',
    });
    expect(advise({ proof: { lastHot: ago(23.9) } }).code).toBe('KEEP_READING');
  });
  test('after a turning: the same afternoon, then the next day, and why', () => {
    expect(advise({ turns: [ago(1)] })).toMatchObject({
      code: 'READ_AFTER_TURN',
      second: false,
      due: ago(1) + 5 * H,
    });
    expect(say({ turns: [ago(1)] }).why).toMatch(/this afternoon make the hours since count/);
    expect(
      advise({ turns: [ago(18)], rounds: [heat(12, 57, 60)], proof: { lastHot: ago(12) } }),
    ).toMatchObject({ code: 'READ_AFTER_TURN', second: true, due: NOW + 6 * H });
    expect(advise({ turns: [ago(26)], rounds: [heat(2, 57, 60)] }).code).toBe('KEEP_READING');
  });
  test('paused: until when, and what it read', () => {
    expect(
      say({
        proof: { status: 'recovering', graceUntil: NOW + 20 * H },
        rounds: [heat(0, 49.4, 52)],
      }),
    ).toMatchObject({
      act: 'Log temperatures by Tue 8:00\u00a0AM',
      urgent: false,
      why: '49 °C after its turning. It has until Tue 8:00\u00a0AM to reach 55 °C.',
    });
    expect(say({ proof: { status: 'recovering', graceUntil: NOW + 4 * H } }).urgent).toBe(true);
  });
  test('a turning that is owed within a day and a half comes next; one further off does not', () => {
    expect(say({ proof: { turningsOwed: 2, requiredHours: 110 }, turns: [ago(70)] })).toMatchObject(
      {
        mark: 'turn',
        act: 'Turn it now',
        why: expect.stringMatching(/2 turnings are still needed.*Take temperatures first\.$/),
      },
    );
    expect(advise({ proof: { turningsOwed: 1, requiredHours: 900 }, turns: [ago(40)] }).code).toBe(
      'KEEP_READING',
    );
  });
  test('a young cold heap waits; an old one is looked into, the likeliest cause named with what speaks for it', () => {
    const cold = {
      proof: { status: 'broken' as const, creditedHours: 0, lastHot: null },
      neverHot: true,
      rounds: [heat(3, 31, 33)],
    };
    expect(
      advise({
        ...cold,
        builtAt: ago(40),
        stage: { code: 'heating', since: ago(40), reason: null, by: null, held: null },
      }).code,
    ).toBe('WAIT_FOR_HEAT');
    expect(advise({ ...cold, builtAt: ago(100), volumeM3: 0.6 })).toMatchObject({
      code: 'MEND',
      symptom: 'NOT_HEATING',
      cause: 'TOO_SMALL',
      fix: 'enlarge',
    });
    expect(
      say({ ...cold, builtAt: ago(100), squeeze: { squeeze: 'crumbles', at: ago(3) } }),
    ).toMatchObject({
      act: 'It does not heat up: water it',
      why: expect.stringMatching(
        /^Too dry: squeeze test .*crumbles\. Change one thing at a time\.$/,
      ),
    });
    expect(
      say({
        proof: { status: 'waiting' },
        rounds: [],
        stage: { code: 'heating', since: ago(10), reason: null, by: null, held: null },
        builtAt: ago(10),
      }).why,
    ).toMatch(/No temperatures yet/);
  });
  test('building, rule met, curing, on hold, asleep and gone', () => {
    const done = { proof: { status: 'proven' as const, lastHot: null } };
    expect(
      (['building', 'curing', 'ready', 'released', 'ended'] as const).map(
        (code) =>
          advise({ ...done, stage: { code, since: ago(5), reason: null, by: null, held: null } })
            .code,
      ),
    ).toEqual(['CLOSE_WHEN_BUILT', 'LEAVE_TO_CURE', 'READY', 'NOTHING', 'NOTHING']);
    expect(
      advise({
        ...done,
        stage: {
          code: 'hot',
          since: ago(9),
          reason: null,
          by: null,
          held: { at: ago(5), by: 'Mo', reason: null },
        },
      }).code,
    ).toBe('ON_HOLD');
    expect(say({ proof: { status: 'proven', lastHot: null } }).why).toMatch(/Add nothing raw/);
    expect(
      say({
        stage: { code: 'dormant', since: ago(90), reason: null, by: null, held: null },
        rounds: [heat(20, 1, 2)],
        airC: -4,
        proof: { status: 'broken', creditedHours: 0, lastHot: null },
      }),
    ).toMatchObject({ act: 'Leave it until it thaws', urgent: false });
  });
  test('one hot point of three is not said to be cold', () => {
    const thin = {
      rounds: [heat(4, 60)],
      proof: { status: 'waiting' as const, creditedHours: 0, lastHot: null },
    };
    expect(say(thin).why).toMatch(/^60 °C at the last check, but that check does not count/);
    expect(say({ ...thin, rounds: [heat(4, 40)] }).why).not.toMatch(/does not count/);
  });
  test('every situation has words in both units, never a hole in them; the same log gives the same advice', () => {
    const at = fc.integer({ min: 0, max: 500 }).map(ago);
    const some = <T>(value: fc.Arbitrary<T>) => fc.option(value);
    fc.assert(
      fc.property(
        fc.record({
          stage: fc.record({
            code: fc.constantFrom(...STAGES),
            since: at,
            reason: fc.constant(null),
            by: fc.constant(null),
            held: fc.constant(null),
          }),
          template: fc.constantFrom(...TEMPLATES),
          builtAt: some(at),
          volumeM3: some(fc.double({ min: 0.2, max: 40, noNaN: true })),
          turns: fc.array(at, { maxLength: 5 }).map((t) => [...t].sort((a, b) => a - b)),
          rounds: fc
            .array(fc.tuple(fc.integer({ min: 0, max: 300 }), fc.integer({ min: -5, max: 74 })), {
              maxLength: 9,
            })
            .map((l) => l.sort((a, b) => b[0] - a[0]).map(([h, c]) => heat(h, c))),
          proof: fc.record({
            status: fc.constantFrom('proven', 'waiting', 'running', 'recovering', 'broken', null),
            form: fc.constantFrom('staged', 'other'),
            creditedHours: fc.integer({ min: 0, max: 400 }),
            turningsOwed: fc.integer({ min: 0, max: 5 }),
            lastHot: some(at),
            graceUntil: some(fc.integer({ min: 1, max: 40 }).map((h) => NOW + h * H)),
          } as const),
          airC: some(fc.integer({ min: -15, max: 35 })),
          neverHot: fc.boolean(),
          squeeze: some(
            fc.record({
              squeeze: fc.constantFrom('crumbles', 'holds', 'drops', 'runs'),
              at,
            } as const),
          ),
          smell: some(
            fc.record({
              smell: fc.constantFrom('none', 'earthy', 'ammonia', 'rotten', 'burnt'),
              at,
            } as const),
          ),
          bayNeededBy: some(fc.integer({ min: -2, max: 20 }).map((d) => NOW + d * DAY)),
          inputs: some(fc.subarray(['manure', 'garden', 'food-waste'])),
          burnt: some(at),
        } as const),
        (s) => {
          for (const unit of ['C', 'F'] as const) {
            const words = say(s as Change, unit);
            expect(`${words.act} ${words.why}`).not.toMatch(/undefined|NaN|null|Infinity/);
            expect(words.why.length).toBeGreaterThan(8);
            if (words.urgent) expect(words.due).not.toBeNull();
            expect(say(s as Change, unit)).toEqual(words);
          }
        },
      ),
      { seed: 7, numRuns: 400 },
    );
  });
  test('danger outranks everything', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('proven', 'running', 'recovering', 'broken', 'waiting'),
        fc.integer({ min: 77, max: 95 }),
        fc.integer({ min: 0, max: 60 }),
        (status, c, h) => {
          expect(
            advise({
              proof: { status: status as 'running', turningsOwed: 3 },
              rounds: [heat(h, 60, c)],
              turns: [ago(90)],
            }),
          ).toMatchObject({ code: 'TOO_HOT', hot: { level: 'danger' } });
        },
      ),
      { seed: 3 },
    );
  });
  test('a heap of a slow kind is not asked to be hot', () => {
    expect(
      advise({
        template: template('cap'),
        kept: 'static',
        rounds: [heat(3, 30, 32)],
        builtAt: ago(30 * 24),
        proof: { status: 'broken', creditedHours: 0, lastHot: null, turningsOwed: 0 },
      }).code,
    ).not.toBe('MEND');
  });
});
