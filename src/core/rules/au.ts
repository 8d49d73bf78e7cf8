import type { Rule } from '../evidence/rule';
import { hold } from './shared';

const AS4454 = {
  jurisdiction: 'Australia',
  document: 'AS 4454, Composts, soil conditioners and mulches',
  year: 2012,
  fromMemory: true,
  methods: ['turned'],
  clock: 'germs',
  conditions: [],
} as const;

export const AU_RULES: readonly Rule[] = [
  {
    ...AS4454,
    id: 'au-4454-turned',
    title: 'AS 4454, turned windrow: 55 °C for 3 days before each of 3 turnings',
    short: 'AS 4454 windrow',
    requirement: { kind: 'staged', floorC: 55, holdHours: 72, stages: 3 },
  },
  {
    ...AS4454,
    id: 'au-4454-turned-high-risk',
    title: 'AS 4454, turned windrow, higher-risk feedstock: 55 °C for 15 days, 5 turnings',
    short: 'AS 4454 higher risk',
    requirement: hold(55, 15, { turnings: 5 }),
    caution: 'The variant for higher-risk feedstock.',
  },
];
