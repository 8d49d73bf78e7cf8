import { spanText } from '../../quantity/format';
import type { Within } from '../rule';
import { floorText, plain, strong, WHERE } from '../verdict-facts';
import type { RequirementDescription } from './description';
import { holdText, rangeText, shortSpan } from './text';
import { createWithinEvaluator } from './within-evaluator';

export const withinRequirement: RequirementDescription<Within> = {
  fields: { outer: 'plain-hold', inner: 'plain-hold' },
  createEvaluator: createWithinEvaluator,
  holds: (r) => [r.outer, r.inner],
  ranges: (r) => [r.outer, r.inner],
  findSlip: (r) => (r.inner.hours > r.outer.hours ? { code: 'inner-longer' } : null),
  asksTurnings: () => false,
  turningsEndStages: false,
  waitsBeyondHours: false,
  losesBrokenRuns: () => true,
  reportsOneRun: true,
  text: (r, unit) =>
    `${holdText({ ...r.outer, consecutive: true }, unit)}, and inside that time ${spanText(r.inner.hours)} in all ${rangeText(r.inner.floorC, r.inner.ceilingC, unit)}`,
  barText: (r) => `${shortSpan(r.outer.hours)} with ${shortSpan(r.inner.hours)} inside`,
  facts: (r) => ({
    kind: 'within',
    outerHours: r.outer.hours,
    outerFloorC: r.outer.floorC,
    innerHours: r.inner.hours,
    innerFloorC: r.inner.floorC,
  }),
  askedText: (v, locale) => [
    strong(spanText(v.form.outerHours)),
    plain(` at ${floorText(v.form.outerFloorC, locale)}`),
    plain(' and '),
    strong(spanText(v.form.innerHours)),
    plain(` at ${floorText(v.form.innerFloorC, locale)}`),
    plain(` inside them, ${WHERE[v.combine]}`),
  ],
  reachedText: (v, locale) =>
    `${spanText(v.form.outerHours)} at ${floorText(v.form.outerFloorC, locale)} with ${spanText(v.form.innerHours)} at ${floorText(v.form.innerFloorC, locale)} inside them`,
  insideText: (v, locale) =>
    v.floorC === v.form.innerFloorC
      ? ` inside the ${spanText(v.form.outerHours)} at ${floorText(v.form.outerFloorC, locale)}`
      : '',
  form: {
    label: 'A hotter time inside',
    inputs: [
      { key: 'floor', label: 'At or above', unit: 'temperature' },
      { key: 'ceiling', label: 'Never above', unit: 'temperature', empty: 'no limit' },
      { key: 'days', label: 'For, in a row', unit: 'days' },
      { key: 'innerFloor', label: 'Inside it, at or above', unit: 'temperature' },
      { key: 'innerHours', label: 'for, in all', unit: 'hours' },
    ],
    asksMoist: true,
    minTurnings: 0,
    read: (t) => ({
      kind: 'within',
      outer: {
        kind: 'hold',
        floorC: t.floor,
        ...(t.ceiling === undefined ? {} : { ceilingC: t.ceiling }),
        hours: t.days * 24,
        consecutive: true,
        turnings: 0,
        ...(t.moist ? { moist: true } : {}),
      },
      inner: {
        kind: 'hold',
        floorC: t.innerFloor,
        hours: t.innerHours,
        consecutive: false,
        turnings: 0,
        ...(t.moist ? { moist: true } : {}),
      },
    }),
    write: (r) => ({
      floor: r.outer.floorC,
      ceiling: r.outer.ceilingC,
      days: r.outer.hours / 24,
      innerFloor: r.inner.floorC,
      innerHours: r.inner.hours,
      moist: r.outer.moist === true || r.inner.moist === true,
    }),
  },
};
