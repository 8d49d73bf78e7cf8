import { isoOf, type Instant } from '../quantity/instant';
import type { ProbeCheck } from '../evidence/types';
import type { DataOf, Entry } from './entry';
import type { FileReading } from './shapes';

/** A reading with the entry that brought it. */
export type LoggedReading = FileReading & { readonly entry: string };
export type LoggedEvent = Extract<Entry, { kind: 'turn' | 'water' | 'addition' | 'merge' | 'moisture' | 'observation' | 'note' | 'move' | 'cover' | 'screen' | 'cure' | 'release' }>;

/** The rules and policy that a batch is judged under, from a moment on. */
export type Terms = {
  /** 1 for those it was opened with. */
  readonly version: number;
  readonly since: Instant;
  readonly by: string;
  readonly policy: DataOf<'terms'>['policy'];
  readonly rules: readonly string[];
  readonly ownRules: DataOf<'terms'>['ownRules'];
  /** Version of the site's own terms that they were taken from. */
  readonly siteVersion: number | null;
};

/** A batch as its entries tell it. Struck entries and readings stay, marked. */
export type BatchState = {
  readonly id: string;
  readonly opened: DataOf<'opened'>;
  readonly openedAt: Instant;
  /** When the last raw load went in; null while it is building. */
  readonly builtAt: Instant | null;
  /** The same as a file that was brought in wrote it. */
  readonly builtAs: string | null;
  /** By version; the last one is in force. */
  readonly terms: readonly Terms[];
  readonly readings: readonly LoggedReading[];
  readonly events: readonly LoggedEvent[];
  /** Entry id → the correction that struck it. */
  readonly struck: ReadonlyMap<string, Entry>;
  readonly entries: readonly Entry[];
};

export type SiteTerms = Pick<Terms, 'version' | 'since' | 'by' | 'policy' | 'rules'>;
export type RuleVersion = { readonly version: number; readonly since: Instant; readonly by: string; readonly rule: DataOf<'rule'>['rule'] };

/** What the site's own entries say: thermometers, air, rules and policy. */
export type SiteState = {
  readonly probes: ReadonlyMap<string, readonly ProbeCheck[]>;
  readonly ambient: readonly { readonly at: Instant; readonly value: number; readonly unit: 'C' | 'F' }[];
  /** By version; empty until the site has chosen. */
  readonly terms: readonly SiteTerms[];
  /** Its own rules, each with its versions in order. */
  readonly rules: ReadonlyMap<string, readonly RuleVersion[]>;
};

const NOT_EVENTS = new Set(['opened', 'built', 'round', 'correction', 'terms', 'probe-check', 'ambient', 'site-terms', 'rule']);
const isEvent = (entry: Entry): entry is LoggedEvent => !NOT_EVENTS.has(entry.kind);

/**
 * Folds a batch's entries, in the order of the log, to its state.
 * @throws RangeError when no entry opens the batch
 */
export function foldBatch(entries: readonly Entry[]): BatchState {
  const opened = entries.find((e): e is Extract<Entry, { kind: 'opened' }> => e.kind === 'opened');
  if (!opened) throw new RangeError('foldBatch: the entries hold none that opens the batch. Were all of its entries read?');
  const struck = new Map<string, Entry>();
  const corrections = entries.filter((e): e is Extract<Entry, { kind: 'correction' }> => e.kind === 'correction');
  for (const c of corrections) if (c.data.reading === undefined) struck.set(c.data.target, c);
  const live = entries.filter((e) => !struck.has(e.id));
  const built = live.findLast((e): e is Extract<Entry, { kind: 'built' }> => e.kind === 'built');
  return {
    id: opened.id, opened: opened.data, openedAt: opened.at,
    builtAt: built?.at ?? null, builtAs: built?.data.as ?? null,
    terms: termsOf(opened, live), readings: readingsOf(entries, corrections, struck),
    events: entries.filter(isEvent), struck, entries,
  };
}

/** Those it was opened with, then each change: in force from when the log took it, so that none is dated back. */
function termsOf(opened: Extract<Entry, { kind: 'opened' }>, live: readonly Entry[]): Terms[] {
  const changes = live.filter((e): e is Extract<Entry, { kind: 'terms' }> => e.kind === 'terms');
  return [opened, ...changes].map(({ data, by, recordedAt }, i) => ({
    version: i + 1, since: recordedAt, by, policy: data.policy, rules: data.rules, ownRules: data.ownRules, siteVersion: data.siteVersion ?? null,
  }));
}

function readingsOf(entries: readonly Entry[], corrections: readonly Extract<Entry, { kind: 'correction' }>[], struck: ReadonlyMap<string, Entry>): LoggedReading[] {
  const readings = new Map<string, LoggedReading>();
  for (const e of entries) {
    if (e.kind !== 'round') continue;
    const gone = struck.get(e.id);
    const recorded = e.data.source === 'hand' ? { recordedAt: isoOf(e.recordedAt) } : {};
    for (const r of e.data.readings) {
      readings.set(r.id, { ...recorded, ...r, entry: e.id, ...(gone?.kind === 'correction' ? { flag: 'rejected' as const, flagReason: gone.data.reason } : {}) });
    }
  }
  for (const c of corrections) {
    const old = c.data.reading === undefined ? undefined : readings.get(c.data.reading);
    if (!old) continue;
    const replaced = c.data.value !== undefined;
    readings.set(old.id, { ...old, flag: replaced ? 'superseded' : 'rejected', flagReason: c.data.reason });
    if (!replaced) continue;
    const { flag: _flag, flagReason: _reason, ...kept } = old;
    readings.set(c.id, { ...kept, id: c.id, value: c.data.value!, unit: c.data.unit ?? old.unit, recordedAt: isoOf(c.recordedAt), entry: c.id });
  }
  return [...readings.values()];
}

/** Folds the site's own entries. */
export function foldSite(entries: readonly Entry[]): SiteState {
  const struck = new Set(entries.flatMap((e) => (e.kind === 'correction' ? [e.data.target] : [])));
  const probes = new Map<string, ProbeCheck[]>();
  const ambient: { at: Instant; value: number; unit: 'C' | 'F' }[] = [];
  const terms: SiteTerms[] = [];
  const rules = new Map<string, RuleVersion[]>();
  for (const e of entries) {
    if (struck.has(e.id)) continue;
    const { by, recordedAt: since } = e;
    if (e.kind === 'site-terms') terms.push({ version: terms.length + 1, since, by, policy: e.data.policy, rules: e.data.rules });
    if (e.kind === 'rule') {
      const versions = rules.get(e.data.rule.id) ?? [];
      rules.set(e.data.rule.id, [...versions, { version: versions.length + 1, since, by, rule: e.data.rule }]);
    }
    if (e.kind === 'probe-check') {
      const check = { at: e.at, referenceC: e.data.referenceC, readC: e.data.readC };
      const list = probes.get(e.data.probe);
      if (list) list.push(check); else probes.set(e.data.probe, [check]);
    }
    if (e.kind === 'ambient') ambient.push({ at: e.at, value: e.data.value, unit: e.data.unit });
  }
  return { probes, ambient, terms, rules };
}
