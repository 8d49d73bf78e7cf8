import type { AdviceWords } from '@/telling/status/advice';

/** A plot of the yard: what stands in a bay, how far it is, what to do. */
export type Plot = {
  readonly id: string;
  readonly name: string;
  readonly place: string;
  readonly volume: string;
  readonly foot: string;
  readonly head: string;
  readonly sub: string;
  /** Facts that the head states. */ readonly says: string | undefined;
  readonly advice: AdviceWords;
  /** Facts that the advice states. */ readonly adviceSays: string | undefined;
};
