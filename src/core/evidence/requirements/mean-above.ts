import { say, sayMarked } from '../../../messages/say';
import { durationText, spanText, tempBeside, tempText } from '../../quantity/format';
import type { MeanAbove } from '../rule';
import { floorText, WHERE } from '../verdict-facts';
import { b } from '../../../messages/marked';
import { FLOOR_INPUT } from './form-inputs';
import type { RequirementDescription } from './description';
import { createMeanAboveEvaluator } from './mean-above-evaluator';
import { at, rangeText, shortSpan } from './text';

export const meanAboveRequirement: RequirementDescription<MeanAbove> = {
  fields: { floorC: 'celsius', hours: 'positive-hours', meanC: 'celsius' },
  createEvaluator: createMeanAboveEvaluator,
  holds: () => [],
  ranges: (r) => [{ floorC: r.floorC }],
  findSlip: (r) => (r.meanC < r.floorC ? { code: 'mean-low' } : null),
  asksTurnings: () => false,
  turningsEndStages: false,
  waitsBeyondHours: true,
  losesBrokenRuns: () => true,
  reportsOneRun: false,
  text: (r, unit) =>
    say('evidence.inRowWithMeanAbove', {
      hours: spanText(r.hours),
      floorC: rangeText(r.floorC, undefined, unit),
      meanC: at(r.meanC, unit),
    }),
  barText: (r, { unit }) =>
    say('evidence.mean', { hours: shortSpan(r.hours), meanC: tempBeside(r.meanC, r.meanC, unit) }),
  facts: (r) => ({ kind: 'meanAbove', meanC: r.meanC }),
  askedText: (v, locale) =>
    sayMarked('evidence.meanAsked', {
      hours: spanText(v.requiredHours),
      floorC: floorText(v.floorC, locale),
      meanC: floorText(v.form.meanC, locale),
      where: WHERE[v.combine],
      b,
    }),
  reachedText: (v, locale) =>
    v.reachedMeanC === null
      ? say('evidence.at2', {
          creditedHours: durationText(v.creditedHours),
          floorC: floorText(v.floorC, locale),
        })
      : say('evidence.atMean', {
          creditedHours: durationText(v.creditedHours),
          floorC: floorText(v.floorC, locale),
          reachedMeanC: tempBeside(v.reachedMeanC, v.form.meanC, locale.unit),
        }),
  otherwiseOwed: (v, locale, timeMissing) => {
    if (timeMissing && (v.reachedMeanC === null || v.reachedMeanC > v.form.meanC)) return null;
    const meanC = floorText(v.form.meanC, locale);
    return v.reachedMeanC === null
      ? sayMarked('evidence.meanOwed', { meanC, b })
      : sayMarked('evidence.meanOwedSoFar', {
          meanC,
          reachedMeanC: tempText(v.reachedMeanC, locale.unit, 1),
          b,
        });
  },
  form: {
    get label() {
      return say('evidence.timeWithAMean');
    },
    inputs: [
      FLOOR_INPUT,
      {
        key: 'days',
        get label() {
          return say('evidence.forInARow');
        },
        unit: 'days',
      },
      {
        key: 'mean',
        get label() {
          return say('evidence.meanAbove');
        },
        unit: 'temperature',
      },
    ],
    minTurnings: 0,
    read: (t) => ({ kind: 'meanAbove', floorC: t.floor, hours: t.days * 24, meanC: t.mean }),
    write: (r) => ({ floor: r.floorC, days: r.hours / 24, mean: r.meanC }),
  },
};
