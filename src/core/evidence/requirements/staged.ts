import { countText, spanText } from '../../quantity/format';
import type { Staged } from '../rule';
import { floorText, plain, strong, WHERE } from '../verdict-facts';
import type { RequirementDescription } from './description';
import { createStagedEvaluator } from './staged-evaluator';
import { rangeText, shortSpan } from './text';

export const stagedRequirement: RequirementDescription<Staged> = {
  fields: {
    floorC: 'celsius',
    ceilingC: 'optional-celsius',
    holdHours: 'positive-hours',
    stages: 'count-from-1',
  },
  createEvaluator: createStagedEvaluator,
  holds: () => [],
  ranges: (r) => [r],
  findSlip: () => null,
  asksTurnings: () => true,
  turningsEndStages: true,
  waitsBeyondHours: false,
  losesBrokenRuns: () => false,
  reportsOneRun: false,
  text: (r, unit) =>
    `${spanText(r.holdHours)} in a row ${rangeText(r.floorC, r.ceilingC, unit)} before each of ${countText(r.stages, 'full turning')}`,
  barText: (r, { turns }) => `${turns} × ${shortSpan(r.holdHours)}, then a turn`,
  facts: (r) => ({ kind: 'staged', stageHours: r.holdHours }),
  askedText: (v, locale) => [
    strong(spanText(v.form.stageHours)),
    plain(` at ${floorText(v.floorC, locale)}`),
    plain(` ${WHERE[v.combine]} before each of `),
    strong(countText(v.turningsRequired, 'turning')),
  ],
  reachedText: (v, locale) =>
    `${spanText(v.form.stageHours)} at ${floorText(v.floorC, locale)} before each of ${countText(v.turningsCounted, 'turning')}`,
  turnsOwed: (v, turns, timeMissing) => [
    strong(timeMissing ? 'then a full turning' : 'a full turning now'),
    ...(turns > 1
      ? [
          plain(', with '),
          strong(spanText(v.form.stageHours)),
          plain(` held before each of ${turns - 1} more`),
        ]
      : []),
  ],
  form: {
    label: 'Time before each turning',
    inputs: [
      { key: 'floor', label: 'At or above', unit: 'temperature' },
      { key: 'ceiling', label: 'Never above', unit: 'temperature', empty: 'no limit' },
      { key: 'days', label: 'Held before each turning', unit: 'days' },
      { key: 'turnings', label: 'Full turnings', unit: 'count' },
    ],
    minTurnings: 1,
    read: (t) => ({
      kind: 'staged',
      floorC: t.floor,
      ...(t.ceiling === undefined ? {} : { ceilingC: t.ceiling }),
      holdHours: t.days * 24,
      stages: t.turnings,
    }),
    write: (r) => ({
      floor: r.floorC,
      ceiling: r.ceilingC,
      days: r.holdHours / 24,
      turnings: r.stages,
    }),
  },
};
