import fc from 'fast-check';
import { ago, DAY, heat, HOUR, NOW, template } from '../../../tests/support/situation';
import { courseOf } from './course';
import { diagnose, symptomsOf, trialsOf, type DiagnosisSituation } from './diagnose';
import { stageOf, type StageFacts } from './stage';
import { expectedAt, TEMPLATES, templatesOf } from './templates';
import { passesBelow, reboundsOf, theilSen, trendOf } from './trend';
import { TemplateSchema } from '../log/shapes';

const course = (id: string, ageDays: number, coreC: number, airC: number | null = 12) =>
  courseOf(template(id), NOW - ageDays * DAY, coreC, NOW, airC, null).code;

describe('a reading by its method, age and air', () => {
  // About 32 °C (90 °F): on course in a long static bin, an alarm on day 5 of a fast heap, near the end in month three (common practice).
  test('32 °C three times', () =>
    expect([course('cap', 20, 32), course('fast', 5, 32), course('weekly', 85, 32, 24)]).toEqual([
      'ON_COURSE',
      'COOLER',
      'NEAR_END',
    ]));
  test('hotter than expected, as the air, just turned, too young', () => {
    expect(course('by-heat', 8, 74)).toBe('HOTTER');
    expect(course('by-heat', 60, 14)).toBe('AT_AIR');
    expect(courseOf(template('by-heat'), ago(8 * 24), 40, NOW, 12, ago(6)).code).toBe(
      'JUST_TURNED',
    );
    expect(course('fast', 0.2, 12)).toBe('TOO_YOUNG');
  });
  test('in cold air a heap may take longer to warm', () =>
    expect([course('by-heat', 4, 34, 12), course('by-heat', 4, 34, -2)]).toEqual([
      'COOLER',
      'ON_COURSE',
    ]));
  test('first heat within three days, 55 °C within four to seven: the templates of hot heaps say no less (common practice)', () => {
    for (const t of TEMPLATES.filter((x) => x.kept === 'turned')) {
      expect(expectedAt(t, 3).highC).toBeGreaterThanOrEqual(60);
      expect(expectedAt(t, 7).lowC).toBeGreaterThanOrEqual(38);
    }
  });
  test('every template that ships is sound, and one of the site stands in its place', () => {
    for (const t of TEMPLATES) expect(TemplateSchema.safeParse(t).success).toBe(true);
    const own = { ...template('fast'), everyDays: 3 };
    expect(templatesOf(new Map([['fast', own]])).find((t) => t.id === 'fast')?.everyDays).toBe(3);
    expect(
      TemplateSchema.safeParse({ ...own, limits: { warnC: 70, actC: 65, dangerC: 77 } }).success,
    ).toBe(false);
    expect(
      TemplateSchema.safeParse({ ...own, limits: { warnC: 65, actC: 70, dangerC: 84 } }).success,
    ).toBe(false);
  });
});

describe('where a heap is heading', () => {
  test('a slip does not bend the slope', () => {
    const line = Array.from({ length: 9 }, (_, i) => ({ at: ago(80 - i * 9), c: 60 - i * 0.6 }));
    const slipped = line.map((p, i) => (i === 4 ? { ...p, c: 20 } : p));
    expect(theilSen(line)!.perDay).toBeCloseTo(-1.6, 6);
    expect(theilSen(slipped)!.perDay).toBeCloseTo(-1.6, 1);
  });
  test('not before it came back from its turning, not from two rounds', () => {
    const rounds = [heat(60, 60), heat(40, 59), heat(26, 45), heat(14, 58), heat(2, 58)];
    expect(trendOf(rounds, [ago(28)], NOW)).toBeNull();
    expect(trendOf(rounds, [], NOW)).toMatchObject({ rounds: 5 });
  });
  test('when it passes its floor', () => {
    const t = { perDay: -2, rounds: 5, from: ago(60), to: NOW, nowC: 58 };
    expect(passesBelow(t, 55)).toBe(NOW + 1.5 * DAY);
    expect(passesBelow({ ...t, perDay: 1 }, 55)).toBeNull();
    expect(passesBelow({ ...t, nowC: 50 }, 55)).toBeNull();
  });
  test('before and after each turning', () => {
    expect(
      reboundsOf(
        [heat(80, 55, 60), heat(70, 40, 44), heat(58, 50, 57), heat(46, 55, 61), heat(10, 30, 31)],
        [ago(78), ago(40)],
      ),
    ).toEqual([
      { turnedAt: ago(78), beforeC: 60, lowC: 44, highC: 61, hours: 32 },
      { turnedAt: ago(40), beforeC: 61, lowC: 31, highC: 31, hours: 30 },
    ]);
  });
});

