import { say, sayMarked } from '../../../messages/say';
import { durationText, spanText } from '../../quantity/format';
import type { Hold } from '../rule';
import { floorText, WHERE } from '../verdict-facts';
import { b } from '../../../messages/marked';
import { CEILING_INPUT, FLOOR_INPUT } from './form-inputs';
import type { RequirementDescription } from './description';
import { createHoldEvaluator } from './hold-evaluator';
import { at, holdText, shortSpan } from './text';

export const holdRequirement: RequirementDescription<Hold> = {
  fields: {
    floorC: 'celsius',
    ceilingC: 'optional-celsius',
    hours: 'positive-hours',
    consecutive: 'yes-no',
    turnings: 'count',
    moist: 'optional-yes-no',
  },
  createEvaluator: (r, context) => createHoldEvaluator(r, context),
  holds: (r) => [r],
  ranges: (r) => [r],
  findSlip: () => null,
  asksTurnings: (r) => r.turnings > 0,
  turningsEndStages: false,
  waitsBeyondHours: false,
  losesBrokenRuns: (r) => r.consecutive,
  reportsOneRun: false,
  text: holdText,
  barText: (r, { part, turns, unit, roomy }) => {
    const floor = roomy ? say('evidence.at', { floorC: at(r.floorC, unit) }) : '';
    return `${shortSpan(r.hours)}${part.consecutive ? '' : say('evidence.inAll')}${turns ? say('evidence.turns', { turns }) : floor}`;
  },
  facts: () => ({ kind: 'hold' }),
  askedText: (v, locale) => {
    const [hours, floorC, where] = [
      spanText(v.requiredHours),
      floorText(v.floorC, locale),
      WHERE[v.combine],
    ];
    const turnings = v.turningsRequired;
    return turnings > 0
      ? sayMarked('evidence.holdTurnsAsked', { hours, floorC, where, turnings, b })
      : sayMarked('evidence.holdAsked', { hours, floorC, where, b });
  },
  reachedText: (v, locale) =>
    v.turningsCounted
      ? say('evidence.atTurningTurnings', {
          creditedHours: durationText(v.creditedHours),
          floorC: floorText(v.floorC, locale),
          turningsCounted: v.turningsCounted,
        })
      : say('evidence.at2', {
          creditedHours: durationText(v.creditedHours),
          floorC: floorText(v.floorC, locale),
        }),
  form: {
    get label() {
      return say('evidence.hotTime');
    },
    inputs: [
      FLOOR_INPUT,
      CEILING_INPUT,
      {
        key: 'days',
        get label() {
          return say('evidence.for');
        },
        unit: 'days',
      },
      {
        key: 'turnings',
        get label() {
          return say('evidence.fullTurnsInTime');
        },
        unit: 'count',
      },
    ],
    asksInARow: true,
    asksMoist: true,
    minTurnings: 0,
    read: (t) => ({
      kind: 'hold',
      floorC: t.floor,
      ...(t.ceiling === undefined ? {} : { ceilingC: t.ceiling }),
      hours: t.days * 24,
      consecutive: t.inARow,
      turnings: t.turnings,
      ...(t.moist ? { moist: true } : {}),
    }),
    write: (r) => ({
      floor: r.floorC,
      ceiling: r.ceilingC,
      days: r.hours / 24,
      turnings: r.turnings,
      inARow: r.consecutive,
      moist: r.moist === true,
    }),
  },
};
