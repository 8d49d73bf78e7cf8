import fc from 'fast-check';
import { adviceWords } from '../words/advice';
import { nextAdvice, type Situation } from './next';

const H = 3_600_000;
const NOW = Date.UTC(2026, 4, 18, 12);
const calm: Situation = {
  now: NOW, stage: 'live', status: 'running', creditedHours: 100, requiredHours: 360, turningsOwed: 0, floorC: 55, maxGapHours: 36,
  lastHot: NOW - 5 * H, lastRound: { at: NOW - 5 * H, valueC: 58, peakC: 64 }, lastTurn: null, graceUntil: null, builtAt: NOW - 200 * H, neverHot: false,
};
const advise = (s: Partial<Situation>) => nextAdvice({ ...calm, ...s });
const say = (s: Partial<Situation>, unit: 'C' | 'F' = 'C') => adviceWords(advise(s), { timeZone: 'UTC', unit, now: NOW });

describe('what to do next', () => {
  test('a run that is on and owes nothing: read once a day', () => {
    expect(advise({})).toEqual({ code: 'KEEP_READING', due: NOW + 19 * H, missingHours: 260 });
    expect(say({})).toMatchObject({ act: 'Read by Tue 07:00', urgent: false, mark: 'probe' });
  });
  test('too hot comes before all else, with its caution; danger keeps people back', () => {
    expect(say({ lastRound: { at: NOW, valueC: 66, peakC: 74 } })).toMatchObject({ urgent: true, why: expect.stringMatching(/^74 °C inside\. Past 70 °C/), caution: expect.stringMatching(/burn/) });
    expect(say({ lastRound: { at: NOW, valueC: 66, peakC: 79 } })).toMatchObject({ act: 'Stand back and check it now', caution: expect.stringMatching(/call the fire service/) });
    expect(say({ lastRound: { at: NOW, valueC: 66, peakC: 74 } }, 'F').why).toMatch(/^165 °F inside\. Past 158 °F/);
  });
  test('the last third of the gap cannot wait', () => {
    expect(advise({ lastHot: NOW - 24 * H })).toMatchObject({ code: 'READ_BEFORE_LOST', due: NOW + 12 * H });
    expect(say({ lastHot: NOW - 34 * H })).toMatchObject({ act: 'Read by 14:00', urgent: true, why: 'Last hot round 34 h ago. Past 36 h its 4 d 4 h are lost.' });
    expect(advise({ lastHot: NOW - 23.9 * H }).code).toBe('KEEP_READING');
  });
  test('after a turning: the same afternoon, then the next day, and why', () => {
    const turned = NOW - 1 * H;
    expect(advise({ lastTurn: turned })).toMatchObject({ code: 'READ_AFTER_TURN', second: false, due: turned + 5 * H });
    expect(say({ lastTurn: turned }).why).toMatch(/this afternoon earns the hours since/);
    expect(advise({ lastTurn: NOW - 18 * H, lastRound: { at: NOW - 12 * H, valueC: 57, peakC: 60 }, lastHot: NOW - 12 * H })).toMatchObject({ code: 'READ_AFTER_TURN', second: true, due: NOW + 6 * H });
    expect(advise({ lastTurn: NOW - 26 * H, lastRound: { at: NOW - 2 * H, valueC: 57, peakC: 60 } }).code).toBe('KEEP_READING');
  });
  test('paused: until when, and what it read', () => {
    expect(say({ status: 'recovering', graceUntil: NOW + 20 * H, lastRound: { at: NOW, valueC: 49.4, peakC: 52 } })).toMatchObject({ act: 'Read by Tue 08:00', urgent: false, why: '49 °C after its turning. Has until Tue 08:00 to reach 55 °C.' });
    expect(say({ status: 'recovering', graceUntil: NOW + 4 * H }).urgent).toBe(true);
  });
  test('owed turnings are spread over what is missing', () => {
    expect(say({ turningsOwed: 2, requiredHours: 110, lastTurn: NOW - 70 * H })).toMatchObject({ act: 'Turn it today', why: expect.stringMatching(/^2 turnings still owed/) });
    expect(advise({ turningsOwed: 1, requiredHours: 900, lastTurn: NOW - 40 * H }).code).toBe('KEEP_READING');
  });
  test('a young cold heap waits, an old one wants looking into', () => {
    const cold = { at: NOW - 3 * H, valueC: 31, peakC: 33 };
    expect(advise({ status: 'broken', neverHot: true, builtAt: NOW - 40 * H, lastRound: cold }).code).toBe('WAIT_FOR_HEAT');
    expect(advise({ status: 'broken', neverHot: true, builtAt: NOW - 80 * H, lastRound: cold }).code).toBe('FIND_OUT_WHY');
    expect(say({ status: 'waiting', lastRound: null, lastHot: null }).why).toMatch(/No round yet/);
  });
  test('building, proven, curing and gone out', () => {
    expect((['building', 'curing', 'released'] as const).map((stage) => advise({ stage }).code)).toEqual(['CLOSE_WHEN_BUILT', 'LEAVE_TO_CURE', 'NOTHING']);
    expect(say({ status: 'proven', lastHot: null }).why).toMatch(/Nothing raw goes in any more/);
  });
  test('every situation has words in both units, never a hole in them', () => {
    const time = fc.option(fc.integer({ min: -200, max: 40 }).map((h) => NOW + h * H));
    fc.assert(fc.property(fc.record({
      stage: fc.constantFrom('building', 'curing', 'released', 'live'), status: fc.constantFrom('proven', 'waiting', 'running', 'recovering', 'broken', null), creditedHours: fc.integer({ min: 0, max: 400 }),
      turningsOwed: fc.integer({ min: 0, max: 5 }), lastHot: time, lastTurn: time, graceUntil: time, builtAt: time, neverHot: fc.boolean(),
      lastRound: fc.option(fc.record({ at: fc.integer({ min: -90, max: 0 }).map((h) => NOW + h * H), valueC: fc.integer({ min: 5, max: 70 }), peakC: fc.integer({ min: 20, max: 85 }) })),
    } as const), (s) => {
      for (const unit of ['C', 'F'] as const) {
        const words = say(s as Partial<Situation>, unit);
        expect(`${words.act} ${words.why}`).not.toMatch(/undefined|NaN|null|Infinity/);
        if (words.urgent) expect(words.due).not.toBeNull();
      }
    }), { seed: 7 });
  });
});
