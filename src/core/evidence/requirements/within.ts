import { say, sayMarked } from '../../../messages/say';
import { spanText } from '../../quantity/format';
import type { Within } from '../rule';
import { floorText, WHERE } from '../verdict-facts';
import { b } from '../../../messages/marked';
import { CEILING_INPUT, FLOOR_INPUT } from './form-inputs';
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
    say('evidence.andWithinTimeInAll', {
      hold: holdText({ ...r.outer, consecutive: true }, unit),
      hours: spanText(r.inner.hours),
      floorC: rangeText(r.inner.floorC, r.inner.ceilingC, unit),
    }),
  barText: (r) =>
    say('evidence.withInside', {
      hours: shortSpan(r.outer.hours),
      hours2: shortSpan(r.inner.hours),
    }),
  facts: (r) => ({
    kind: 'within',
    outerHours: r.outer.hours,
    outerFloorC: r.outer.floorC,
    innerHours: r.inner.hours,
    innerFloorC: r.inner.floorC,
  }),
  askedText: (v, locale) =>
    sayMarked('evidence.withinAsked', {
      outerHours: spanText(v.form.outerHours),
      outerFloorC: floorText(v.form.outerFloorC, locale),
      innerHours: spanText(v.form.innerHours),
      innerFloorC: floorText(v.form.innerFloorC, locale),
      where: WHERE[v.combine],
      b,
    }),
  reachedText: (v, locale) =>
    say('evidence.atWithAtWithinThem', {
      outerHours: spanText(v.form.outerHours),
      outerFloorC: floorText(v.form.outerFloorC, locale),
      innerHours: spanText(v.form.innerHours),
      innerFloorC: floorText(v.form.innerFloorC, locale),
    }),
  insideText: (v, locale) =>
    v.floorC === v.form.innerFloorC
      ? say('evidence.withinTheAt', {
          outerHours: spanText(v.form.outerHours),
          outerFloorC: floorText(v.form.outerFloorC, locale),
        })
      : '',
  form: {
    get label() {
      return say('evidence.aHotterTimeWithin');
    },
    inputs: [
      FLOOR_INPUT,
      CEILING_INPUT,
      {
        key: 'days',
        get label() {
          return say('evidence.forInARow');
        },
        unit: 'days',
      },
      {
        key: 'innerFloor',
        get label() {
          return say('evidence.withinAtOrAbove');
        },
        unit: 'temperature',
      },
      {
        key: 'innerHours',
        get label() {
          return say('evidence.forInAll');
        },
        unit: 'hours',
      },
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
