import { say } from '../../messages/say';

/** What is wrong with a site file, in sentences. */
export const FLOW_PROBLEM = {
  negative: () => say('flow.negative'),
  noEnds: () => say('flow.noEnds'),
  toItself: () => say('flow.toItself'),
  noLot: (lot: string) => say('flow.noLot', { lot }),
  twoLevels: (lot: string) => say('flow.twoLevels', { lot }),
} as const;
