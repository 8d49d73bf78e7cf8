import { COMMON_PRACTICE } from '../evidence/rule';
import type { PolicyInput } from '../evidence/policy';
import type { Country } from '../log/kinds/vocabulary';
import { RULE_LIBRARY } from './library';
import { allowsInputs, fitsBatch, type Input, type Keeping } from './propose';

/** What somebody makes compost for, as far as it decides which rules they have to show. */
export const PURPOSES = ['own', 'sell', 'organic', 'inspected'] as const;
export type Purpose = (typeof PURPOSES)[number];

const US_PFRP = ['us-503-pfrp-turned', 'us-503-pfrp-static'];
const US_ORGANIC = ['us-organic-turned', 'us-organic-static'];
const US_PRODUCE = ['us-produce-turned', 'us-produce-static'];
const CANADA = ['ca-ccme-2005-turned', 'ca-ccme-2005-static', 'ca-ccme-2005-vessel'];
const AUSTRALIA = ['au-4454-turned', 'au-4454-turned-high-risk'];

/**
 * Rules to propose for a purpose, by country, the one that is usually asked for first. A proposal only: many states of the
 * United States ask compost that is sold to meet PFRP whatever it was made of, others do not (common practice); what must be
 * met, the local authority says.
 */
const RULES_FOR: Readonly<Record<Country, Readonly<Record<Purpose, readonly string[]>>>> = {
  'United States': {
    own: US_PRODUCE,
    sell: US_PFRP,
    organic: US_ORGANIC,
    inspected: [...US_PFRP, ...US_PRODUCE],
  },
  Canada: { own: CANADA, sell: CANADA, organic: CANADA, inspected: CANADA },
  'European Union': {
    own: ['eu-2019-1009-cmc3'],
    sell: ['eu-2019-1009-cmc3'],
    organic: ['eu-2019-1009-cmc3'],
    inspected: ['eu-2019-1009-cmc3'],
  },
  'United Kingdom': {
    own: ['uk-pas100-default'],
    sell: ['uk-pas100-default'],
    organic: ['uk-pas100-default'],
    inspected: ['uk-pas100-default'],
  },
  Australia: { own: AUSTRALIA, sell: AUSTRALIA, organic: AUSTRALIA, inspected: AUSTRALIA },
};

/** What carries pathogens that people fall ill from. */
const RAW: readonly Input[] = ['manure', 'food-waste', 'biosolids', 'diseased-plants'];

/** Rules to propose to a site, in order. @param inputs what goes into its batches */
export function rulesForPurpose(
  purpose: Purpose,
  {
    keeping,
    inputs,
    country,
  }: {
    readonly keeping: Keeping;
    readonly inputs: readonly Input[];
    /** Null: of no country that the library has. */ readonly country: Country | null;
  },
): string[] {
  // For one's own beds nobody asks for a rule; one is worth it where something raw goes in.
  const isAsked = purpose !== 'own' || inputs.some((i) => RAW.includes(i));
  const wanted = country && isAsked ? RULES_FOR[country][purpose] : [];
  const seeds = inputs.includes('seeding-weeds')
    ? RULE_LIBRARY.filter((r) => r.jurisdiction === COMMON_PRACTICE && r.clock === 'seeds')
    : [];
  return [...wanted, ...seeds.map((r) => r.id)].filter((id) =>
    RULE_LIBRARY.some((r) => r.id === id && fitsBatch(r, keeping) && allowsInputs(r, inputs)),
  );
}

/** How readings are judged for a purpose: where somebody comes to look, with a margin of 1 K for the thermometer. */
export const policyForPurpose = (purpose: Purpose): PolicyInput =>
  purpose === 'inspected' ? { guardBandC: 1 } : {};