const said = (hoursAgo: number) => ({ at: ago(hoursAgo), by: 'Mo' });
const life: StageFacts = {
  now: NOW,
  openedAt: ago(300),
  builtAt: ago(290),
  rawAt: ago(290),
  cured: null,
  ready: null,
  released: null,
  hold: null,
  ended: null,
  rounds: [],
  air: [],
};
describe('stages from dated events', () => {
  test.each<[string, Partial<StageFacts>, string, number]>([
    ['not closed', { builtAt: null }, 'building', ago(300)],
    ['closed, cold', { rounds: [heat(3, 20, 25)] }, 'heating', ago(290)],
    ['hot', { rounds: [heat(60, 30, 40), heat(40, 50, 55), heat(3, 60, 63)] }, 'hot', ago(40)],
    [
      'fallen',
      { rounds: [heat(60, 55, 60), heat(20, 40, 44), heat(3, 38, 40)] },
      'cooling',
      ago(20),
    ],
    [
      'frozen under frost',
      { rounds: [heat(60, 30, 40), heat(20, 1, 2)], air: [{ at: ago(10), c: -4 }] },
      'dormant',
      ago(20),
    ],
    [
      'cold under mild air is not frozen',
      { rounds: [heat(20, 1, 4)], air: [{ at: ago(10), c: 8 }] },
      'heating',
      ago(290),
    ],
    ['curing', { cured: said(50) }, 'curing', ago(50)],
    [
      'something raw went in after the curing began: a heap again',
      { cured: said(50), rawAt: ago(20), rounds: [heat(3, 30, 40)] },
      'heating',
      ago(20),
    ],
    ['ready', { cured: said(50), ready: said(5) }, 'ready', ago(5)],
    ['taken up again', { hold: { ...said(9), on: false, reason: null } }, 'heating', ago(290)],
    [
      'at its end',
      { ended: { ...said(2), reason: 'gave-up' }, released: said(9) },
      'ended',
      ago(2),
    ],
  ])('%s', (_, facts, code, since) =>
    expect(stageOf({ ...life, ...facts })).toMatchObject({ code, since }),
  );
  test('on hold it is as hot as it was', () =>
    expect(stageOf({ ...life, hold: { ...said(9), on: true, reason: 'no hands' } })).toMatchObject({
      ...stageOf(life),
      held: { ...said(9), reason: 'no hands' },
    }));
});

const ill: DiagnosisSituation = {
  leastHotM3: 1,
  now: NOW,
  template: template('by-heat'),
  builtAt: ago(100),
  volumeM3: 4,
  rounds: [heat(40, 24, 28), heat(3, 26, 30)],
  course: { code: 'COOLER', coreC: 30, lowC: 40, highC: 70, ageDays: 4, airC: 12 },
  airC: 12,
  turns: [],
  squeeze: null,
  smell: null,
  pests: null,
  seepage: null,
  cover: null,
  watered: [],
  inputs: ['manure'],
  probe: null,
};
const causes = (d: Partial<DiagnosisSituation>): string[] =>
  diagnose({ ...ill, ...d })[0]?.causes.map((c) => c.cause) ?? [];
