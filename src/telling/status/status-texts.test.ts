import { statusOfBatch } from '@/core/status/batch-status';
import { MS } from '@/core/quantity/instant';
import { DAY, HOUR, NOW, heat } from '../../../tests/support/situation';
import { batchSnapshot, ruleSnapshot } from '../../../tests/support/snapshot';
import type { QuestionCause } from '@/core/status/open-questions';
import { batchId } from '../../../tests/support/ids';
import { asSpeaker } from '../../../tests/support/speech';
import { cureDoubtText } from './cure';
import { questionText } from './questions';
import { notNowText } from './route';
import { dayCountText, mainLine } from './rules';
import { saysOf } from './says';
import { courseText } from './stage';

/** The sentences of a status, as a grower reads them. */
const locale = { timeZone: 'Europe/London', unit: 'C' as const, now: NOW };
const statusOf = (given: Parameters<typeof batchSnapshot>[0]) =>
  statusOfBatch(batchSnapshot(given), NOW);
const course = (given: Parameters<typeof batchSnapshot>[0]): string =>
  courseText(statusOf(given).course, 'Turned when it falls', locale);
const dayIn = (text: string): string | undefined => /day (\d+)/.exec(text)?.[1];

test('a reading of this day and the page itself count one day, whatever the hour of building', () => {
  for (let hours = 0; hours < 24; hours += 3) {
    const given = {
      situation: { builtAt: NOW - 9 * DAY - hours * HOUR, rounds: [heat(6, 60), heat(1, 60)] },
    };
    expect(dayIn(course(given))).toBe(dayIn(dayCountText(statusOf(given), locale)));
  }
});

describe('what is said of heat', () => {
  const readAt = (coreC: number): string =>
    course({ situation: { rounds: [heat(1, coreC, coreC)] } });
  test('warm enough to watch is not called too hot', () => {
    expect(readAt(69)).toMatch(/69 °C.*warm enough to watch/);
    expect(readAt(72)).toMatch(/72 °C.*too hot/);
  });
  test('a figure below the limit of danger is not shown as reaching it', () => {
    expect(readAt(76.6)).toContain('76.6 °C');
    expect(readAt(77)).toContain('77 °C');
    const status = statusOf({ situation: { rounds: [heat(1, 76.6, 76.6)] } });
    expect(cureDoubtText('danger', status, locale)).toContain('76.6 °C');
  });
});

test('only the rule that is worked on is met without a name', () => {
  const met = ruleSnapshot({ status: 'proven', provenAt: NOW - MS.day });
  const week = ruleSnapshot({
    ...{ rule: 'practice-weed-seed-week', title: 'Weed-seed week' },
    ...{ status: 'proven', provenAt: NOW - MS.day },
  });
  const line = (rules: readonly ReturnType<typeof ruleSnapshot>[]) =>
    mainLine(statusOf({ rules }), 0, locale);
  expect(line([met]).head).toMatch(/^Met/);
  const both = line([ruleSnapshot(), week]);
  expect(both.head).toContain('8 d 0 h of 15 d');
  expect(both.sub).toContain('Weed-seed week');
});

test('due more than three days off is said with its date: the name of a day alone means the one before too', () => {
  const due = (days: number): string =>
    notNowText({ code: 'READ_LATELY', at: NOW - HOUR, due: NOW + days * DAY }, locale);
  expect(due(7)).toMatch(/due \w{3} \w+ \d/);
  expect(due(1)).not.toMatch(/due \w{3} \w+ \d/);
});

describe('what is to be cleared up', () => {
  const names: Readonly<Record<string, string>> = { wren: 'Wren', F1: 'F1, fines' };
  const nameOf = (id: string): string => names[id] ?? id;
  const textOf = (cause: QuestionCause, unit: 'C' | 'F' = 'C'): string =>
    questionText({ cause, since: NOW }, nameOf, { ...locale, unit });
  const off = (offK: number, titles: readonly string[]): QuestionCause => ({
    ...{ code: 'thermometer', probe: 'T2', offK, since: null },
    unmet: titles.length > 0 ? [{ batch: batchId('wren'), titles }] : [],
  });
  test('a thermometer says how far it was off, which way, and what would not be met', () => {
    expect(textOf(off(4.2, ['Weed-seed week']))).toMatch(
      /T2 read 4\.2 °C too high .* Wren has not met Weed-seed week\./,
    );
    expect(textOf(off(-4.2, []))).toMatch(/4\.2 °C too low .* not hot enough\./);
    // A difference has no zero to be moved: 4.2 K are 7.6 °F, not 39.6.
    expect(textOf(off(4.2, []), 'F')).toContain('7.6 °F too high');
  });
  test('the rest names the lot, and what of it', () => {
    expect(textOf({ code: 'weeds', lot: 'F1' })).toContain(
      'Weeds came up where F1, fines was used',
    );
    expect(textOf({ code: 'test', kind: 'seedlings', lot: 'F1' })).toContain('weedkiller');
    expect(
      textOf({ code: 'laboratory', lot: 'F1', analytes: ['Pb', 'Cd'], uses: ['mulch'] }),
    ).toMatch(/^Pb and Cd in F1, fines: outside the limits for .*mulch/i);
  });
  test('in Spanish it is said in Spanish', () =>
    expect(asSpeaker({ language: 'es' }, () => textOf(off(4.2, [])))).toMatch(
      /termómetro T2 marcaba 4[.,]2 °C de más/,
    ));
});

test('pages bear no codes outside the crawl', () =>
  expect(saysOf(statusOf({}), 'stage', 'danger')).toBeUndefined());
