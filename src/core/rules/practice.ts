import { COMMON_PRACTICE, type Rule } from '../evidence/rule';
import { ALL_METHODS, hold } from './shared';

export const PRACTICE_RULES: readonly Rule[] = [
  {
    id: 'practice-weed-seed-week',
    title: 'Weed seeds (common practice): 130 °F (54.4 °C) for a moist week',
    short: 'Weed-seed week',
    jurisdiction: COMMON_PRACTICE,
    document: 'Common practice of the trade: 130 °F for a week',
    fromMemory: false,
    methods: ALL_METHODS,
    clock: 'seeds',
    requirement: hold(54.4, 7, { moist: true }),
    conditions: [],
    caution: 'Most seeds, not all; a few hard-seeded species survive more.',
  },
];
