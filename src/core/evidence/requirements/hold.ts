import { countText, durationText, spanText } from '../../quantity/format';
import type { Hold } from '../rule';
import { floorText, plain, strong, WHERE } from '../verdict-facts';
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
    const floor = roomy ? ` at ${at(r.floorC, unit)}` : '';
    return `${shortSpan(r.hours)}${part.consecutive ? '' : ' in all'}${turns ? `, ${turns} turns` : floor}`;
  },
  facts: () => ({ kind: 'hold' }),
  askedText: (v, locale) => [
    strong(spanText(v.requiredHours)),
    plain(` at ${floorText(v.floorC, locale)}`),
    plain(` ${WHERE[v.combine]}`),
    ...(v.turningsRequired
      ? [plain(' and '), strong(countText(v.turningsRequired, 'turning'))]
      : []),
  ],
  reachedText: (v, locale) =>
    `${durationText(v.creditedHours)} at ${floorText(v.floorC, locale)}${v.turningsCounted ? `, ${countText(v.turningsCounted, 'turning')}` : ''}`,
  form: {
    label: 'Time at heat',
    inputs: [
      { key: 'floor', label: 'At or above', unit: 'temperature' },
      { key: 'ceiling', label: 'Never above', unit: 'temperature', empty: 'no limit' },
      { key: 'days', label: 'For', unit: 'days' },
      { key: 'turnings', label: 'Full turnings in that time', unit: 'count' },
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
