import { partOfSite, type FlowSite } from '../flow/site-file';
import { isoOf, type Instant } from '../quantity/instant';
import type { LabResult } from '../release/limits';
import type { LotsState } from './fold';

/** The open site file of a site: what `./zealous trace` reads (contract, section 7). */

type Given = {
  readonly site: { readonly name: string; readonly timeZone: string; readonly leastHotM3?: number };
  readonly madeAt?: Instant;
  readonly flows: FlowSite;
  /** The batch whose matter is followed; absent: the whole site. */ readonly batch?: string;
  readonly state: LotsState;
  /** What a load, a batch or a lot is called. */ nameOf(id: string): string;
  /** When batches met rules on pathogens, with the rule. */
  readonly proofs: readonly { readonly lot: string; readonly at: Instant; readonly rule: string }[];
};

const valueText = (value: LabResult['value']): number | string => {
  if (value.is === 'found') return value.present ? 'present' : 'absent';
  return value.mark === null ? value.n : `${value.mark} ${value.n}`;
};

/** Moments as a file writes them, at every depth of a test's values. */
function withTimes(values: object): object {
  return Object.fromEntries(
    Object.entries(values as Record<string, unknown>).map(([name, value]) => {
      if (name === 'at' || name === 'turnedAt')
        return [name, typeof value === 'number' ? isoOf(value) : value];
      if (Array.isArray(value)) return [name, (value as readonly object[]).map(withTimes)];
      return [name, value];
    }),
  );
}

/** A site's lots, flows, tests and results as one object to be written as JSON. */
export function siteFileOf({
  site,
  madeAt,
  flows: all,
  state,
  nameOf,
  proofs,
  batch,
}: Given): object {
  const flows = batch === undefined ? all : partOfSite(all, batch);
  const known = new Set(flows.lots.map((l) => l.id));
  return {
    format: 'zealous-heap/site',
    version: 1,
    site,
    ...(madeAt === undefined ? {} : { madeAt: isoOf(madeAt) }),
    ...(batch === undefined ? {} : { batch }),
    lots: flows.lots.map(({ id, kind }) => ({ id, kind, name: nameOf(id) })),
    flows: flows.flows.map(({ id, at, from, to, litres, all, clean }) => {
      const out = state.outs.find((o) => (o.id as string) === id);
      const party = out?.data.party ?? out?.data.bed?.name;
      return {
        ...{ id, at: isoOf(at) },
        ...(from === null ? {} : { from }),
        ...(to === null ? {} : { to }),
        ...(litres === null ? {} : { litres }),
        ...(all ? { all } : {}),
        ...(clean ? { clean } : {}),
        ...(out ? { what: out.data.how } : {}),
        ...(party === undefined ? {} : { party }),
      };
    }),
    levels: flows.levels.map(({ lot, at, litres }) => ({ lot, at: isoOf(at), litres })),
    proofs: proofs
      .filter((p) => known.has(p.lot))
      .map(({ lot, at, rule }) => ({ lot, at: isoOf(at), rule })),
    tests: state.tests
      .filter((t) => known.has(t.lot))
      .map(({ id, lot, test }) => ({
        ...{ id, lot, startedAt: isoOf(test.startedAt) },
        endedAt: test.endedAt === null ? null : isoOf(test.endedAt),
        values: withTimes(test.values),
      })),
    results: state.samples
      .filter((s) => known.has(s.lot))
      .flatMap((s) =>
        s.results.map(({ analyte, value, unit, basis }) => ({
          ...{ lot: s.lot, sample: s.id, at: isoOf(s.at), analyte, unit, basis },
          value: valueText(value),
          ...(s.solidsPct === null ? {} : { solidsPct: s.solidsPct }),
        })),
      ),
  };
}
