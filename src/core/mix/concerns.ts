import type { CropFamily } from '../log/kinds/vocabulary';
import type { Load, Material, Risk } from '../log/store-shapes';

/**
 * What came in with a load and limits what compost of it may be used for, whatever heat it had. It goes along with every part of
 * the load, into batches and lots.
 */
const CONCERNS = [
  'sludge',
  'by-product',
  'sprayed',
  'diseased',
  'unknown-origin',
  'seeds',
  'spray-unknown',
  'dust',
] as const;
export type Concern = (typeof CONCERNS)[number];

const GRAVE: ReadonlySet<Concern> = new Set([
  'sludge',
  'by-product',
  'sprayed',
  'diseased',
  'unknown-origin',
]);
/** Whether it is known to be in it and has to be minded at every use; the others may be, or matter to whoever handles it. */
export const isGrave = ({ concern }: Pick<LotConcern, 'concern'>): boolean => GRAVE.has(concern);

/** What a load says of itself, with what its material may bring in. */
export type LoadFacts = {
  readonly load: Pick<Load, 'sprayed' | 'diseased' | 'seeds' | 'certificate'>;
  readonly material: Pick<Material, 'role' | 'risks'>;
};

/** Compost from elsewhere that came without papers: nobody here knows what it was made of, or how hot it was. */
const isOfUnknownOrigin = ({ load, material }: LoadFacts): boolean =>
  material.role === 'finished' && load.certificate === undefined;

/** Live seeds or roots in a load; null: nobody knows. What the load says goes before what its material may bring in. */
export function seedsIn({ load: { seeds }, material }: LoadFacts): boolean | null {
  if (seeds === 'unknown') return null;
  return seeds ?? (material.risks.includes('seeds') ? null : false);
}

const RAW_RISKS: ReadonlySet<Risk> = new Set([
  'raw-animal',
  'food',
  'disease',
  'sludge',
  'by-product',
]);
/** Whether it may carry pathogens that heat has to kill. */
export const isRaw = (risks: readonly Risk[]): boolean => risks.some((r) => RAW_RISKS.has(r));

/** What goes into a batch with something: pathogens, and live seeds or roots. Null: nobody knows. */
export type CarriedRisks = { readonly raw: boolean | null; readonly seeds: boolean | null };

/** What a load takes along. Compost from elsewhere is raw until its papers show otherwise. */
const carriedByLoad = (facts: LoadFacts): CarriedRisks => ({
  raw: isRaw(facts.material.risks) || facts.load.diseased !== undefined || isOfUnknownOrigin(facts),
  seeds: seedsIn(facts),
});
/** What a material takes along of which no load was logged. */
const carriedByMaterial = ({ role, risks }: LoadFacts['material']): CarriedRisks => ({
  raw: isRaw(risks) || (role === 'finished' ? null : false),
  seeds: risks.includes('seeds') ? null : false,
});
/** What something takes along. @param load null: it comes from no load */
export const carriedBy = (
  material: LoadFacts['material'],
  load: LoadFacts['load'] | null,
): CarriedRisks =>
  load === null ? carriedByMaterial(material) : carriedByLoad({ load, material });

const HAS: Readonly<Record<Concern, (facts: LoadFacts) => boolean>> = {
  sludge: ({ material }) => material.risks.includes('sludge'),
  'by-product': ({ material }) => material.risks.includes('by-product'),
  sprayed: ({ load }) => load.sprayed === 'yes',
  diseased: ({ load, material }) =>
    load.diseased !== undefined || material.risks.includes('disease'),
  'unknown-origin': isOfUnknownOrigin,
  seeds: (facts) => seedsIn(facts) !== false,
  'spray-unknown': ({ load }) => load.sprayed === 'unknown',
  dust: ({ material }) => material.risks.includes('dust'),
};

/** What a load brings in that limits its use, the gravest first. */
export const concernsOfLoad = (facts: LoadFacts): Concern[] =>
  CONCERNS.filter((concern) => HAS[concern](facts));

/** A concern of a lot, with the loads that brought it in. */
export type LotConcern = {
  readonly concern: Concern;
  readonly loads: readonly string[];
  /** Crop families of the diseased plants, where they were named. */
  readonly families: readonly CropFamily[];
};

/** Crop families of which diseased plants are in it. */
export const diseasedFamiliesIn = (concerns: readonly LotConcern[]): readonly CropFamily[] =>
  concerns.find((c) => c.concern === 'diseased')?.families ?? [];

/** What several loads bring in, the gravest first. */
export function concernsOfLoads(
  loads: readonly (LoadFacts & { readonly id: string })[],
): LotConcern[] {
  return CONCERNS.flatMap((concern): LotConcern[] => {
    const own = loads.filter((l) => HAS[concern](l));
    if (own.length === 0) return [];
    const families = own.flatMap(({ load }) => load.diseased ?? []);
    return [
      {
        concern,
        loads: own.map((l) => l.id),
        families: concern === 'diseased' ? [...new Set(families)] : [],
      },
    ];
  });
}
