import type { Particle, Role } from '../log/store-shapes';
import type { Ingredient } from './ingredient';
import { itemAt } from '../quantity/present';

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

/** A figure of a mix, or the names of what stands in its way. */
/** What a mix as a whole may lack, where otherwise the parts stand whose figures are not known. */
export const LACKS = {
  everything: 'nothing is in it yet',
  solids: 'nothing but liquid is in it',
  nitrogen: 'nothing in it holds nitrogen',
} as const;
const LACKING: ReadonlySet<string> = new Set(Object.values(LACKS));
/** Whether what is missing is something to be put in, and not a figure to be found out. */
export const isLacking = (missing: string): boolean => LACKING.has(missing);

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
/** Volume of loose parts after mixing, L: water fills pores, so that it adds none until they are full. */
function mixedLitres(parts: readonly Ingredient[], loose: number): number {
  const sum = (by: Readonly<Record<Particle, number>>): number =>
    parts.reduce((s, p) => s + by[p.particle] * p.litres!, 0);
  return loose === 0 ? 0 : loose * (1 - (4 * MAX_PACKING * sum(FILLS) * sum(GAPS)) / loose ** 2);
}

/** Volume of parts as they lie loose, L. A liquid fills pores, as water does: it takes no room of its own. Null: a volume is not known. */
export function looseLitres(
  parts: readonly Pick<Ingredient, 'particle' | 'litres'>[],
): number | null {
  const solid = parts.filter((p) => p.particle !== 'liquid');
  return solid.some((p) => p.litres === null) ? null : solid.reduce((s, p) => s + p.litres!, 0);
}

const inert = (p: Ingredient): boolean => INERT.has(p.role) && p.cn === null;
const cnOf = (flows: readonly Flow[]): number => {
  const n = flows.reduce((s, f) => s + f.n, 0);
  return n > 0 ? flows.reduce((s, f) => s + f.c, 0) / n : Infinity;
};
const wetOf = (flows: readonly Flow[], waterKg: number): number => {
  const kg = flows.reduce((s, f) => s + f.kg, 0) + waterKg;
  return kg > 0 ? (flows.reduce((s, f) => s + f.kg * f.m, 0) + waterKg) / kg : 0;
};

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

const asFigure = (
  missing: readonly string[],
  est: () => Est,
  known: () => Figure | null,
): Figure => {
  if (missing.length === 0) return { ok: true, est: est() };
  const part = known();
  return { ok: false, missing: [...new Set(missing)], known: part?.ok ? part.est : null };
};

/**
 * A mix of ingredients and added water. A figure that hangs on something unknown is not given; what stands in its way is named.
 * The band of C:N and of moisture comes from the ranges of the parts; that of a single part is its own range.
 * @param waterL litres of water that are added
 * @param bands false: the values alone, where many mixes are tried
 */
