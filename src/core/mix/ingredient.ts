import { say } from '../../messages/say';
import type {
  Amount,
  FigureName,
  LoadState,
  LoadTest,
  Material,
  Part,
  Particle,
  Range,
  Risk,
  Role,
} from '../log/store-shapes';
import type { Instant } from '../quantity/instant';
import { amountOf } from './amount';
import { MAX_CARBON_PCT } from './library';

/** Why a figure is what it is: the table, a laboratory, a test of the load. */
export type FigureFrom = {
  readonly by: 'table' | 'laboratory' | 'test';
  readonly words: string;
  readonly at: Instant | null;
};
/** A material in one state, with every figure that is known of it or of the load. */
export type MaterialProperties = {
  readonly material: string;
  readonly name: string;
  readonly role: Role;
  readonly particle: Particle;
  readonly risks: readonly Risk[];
  readonly caution: string | null;
  /** C:N by weight; null: not known. */
  readonly cn: Range | null;
  /** Carbon, % of dry weight. */
  readonly carbonPct: number | null;
  /** % of wet weight; as it lies, kg/m³. */
  readonly moisture: Range | null;
  readonly density: Range | null;
  readonly from: Partial<Record<FigureName, FigureFrom>>;
  /** Air space as measured, % of the volume. */
  readonly airPct: number | null;
};

/** One thing in a mix, with how much of it there is. Null: not known. */
export type Ingredient = MaterialProperties & {
  /** What it is told apart by in this mix. */
  readonly key: string;
  readonly litres: number | null;
  readonly kg: number | null;
  /** The amount is a guess by eye: ± 20 %. */
  readonly about: boolean;
  /** For a kilogram, in the site's money; null: not known. */
  readonly price: number | null;
};

const exact = (value: number): Range => ({ low: value, usual: value, high: value });
/** A single test of a heap of stuff says so much of the whole, as a share of the value (common practice). */
const TEST_SPREAD = 0.05;
/** A squeeze is between these, in points of moisture: a hand is no scale. The widest band of a squeeze is thirteen points (common practice). */
const SQUEEZE_SPREAD_PCT = 6.5;
const around = (value: number, by: number, most: number): Range => ({
  low: Math.max(0, value - by),
  usual: value,
  high: Math.min(most, value + by),
});
/** A test of a load, with its moment. */
export type LoadTested = Pick<
  LoadTest,
  'how' | 'density' | 'moisturePct' | 'airPct' | 'working'
> & { readonly at: Instant };

/**
 * The figures of a material in a state. A laboratory's value stands over the table's, the latest test of the load that tells
 * of a figure over both. Nitrogen and C:N are one figure seen twice: the carbon of the dry matter is nitrogen times C:N, at most 55 %. A laboratory's value is
 * of the material as it comes: where a state has a figure of its own, as dried grass has its moisture, that one holds.
 */
export function resolveMaterialProperties(
  m: Material,
  state: LoadState,
  tests: readonly LoadTested[] = [],
): MaterialProperties {
  const s = m.states?.[state];
  const table = {
    n: s ? s.n : m.n,
    cn: s ? s.cn : m.cn,
    moisture: s ? s.moisture : m.moisture,
    density: s ? s.density : m.density,
  };
  const from: Partial<Record<FigureName, FigureFrom>> = {};
  for (const k of ['n', 'cn', 'moisture', 'density'] as const)
    if (table[k]) from[k] = { by: 'table', words: m.sources[k] ?? say('mix.notGiven'), at: null };
  let { n, cn, moisture, density } = table;
  const carbon = n && cn ? Math.min(n.usual * cn.usual, MAX_CARBON_PCT) : null;
  const ofState = (k: FigureName): boolean =>
    s !== undefined && JSON.stringify(s[k]) !== JSON.stringify(m[k]);
  const labs = (
    Object.entries(m.lab ?? {}) as [
      FigureName,
      NonNullable<NonNullable<Material['lab']>[FigureName]>,
    ][]
  ).filter(([k]) => !ofState(k));
  const labN = labs.find(([k]) => k === 'n')?.[1];
  for (const [k, lab] of labs) {
    from[k] = { by: 'laboratory', words: lab.words ?? say('mix.laboratory'), at: lab.at };
    if (k === 'n') {
      n = exact(lab.value);
      if (m.lab?.cn === undefined && carbon !== null && lab.value > 0) {
        cn = exact(carbon / lab.value);
        from.cn = from.n!;
      }
    }
    if (k === 'cn') cn = exact(lab.value);
    if (k === 'moisture') moisture = exact(lab.value);
    if (k === 'density') density = exact(lab.value);
  }
  const said = (t: LoadTested): FigureFrom => ({ by: 'test', words: t.how, at: t.at });
  const [wet, dense, air] = (['moisturePct', 'density', 'airPct'] as const).map((k) =>
    tests.findLast((t) => t[k] !== undefined),
  );
  if (wet) {
    moisture = around(
      wet.moisturePct!,
      wet.how === 'squeeze' ? SQUEEZE_SPREAD_PCT : TEST_SPREAD * wet.moisturePct!,
      99.5,
    );
    from.moisture = said(wet);
  }
  if (dense) {
    density = around(dense.density!, TEST_SPREAD * dense.density!, 3000);
    from.density = said(dense);
  }
  const carbonPct =
    n && cn
      ? Math.min(labN ? labN.value * cn.usual : (carbon ?? n.usual * cn.usual), MAX_CARBON_PCT)
      : null;
  return {
    material: m.id,
    name: m.name,
    role: s?.role ?? m.role,
    particle: m.particle,
    risks: m.risks,
    caution: m.caution ?? null,
    cn,
    carbonPct,
    moisture,
    density,
    from,
    airPct: air?.airPct ?? null,
  };
}

const aboutOf = (amount: Amount): boolean => amount.in !== 'unknown' && amount.about === true;

/** A part of a recipe or a charge as an ingredient. */
export const ingredientOf = (
  key: string,
  part: Pick<Part, 'amount'>,
  properties: MaterialProperties,
  price: number | null = null,
): Ingredient => ({
  ...properties,
  key,
  ...amountOf(part.amount, properties.density),
  about: aboutOf(part.amount),
  price,
});
