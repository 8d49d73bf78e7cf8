import {
  ago,
  DAY,
  heat,
  NOW,
  situation,
  template,
  type Change,
} from '../../../tests/support/situation';
import { claimOf } from './claim';
import { mendNext, nextAdvice } from './next';
import { partnersFor, tooSmall } from './partners';
import { courseFor, diagnosesOf, isLive, reheatTestOf } from './situation';
import { tasksOf } from './tasks';
import { turnAdvice } from './turn';
import { adviceWords } from '../../telling/status/advice';
import { claimText } from '../../telling/status/claim';
import { courseText, stageText } from '../../telling/status/stage';
import { batchId } from '../../../tests/support/ids';

/** What a person says, and what the readings say beside it. */
const locale = { timeZone: 'UTC', unit: 'C' as const, now: NOW };
const ready = {
  stage: { code: 'ready' as const, since: ago(5), reason: null, by: 'Lea', held: null },
};
const unproven = { status: 'broken' as const, creditedHours: 0, lastHot: null };
const heap = (change: Change) => situation({ ...ready, ...change });
const kinds = (s: ReturnType<typeof situation>): string[] =>
  tasksOf(
    [{ id: batchId('x'), code: 'X', name: 'X', facts: s, orders: [] }],
    { chores: [], probes: [] },
    NOW,
  ).map((t) => t.kind);

describe('ready is a person’s word', () => {
  test('it says who, that no rule is met, that maturity was not tested, and how warm it was over the air', () => {
    const s = heap({
      proof: { status: null },
      rules: { asked: 0, met: [] },
      lastRead: { at: ago(30), coreC: 29, airC: 16 },
      rounds: [heat(30, 29, 29)],
    });
    const { act, why, mark } = adviceWords(nextAdvice(s), locale);
    expect([act, mark]).toEqual(['Marked ready', 'note']);
    expect(why).toBe(
      'Lea marked it ready 7:00\u00a0AM. No rule to meet. Maturity was not tested. 29 °C inside at the last reading Sun 6:00\u00a0AM, 13 °C above air.',
    );
    expect(why).not.toMatch(/Covered|nothing raw|Ready to go out/);
  });
  test('a proven one names its rule and day', () => {
    const s = heap({
      proof: { status: 'proven' },
      rules: { asked: 1, met: [{ title: 'PFRP windrow', at: ago(200) }] },
    });
    expect(claimText(claimOf(s, NOW), locale)).toMatch(
      /^Met: PFRP windrow, Sun May 10\. Maturity was not tested\./,
    );
  });
  test('doubts: not proven, warm over the air, not read for a week; none where all is well', () => {
    const doubts = (change: Change): readonly string[] => claimOf(heap(change), NOW).doubts;
    const met = { rules: { asked: 1, met: [{ title: 'R', at: ago(200) }] } };
    expect(
      doubts({
        rules: { asked: 2, met: met.rules.met },
        lastRead: { at: ago(9 * 24), coreC: 40, airC: 20 },
      }),
    ).toEqual(['unproven', 'warm', 'unread']);
    expect(doubts({ ...met, lastRead: { at: ago(20), coreC: 22, airC: 15 } })).toEqual([]);
    expect(doubts({ ...met, lastRead: { at: ago(20), coreC: 35, airC: null } })).toEqual(['warm']);
    expect(doubts({ ...met, lastRead: null })).toEqual(['unread']);
  });
  test('it switches off nothing that the readings still ask for: reading, water, heat', () => {
    expect(isLive(heap({ proof: unproven }))).toBe(true);
    expect(kinds(heap({ proof: unproven, rounds: [heat(40, 40, 44)] }))).toContain('read');
    const dry = heap({
      proof: { status: 'proven' },
      rules: { asked: 1, met: [{ title: 'R', at: ago(99) }] },
      squeeze: { squeeze: 'crumbles', at: ago(3) },
    });
    expect(nextAdvice(dry).code).toBe('WATER');
    expect(kinds(dry)).toContain('water');
    expect(nextAdvice(heap({ proof: { status: 'proven' }, rounds: [heat(2, 68, 72)] })).code).toBe(
      'TOO_HOT',
    );
  });
  test('another person’s word is named, and nothing is said to warm that nobody read', () => {
    expect(stageText({ ...ready.stage, asOf: null, isUnread: false }, locale, true)).toBe(
      'Marked ready by Lea, 7:00\u00a0AM',
    );
    expect(
      stageText(
        {
          ...{ code: 'heating', since: ago(90), reason: null, by: null, held: null },
          ...{ asOf: null, isUnread: false },
        },
        locale,
        false,
      ),
    ).toMatch(/^No temperatures yet, started /);
  });
});

