import '@/messages/worker';
import { additionsTo, type Addition, type Carried } from '@/core/mix/additions';
import { inSteps, type InSteps } from '@/core/mix/in-steps';
import { solveMix, type SolvedMix } from '@/core/mix/solve';
import type { Offer, Target } from '@/core/mix/programme';
import type { Ingredient } from '@/core/mix/ingredient';
import { solveLinear } from './solver';

export type BenchTask = { readonly id: number } & (
  | {
      readonly do: 'solve';
      readonly offers: readonly Offer[];
      readonly target: Target;
      /** Kilograms of one step of each, by key. */ readonly steps: ReadonlyMap<string, number>;
    }
  | {
      readonly do: 'add';
      readonly parts: readonly Ingredient[];
      readonly waterL: number;
      readonly stock: readonly Carried[];
    }
);
export type BenchAnswer = { readonly id: number } & (
  | {
      readonly did: 'solve';
      readonly solved: SolvedMix | null;
      /** The same as people carry it. */ readonly inSteps: InSteps | null;
    }
  | { readonly did: 'add'; readonly additions: readonly Addition[] }
);

/** Mixes are tried and solved here, so that the bench answers to the hand meanwhile. */
self.onmessage = ({ data }: MessageEvent<BenchTask>) => {
  const answer = (): BenchAnswer => {
    if (data.do === 'add')
      return {
        id: data.id,
        did: 'add',
        additions: additionsTo(data.parts, data.waterL, data.stock),
      };
    const solved = solveMix(data.offers, data.target, solveLinear);
    return {
      id: data.id,
      did: 'solve',
      solved,
      inSteps: solved && inSteps(data.offers, solved, data.target, data.steps),
    };
  };
  self.postMessage(answer());
};
