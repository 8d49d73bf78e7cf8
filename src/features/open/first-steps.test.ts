import { getKindDescription } from '@/core/log/entry';
import { firstCheckOf, firstReadingProblem, NEW_AIM, stepOf, termsOfAim } from './first-steps';

test('what is answered first becomes rules that the log takes', () => {
  const aim = { ...NEW_AIM, inputs: ['manure', 'seeding-weeds'] as const };
  const terms = termsOfAim(aim, 'organic', 'United States');
  expect(terms.rules).toEqual(['us-organic-turned', 'practice-weed-seed-week']);
  expect(getKindDescription('site-terms').schema.safeParse(terms).success).toBe(true);
});

test('a first check holds what was typed, in the unit it was typed in', () => {
  const points = ['P1', 'P2', 'P3'].map((id) => ({ id, label: id }));
  const data = firstCheckOf('x', points, { P1: '140', P3: '121,5' }, 'F', 'T1');
  expect(data).toMatchObject({
    readings: [
      { point: 'P1', value: 140, unit: 'F', probe: 'T1' },
      { point: 'P3', value: 121.5, unit: 'F' },
    ],
  });
  expect(firstCheckOf('x', points, {}, 'C', null)).toBeNull();
  expect([firstReadingProblem('hot'), firstReadingProblem(''), firstReadingProblem('-3')]).toEqual([
    'Type the temperature as a number.',
    null,
    null,
  ]);
});

test('a step that is not known is the first', () =>
  expect([stepOf('batch'), stepOf('moon'), stepOf(undefined)]).toEqual([
    'batch',
    'purpose',
    'purpose',
  ]));
