import { MS, type Instant } from '../quantity/instant';
import type { DoseFinding } from '../words/beyond';
import { drySpans } from './moisture';
import type { Clock } from './types';
import type { Prepared } from './verdict';
import { itemAt } from '../quantity/present';

/**
 * How beyond a rule's yes or no the heat went: information, not compliance (contract, section 11).
 * A dose of 1 is the time at temperature that a published equation or a thermal-death line asks for, once.
 */

/** Time to death over temperature, straight in log10: log10 of hours at a temperature = log10(h1) + slope · (T − T1). */
export type DeathLine = {
  /** [°C, hours] twice. */
  readonly through: readonly [readonly [number, number], readonly [number, number]];
  /** Below it no credit, °C. */
  readonly minC: number;
  /** Above it a temperature counts as this one, °C. */
  readonly maxC?: number | undefined;
  /** Dry seeds survive heat that kills moist ones: no credit while the heap is logged as dry. */
  readonly moistOnly: boolean;
};

/** 40 CFR 503.32(a)(3)(ii)(A), 7 % solids or more: D = 131 700 000 / 10^(0.1400·T) days, T ≥ 50 °C. From memory. */
export const pathogenDays = (celsius: number): number => 131_700_000 / 10 ** (0.14 * celsius);

const HOURS_PER_DAY = 24;
export const PATHOGEN_LINE: DeathLine = {
  through: [
    [50, pathogenDays(50) * HOURS_PER_DAY],
    [70, pathogenDays(70) * HOURS_PER_DAY],
  ],
  minC: 50,
  moistOnly: false,
};

/** Default hard seed, common practice: 54.4 °C for a week, 60 °C for 3 hours. */
export const HARD_SEED_LINE: DeathLine = {
  through: [
    [54.4, 168],
    [60, 3],
  ],
  minC: 46,
  maxC: 65,
  moistOnly: true,
};

const slopeOf = ({ through: [[t1, h1], [t2, h2]] }: DeathLine): number =>
  (Math.log10(h2) - Math.log10(h1)) / (t2 - t1);

/** Hours that a line asks for at a temperature; Infinity below its least one. */
export function hoursAt(line: DeathLine, celsius: number): number {
  if (celsius < line.minC) return Infinity;
  const [[t1, h1]] = line.through;
  return 10 ** (Math.log10(h1) + slopeOf(line) * (Math.min(celsius, line.maxC ?? Infinity) - t1));
}

/** A credited gap between two hot rounds, with their values in °C. */
export type HeldGap = {
  readonly from: Instant;
  readonly to: Instant;
  readonly fromC: number;
  readonly toC: number;
};

/** Every credited gap of the present segment's runs at a floor, counting hours. */
export function heldGaps(prepared: Prepared, clock: Clock, floorC: number): HeldGap[] {
  if (prepared.asOf < prepared.evidence.builtAt) return [];
  return prepared
    .on(clock)
    .context.scanner({ floorC }, 'hours')
    .at(prepared.asOf)
    .runs.flatMap((run) =>
      run.rounds.slice(1).flatMap((r, i): HeldGap[] => {
        const before = itemAt(run.rounds, i);
        return itemAt(run.steps, i + 1).creditMs > itemAt(run.steps, i).creditMs
          ? [{ from: before.time, to: r.time, fromC: before.value, toC: r.value }]
          : [];
      }),
    );
}

/** The part of a gap inside (from, to), its values on the straight line between the rounds. */
function cut(gap: HeldGap, from: Instant, to: Instant): HeldGap | null {
  const [start, end] = [Math.max(gap.from, from), Math.min(gap.to, to)];
  if (start >= end) return null;
  const at = (t: Instant): number =>
    gap.fromC + ((gap.toC - gap.fromC) * (t - gap.from)) / (gap.to - gap.from);
  return { from: start, to: end, fromC: at(start), toC: at(end) };
}

/** Cut where the line of values crosses a temperature. */
function cutAt(gap: HeldGap, celsius: number): HeldGap[] {
  if ((gap.fromC - celsius) * (gap.toC - celsius) >= 0) return [gap];
  const t = gap.from + ((celsius - gap.fromC) / (gap.toC - gap.fromC)) * (gap.to - gap.from);
  return [
    { ...gap, to: t, toC: celsius },
    { ...gap, from: t, fromC: celsius },
  ];
}

/**
 * ∫ dt / h(T(t)) over a gap in closed form: 1/h is 10 to the power of a straight line in t, so the integral is
 * Δt · (r₂ − r₁) / ln(r₂ / r₁), written with expm1 so that it holds when both ends are alike.
 */
function doseOf(gap: HeldGap, line: DeathLine): number {
  const pieces = line.maxC === undefined ? [gap] : cutAt(gap, line.maxC);
  return pieces.reduce((sum, { from, to, fromC, toC }) => {
    const rate = 1 / hoursAt(line, Math.max(fromC, line.minC));
    const k =
      -Math.LN10 *
      slopeOf(line) *
      (Math.min(toC, line.maxC ?? Infinity) - Math.min(fromC, line.maxC ?? Infinity));
    return sum + ((to - from) / MS.hour) * rate * (k === 0 ? 1 : Math.expm1(k) / k);
  }, 0);
}

/** What is left of gaps when spans are taken out. */
const outside = (
  gaps: readonly HeldGap[],
  spans: readonly { from: Instant; to: Instant }[],
): HeldGap[] =>
  spans.reduce<readonly HeldGap[]>(
    (left, span) =>
      left.flatMap((gap) =>
        [cut(gap, -Infinity, span.from), cut(gap, span.to, Infinity)].filter((g) => g !== null),
      ),
    gaps,
  ) as HeldGap[];

/**
 * The dose that the present segment has earned along a line, dimensionless.
 * @param within only what lies in this span, as for one stage between turnings
 */
export function doseAlong(
  prepared: Prepared,
  line: DeathLine,
  clock: Clock,
  within: { from: Instant; to: Instant } = { from: -Infinity, to: Infinity },
): number {
  const dry = line.moistOnly ? drySpans(prepared.evidence.events, prepared.asOf) : [];
  const gaps = heldGaps(prepared, clock, line.minC)
    .map((gap) => cut(gap, within.from, within.to))
    .filter((gap) => gap !== null);
  return outside(gaps, dry).reduce((sum, gap) => sum + doseOf(gap, line), 0);
}

export type Doses = { readonly pathogen: number; readonly weedSeed: number };

/** The two doses of the contract: germs on their clock, the default hard seed on that of seeds. */
export const dosesOf = (prepared: Prepared): Doses => ({
  pathogen: doseAlong(prepared, PATHOGEN_LINE, 'germs'),
  weedSeed: doseAlong(prepared, HARD_SEED_LINE, 'seeds'),
});

/**
 * A dose of nothing is told as none only where full checks of this segment say so. Where a check was hot but
 * stands alone, is thin, or is missing, the heat is not known: not known is not none.
 */
export function doseFinding(prepared: Prepared, line: DeathLine, clock: Clock): DoseFinding {
  const dose = doseAlong(prepared, line, clock);
  if (dose > 0) return { code: 'dose', dose };
  const rounds = prepared.asOf < prepared.evidence.builtAt ? [] : prepared.on(clock).context.rounds;
  const allCool = rounds.some((r) => r.complete) && rounds.every((r) => r.peak < line.minC);
  return { code: allCool ? 'none' : 'unknown' };
}
