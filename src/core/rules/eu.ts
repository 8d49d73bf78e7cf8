import type { Rule } from '../evidence/rule';
import { ALL_METHODS, hold } from './shared';

export const EU_RULES: readonly Rule[] = [
  {
    id: 'eu-2019-1009-cmc3',
    title:
      'EU fertilising products, compost CMC 3 (2019/1009): 70 °C for 3 days, 65 °C for 5, 60 °C for 7 or 55 °C for 14',
    short: 'EU compost CMC 3',
    jurisdiction: 'European Union',
    document: 'Regulation (EU) 2019/1009',
    section: 'Annex II, CMC 3',
    year: 2019,
    fromMemory: true,
    methods: ALL_METHODS,
    clock: 'germs',
    requirement: { kind: 'anyOf', of: [hold(70, 3), hold(65, 5), hold(60, 7), hold(55, 14)] },
    conditions: ['Treated as consecutive days here'],
  },
];
