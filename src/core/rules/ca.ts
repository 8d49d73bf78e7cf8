import type { Rule } from '../evidence/rule';
import { hold } from './shared';

const CCME = { jurisdiction: 'Canada', document: 'CCME Guidelines for Compost Quality', year: 2005, fromMemory: true, clock: 'germs' } as const;
const IN_A_ROW = 'Treated as consecutive days here';

export const CA_RULES: readonly Rule[] = [
  { ...CCME, id: 'ca-ccme-2005-turned', title: 'Fifteen days at 55 °C, five turnings', methods: ['turned'], requirement: hold(55, 15, { turnings: 5 }), conditions: [IN_A_ROW] },
  { ...CCME, id: 'ca-ccme-2005-static', title: 'Three days at 55 °C under a cover', methods: ['static'], requirement: hold(55, 3), conditions: [IN_A_ROW, 'Under an insulating cover'] },
  { ...CCME, id: 'ca-ccme-2005-vessel', title: 'Three days at 55 °C in a vessel', methods: ['vessel'], requirement: hold(55, 3), conditions: [IN_A_ROW] },
];
