import { additionsTo, solveMix, type Addition, type Carried, type Offer, type Solved, type Target } from '@/core/mix/solve';
import type { Ingredient } from '@/core/mix/ingredient';
import { solveLinear } from './solver';

export type BenchTask = { readonly id: number } & (
  | { readonly do: 'solve'; readonly offers: readonly Offer[]; readonly target: Target }
  | { readonly do: 'add'; readonly parts: readonly Ingredient[]; readonly waterL: number; readonly stock: readonly Carried[] });
export type BenchAnswer = { readonly id: number } & ({ readonly did: 'solve'; readonly solved: Solved | null } | { readonly did: 'add'; readonly additions: readonly Addition[] });

/** Mixes are tried and solved here, so that the bench answers to the hand meanwhile. */
self.onmessage = ({ data }: MessageEvent<BenchTask>) => {
  self.postMessage((data.do === 'solve' ? { id: data.id, did: 'solve', solved: solveMix(data.offers, data.target, solveLinear) } : { id: data.id, did: 'add', additions: additionsTo(data.parts, data.waterL, data.stock) }) satisfies BenchAnswer);
};
