import type { Leaf } from '../rule';
import type { RequirementDescription } from './description';
import { holdRequirement } from './hold';
import { meanAboveRequirement } from './mean-above';
import { stagedRequirement } from './staged';
import { withinRequirement } from './within';

/**
 * The one registry of what a rule may ask for. A new kind is a file beside this one, its type in `rule.ts` and a line here:
 * parser, published schema, evaluation, texts and form come from it.
 */
export const REQUIREMENT_REGISTRY: {
  readonly [K in Leaf['kind']]: RequirementDescription<Extract<Leaf, { readonly kind: K }>>;
} = {
  hold: holdRequirement,
  staged: stagedRequirement,
  within: withinRequirement,
  meanAbove: meanAboveRequirement,
};
