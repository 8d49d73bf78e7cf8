import { say, sayMarked } from '../../../messages/say';
import { spanText } from '../../quantity/format';
import type { Staged } from '../rule';
import { floorText, WHERE } from '../verdict-facts';
import { b } from '../../../messages/marked';
import { CEILING_INPUT, FLOOR_INPUT } from './form-inputs';
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
    say('evidence.inRowBeforeEachFull', {
      holdHours: spanText(r.holdHours),
      floorC: rangeText(r.floorC, r.ceilingC, unit),
      stages: r.stages,
    }),
  barText: (r, { turns }) =>
    say('evidence.thenATurn', { turns, holdHours: shortSpan(r.holdHours) }),
  facts: (r) => ({ kind: 'staged', stageHours: r.holdHours }),
  askedText: (v, locale) =>
    sayMarked('evidence.stagesAsked', {
      hours: spanText(v.form.stageHours),
      floorC: floorText(v.floorC, locale),
      where: WHERE[v.combine],
      turnings: v.turningsRequired,
      b,
    }),
  reachedText: (v, locale) =>
    say('evidence.atBeforeEachTurningTurnings', {
      stageHours: spanText(v.form.stageHours),
      floorC: floorText(v.floorC, locale),
      turningsCounted: v.turningsCounted,
    }),
  turnsOwed: (v, turns, timeMissing) => {
    const now = timeMissing ? 'then' : 'now';
    const hours = spanText(v.form.stageHours);
    return turns > 1
      ? sayMarked('evidence.stagesOwed', { now, hours, more: turns - 1, b })
      : sayMarked('evidence.stageOwed', { now, b });
  },
  form: {
    get label() {
      return say('evidence.timeBeforeEachTurning');
    },
    inputs: [
      FLOOR_INPUT,
      CEILING_INPUT,
      {
        key: 'days',
        get label() {
          return say('evidence.timeBeforeEachTurning');
        },
        unit: 'days',
      },
      {
        key: 'turnings',
        get label() {
          return say('evidence.fullTurns');
        },
        unit: 'count',
      },
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
