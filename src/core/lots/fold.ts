import type { Entry, EntryKind } from '../log/entry';
import { lotIdOf, type EntryId, type LotId } from '../log/ids';
import type { LotKindOfLog } from '../log/lot-shapes';
import type { TestKind, TestValues } from '../log/test-shapes';
import type { MaturityTest } from '../maturity/outcome';
import type { LimitSet } from '../release/limit-sets';
import type { LabSample } from '../release/limits';
import { USES, type Use, type UseId } from '../release/uses';
import type { Instant } from '../quantity/instant';

/** Lots and what was done with them, as the log tells it. */

/** A lot of the log: no load and no batch. */
type LogLot = {
  readonly id: LotId;
  readonly kind: LotKindOfLog;
  readonly code: string;
  readonly name: string | null;
  readonly where: string | null;
  readonly at: Instant;
  readonly by: string;
};
type EntryOf<K extends EntryKind> = Extract<Entry, { kind: K }>;

/** A test of maturity, from all entries that speak of it. */
export type LotTest = {
  readonly id: EntryId;
  readonly lot: string;
  readonly by: string;
  readonly test: MaturityTest;
  /** Its entries, the one that began it first. */ readonly entries: readonly EntryOf<'maturity-test'>[];
};
/** A sample with all that was reported on it. */
type LotSample = LabSample & {
  readonly lot: string;
  readonly by: string;
  readonly drawn: EntryOf<'lab-sample'>;
  readonly reports: readonly EntryOf<'lab-report'>[];
};

export type LotsState = {
  readonly lots: ReadonlyMap<string, LogLot>;
  readonly looks: readonly EntryOf<'lot-look'>[];
  readonly tests: readonly LotTest[];
  readonly samples: readonly LotSample[];
  readonly decisions: readonly EntryOf<'lot-decision'>[];
  readonly screenings: readonly EntryOf<'screening'>[];
  readonly outs: readonly EntryOf<'lot-out'>[];
  readonly recalls: readonly EntryOf<'recall'>[];
  readonly outcomes: readonly EntryOf<'lot-outcome'>[];
  /** Public pages that are on, by lot, with what the label says beside. */
  readonly pages: ReadonlyMap<string, { readonly text: string | null }>;
  /** What each use asks on this site. */ readonly uses: readonly Use[];
  /** The change of a use that stands, by use. */ readonly useChanges: ReadonlyMap<
    UseId,
    EntryOf<'lot-use'>
  >;
  /** Sets of limits that the site wrote itself. */ readonly limitSets: readonly LimitSet[];
};

/** Entries that stand: none that a correction struck as a whole. */
export function liveEntries(entries: readonly Entry[]): Entry[] {
  const struck = new Set(
    entries.flatMap((e) =>
      e.kind === 'correction' && e.data.reading === undefined ? [e.data.target] : [],
    ),
  );
  return entries.filter((e) => !struck.has(e.id));
}
const ofKind = <K extends EntryKind>(live: readonly Entry[], kind: K) =>
  live.filter((e): e is EntryOf<K> => e.kind === kind).sort((a, b) => a.at - b.at || a.seq - b.seq);

/** Values of a test with what was found later: readings are added, of other values the later ones stand. */
function addValues(before: TestValues, later: TestValues): TestValues {
  const merged: Record<string, unknown> = { ...before };
  for (const [key, value] of Object.entries(later)) {
    const was = merged[key];
    if (Array.isArray(was) && Array.isArray(value)) merged[key] = was.concat(value) as unknown[];
    else if (value !== null && value !== undefined) merged[key] = value;
  }
  return merged as TestValues;
}

function testsOf(live: readonly Entry[]): LotTest[] {
  const all = ofKind(live, 'maturity-test');
  return all
    .filter((e) => e.data.test === undefined)
    .map((begun) => {
      const later = all.filter(
        (e) => e.data.test === begun.id && e.data.values.kind === begun.data.values.kind,
      );
      const entries = [begun, ...later];
      const end = entries.findLast((e) => e.data.ended);
      const values = later.reduce((v, e) => addValues(v, e.data.values), begun.data.values);
      return {
        id: begun.id,
        lot: begun.data.lot,
        by: begun.by,
        test: { startedAt: begun.at, endedAt: end?.at ?? null, values },
        entries,
      };
    });
}

