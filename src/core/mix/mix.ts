import { say } from '../../messages/say';
import type { Particle, Role } from '../log/store-shapes';
import type { Ingredient } from './ingredient';

/**
 * What comes of things put together: mass, water, carbon and nitrogen are conserved; volumes are not, since small pieces lie
 * between large ones. Sources: moisture and C:N of a mix as Richard and Trautmann give them (Cornell Composting, 'moisture
 * content' and 'C/N ratio' pages, from memory).
 */

/** A value and how far it may be off, for all that is known of its parts. */
export type Est = { readonly low: number; readonly value: number; readonly high: number };

type Share = {
  readonly key: string;
  readonly name: string;
  readonly role: Role;
  /** Of the whole mix, 0 to 1; null: cannot be told. */
  readonly mass: number | null;
  readonly litres: number | null;
  readonly water: number | null;
  readonly carbon: number | null;
  readonly nitrogen: number | null;
};

/** What a mix as a whole may lack, where otherwise the parts stand whose figures are not known. */
export const LACKS = {
  get everything() {
    return say('mix.nothingInYet');
  },
  get solids() {
    return say('mix.onlyLiquidIn');
  },
  get nitrogen() {
    return say('mix.nothingInContainsNitrogen');
  },
} as const;
/** Whether what is missing is something to be put in, and not a figure to be found out. */
export const isLacking = (missing: string): boolean =>
  Object.values<string>(LACKS).includes(missing);

/** A figure of a mix, or the names of what stands in its way. */
export type Figure =
  | { readonly ok: true; readonly est: Est }
  | {
      readonly ok: false;
      readonly missing: readonly string[];
      /** The figure of the part that is known; null: nothing is. */ readonly known: Est | null;
    };

export type Mix = {
  /** As put together with the water that was added; null: an amount or a density is not known. */
  readonly massKg: number | null;
  readonly waterKg: number | null;
  readonly dryKg: number | null;
  readonly carbonKg: number | null;
  readonly nitrogenKg: number | null;
  /** Sum of the loose volumes, and what is left of it after mixing, L. */
  readonly litresLoose: number | null;
  readonly litresMixed: number | null;
  readonly cn: Figure;
  readonly moisture: Figure;
  readonly density: Figure;
  readonly air: Figure;
  readonly shares: readonly Share[];
};

/** An amount told by eye may be off by so much, as a share (common practice). */
const ABOUT = 0.2;
/** Half fine and half coarse by volume lose so much when mixed, as a share; the more alike, the less (common practice: a tenth to a fifth is usual). */
const MAX_PACKING = 0.2;
/** Density of the solid matter, kg/m³: organic 1,600 (van Ginkel and others, 1999; from memory); water 1,000. */
const SOLID_KG_M3 = 1600;
/** Soil, ash and stone bring no carbon and no nitrogen to speak of; neither do thin liquids. */
const INERT: ReadonlySet<Role> = new Set<Role>(['mineral', 'liquid']);

type Flow = { readonly kg: number; readonly m: number; readonly c: number; readonly n: number };
/** @param kg wet mass @param m moisture, 0 to 1 */
const flow = (kg: number, m: number, carbonPct: number, cn: number): Flow => {
  const c = (kg * (1 - m) * carbonPct) / 100;
  return { kg, m, c, n: cn > 0 ? c / cn : 0 };
};

/** Air space of a mix by its bulk density ρ (kg/m³) and moisture M (0 to 1): 1 − ρ·(M/ρ_water + (1 − M)/ρ_solid), as %; never below 0. */
export const airSpacePct = (density: number, moisture: number): number =>
  Math.max(0, 100 * (1 - density * (moisture / 1000 + (1 - moisture) / SOLID_KG_M3)));

/**
 * Water that brings a mass from one wet-basis moisture to another: m·(T − M)/(1 − T). 1000 kg from 45 % to 58 %: 309.5 kg
 * (mass balance; trade facts, section 3).
 * @param massKg wet mass @param pct now, % @param targetPct wanted, %
 * @returns kg, which is litres; negative: it must lose that much
 */
export const waterToAdd = (massKg: number, pct: number, targetPct: number): number =>
  (massKg * (targetPct - pct)) / (100 - targetPct);

