import { say } from '../../messages/say';
import { getRequirementDescription } from '../evidence/requirements';
import { COMMON_PRACTICE, leavesOf, type Rule } from '../evidence/rule';
import type { Method } from '../evidence/types';
import type { INPUTS } from '../log/entry';
import type { Country } from '../log/kinds/vocabulary';
import { RULE_LIBRARY } from './library';

export type Input = (typeof INPUTS)[number];

/** Rules written for treated sewage sludge; others borrow their figures. */
const SLUDGE_ONLY = new Set([
  'us-503-pfrp-turned',
  'us-503-pfrp-static',
  'us-503-psrp',
  'us-503-var',
]);
const HIGHER_RISK: readonly Input[] = ['manure', 'food-waste', 'biosolids', 'diseased-plants'];
const GERMS: readonly Input[] = ['manure', 'food-waste', 'biosolids', 'diseased-plants', 'garden'];
/** What carries germs that people fall ill from: raw dung, food, sludge. */
const RAW: readonly Input[] = ['manure', 'food-waste', 'biosolids'];

const WHY: Record<Input, string> = {
  get manure() {
    return say('rules.rawManureIn');
  },
  get 'seeding-weeds'() {
    return say('rules.seedingWeedsOrLateHay');
  },
  get 'food-waste'() {
    return say('rules.foodWasteIn');
  },
  get biosolids() {
    return say('rules.sewageSludgeIn');
  },
  get 'diseased-plants'() {
    return say('rules.diseasedPlantsIn');
  },
  get garden() {
    return say('rules.plantWasteMayCarryPathogens');
  },
};

/** Whether a rule allows all that goes in. */
export const allowsInputs = (
  { excludes = [] }: Pick<Rule, 'excludes'>,
  inputs: readonly Input[],
): boolean => !inputs.some((i) => excludes.includes(i));
/** Whether a rule speaks of pathogens: of the rules on their clock one speaks of what draws flies and rats. */
const speaksOfPathogens = ({ clock, onlyVectors }: Pick<Rule, 'clock' | 'onlyVectors'>): boolean =>
  clock === 'germs' && onlyVectors !== true;

function asksFor(rule: Rule, inputs: readonly Input[]): Input | undefined {
  if (!allowsInputs(rule, inputs)) return undefined;
  if (rule.clock === 'seeds') return inputs.find((i) => i === 'seeding-weeds');
  if (SLUDGE_ONLY.has(rule.id)) return inputs.find((i) => i === 'biosolids');
  if (rule.id === 'au-4454-turned-high-risk') return inputs.find((i) => HIGHER_RISK.includes(i));
  // The lighter of the two Australian rules is not for what asks for the stricter one.
  if (rule.id === 'au-4454-turned' && inputs.some((i) => HIGHER_RISK.includes(i))) return undefined;
  return inputs.find((i) => GERMS.includes(i));
}

/** The way that a heap is kept, as far as it decides which rules are written for it. */
export type Keeping = {
  readonly method: Method;
  /** Air is blown or drawn through it. */ readonly aerated: boolean;
  /** It makes no claim of any kill. */ readonly noClaim: boolean;
};

/** The condition of a rule that is written for piles with air, to be confirmed by a person. */
const AIR_CONDITION = 'Air is blown or drawn through the pile';
/** What a rule asks for beside temperatures, for a person to confirm. */
export const conditionsOf = (
  { needsAir, conditions }: Pick<Rule, 'needsAir' | 'conditions'>,
  method: Method,
): string[] => [...(needsAir && method === 'static' ? [AIR_CONDITION] : []), ...conditions];

/**
 * How a heap counts as kept with what goes into it: sewage sludge in a static pile is treated under the rule for aerated piles
 * or under none, so that rule is offered and its air is asked about.
 */
export const keepingWith = (keeping: Keeping, inputs: readonly Input[]): Keeping =>
  keeping.method === 'static' && inputs.includes('biosolids') && !keeping.noClaim
    ? { ...keeping, aerated: true }
    : keeping;

