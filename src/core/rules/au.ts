import type { Rule } from '../evidence/rule';
import { hold } from './shared';

const AS4454 = { jurisdiction: 'Australia', document: 'AS 4454, Composts, soil conditioners and mulches', year: 2012, fromMemory: true, methods: ['turned'], clock: 'germs', conditions: [] } as const;

export const AU_RULES: readonly Rule[] = [
  { ...AS4454, id: 'au-4454-turned', title: 'Three days at 55 °C before each of three turnings', requirement: { kind: 'staged', floorC: 55, holdHours: 72, stages: 3 } },
  { ...AS4454, id: 'au-4454-turned-high-risk', title: 'Fifteen days at 55 °C, five turnings', requirement: hold(55, 15, { turnings: 5 }), caution: 'The variant for higher-risk feedstock.' },
];