/** How far pieces fill the gaps of others, and how far they leave gaps: paste and fine stuff goes in whole, medium by half. */
const FILLS: Readonly<Record<Particle, number>> = {
  paste: 1,
  fine: 1,
  medium: 0.5,
  coarse: 0,
  long: 0,
  liquid: 0,
};
const GAPS: Readonly<Record<Particle, number>> = {
  paste: 0,
  fine: 0,
  medium: 0,
  coarse: 1,
  long: 1,
  liquid: 0,
};
/** A part whose weight is known; one whose moisture is known too; one of which a volume is. */
type Weighed = Ingredient & { readonly kg: number };
type Wet = Weighed & { readonly moisture: NonNullable<Ingredient['moisture']> };
type Measured<P> = P & { readonly litres: number };
type Fed = Wet & { readonly cn: NonNullable<Ingredient['cn']> };

const isWeighed = (p: Ingredient): p is Weighed => p.kg !== null;
const isWet = (p: Ingredient): p is Wet => isWeighed(p) && p.moisture !== null;
const isMeasured = <P extends Pick<Ingredient, 'litres'>>(p: P): p is Measured<P> =>
  p.litres !== null;
const isSolid = (p: Pick<Ingredient, 'particle'>): boolean => p.particle !== 'liquid';
/** Brings no carbon and no nitrogen, and needs no figures of them. */
const isInert = (p: Ingredient): boolean => INERT.has(p.role) && p.cn === null;
const hasCarbonFigures = (p: Ingredient): boolean =>
  isInert(p) || (p.cn !== null && p.carbonPct !== null);
/** Brings carbon and nitrogen by figures that are known. */
const isFed = (p: Wet): p is Fed => !isInert(p) && p.cn !== null;

const sumOf = <T>(list: readonly T[], value: (x: T) => number): number =>
  list.reduce((sum, x) => sum + value(x), 0);

/** Volume of loose parts after mixing, L: water fills pores, so that it adds none until they are full. */
function mixedLitres(parts: readonly Measured<Ingredient>[], loose: number): number {
  const sum = (by: Readonly<Record<Particle, number>>): number =>
    sumOf(parts, (p) => by[p.particle] * p.litres);
  return loose === 0 ? 0 : loose * (1 - (4 * MAX_PACKING * sum(FILLS) * sum(GAPS)) / loose ** 2);
}

/** Volume of parts as they lie loose, L. A liquid fills pores, as water does: it takes no room of its own. Null: a volume is not known. */
export function looseLitres(
  parts: readonly Pick<Ingredient, 'particle' | 'litres'>[],
): number | null {
  const solid = parts.filter(isSolid);
  return solid.every(isMeasured) ? sumOf(solid, (p) => p.litres) : null;
}

/** One figure moved at a time to its least and its most; the moves are taken as independent, so that they add as squares. */
function spread(
  value: number,
  moved: readonly (readonly [number, number])[],
  least: number,
  most: number,
): Est {
  let [below, above] = [0, 0];
  for (const [a, b] of moved) {
    below += Math.max(0, value - a, value - b) ** 2;
    above += Math.max(0, a - value, b - value) ** 2;
  }
  return {
    value,
    low: Math.max(least, value - Math.sqrt(below)),
    high: Math.min(most, value + Math.sqrt(above)),
  };
}

/** What a part brings; a change moves one of its figures to an end of its range. */
const flowOf = (
  p: Wet,
  change: Partial<Pick<Flow, 'kg' | 'm'>> & { readonly cn?: number } = {},
): Flow =>
  flow(
    change.kg ?? p.kg,
    change.m ?? p.moisture.usual / 100,
    isInert(p) || p.carbonPct === null ? 0 : p.carbonPct,
    change.cn ?? p.cn?.usual ?? 0,
  );

/** Mass by the ends of the density, where a volume was told, and of a guess by eye. */
function massEnds(p: Weighed): readonly [number, number] {
  const byVolume = p.density !== null && p.litres !== null;
  const [low, high] = byVolume
    ? [p.density.low / p.density.usual, p.density.high / p.density.usual]
    : [1, 1];
  return p.about
    ? [p.kg * low * (1 - ABOUT), p.kg * high * (1 + ABOUT)]
    : [p.kg * low, p.kg * high];
}

/** A figure of all flows together, with those of one part moved to each of its two ends. */
type Move = (part: number, ends: readonly [Flow, Flow]) => readonly [number, number];
const moveBy =
  (flows: readonly Flow[], figure: (flows: readonly Flow[]) => number): Move =>
  (part, [low, high]) => {
    const changed = (end: Flow): number => figure(flows.map((f, i) => (i === part ? end : f)));
    return [changed(low), changed(high)];
  };
const wetEnds = (p: Wet): readonly [Flow, Flow] => [
  flowOf(p, { m: p.moisture.low / 100 }),
  flowOf(p, { m: p.moisture.high / 100 }),
];
function weightEnds(p: Wet): readonly [Flow, Flow] {
  const [low, high] = massEnds(p);
  return [flowOf(p, { kg: low }), flowOf(p, { kg: high })];
}