export function mixOf(all: readonly Ingredient[], waterL = 0, bands = true): Mix {
  const parts = all.filter((p) => !(p.kg === 0 || p.litres === 0));
  const noAmount = parts.filter((p) => p.kg === null && p.litres === null).map((p) => p.name);
  const noKg = parts.filter((p) => p.kg === null).map((p) => p.name);
  const solid = parts.filter((p) => p.particle !== 'liquid');
  const noLitres = solid.filter((p) => p.litres === null).map((p) => p.name);
  const noWet = parts.filter((p) => p.moisture === null).map((p) => p.name);
  const noCn = parts
    .filter((p) => !inert(p) && (p.cn === null || p.carbonPct === null))
    .map((p) => p.name);
  // What of it is known through and through, as a mix of its own: kept in sight where the whole cannot be told.
  let knownMix: Mix | null | undefined;
  const ofKnown = (figure: (m: Mix) => Figure) => (): Figure | null => {
    if (!bands) return null;
    const known = parts.filter(
      (p) =>
        p.kg !== null &&
        (p.litres !== null || p.particle === 'liquid') &&
        p.moisture !== null &&
        (inert(p) || (p.cn !== null && p.carbonPct !== null)),
    );
    if (knownMix === undefined)
      knownMix = known.length > 0 && known.length < parts.length ? mixOf(known, waterL) : null;
    return knownMix && figure(knownMix);
  };
  const whole = noKg.length === 0 && noWet.length === 0;
  const flows = !whole
    ? []
    : parts.map((p) =>
        flow(
          p.kg!,
          p.moisture!.usual / 100,
          inert(p) || p.carbonPct === null ? 0 : p.carbonPct,
          p.cn?.usual ?? 0,
        ),
      );
  const sum = (f: (x: Flow) => number): number => flows.reduce((s, x) => s + f(x), 0);
  const massKg = noKg.length > 0 ? null : parts.reduce((s, p) => s + p.kg!, 0) + waterL;
  const litresLoose = looseLitres(parts);
  const litresMixed = litresLoose === null ? null : mixedLitres(solid, litresLoose);
  const waterKg = whole ? sum((f) => f.kg * f.m) + waterL : null;
  const [carbonKg, nitrogenKg] =
    whole && noCn.length === 0 ? [sum((f) => f.c), sum((f) => f.n)] : [null, null];
  const empty = parts.length === 0 ? [LACKS.everything] : [];
  const roomless = parts.length > 0 && solid.length === 0 ? [LACKS.solids] : [];
  const again = (i: number, change: Partial<Flow> & { readonly cn?: number }): Flow[] =>
    flows.map((f, j) => {
      if (j !== i) return f;
      const p = itemAt(parts, i);
      return flow(
        change.kg ?? f.kg,
        change.m ?? f.m,
        inert(p) || p.carbonPct === null ? 0 : p.carbonPct,
        change.cn ?? p.cn?.usual ?? 0,
      );
    });
  /** Mass by the ends of the density, where a volume was told, and of a guess by eye. */
  const masses = (p: Ingredient): readonly [number, number] => {
    const byVolume = p.density !== null && p.litres !== null;
    const [lo, hi] = byVolume
      ? [p.density.low / p.density.usual, p.density.high / p.density.usual]
      : [1, 1];
    return p.about
      ? [p.kg! * lo * (1 - ABOUT), p.kg! * hi * (1 + ABOUT)]
      : [p.kg! * lo, p.kg! * hi];
  };
  const carbonless = flows.length > 0 && noCn.length === 0 && sum((f) => f.n) === 0;
  const cn = asFigure(
    [...empty, ...noAmount, ...noKg, ...noWet, ...noCn, ...(carbonless ? [LACKS.nitrogen] : [])],
    () => {
      const moved = !bands
        ? []
        : parts.flatMap((p, i): [number, number][] =>
            inert(p)
              ? []
              : [
                  [cnOf(again(i, { cn: p.cn!.low })), cnOf(again(i, { cn: p.cn!.high }))],
                  [
                    cnOf(again(i, { m: p.moisture!.low / 100 })),
                    cnOf(again(i, { m: p.moisture!.high / 100 })),
                  ],
                  masses(p).map((kg) => cnOf(again(i, { kg }))) as [number, number],
                ],
          );
      const ends = parts.filter((p) => !inert(p));
      return spread(
        cnOf(flows),
        moved,
        Math.min(...ends.map((p) => p.cn!.low)),
        Math.max(...ends.map((p) => p.cn!.high)),
      );
    },
    ofKnown((m) => m.cn),
  );
  const moisture = asFigure(
    [...empty, ...noAmount, ...noKg, ...noWet],
    () => {
      const w = (fs: readonly Flow[]): number => 100 * wetOf(fs, waterL);
      return spread(
        w(flows),
        !bands
          ? []
          : parts.flatMap(
              (p, i) =>
                [
                  [
                    w(again(i, { m: p.moisture!.low / 100 })),
                    w(again(i, { m: p.moisture!.high / 100 })),
                  ],
                  masses(p).map((kg) => w(again(i, { kg }))) as [number, number],
                ] as [number, number][],
            ),
        0,
        100,
      );
    },
    ofKnown((m) => m.moisture),
  );
  const density = asFigure(
    [...empty, ...roomless, ...noAmount, ...noKg, ...noLitres],
    () => {
      const value = (massKg! / litresMixed!) * 1000;
      return spread(
        value,
        !bands
          ? []
          : parts.map(
              (p) =>
                masses(p).map((kg) => ((massKg! - p.kg! + kg) / litresMixed!) * 1000) as [
                  number,
                  number,
                ],
            ),
        0,
        Infinity,
      );
    },
    ofKnown((m) => m.density),
  );
  const air = asFigure(
    [...empty, ...roomless, ...noAmount, ...noKg, ...noLitres, ...noWet],
    () => {
      const of = (d: number): number => airSpacePct(d, (moisture as { est: Est }).est.value / 100);
      const d = (density as { est: Est }).est;
      return { low: of(d.high), value: of(d.value), high: of(d.low) };
    },
    ofKnown((m) => m.air),
  );
  const share = (x: number | null | undefined, of: number | null): number | null =>
    x == null || of === null || of === 0 ? null : x / of;
  return {
    massKg,
    waterKg,
    dryKg: whole && massKg !== null && waterKg !== null ? massKg - waterKg : null,
    carbonKg,
    nitrogenKg,
    litresLoose,
    litresMixed,
    cn,
    moisture,
    density,
    air,
    shares: parts.map((p, i) => ({
      key: p.key,
      name: p.name,
      role: p.role,
      mass: share(p.kg, massKg),
      litres: p.particle === 'liquid' ? null : share(p.litres, litresLoose),
      water: share(whole ? itemAt(flows, i).kg * itemAt(flows, i).m : null, waterKg),
      carbon: share(flows[i]?.c, carbonKg),
      nitrogen: share(flows[i]?.n, nitrogenKg),
    })),
  };
}
