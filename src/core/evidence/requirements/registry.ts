import type { Leaf } from '../rule';
import type { RequirementDescription } from './description';
import { hold } from './hold';
import { meanAbove } from './mean-above';
import { staged } from './staged';
import { within } from './within';

/**
 * The one registry of what a rule may ask for. A new kind is a file beside this one, its type in `rule.ts` and a line here:
 * parser, published schema, evaluation, texts and form come from it.
 */
export const REQUIREMENT_REGISTRY: {
  readonly [K in Leaf['kind']]: RequirementDescription<Extract<Leaf, { readonly kind: K }>>;
} = { hold, staged, within, meanAbove };
