import type { CureDoubt } from '../log/lot-shapes';
import type { BatchStatus } from './batch-status';

/** Why a batch should not be moved to cure now, the gravest first: it was too hot when last read, its main rule is not met. */
export const cureDoubtsOf = ({
  danger,
  main,
}: Pick<BatchStatus, 'danger' | 'main'>): CureDoubt[] => [
  ...(danger.level === 'fire' || danger.level === 'high' ? (['danger'] as const) : []),
  ...(main !== null && main.facts.provenAt === null ? (['unproven'] as const) : []),
];