function samplesOf(live: readonly Entry[]): LotSample[] {
  const reports = ofKind(live, 'lab-report');
  return ofKind(live, 'lab-sample').map((drawn) => {
    const own = reports.filter((r) => r.data.sample === drawn.id);
    return {
      id: drawn.id,
      lot: drawn.data.lot,
      at: drawn.at,
      by: drawn.by,
      drawn,
      reports: own,
      solidsPct: own.findLast((r) => r.data.solidsPct !== undefined)?.data.solidsPct ?? null,
      results: own.flatMap((r) =>
        r.data.results.map(({ analyte, value, unit, basis }) => ({ analyte, value, unit, basis })),
      ),
    };
  });
}

/** The lots that entries begin: on their own, or with the act that fills them. */
function lotsOf(live: readonly Entry[]): LogLot[] {
  return ofKind(live, 'lot').map(({ id, at, by, data }) => ({
    id: lotIdOf({ id }),
    kind: data.kind,
    code: data.code,
    name: data.name ?? null,
    where: data.where ?? null,
    at,
    by,
  }));
}

/** Public pages that were switched on last. */
function pagesOf(live: readonly Entry[]): LotsState['pages'] {
  const last = new Map(ofKind(live, 'lot-page').map((e) => [e.data.lot, e.data]));
  return new Map(
    [...last].flatMap(([lot, { shown, text }]) => (shown ? [[lot, { text: text ?? null }]] : [])),
  );
}

/** Uses as the site has them: a change stands in the place of what ships. */
const usesOf = (changes: LotsState['useChanges']): Use[] =>
  USES.map((use) => {
    const change = changes.get(use.id);
    if (!change) return use;
    const { asks, leastDays, maturity, germinationPct, flaskClass, limitSets, meshMm } =
      change.data;
    return {
      id: use.id,
      ...{ asks, leastDays, maturity, germinationPct, flaskClass },
      ...{ limitSets, meshMm, cautions: use.cautions },
    };
  });
/** The site's own sets of limits, each as it was written last. */
function limitSetsOf(live: readonly Entry[]): LimitSet[] {
  const sets = new Map<string, LimitSet>();
  for (const { id, data } of ofKind(live, 'limit-set')) {
    const { title, document, year } = data;
    sets.set(data.set ?? id, {
      id: data.set ?? id,
      ...{ title, document, section: '', year: year ?? null, fromMemory: false },
      limits: { allOf: data.limits },
    });
  }
  return [...sets.values()];
}

/** What a site's log tells of its lots. @param entries of the kinds that lots are read from, with their corrections */
export function foldLots(entries: readonly Entry[]): LotsState {
  const live = liveEntries(entries);
  const useChanges = new Map(ofKind(live, 'lot-use').map((e) => [e.data.use, e]));
  return {
    lots: new Map<string, LogLot>(lotsOf(live).map((l) => [l.id, l])),
    looks: ofKind(live, 'lot-look'),
    tests: testsOf(live),
    samples: samplesOf(live),
    decisions: ofKind(live, 'lot-decision'),
    screenings: ofKind(live, 'screening'),
    outs: ofKind(live, 'lot-out'),
    recalls: ofKind(live, 'recall'),
    outcomes: ofKind(live, 'lot-outcome'),
    pages: pagesOf(live),
    uses: usesOf(useChanges),
    useChanges,
    limitSets: limitSetsOf(live),
  };
}

/** Tests of one kind alone. */
export const isTestOf = <K extends TestKind>(
  t: LotTest,
  kind: K,
): t is LotTest & { readonly test: MaturityTest<K> } => t.test.values.kind === kind;
