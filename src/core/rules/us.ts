import { fahrenheitToCelsius } from '../quantity/units';
import type { Rule } from '../evidence/rule';
import { ALL_METHODS, CLOSED_OR_STATIC, hold } from './shared';

const PART_503 = '40 CFR Part 503, Standards for the Use or Disposal of Sewage Sludge';
const ORGANIC = '7 CFR Part 205, National Organic Program';
const PRODUCE = '21 CFR Part 112, Standards for Growing, Harvesting, Packing and Holding of Produce';
const CN = 'Initial C:N between 25:1 and 40:1';
const CURING = 'Followed by adequate curing';

/** 170 °F converted, not rounded: 76.67 °C. */
const CEILING_170F = fahrenheitToCelsius(170);

export const US_RULES: readonly Rule[] = [
  {
    id: 'us-503-pfrp-turned', title: 'Fifteen days at 55 °C, five turnings', jurisdiction: 'United States',
    document: PART_503, section: 'Appendix B (B)(1), windrow', year: 1993, fromMemory: true, methods: ['turned'], clock: 'germs',
    requirement: hold(55, 15, { turnings: 5 }), conditions: [],
  },
  {
    id: 'us-503-pfrp-static', title: 'Three days at 55 °C', jurisdiction: 'United States',
    document: PART_503, section: 'Appendix B (B)(1), within-vessel or static aerated', year: 1993, fromMemory: true,
    methods: CLOSED_OR_STATIC, clock: 'germs', requirement: hold(55, 3), conditions: ['An insulating cover on a static aerated heap'],
  },
  {
    id: 'us-503-psrp', title: 'Five days at 40 °C, four hours of them above 55 °C', jurisdiction: 'United States',
    document: PART_503, section: 'Appendix B (A)(4)', year: 1993, fromMemory: true, methods: ALL_METHODS, clock: 'germs',
    requirement: { kind: 'within', outer: hold(40, 5), inner: { kind: 'hold', floorC: 55, hours: 4, consecutive: false, turnings: 0 } },
    conditions: [], caution: 'A significant, not a further reduction: restrictions on use remain.',
  },
  {
    id: 'us-503-var', title: 'Fourteen days above 40 °C, mean above 45 °C', jurisdiction: 'United States',
    document: PART_503, section: '503.33(b)(5)', year: 1993, fromMemory: true, methods: ALL_METHODS, clock: 'germs',
    requirement: { kind: 'meanAbove', floorC: 40, hours: 14 * 24, meanC: 45 }, conditions: [],
    caution: 'Speaks of attraction to flies and rats, not of germs.',
  },
  {
    id: 'us-organic-turned', title: 'Fifteen days at 131 to 170 °F, five turnings', jurisdiction: 'United States',
    document: ORGANIC, section: '205.203(c)(2)', year: 2000, fromMemory: true, methods: ['turned'], clock: 'germs',
    requirement: hold(55, 15, { ceilingC: CEILING_170F, turnings: 5 }), conditions: [CN],
  },
  {
    id: 'us-organic-static', title: 'Three days at 131 to 170 °F', jurisdiction: 'United States',
    document: ORGANIC, section: '205.203(c)(2)', year: 2000, fromMemory: true, methods: CLOSED_OR_STATIC, clock: 'germs',
    requirement: hold(55, 3, { ceilingC: CEILING_170F }), conditions: [CN],
  },
  {
    id: 'us-produce-turned', title: 'Fifteen days at 131 °F in all, five turnings', jurisdiction: 'United States',
    document: PRODUCE, section: '112.54(b)', year: 2015, fromMemory: true, methods: ['turned'], clock: 'germs',
    requirement: hold(55, 15, { consecutive: false, turnings: 5 }), conditions: [CURING],
  },
  {
    id: 'us-produce-static', title: 'Three days at 131 °F in a row', jurisdiction: 'United States',
    document: PRODUCE, section: '112.54(b)', year: 2015, fromMemory: true, methods: CLOSED_OR_STATIC, clock: 'germs',
    requirement: hold(55, 3), conditions: [CURING],
  },
];