function estimateCn(parts: readonly Wet[], flows: readonly Flow[], bands: boolean): Est {
  const ratio = (list: readonly Flow[]): number => {
    const n = sumOf(list, (f) => f.n);
    return n > 0 ? sumOf(list, (f) => f.c) / n : Infinity;
  };
  const move = moveBy(flows, ratio);
  const moved = (p: Wet, i: number): (readonly [number, number])[] =>
    isFed(p)
      ? [
          move(i, [flowOf(p, { cn: p.cn.low }), flowOf(p, { cn: p.cn.high })]),
          move(i, wetEnds(p)),
          move(i, weightEnds(p)),
        ]
      : [];
  const fed = parts.filter(isFed);
  return spread(
    ratio(flows),
    bands ? parts.flatMap(moved) : [],
    Math.min(...fed.map((p) => p.cn.low)),
    Math.max(...fed.map((p) => p.cn.high)),
  );
}

function estimateMoisture(
  parts: readonly Wet[],
  flows: readonly Flow[],
  waterL: number,
  bands: boolean,
): Est {
  const pct = (list: readonly Flow[]): number => {
    const kg = sumOf(list, (f) => f.kg) + waterL;
    return kg > 0 ? 100 * ((sumOf(list, (f) => f.kg * f.m) + waterL) / kg) : 0;
  };
  const move = moveBy(flows, pct);
  const moved = (p: Wet, i: number) => [move(i, wetEnds(p)), move(i, weightEnds(p))];
  return spread(pct(flows), bands ? parts.flatMap(moved) : [], 0, 100);
}

function estimateDensity(
  parts: readonly Weighed[],
  massKg: number,
  litres: number,
  bands: boolean,
): Est {
  const moved = (p: Weighed): [number, number] => {
    const [low, high] = massEnds(p);
    return [((massKg - p.kg + low) / litres) * 1000, ((massKg - p.kg + high) / litres) * 1000];
  };
  return spread((massKg / litres) * 1000, bands ? parts.map(moved) : [], 0, Infinity);
}

function estimateAir(density: Est, moisture: Est): Est {
  const at = (kgM3: number): number => airSpacePct(kgM3, moisture.value / 100);
  return { low: at(density.high), value: at(density.value), high: at(density.low) };
}

/** Names of the parts that lack something, by what they lack. */
function lacksOf(parts: readonly Ingredient[]) {
  const lacking = (has: (p: Ingredient) => boolean): string[] =>
    parts.filter((p) => !has(p)).map((p) => p.name);
  return {
    amount: lacking((p) => p.kg !== null || p.litres !== null),
    kg: lacking(isWeighed),
    litres: lacking((p) => !isSolid(p) || isMeasured(p)),
    moisture: lacking((p) => p.moisture !== null),
    carbon: lacking(hasCarbonFigures),
  };
}

/** Whether every figure of a part is known. */
const isKnown = (p: Ingredient): boolean =>
  isWet(p) && (p.litres !== null || !isSolid(p)) && hasCarbonFigures(p);

/** A mix's parts with what is known of them together. */
type Totals = {
  readonly parts: readonly Ingredient[];
  /** Null: a weight or a moisture is not known. */
  readonly wet: readonly Wet[] | null;
  readonly flows: readonly Flow[];
  readonly massKg: number | null;
  readonly waterKg: number | null;
  readonly carbonKg: number | null;
  readonly nitrogenKg: number | null;
  readonly litresLoose: number | null;
  readonly litresMixed: number | null;
};

function totalsOf(parts: readonly Ingredient[], waterL: number): Totals {
  const wet = parts.every(isWet) ? parts : null;
  const flows = (wet ?? []).map((p) => flowOf(p));
  const fed = wet !== null && parts.every(hasCarbonFigures);
  const litresLoose = looseLitres(parts);
  const solid = parts.filter(isSolid);
  return {
    parts,
    wet,
    flows,
    massKg: parts.every(isWeighed) ? sumOf(parts, (p) => p.kg) + waterL : null,
    waterKg: wet && sumOf(flows, (f) => f.kg * f.m) + waterL,
    carbonKg: fed ? sumOf(flows, (f) => f.c) : null,
    nitrogenKg: fed ? sumOf(flows, (f) => f.n) : null,
    litresLoose,
    litresMixed:
      litresLoose !== null && solid.every(isMeasured) ? mixedLitres(solid, litresLoose) : null,
  };
}

type Figures = Pick<Mix, 'cn' | 'moisture' | 'density' | 'air'>;
type FigureName = keyof Figures;