describe('staying cool after a turning', () => {
  const cool: Change = {
    stage: { code: 'cooling', since: ago(300), reason: null, by: null, held: null },
    builtAt: NOW - 60 * DAY,
    rounds: [heat(100, 22, 24), heat(60, 22, 24), heat(20, 22, 24)],
    proof: { ...unproven },
  };
  const moist = { squeeze: { squeeze: 'drops' as const, at: ago(30) } };
  test('shows nothing in a small, dry heap; says what would show it', () => {
    const s = situation({
      ...cool,
      turns: [ago(144)],
      volumeM3: 0.6,
      squeeze: { squeeze: 'holds', at: ago(30) },
    });
    expect(reheatTestOf(s)).toEqual({ code: 'SHOWS_NOTHING', why: ['small', 'dry'] });
    const text = courseText(
      { because: courseFor(s)!.code, reading: courseFor(s), asOf: ago(20), dangerC: 77 },
      'Turned when it falls',
      locale,
      reheatTestOf(s),
    );
    expect(text).toMatch(
      /shows nothing: it is under the size that stays hot and dry\. To test it, add to it or join it with another and water it, then turn it/,
    );
    expect(text).not.toMatch(/may be curing/);
  });
  test('is asked for once, read on, then told', () => {
    expect(reheatTestOf(situation({ ...cool, ...moist, volumeM3: 3 })).code).toBe('NOT_TURNED');
    expect(reheatTestOf(situation({ ...cool, ...moist, volumeM3: 3, turns: [ago(40)] })).code).toBe(
      'READ_ON',
    );
    expect(reheatTestOf(situation({ ...cool, ...moist, volumeM3: 3, turns: [ago(110)] }))).toEqual({
      code: 'STAYED_COOL',
      turnedAt: ago(110),
      checks: 3,
    });
  });
});

describe('one judgement, that the entries bear out', () => {
  test('danger silences every other advice', () => {
    const s = situation({
      rounds: [heat(1, 80, 84)],
      burnt: ago(1),
      squeeze: { squeeze: 'crumbles', at: ago(2) },
      cover: { on: false, at: ago(2) },
    });
    expect(nextAdvice(s)).toMatchObject({ code: 'TOO_HOT', hot: { level: 'danger' } });
    expect(diagnosesOf(s)).toEqual([]);
    expect(kinds(s)).toEqual(['hot']);
  });
  test('on course is not also asked what is wrong with it', () => {
    const s = situation({
      kept: 'static',
      template: template('cap'),
      builtAt: ago(12 * 24),
      rounds: [heat(40, 40, 44), heat(3, 40, 45)],
      proof: { ...unproven },
      neverHot: true,
    });
    expect(courseFor(s)?.code).toBe('ON_COURSE');
    expect(nextAdvice(s).code).toBe('WAIT_FOR_HEAT');
  });
  test('a hot drum is not joined with a cold bin for warmth', () => {
    const drum = situation({ kept: 'vessel', volumeM3: 0.2, rounds: [heat(2, 62, 66)] });
    const hot = situation({ volumeM3: 0.6, proof: { status: 'running', creditedHours: 20 } });
    const cold = situation({
      stage: { code: 'cooling', since: ago(90), reason: null, by: null, held: null },
      volumeM3: 0.8,
      proof: { ...unproven },
    });
    expect([tooSmall(drum), tooSmall(hot)]).toEqual([false, false]);
    const card = (id: string, facts: typeof cold) => ({ id, name: id, facts });
    expect(partnersFor(card('hot', hot), [card('cold', cold)])).toEqual([]);
    expect(partnersFor(card('cold', cold), [card('hot', hot)])).toEqual([]);
  });
  test('covered as was logged is not told as uncovered; a cause that nothing speaks of is not told at all', () => {
    const wet: Change = {
      squeeze: { squeeze: 'runs', at: ago(3) },
      cover: { on: true, at: ago(1) },
    };
    expect(mendNext(situation(wet))?.cause).not.toBe('UNCOVERED');
    for (const d of diagnosesOf(situation(wet)))
      for (const c of d.causes)
        expect(c.for.length + c.against.length + c.unknown.length).toBeGreaterThan(0);
  });
  test('rats in a heap of 132 days are not told to be after food that has rotted', () => {
    const s = situation({
      builtAt: NOW - 132 * DAY,
      inputs: ['food-waste'],
      pests: { pests: ['flies', 'rats'], at: ago(3) },
    });
    const found = diagnosesOf(s);
    expect(found.map((d) => d.symptom)).toEqual(expect.arrayContaining(['FLIES', 'RATS']));
    expect(found.find((d) => d.symptom === 'RATS')!.causes[0]!.cause).not.toBe('BARE_FOOD');
  });
  test('past the working time of its method no calendar turns it', () => {
    const fast = (day: number) =>
      turnAdvice(
        situation({
          template: template('fast'),
          builtAt: NOW - day * DAY,
          turns: [NOW - 2 * DAY],
          rounds: [heat(3, 45, 50)],
          proof: { ...unproven },
        }),
      );
    expect(fast(18).act).toBe('turn');
    expect(fast(19.5)).toMatchObject({
      act: 'none',
      reasons: [{ code: 'WORKED_OUT', activeDays: 18 }],
    });
  });
});
