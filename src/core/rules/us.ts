import { fahrenheitToCelsius } from '../quantity/units';
import type { Rule } from '../evidence/rule';
import { ALL_METHODS, CLOSED_OR_STATIC, hold } from './shared';

const PART_503 = '40 CFR Part 503, Standards for the Use or Disposal of Sewage Sludge';
const ORGANIC = '7 CFR Part 205, National Organic Program';
const PRODUCE = '21 CFR Part 112, Standards for Growing, Harvesting, Packing and Holding of Produce';
/** 7 CFR 205.203(c)(2)(i), from memory. */
const ORGANIC_CN = { low: 25, high: 40 };
const CURING = 'Followed by adequate curing';

/** 170 °F converted, not rounded: 76.67 °C. */
const CEILING_170F = fahrenheitToCelsius(170);

export const US_RULES: readonly Rule[] = [
  {
    id: 'us-503-pfrp-turned', title: 'PFRP, turned windrow (40 CFR 503): 55 °C for 15 days, 5 turnings', short: 'PFRP windrow', jurisdiction: 'United States',
    document: PART_503, section: 'Appendix B (B)(1), windrow', year: 1993, fromMemory: true, methods: ['turned'], clock: 'germs',
    requirement: hold(55, 15, { turnings: 5 }), conditions: [],
  },
  {
    id: 'us-503-pfrp-static', title: 'PFRP, in-vessel or aerated static pile (40 CFR 503): 55 °C for 3 days', short: 'PFRP in-vessel or aerated static', needsAir: true, jurisdiction: 'United States',
    document: PART_503, section: 'Appendix B (B)(1), within-vessel or static aerated', year: 1993, fromMemory: true,
    methods: CLOSED_OR_STATIC, clock: 'germs', requirement: hold(55, 3), conditions: ['An insulating cover on a static aerated heap'],
  },
  {
    id: 'us-503-psrp', title: 'PSRP, composting (40 CFR 503): 40 °C for 5 days, 4 hours of them above 55 °C', short: 'PSRP composting', jurisdiction: 'United States',
    document: PART_503, section: 'Appendix B (A)(4)', year: 1993, fromMemory: true, methods: ALL_METHODS, clock: 'germs',
    requirement: { kind: 'within', outer: hold(40, 5), inner: { kind: 'hold', floorC: 55, hours: 4, consecutive: false, turnings: 0 } },
    conditions: [], caution: 'A significant, not a further reduction: restrictions on use remain.',
  },
  {
    id: 'us-503-var', title: 'Vector attraction reduction (40 CFR 503): 14 days above 40 °C, mean above 45 °C', short: 'Vector attraction reduction', jurisdiction: 'United States',
    document: PART_503, section: '503.33(b)(5)', year: 1993, fromMemory: true, methods: ALL_METHODS, clock: 'germs',
    requirement: { kind: 'meanAbove', floorC: 40, hours: 14 * 24, meanC: 45 }, conditions: [],
    caution: 'Speaks of attraction to flies and rats, not of germs.',
  },
  {
    id: 'us-organic-turned', title: 'Organic, turned windrow (7 CFR 205): 131 to 170 °F for 15 days, 5 turnings', short: 'Organic windrow', jurisdiction: 'United States',
    document: ORGANIC, section: '205.203(c)(2)', year: 2000, fromMemory: true, methods: ['turned'], clock: 'germs',
    requirement: hold(55, 15, { ceilingC: CEILING_170F, turnings: 5 }), initialCn: ORGANIC_CN, conditions: [],
  },
  {
    id: 'us-organic-static', title: 'Organic, in-vessel or aerated static pile (7 CFR 205): 131 to 170 °F for 3 days', short: 'Organic in-vessel or aerated static', needsAir: true, jurisdiction: 'United States',
    document: ORGANIC, section: '205.203(c)(2)', year: 2000, fromMemory: true, methods: CLOSED_OR_STATIC, clock: 'germs',
    requirement: hold(55, 3, { ceilingC: CEILING_170F }), initialCn: ORGANIC_CN, conditions: [],
  },
  {
    id: 'us-produce-turned', title: 'Produce safety, turned (21 CFR 112): 131 °F for 15 days in all, 5 turnings', short: 'Produce safety, turned', jurisdiction: 'United States',
    document: PRODUCE, section: '112.54(b)', year: 2015, fromMemory: true, methods: ['turned'], clock: 'germs',
    requirement: hold(55, 15, { consecutive: false, turnings: 5 }), conditions: [CURING],
  },
  {
    id: 'us-produce-static', title: 'Produce safety, aerated static (21 CFR 112): 131 °F for 3 days in a row', short: 'Produce safety, aerated static', needsAir: true, jurisdiction: 'United States',
    document: PRODUCE, section: '112.54(b)', year: 2015, fromMemory: true, methods: CLOSED_OR_STATIC, clock: 'germs',
    requirement: hold(55, 3), conditions: [CURING],
  },
];
