import { analyteOf, convertShare } from './analytes';
import type { Instant } from '../quantity/instant';
import { isAtMost } from '../maturity/outcome';

/** Whether laboratory results meet limits (contract, section 6). */

export type Standing = 'met' | 'not-met' | 'unknown';
export type Basis = 'dry' | 'fresh';

/** One result of a sample. A value is a figure, a figure with `<` or `>`, or whether something was found. */
export type LabResult = {
  readonly analyte: string;
  readonly value:
    | { readonly is: 'figure'; readonly n: number; readonly mark: '<' | '>' | null }
    | { readonly is: 'found'; readonly present: boolean };
  readonly unit: string;
  /** Null: the sheet does not say. */ readonly basis: Basis | null;
};
/** A sample with its results. */
export type LabSample = {
  readonly id: string;
  readonly at: Instant;
  /** % of the fresh sample that is solid; null: not known. */ readonly solidsPct: number | null;
  readonly results: readonly LabResult[];
};

/** What a document asks of one analyte. */
export type LabLimit = {
  readonly analyte: string;
  readonly unit: string;
  /** Null: as it is reported. */ readonly basis: Basis | null;
  readonly ask:
    | {
        readonly kind: 'max';
        readonly limit: number;
        /** Less than it. */ readonly below?: boolean | undefined;
      }
    | { readonly kind: 'min'; readonly limit: number }
    | { readonly kind: 'absent' }
    /** Of n values none above M, and at most c above m. */
    | {
        readonly kind: 'plan';
        readonly n: number;
        readonly c: number;
        readonly m: number;
        readonly M: number;
      };
};
/** Limits that must all be met, or of which one is enough. */
export type LimitGroup =
  LabLimit | { readonly allOf: readonly LimitGroup[] } | { readonly anyOf: readonly LimitGroup[] };

export type LimitLine = {
  readonly limit: LabLimit;
  readonly standing: Standing;
  /** The sample that decides; null: none names the analyte. */ readonly sample: string | null;
  readonly results: readonly LabResult[];
};

type Figure = { readonly n: number; readonly mark: '<' | '>' | null };
/** The figure of a result in the unit and basis of a limit; null: it cannot be compared. Only fresh matter is worked out to dry. */
function figureFor(result: LabResult, limit: LabLimit, solidsPct: number | null): Figure | null {
  if (result.value.is !== 'figure') return null;
  const { mark } = result.value;
  const n = convertShare(result.value.n, result.unit, limit.unit);
  if (n === null) return null;
  if (limit.basis === null || result.basis === limit.basis) return { n, mark };
  if (result.basis !== 'fresh' || limit.basis !== 'dry' || solidsPct === null || solidsPct <= 0)
    return null;
  return { n: n / (solidsPct / 100), mark };
}

/** Less than, told apart from equal by a billionth of the limit. */
const isUnder = (n: number, limit: number): boolean => !isAtMost(limit, n);

function standMax({ n, mark }: Figure, limit: number, below: boolean): Standing {
  // '< x' says that the value is under x; '> x' that it is over.
  if (mark === '<') return isAtMost(n, limit) ? 'met' : 'unknown';
  if (mark === '>') return isAtMost(limit, n) ? 'not-met' : 'unknown';
  return (below ? isUnder(n, limit) : isAtMost(n, limit)) ? 'met' : 'not-met';
}
function standMin({ n, mark }: Figure, limit: number): Standing {
  if (mark === '>') return isAtMost(limit, n) ? 'met' : 'unknown';
  if (mark === '<') return isAtMost(n, limit) ? 'not-met' : 'unknown';
  return isAtMost(limit, n) ? 'met' : 'not-met';
}

/** Of several standings that must all be met. */
export function standAll(list: readonly Standing[]): Standing {
  if (list.some((s) => s === 'not-met')) return 'not-met';
  return list.length > 0 && list.every((s) => s === 'met') ? 'met' : 'unknown';
}
/** Of several standings of which one is enough. */
function standAny(list: readonly Standing[]): Standing {
  if (list.some((s) => s === 'met')) return 'met';
  return list.length > 0 && list.every((s) => s === 'not-met') ? 'not-met' : 'unknown';
}

function standResult(result: LabResult, limit: LabLimit, solidsPct: number | null): Standing {
  const { ask } = limit;
  if (ask.kind === 'absent')
    return result.value.is === 'found' ? (result.value.present ? 'not-met' : 'met') : 'unknown';
  const figure = figureFor(result, limit, solidsPct);
  if (figure === null || ask.kind === 'plan') return 'unknown';
  return ask.kind === 'max'
    ? standMax(figure, ask.limit, ask.below === true)
    : standMin(figure, ask.limit);
}

/** A plan of several values: one over M, or too many over m, is enough to miss it, however few there are. */
function standPlan(
  results: readonly LabResult[],
  limit: LabLimit,
  { n, c, m, M }: Extract<LabLimit['ask'], { kind: 'plan' }>,
  solidsPct: number | null,
): Standing {
  const over = (bound: number): Standing[] =>
    results.map((r) => {
      if (r.value.is === 'found')
        return r.value.present ? (bound > 0 ? 'unknown' : 'not-met') : 'met';
      const figure = figureFor(r, limit, solidsPct);
      return figure === null ? 'unknown' : standMax(figure, bound, false);
    });
  const count = (list: readonly Standing[], of: Standing): number =>
    list.filter((s) => s === of).length;
  const [overM, overSmall] = [over(M), over(m)];
  if (count(overM, 'not-met') > 0 || count(overSmall, 'not-met') > c) return 'not-met';
  if (results.length < n || count(overM, 'unknown') > 0) return 'unknown';
  return count(overSmall, 'not-met') + count(overSmall, 'unknown') > c ? 'unknown' : 'met';
}

/** How one limit stands: by the latest sample that names the analyte, and in it by the worst of its results. */
function standLimit(limit: LabLimit, samples: readonly LabSample[]): LimitLine {
  const isOf = (r: LabResult): boolean => analyteOf(r.analyte) === analyteOf(limit.analyte);
  const named = samples.filter((s) => s.results.some(isOf));
  const latest = named.reduce<LabSample | null>((a, b) => (a && a.at >= b.at ? a : b), null);
  if (!latest) return { limit, standing: 'unknown', sample: null, results: [] };
  const results = latest.results.filter(isOf);
  const standing =
    limit.ask.kind === 'plan'
      ? standPlan(results, limit, limit.ask, latest.solidsPct)
      : standAll(results.map((r) => standResult(r, limit, latest.solidsPct)));
  return { limit, standing, sample: latest.id, results };
}

export type AssessedLimits = {
  readonly standing: Standing;
  /** Each limit of the group, in its order. */ readonly lines: readonly LimitLine[];
};

/** How a group of limits stands by these samples. A group of nothing is unknown. */
export function assessLimits(group: LimitGroup, samples: readonly LabSample[]): AssessedLimits {
  if ('analyte' in group) {
    const line = standLimit(group, samples);
    return { standing: line.standing, lines: [line] };
  }
  const parts = ('allOf' in group ? group.allOf : group.anyOf).map((g) => assessLimits(g, samples));
  const standings = parts.map((p) => p.standing);
  return {
    standing: 'allOf' in group ? standAll(standings) : standAny(standings),
    lines: parts.flatMap((p) => p.lines),
  };
}