describe('what is wrong', () => {
  const signsFor = (cause: string, d: Partial<DiagnosisSituation>) =>
    diagnose({ ...ill, ...d })[0]?.causes.find((c) => c.cause === cause);
  test('where nobody said what went in, that nothing rich did is not said', () => {
    for (const inputs of [null, []])
      expect(signsFor('LITTLE_NITROGEN', { inputs })?.for ?? []).toEqual([]);
    expect(signsFor('LITTLE_NITROGEN', { inputs: ['garden'] })?.for).toMatchObject([
      { code: 'ONLY_GARDEN' },
    ]);
  });
  test('a pile that air is blown through is not airless for want of turning', () => {
    const settled = { turns: [], builtAt: ago(24 * 20) };
    const signs = (id: string) =>
      signsFor('NO_AIR', { ...settled, template: template(id) })?.for ?? [];
    expect(signs('aerated').map((f) => f.code)).not.toContain('NOT_TURNED');
    expect(signs(ill.template.id).map((f) => f.code)).toContain('NOT_TURNED');
  });
  test('when nothing speaks, the order of the trade: size, water, nitrogen, air, cold (common practice)', () => {
    const order = causes({ volumeM3: null, inputs: null, airC: null });
    expect(
      ['TOO_SMALL', 'TOO_DRY', 'LITTLE_NITROGEN', 'NO_AIR', 'COLD_AIR'].map((c) =>
        order.indexOf(c),
      ),
    ).toEqual(
      [
        ...['TOO_SMALL', 'TOO_DRY', 'LITTLE_NITROGEN', 'NO_AIR', 'COLD_AIR'].map((c) =>
          order.indexOf(c),
        ),
      ].sort((a, b) => a - b),
    );
  });
  test.each<[string, Partial<DiagnosisSituation>, string]>([
    ['half a cubic metre', { volumeM3: 0.5 }, 'TOO_SMALL'],
    ['it crumbles', { squeeze: { squeeze: 'crumbles', at: ago(3) } }, 'TOO_DRY'],
    ['it runs', { squeeze: { squeeze: 'runs', at: ago(3) } }, 'TOO_WET'],
    [
      'leaves alone, moist',
      { inputs: ['garden'], squeeze: { squeeze: 'drops', at: ago(3) } },
      'LITTLE_NITROGEN',
    ],
    ['it smells rotten', { smell: { smell: 'rotten', at: ago(3) } }, 'NO_AIR'],
    [
      'frost, else well',
      {
        airC: -6,
        builtAt: ago(140),
        squeeze: { squeeze: 'drops', at: ago(3) },
        smell: { smell: 'earthy', at: ago(3) },
        volumeM3: 6,
      },
      'COLD_AIR',
    ],
  ])('it does not heat: %s', (_, d, first) => expect(causes(d)[0]).toBe(first));
  test('cooled early, ammonia, flies', () => {
    expect(
      diagnose({
        ...ill,
        rounds: [heat(60, 55, 60), heat(3, 35, 38)],
        squeeze: { squeeze: 'crumbles', at: ago(3) },
      })[0],
    ).toMatchObject({
      symptom: 'COOLED_EARLY',
      causes: expect.arrayContaining([expect.objectContaining({ cause: 'TOO_DRY', fix: 'water' })]),
    });
    expect(
      diagnose({ ...ill, course: null, smell: { smell: 'ammonia', at: ago(3) } })[0],
    ).toMatchObject({
      symptom: 'AMMONIA',
      causes: expect.arrayContaining([
        expect.objectContaining({ cause: 'MUCH_NITROGEN', fix: 'carbon' }),
      ]),
    });
    expect(
      diagnose({
        ...ill,
        course: null,
        inputs: ['food-waste'],
        pests: { pests: ['flies'], at: ago(3) },
      })[0],
    ).toMatchObject({
      symptom: 'FLIES',
      causes: expect.arrayContaining([
        expect.objectContaining({ cause: 'BARE_FOOD', fix: 'bury' }),
      ]),
    });
  });
  test('a heap on course, or two days old, has nothing wrong', () => {
    expect(symptomsOf({ ...ill, course: { ...ill.course!, code: 'ON_COURSE' } })).toEqual([]);
    expect(symptomsOf({ ...ill, builtAt: ago(48) })).toEqual([]);
  });
  test('what was felt ten days ago says nothing now', () =>
    expect(
      symptomsOf({ ...ill, course: null, squeeze: { squeeze: 'crumbles', at: ago(240) } }),
    ).toEqual([]));
  test('a cause that something speaks for stands before one that something speaks against', () => {
    const sense = fc.record({
      volumeM3: fc.option(fc.double({ min: 0.3, max: 9, noNaN: true })),
      squeeze: fc.option(
        fc.record({
          squeeze: fc.constantFrom('crumbles', 'holds', 'drops', 'runs'),
          at: fc.constant(ago(5)),
        } as const),
      ),
      smell: fc.option(
        fc.record({
          smell: fc.constantFrom('earthy', 'rotten', 'ammonia', 'none'),
          at: fc.constant(ago(5)),
        } as const),
      ),
      airC: fc.option(fc.integer({ min: -10, max: 30 })),
      inputs: fc.option(fc.subarray(['manure', 'garden'])),
    });
    fc.assert(
      fc.property(sense, (d) => {
        for (const { causes: list } of diagnose({ ...ill, ...d } as DiagnosisSituation)) {
          const worst = list.findIndex((c) => c.for.length === 0 && c.against.length > 0);
          const best = list.findLastIndex((c) => c.for.length > 0 && c.against.length === 0);
          if (worst >= 0 && best >= 0) expect(best).toBeLessThan(worst);
        }
      }),
      { seed: 2 },
    );
  });
});

