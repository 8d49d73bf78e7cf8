import { ago, heat, HOUR, NOW } from '../../../tests/support/situation';
import { hotAdvice, type HotSituation } from './hot';
import { hotWords } from '../../telling/status/hot';

const at = (s: Partial<HotSituation>): HotSituation => ({
  now: NOW,
  limits: { warnC: 65, actC: 70, dangerC: 77 },
  kept: 'turned',
  rounds: [heat(1, 66, 72)],
  lastTurn: null,
  cooledAt: null,
  volumeM3: 3,
  dry: false,
  burnt: null,
  ...s,
});
const words = (s: Partial<HotSituation>) =>
  hotWords(hotAdvice(at(s))!, { timeZone: 'UTC', unit: 'C', now: NOW });

/** Common practice: act at 68–71 °C by turning, splitting, watering; from 80 °C on it may heat itself. */
describe('too hot', () => {
  test('limits of the site: warn, act, danger', () => {
    expect(
      [60, 65, 69.9, 70, 76.9, 77].map(
        (c) => hotAdvice(at({ rounds: [heat(1, 55, c)] }))?.level ?? null,
      ),
    ).toEqual([null, 'warn', 'warn', 'act', 'act', 'danger']);
    expect(
      hotAdvice(at({ limits: { warnC: 55, actC: 57, dangerC: 75 }, rounds: [heat(1, 55, 58)] }))
        ?.level,
    ).toBe('act');
  });
  test('choices fit the heap: split when big, cap off when static, wet first when dry, no second turning in a day', () => {
    expect(hotAdvice(at({}))?.choices).toEqual(['turn', 'wet', 'look-again']);
    expect(hotAdvice(at({ volumeM3: 8 }))?.choices).toEqual(['turn', 'split', 'wet', 'look-again']);
    expect(hotAdvice(at({ kept: 'static' }))?.choices[0]).toBe('cap-off');
    expect(hotAdvice(at({ dry: true }))?.choices[0]).toBe('wet');
    expect(hotAdvice(at({ lastTurn: ago(6) }))?.choices).not.toContain('turn');
    expect(hotAdvice(at({ kept: 'vessel' }))?.choices).toEqual(['wet', 'look-again']);
  });
  test('danger: keep back, do not open, call; never turn', () => {
    expect(hotAdvice(at({ rounds: [heat(1, 70, 79)] }))?.choices).toEqual([
      'keep-back',
      'do-not-open',
      'call',
      'look-again',
    ]);
    expect(words({ rounds: [heat(1, 70, 79)] })).toMatchObject({
      heading: 'Stand back and check it now',
      urgent: true,
      choices: [
        { act: 'Keep people back, upwind' },
        { act: expect.stringMatching(/air feeds a smoldering fire/) },
        { act: expect.stringMatching(/^Call the fire service/) },
      ],
    });
  });
  test('a smell of burning makes a hot heap a danger', () =>
    expect(hotAdvice(at({ rounds: [heat(1, 60, 67)], burnt: ago(2) }))).toMatchObject({
      level: 'danger',
      burnt: true,
    }));
  test('a smell of burning ends by a reading, not by a day that went by', () => {
    expect(hotAdvice(at({ rounds: [heat(80, 50, 55)], burnt: ago(70) }))).toMatchObject({
      level: 'danger',
      burnt: true,
    });
    expect(hotAdvice(at({ rounds: [heat(1, 50, 55)], burnt: ago(2) }))).toBeNull();
  });
  test('read again within hours, within the hour; overdue is told', () => {
    expect(hotAdvice(at({}))).toMatchObject({ followUpAt: ago(1) + 4 * HOUR, overdue: false });
    expect(hotAdvice(at({ rounds: [heat(2, 70, 79)] }))).toMatchObject({
      followUpAt: ago(1),
      overdue: true,
    });
    expect(words({ rounds: [heat(9, 66, 72)] }).follow).toBe(
      'It should have been read again by 7:00\u00a0AM. Read it now.',
    );
  });
  test('turned in vain, or hot for a day: somebody else must know, and it is split', () => {
    const vain = at({
      rounds: [heat(40, 66, 72), heat(20, 66, 73), heat(1, 66, 72)],
      lastTurn: ago(30),
    });
    expect(hotAdvice(vain)).toMatchObject({ escalate: true, overSince: ago(40) });
    expect(hotAdvice(vain)!.choices).toContain('split');
    expect(words({ rounds: vain.rounds, lastTurn: vain.lastTurn }).escalate).toMatch(
      /Tell the person in charge of the site/,
    );
    expect(hotAdvice(at({ rounds: [heat(5, 66, 72), heat(1, 66, 72)] }))?.escalate).toBe(false);
  });
  test('what was too hot three days ago and was not read since is to be read, not cooled blindly; danger stays danger', () => {
    expect(hotAdvice(at({ rounds: [heat(80, 66, 72)] }))).toMatchObject({
      level: 'act',
      old: true,
      choices: ['look-again'],
      overdue: true,
    });
    expect(hotAdvice(at({ rounds: [heat(80, 66, 79)] }))).toMatchObject({
      level: 'danger',
      old: true,
    });
    // No heat is forgotten: only a reading shows that it cooled.
    expect(hotAdvice(at({ rounds: [heat(80, 64, 66)] }))).toMatchObject({
      level: 'warn',
      old: true,
    });
    expect(hotAdvice(at({ rounds: [heat(20 * 24, 66, 72)] }))).toMatchObject({
      level: 'act',
      old: true,
    });
  });
  test('a turning and water after the reading have answered it: only reading it is due', () => {
    const answered = hotAdvice(
      at({ rounds: [heat(50, 66, 72)], lastTurn: ago(48), cooledAt: ago(48) }),
    )!;
    expect(answered).toMatchObject({
      level: 'act',
      choices: ['look-again'],
      answeredAt: ago(48),
      escalate: false,
    });
    expect(hotWords(answered, { timeZone: 'UTC', unit: 'C', now: NOW })).toMatchObject({
      heading: 'Take its temperature again',
      choices: [],
      escalate: null,
    });
  });
  test('one round is not every round: nobody else is called for it', () =>
    expect(hotAdvice(at({ rounds: [heat(60, 60, 64), heat(30, 66, 72)] }))!.escalate).toBe(false));
  test('a smell of burning is danger whatever was read, also where nothing was', () => {
    expect(hotAdvice(at({ rounds: [heat(3, 50, 55)], burnt: ago(1) }))!.level).toBe('danger');
    expect(hotAdvice(at({ rounds: [], burnt: ago(1) }))).toMatchObject({
      level: 'danger',
      coreC: null,
    });
    expect(words({ rounds: [], burnt: ago(1) }).why).toMatch(
      /^No temperature yet, and somebody smelled burning/,
    );
  });
});