/** How a heap is kept, as far as rules ask about it. */
export const keepingOf = (
  method: Method,
  template: {
    readonly aerated?: boolean | undefined;
    readonly noClaim?: boolean | undefined;
  } | null,
): Keeping => ({
  method,
  aerated: template?.aerated ?? method === 'vessel',
  noClaim: template?.noClaim ?? false,
});

/** Whether a rule is written for a heap that is kept so: one for aerated piles is not offered to a pile without air. */
export const fitsBatch = (
  rule: Pick<Rule, 'methods' | 'needsAir'>,
  { method, aerated }: Keeping,
): boolean => rule.methods.includes(method) && (!rule.needsAir || method === 'vessel' || aerated);

/** What decides which rules are proposed. @param siteRules those the site works to; empty: it has not chosen */
export type Asked = {
  readonly keeping: Keeping;
  readonly inputs: readonly Input[];
  readonly siteRules: readonly string[];
  /** Whose rules; null: of no country that the library has. */ readonly country: Country | null;
  readonly own?: readonly Rule[];
};

/** A rule to propose: what asks for it, and whose rule it is. */
export type Proposal = { readonly id: string; readonly input: string; readonly from: string };

/**
 * Rules to propose for a heap, each with the reason: of those the site works to, or, where it has not chosen, of the rules of
 * its country and of common practice, the ones that are written for how it is kept and that its inputs ask
 * for. A proposal only: what must be met, the local authority says.
 */
export function proposedRules({
  keeping,
  inputs,
  siteRules,
  country,
  own = [],
}: Asked): Proposal[] {
  if (keeping.noClaim) return [];
  return [...RULE_LIBRARY, ...own]
    .filter((r) => fitsBatch(r, keepingWith(keeping, inputs)))
    .flatMap((rule) => {
      const ours =
        siteRules.length > 0
          ? siteRules.includes(rule.id)
          : rule.jurisdiction === country || rule.jurisdiction === COMMON_PRACTICE;
      const input = ours ? asksFor(rule, inputs) : undefined;
      if (!input) return [];
      const from =
        siteRules.length > 0
          ? say('rules.theSiteWorks')
          : rule.jurisdiction === country
            ? say('rules.ofCountry', { country })
            : COMMON_PRACTICE;
      return [{ id: rule.id, input: WHY[input], from }];
    });
}

/** Why a germ rule is missing from those chosen, with the rules that would cover what goes in; null: none is missing. */
export type MissingGermRule = {
  readonly why: string;
  readonly cover: readonly { readonly id: string; readonly title: string }[];
};

/** A rule on germs that raw inputs ask for and that was not chosen; null: one was, or none is asked for. */
export function missingGermRule(
  { keeping, inputs, country, own = [] }: Omit<Asked, 'siteRules'>,
  chosen: readonly string[],
): MissingGermRule | null {
  const input = inputs.find((i) => RAW.includes(i));
  if (keeping.noClaim || !input) return null;
  const all = [...RULE_LIBRARY, ...own];
  // One that asks for turnings is no help to a heap that is not turned.
  const turnsEnough = (r: Rule): boolean =>
    keeping.method !== 'static' ||
    leavesOf(r.requirement).some(
      (leaf) => !getRequirementDescription(leaf.kind).asksTurnings(leaf),
    );
  const covers = (r: Rule): boolean =>
    speaksOfPathogens(r) &&
    fitsBatch(r, keepingWith(keeping, inputs)) &&
    turnsEnough(r) &&
    asksFor(r, inputs) !== undefined;
  if (all.some((r) => chosen.includes(r.id) && speaksOfPathogens(r) && allowsInputs(r, inputs)))
    return null;
  const cover = all.filter(covers);
  const near = cover.filter((r) => r.jurisdiction === country || own.includes(r));
  return {
    why: WHY[input],
    cover: (near.length > 0 ? near : cover).slice(0, 4).map(({ id, title }) => ({ id, title })),
  };
}

/** Rules in the order of those somebody works to, so that the one they let lead comes first; others follow as they were. */
export function orderedLike(ids: readonly string[], order: readonly string[]): string[] {
  const place = (id: string): number => (order.includes(id) ? order.indexOf(id) : order.length);
  return [...ids].sort((a, b) => place(a) - place(b));
}
