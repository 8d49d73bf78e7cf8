import { durationText, spanText, tempBeside, tempText } from '../../quantity/format';
import type { MeanAbove } from '../rule';
import { floorText, plain, strong, WHERE } from '../verdict-facts';
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
    `${spanText(r.hours)} in a row ${rangeText(r.floorC, undefined, unit)}, with a mean above ${at(r.meanC, unit)} over that time`,
  barText: (r, { unit }) => `${shortSpan(r.hours)}, mean ${tempBeside(r.meanC, r.meanC, unit)}`,
  facts: (r) => ({ kind: 'meanAbove', meanC: r.meanC }),
  askedText: (v, locale) => [
    strong(spanText(v.requiredHours)),
    plain(` at ${floorText(v.floorC, locale)}`),
    plain(` with a mean above ${floorText(v.form.meanC, locale)}, ${WHERE[v.combine]}`),
  ],
  reachedText: (v, locale) =>
    `${durationText(v.creditedHours)} at ${floorText(v.floorC, locale)}${v.reachedMeanC === null ? '' : `, mean ${tempBeside(v.reachedMeanC, v.form.meanC, locale.unit)}`}`,
  otherwiseOwed: (v, locale, timeMissing) => {
    if (timeMissing && (v.reachedMeanC === null || v.reachedMeanC > v.form.meanC)) return [];
    const owed = strong(`a mean above ${floorText(v.form.meanC, locale)}`);
    return v.reachedMeanC === null
      ? [owed]
      : [owed, plain(`, ${tempText(v.reachedMeanC, locale.unit, 1)} so far`)];
  },
  form: {
    label: 'Time with a mean',
    inputs: [
      { key: 'floor', label: 'At or above', unit: 'temperature' },
      { key: 'days', label: 'For, in a row', unit: 'days' },
      { key: 'mean', label: 'Mean above', unit: 'temperature' },
    ],
    minTurnings: 0,
    read: (t) => ({ kind: 'meanAbove', floorC: t.floor, hours: t.days * 24, meanC: t.mean }),
    write: (r) => ({ floor: r.floorC, days: r.hours / 24, mean: r.meanC }),
  },
};