describe('one change at a time', () => {
  const rounds = [
    heat(200, 30, 32),
    heat(150, 40, 48),
    heat(120, 44, 50),
    heat(40, 43, 49),
    heat(10, 35, 38),
  ];
  test('what helped, what did not, what made it worse, what is not read yet', () => {
    const trials = trialsOf(
      [
        { at: ago(190), what: 'water' },
        { at: ago(110), what: 'cover' },
        { at: ago(39), what: 'turn' },
        { at: ago(1), what: 'nitrogen' },
      ],
      rounds,
      NOW,
    );
    expect(trials.map((t) => t.outcome)).toEqual(['helped', 'no-change', 'worse', 'open']);
    expect(trials.every((t) => !t.causeUnknown)).toBe(true);
  });
  test('several at once: it warmed, and nobody knows why', () => {
    const [only] = trialsOf(
      [
        { at: ago(190), what: 'water' },
        { at: ago(180), what: 'turn' },
        { at: ago(170), what: 'nitrogen' },
      ],
      rounds,
      NOW,
    );
    expect(only).toMatchObject({ outcome: 'helped', causeUnknown: true, beforeC: 32, afterC: 50 });
  });
  test('the same done twice is one change', () =>
    expect(
      trialsOf(
        [
          { at: ago(190), what: 'water' },
          { at: ago(180), what: 'water' },
        ],
        rounds,
        NOW,
      ),
    ).toMatchObject([{ causeUnknown: false }]));
  test('hours later is at once, two days later is not', () =>
    expect(
      trialsOf(
        [
          { at: ago(190), what: 'water' },
          { at: ago(190) + 37 * HOUR, what: 'turn' },
        ],
        rounds,
        NOW,
      ),
    ).toHaveLength(2));
});

test('a copy of a method that was changed does not keep the words of another schedule', () => {
  const fast = TEMPLATES.find((t) => t.id === 'fast')!;
  const own = (change: object) =>
    templatesOf(new Map([['ours', { ...fast, id: 'ours', ...change }]])).find(
      (t) => t.id === 'ours',
    )!;
  expect(own({}).words).toBe(fast.words);
  expect(own({ firstDay: 9 }).words).toBeUndefined();
  expect(own({ firstDay: 9, words: 'As Kit does it.' }).words).toBe('As Kit does it.');
});
