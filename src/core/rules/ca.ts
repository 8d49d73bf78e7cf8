import type { Rule } from '../evidence/rule';
import { hold } from './shared';

const CCME = {
  jurisdiction: 'Canada',
  document: 'CCME Guidelines for Compost Quality',
  year: 2005,
  fromMemory: true,
  clock: 'germs',
} as const;
const IN_A_ROW = 'Treated as consecutive days here';

export const CA_RULES: readonly Rule[] = [
  {
    ...CCME,
    id: 'ca-ccme-2005-turned',
    title: 'CCME compost, windrow (2005): 55 °C for 15 days, 5 turnings',
    short: 'CCME windrow',
    methods: ['turned'],
    requirement: hold(55, 15, { turnings: 5 }),
    conditions: [IN_A_ROW],
  },
  {
    ...CCME,
    id: 'ca-ccme-2005-static',
    title: 'CCME compost, aerated static pile (2005): 55 °C for 3 days under a cover',
    short: 'CCME aerated static',
    needsAir: true,
    methods: ['static'],
    requirement: hold(55, 3),
    conditions: [IN_A_ROW, 'Under an insulating cover'],
  },
  {
    ...CCME,
    id: 'ca-ccme-2005-vessel',
    title: 'CCME compost, in-vessel (2005): 55 °C for 3 days',
    short: 'CCME in-vessel',
    methods: ['vessel'],
    requirement: hold(55, 3),
    conditions: [IN_A_ROW],
  },
];