/** What stands in the way of each figure. */
function missingOf({ parts, flows, nitrogenKg }: Totals): Record<FigureName, readonly string[]> {
  const lacks = lacksOf(parts);
  const empty = parts.length === 0 ? [LACKS.everything] : [];
  const roomless = parts.length > 0 && !parts.some(isSolid) ? [LACKS.solids] : [];
  const carbonless = flows.length > 0 && nitrogenKg === 0 ? [LACKS.nitrogen] : [];
  const moisture = [...empty, ...lacks.amount, ...lacks.kg, ...lacks.moisture];
  const density = [...empty, ...roomless, ...lacks.amount, ...lacks.kg, ...lacks.litres];
  return {
    cn: [...moisture, ...lacks.carbon, ...carbonless],
    moisture,
    density,
    air: [...density, ...lacks.moisture],
  };
}

/** Each figure as far as weights, volumes and moistures of all parts are known. */
function estimatesOf(
  { parts, wet, flows, massKg, litresMixed, nitrogenKg }: Totals,
  waterL: number,
  bands: boolean,
): Record<FigureName, Est | null> {
  const byWeight = wet !== null && wet.length > 0 ? wet : null;
  const hasNitrogen = nitrogenKg !== null && nitrogenKg > 0;
  const moisture = byWeight && estimateMoisture(byWeight, flows, waterL, bands);
  const density =
    massKg !== null && litresMixed !== null && parts.some(isSolid)
      ? estimateDensity(parts.filter(isWeighed), massKg, litresMixed, bands)
      : null;
  return {
    cn: byWeight && hasNitrogen ? estimateCn(byWeight, flows, bands) : null,
    moisture,
    density,
    air: density && moisture && estimateAir(density, moisture),
  };
}

/** The four figures, each given only where nothing that it hangs on is missing. */
function figuresOf(totals: Totals, waterL: number, bands: boolean): Figures {
  const missing = missingOf(totals);
  const estimates = estimatesOf(totals, waterL, bands);
  const known = bands ? knownFigures(totals.parts, waterL) : () => null;
  const figure = (name: FigureName): Figure => {
    const est = estimates[name];
    if (missing[name].length === 0 && est !== null) return { ok: true, est };
    const part = known()?.[name];
    return {
      ok: false,
      missing: [...new Set(missing[name])],
      known: part?.ok ? part.est : null,
    };
  };
  return {
    cn: figure('cn'),
    moisture: figure('moisture'),
    density: figure('density'),
    air: figure('air'),
  };
}

/** Of what is known through and through, as a mix of its own: kept in sight where the whole cannot be told. Null: all of it is, or nothing. */
function knownFigures(parts: readonly Ingredient[], waterL: number): () => Figures | null {
  let figures: Figures | null | undefined;
  return () => {
    if (figures !== undefined) return figures;
    const known = parts.filter(isKnown);
    const some = known.length > 0 && known.length < parts.length;
    figures = some ? mixOf(known, waterL) : null;
    return figures;
  };
}

const shareOf = (x: number | null | undefined, whole: number | null): number | null =>
  x == null || whole === null || whole === 0 ? null : x / whole;

/** What each part brings of the whole. */
function sharesOf(totals: Totals): Share[] {
  const { parts, flows } = totals;
  return parts.map((p, i): Share => {
    const own = flows[i];
    return {
      key: p.key,
      name: p.name,
      role: p.role,
      mass: shareOf(p.kg, totals.massKg),
      litres: isSolid(p) ? shareOf(p.litres, totals.litresLoose) : null,
      water: shareOf(own && own.kg * own.m, totals.waterKg),
      carbon: shareOf(own?.c, totals.carbonKg),
      nitrogen: shareOf(own?.n, totals.nitrogenKg),
    };
  });
}

/**
 * A mix of ingredients and added water. A figure that hangs on something unknown is not given; what stands in its way is named.
 * The band of C:N and of moisture comes from the ranges of the parts; that of a single part is its own range.
 * @param waterL litres of water that are added
 * @param bands false: the values alone, where many mixes are tried
 */
export function mixOf(all: readonly Ingredient[], waterL = 0, bands = true): Mix {
  const parts = all.filter((p) => !(p.kg === 0 || p.litres === 0));
  const totals = totalsOf(parts, waterL);
  const { massKg, waterKg, carbonKg, nitrogenKg, litresLoose, litresMixed } = totals;
  return {
    massKg,
    waterKg,
    dryKg: massKg !== null && waterKg !== null ? massKg - waterKg : null,
    carbonKg,
    nitrogenKg,
    litresLoose,
    litresMixed,
    ...figuresOf(totals, waterL, bands),
    shares: sharesOf(totals),
  };
}
