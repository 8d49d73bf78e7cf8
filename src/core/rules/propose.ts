import type { Rule } from '../evidence/rule';
import type { Method } from '../evidence/types';
import type { INPUTS } from '../log/entry';
import { RULE_LIBRARY } from './library';

export type Input = (typeof INPUTS)[number];

/** Rules that speak of treated sewage sludge first of all; others borrow their figures. */
const SLUDGE_ONLY = new Set(['us-503-psrp', 'us-503-var']);
const HIGHER_RISK: readonly Input[] = ['manure', 'food-waste', 'biosolids', 'diseased-plants'];
const GERMS: readonly Input[] = ['manure', 'food-waste', 'biosolids', 'diseased-plants', 'garden'];

const WHY: Record<Input, string> = {
  'manure': 'raw dung is in it', 'seeding-weeds': 'seeding weeds or late hay are in it', 'food-waste': 'food waste is in it',
  'biosolids': 'sewage sludge is in it', 'diseased-plants': 'diseased plants are in it', 'garden': 'plant waste may carry germs too',
};

function asksFor(rule: Rule, inputs: readonly Input[]): Input | undefined {
  if (rule.clock === 'seeds') return inputs.find((i) => i === 'seeding-weeds');
  if (SLUDGE_ONLY.has(rule.id)) return inputs.find((i) => i === 'biosolids');
  if (rule.id === 'au-4454-turned-high-risk') return inputs.find((i) => HIGHER_RISK.includes(i));
  return inputs.find((i) => GERMS.includes(i));
}

/**
 * Rules to propose for a heap: of those the site works to (all, where it has not chosen) the ones of its method
 * that its inputs ask for, each with the reason. A proposal only: what must be met, the local authority says.
 */
export function proposedRules(method: Method, inputs: readonly Input[], siteRules: readonly string[], own: readonly Rule[] = []): { id: string; why: string }[] {
  return [...RULE_LIBRARY, ...own].filter((r) => r.methods.includes(method) && (siteRules.length === 0 || siteRules.includes(r.id))).flatMap((rule) => {
    const input = asksFor(rule, inputs);
    return input ? [{ id: rule.id, why: WHY[input] }] : [];
  });
}
