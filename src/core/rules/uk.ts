import type { Rule } from '../evidence/rule';
import { ALL_METHODS, hold } from './shared';

export const UK_RULES: readonly Rule[] = [
  {
    id: 'uk-pas100-default',
    title: 'PAS 100 default: 65 °C for 7 days in all, 2 turnings',
    short: 'PAS 100 default',
    jurisdiction: 'United Kingdom',
    document: 'BSI PAS 100, Specification for composted materials',
    section: 'default sanitization',
    year: 2018,
    fromMemory: true,
    methods: ALL_METHODS,
    clock: 'germs',
    requirement: hold(65, 7, { consecutive: false, turnings: 2 }),
    conditions: ['A site’s own limits from its hazard analysis replace it'],
  },
];
