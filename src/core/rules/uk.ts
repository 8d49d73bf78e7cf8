import type { Rule } from '../evidence/rule';
import { ALL_METHODS, hold } from './shared';

export const UK_RULES: readonly Rule[] = [
  {
    id: 'uk-pas100-default', title: 'Seven days at 65 °C in all, two turnings', jurisdiction: 'United Kingdom',
    document: 'BSI PAS 100, Specification for composted materials', section: 'default sanitization', year: 2018, fromMemory: true,
    methods: ALL_METHODS, clock: 'germs', requirement: hold(65, 7, { consecutive: false, turnings: 2 }),
    conditions: ['A site’s own limits from its hazard analysis replace it'],
  },
];