describe('on its way up', () => {
  const up = (perDay: number, now = 68.9) =>
    [49, 25, 1].map((h) => heat(h, 60, now - (perDay * (h - 1)) / 24));
  test('156 °F and rising 5.6 °F a day is said before it is too hot, and read again sooner', () => {
    const rounds = up(3.1);
    const advice = hotAdvice(at({ rounds, volumeM3: 8, dry: true }))!;
    expect(advice).toMatchObject({ level: 'warn', choices: ['split', 'wet', 'look-again'] });
    expect(advice.rising!.perDay).toBeCloseTo(3.1, 1);
    expect(advice.followUpAt - advice.at).toBeLessThan(12 * HOUR);
    expect(words({ rounds }).why).toMatch(/rising 3\.1 °C a day: at that it passes 70 °C about/);
  });
  test('so is one that is still below the limit to watch, and will pass the limit to act within a day', () =>
    expect(hotAdvice(at({ rounds: up(8, 63) }))).toMatchObject({ level: 'warn' }));
  test('nothing is said of one that will not get there, that falls, or that was read but once', () => {
    expect(hotAdvice(at({ rounds: up(3, 60) }))).toBeNull();
    expect(hotAdvice(at({ rounds: up(-3, 62) }))).toBeNull();
    expect(hotAdvice(at({ rounds: [heat(1, 60, 64)] }))).toBeNull();
    // Before its turning it was another heap.
    expect(hotAdvice(at({ rounds: up(8, 63), lastTurn: ago(2) }))).toBeNull();
  });
});
