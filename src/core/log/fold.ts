import { instantOf, isoOf, type Instant } from '../quantity/instant';
import type { ProbeCheck } from '../evidence/types';
import { isFileEvent, type DataOf, type Entry, type FileEventKind } from './entry';
import type { FileReading, FireCard, Instrument, MethodTemplate, Position, Work } from './shapes';
import type { Point } from '../evidence/types';
import { lastOf } from '../quantity/present';
import { isByTrainee, isToBeChecked } from './entered-by';
import type { Country } from './kinds/vocabulary';
import { batchIdOf, type BatchId, type EntryId } from './ids';

/** A reading with the entry that brought it, and the moment that it names. */
export type LoggedReading = FileReading & { readonly entry: EntryId; readonly time: Instant };
export type LoggedEvent = Extract<Entry, { kind: FileEventKind }>;

/** A place where a round reads: with its side, and how far along a row, where that is known. */
export type PlanPlace = Point & {
  readonly side?: string | undefined;
  readonly alongM?: number | undefined;
};

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
  readonly id: BatchId;
  readonly opened: DataOf<'opened'>;
  readonly openedAt: Instant;
  /** When the last raw load went in; null while it is building. */
  readonly builtAt: Instant | null;
  /** The same as a file that was brought in wrote it. */
  readonly builtAs: string | null;
  /** By version; the last one is in force. */
  readonly terms: readonly Terms[];
  readonly readings: readonly LoggedReading[];
  /** Where a round reads it now. */
  readonly plan: readonly PlanPlace[];
  /** The plan's places, and behind them those that earlier plans had. */
  readonly points: readonly PlanPlace[];
  readonly position: Position | null;
  readonly events: readonly LoggedEvent[];
  /** The method template that it is kept by, where one was chosen. */
  readonly template: MethodTemplate | null;
  /** Its own entries that stand, without those of the heap it was carried off from. */
  readonly own: readonly Entry[];
  /** Those of them that are no rounds: few, beside a log of thousands of rounds. */
  readonly acts: readonly Entry[];
  readonly tally: ReadingTally;
  /** Entries of trainees that stand and that nobody else has checked yet. */
  readonly toCheck: ReadonlySet<EntryId>;
  /** Entry id → the correction that struck it. */
  readonly struck: ReadonlyMap<EntryId, Entry>;
  readonly entries: readonly Entry[];
};

/** What is asked of all readings of a batch, known without looking at each again. */
type ReadingTally = {
  /** The last reading at each place, of those that stand. */
  readonly lastAt: ReadonlyMap<string, LoggedReading>;
  /** Thermometers that it was read with, by struck readings too. */
  readonly probes: ReadonlySet<string>;
  /** The last reading that stands and names its thermometer. */
  readonly lastByProbe: LoggedReading | null;
  /** The last reading that stands and was taken for a fire. */
  readonly lastEmergency: LoggedReading | null;
  /** Readings with an upper end, struck ones among them. */
  readonly ranges: readonly LoggedReading[];
  /** The latest moment that any of them names; -Infinity: there is none. */
  readonly latest: Instant;
};
const NO_READINGS: ReadingTally = {
  lastAt: new Map(),
  probes: new Set(),
  lastByProbe: null,
  lastEmergency: null,
  ranges: [],
  latest: -Infinity,
};

const isEmergency = ({ doubts }: LoggedReading): boolean =>
  Array.isArray(doubts) &&
  doubts.some((d: { readonly answer?: unknown } | null) => d?.answer === 'emergency');

/** A tally with readings that stand behind all it knows of. */
function tallied(before: ReadingTally, readings: readonly LoggedReading[]): ReadingTally {
  const [lastAt, probes] = [new Map(before.lastAt), new Set(before.probes)];
  let { lastByProbe, lastEmergency, latest } = before;
  const ranges = [...before.ranges];
  for (const r of readings) {
    if (r.time > latest) latest = r.time;
    if (r.high !== undefined) ranges.push(r);
    if (r.probe !== undefined) probes.add(r.probe);
    if (r.flag !== undefined) continue;
    if (!(r.time < (lastAt.get(r.point)?.time ?? -Infinity))) lastAt.set(r.point, r);
    if (r.probe !== undefined) lastByProbe = r;
    if (isEmergency(r)) lastEmergency = r;
  }
  return { lastAt, probes, lastByProbe, lastEmergency, ranges, latest };
}

type SiteTerms = Pick<Terms, 'version' | 'since' | 'by' | 'policy' | 'rules'>;
/** Distances and heights that rounds go by: a set of places for each stretch of a row, how near a border a place reads its neighbour's heat, how high the site lies. */
type RoundSettings = {
  readonly stretchM: number;
  readonly borderM: number;
  readonly altitudeM: number;
};
const USUAL_SETTINGS: RoundSettings = { stretchM: 5, borderM: 0.5, altitudeM: 0 };

type RuleVersion = {
  readonly version: number;
  readonly since: Instant;
  readonly by: string;
  readonly rule: DataOf<'rule'>['rule'];
};

/** What the site's own entries say: thermometers, air, rules and policy. */
export type SiteState = {
  readonly probes: ReadonlyMap<string, readonly LoggedCheck[]>;
  readonly ambient: readonly {
    readonly at: Instant;
    readonly value: number;
    readonly unit: 'C' | 'F';
  }[];
  /** By version; empty until the site has chosen. */
  readonly terms: readonly SiteTerms[];
  /** The country that somebody gave for it; null: one that the library has no rules of; absent: nobody was asked. */
  readonly country?: Country | null | undefined;
  /** Its own rules, each with its versions in order. */
  readonly rules: ReadonlyMap<string, readonly RuleVersion[]>;
  /** Thermometers as they are now, by name. One that was only ever checked stands here too, with what is not known left out. */
  readonly instruments: ReadonlyMap<string, Instrument | null>;
  /** The order of the walk as set by hand; null: hygienic. */
  readonly walkOrder: readonly BatchId[] | null;
  readonly settings: RoundSettings;
  /** Whether what trainees log counts before somebody else has checked it. */
  readonly traineesCountAtOnce: boolean;
  /** Method templates that the site made or changed, by id. */
  readonly templates: ReadonlyMap<string, MethodTemplate>;
  /** Crew, machine, hours, hose, chores; null: never said. */
  readonly work: Work | null;
  readonly fireCard: FireCard | null;
  /** Devices that saw another log than there is. */ readonly witnesses: readonly {
    readonly at: Instant;
    readonly by: string;
    readonly seq: number;
  }[];
  /** Whether any manager has taken note of what does not fit in the log; what they noted is read with its signature. */
  readonly hasFaultNotes: boolean;
  /** What a named person settled of what speaks against evidence, by the name of the question. */
  readonly closedQuestions: ReadonlyMap<string, QuestionClosed>;
  /** When each chore was last done, and by whom. */
  readonly chores: ReadonlyMap<string, { readonly at: Instant; readonly by: string }>;
};

/** A check of a thermometer, with the entry that brought it. */
export type LoggedCheck = ProbeCheck & { readonly entry: EntryId };
export type QuestionClosed = {
  readonly at: Instant;
  readonly by: string;
  readonly reason: string;
};

const isEvent = (entry: Entry): entry is LoggedEvent => isFileEvent(entry.kind);

/**
 * Folds a batch's entries, in the order of the log, to its state.
 * @throws RangeError when no entry opens the batch
 */
export function foldBatch(entries: readonly Entry[]): BatchState {
  // What was inherited from another heap stands before the entry that opened this one.
  const opened = entries.findLast(
    (e): e is Extract<Entry, { kind: 'opened' }> => e.kind === 'opened',
  );
  if (!opened)
    throw new RangeError(
      'foldBatch: the entries hold none that opens the batch. Were all of its entries read?',
    );
  const struck = new Map<EntryId, Entry>();
  const corrections = entries.filter(
    (e): e is Extract<Entry, { kind: 'correction' }> => e.kind === 'correction',
  );
  for (const c of corrections) if (c.data.reading === undefined) struck.set(c.data.target, c);
  const live = entries.filter((e) => !struck.has(e.id));
  const toCheck = toCheckOf(live);
  const own = live.filter((e) => e.batch === opened.batch);
  const readings = readingsOf(entries, corrections, struck, toCheck);
  const built = live.findLast((e): e is Extract<Entry, { kind: 'built' }> => e.kind === 'built');
  return {
    id: batchIdOf(opened),
    opened: opened.data,
    openedAt: opened.at,
    builtAt: built?.at ?? null,
    builtAs: built?.data.as ?? null,
    terms: termsOf(opened, own),
    readings,
    tally: tallied(NO_READINGS, readings),
    acts: own.filter((e) => e.kind !== 'round'),
    ...placesOf(opened, own),
    position:
      own.findLast((e) => e.kind === 'position')?.data.position ??
      (opened.data.bay === undefined ? null : { bay: opened.data.bay }),
    events: entries.filter(isEvent),
    template:
      own.findLast((e) => e.kind === 'method')?.data.template ?? opened.data.template ?? null,
    own,
    toCheck,
    struck,
    entries,
  };
}

/** Whether an entry counts only once somebody has checked it: a trainee's, or imported readings whose file says so of them. */
const isUnchecked = (e: Entry): boolean =>
  isToBeChecked(e.data) ||
  (e.kind === 'round' && e.data.source === 'file' && e.data.readings.some((r) => r.toCheck));

/** Those that nobody else has checked. A check of one's own is none. */
function toCheckOf(live: readonly Entry[]): ReadonlySet<EntryId> {
  const checked = new Set(
    live.flatMap((e) => (e.kind === 'entry-check' && !isByTrainee(e.data) ? [e.data.target] : [])),
  );
  return new Set(live.flatMap((e) => (isUnchecked(e) && !checked.has(e.id) ? [e.id] : [])));
}

/** Those it was opened with, then each change: in force from when the log took it, so that none is dated back. */
function termsOf(opened: Extract<Entry, { kind: 'opened' }>, live: readonly Entry[]): Terms[] {
  const changes = live.filter((e): e is Extract<Entry, { kind: 'terms' }> => e.kind === 'terms');
  return [opened, ...changes].map(({ data, by, recordedAt }, i) => ({
    version: i + 1,
    since: recordedAt,
    by,
    policy: data.policy,
    rules: data.rules,
    ownRules: data.ownRules,
    siteVersion: data.siteVersion ?? null,
  }));
}

/** The plan in force, and every place that ever was in one: a reading at a place that was given up is still a reading. */
function placesOf(
  opened: Extract<Entry, { kind: 'opened' }>,
  live: readonly Entry[],
): Pick<BatchState, 'plan' | 'points'> {
  const plans: (readonly PlanPlace[])[] = [
    opened.data.points,
    ...live.flatMap((e) => (e.kind === 'plan' ? [e.data.points] : [])),
  ];
  const plan = lastOf(plans);
  const points = new Map(plan.map((p) => [p.id, p]));
  for (const p of plans.flat()) if (!points.has(p.id)) points.set(p.id, p);
  return { plan, points: [...points.values()] };
}

type RoundEntry = Extract<Entry, { kind: 'round' }>;

/** The readings of a round as they came in. @param toCheck whether somebody is still to check them */
function readingsOfRound({ id, data, recordedAt }: RoundEntry, toCheck: boolean): LoggedReading[] {
  const recorded = data.source === 'hand' ? { recordedAt: isoOf(recordedAt) } : {};
  return data.readings.map(({ toCheck: inFile, ...r }) => ({
    ...recorded,
    ...r,
    // Of a file those are doubted that it doubts.
    ...(toCheck && (data.source === 'hand' || inFile) ? { toCheck: true as const } : {}),
    entry: id,
    time: instantOf(r.at),
  }));
}

/**
 * A batch with rounds that its log has grown by: the same as folding all of its entries anew, without looking at them again.
 * @param state of every entry before, of a batch that inherited nothing
 * @returns null where what came is not rounds alone, or a reading bears an id that the batch knows: then it is folded anew
 */
export function growByRounds(state: BatchState, entries: readonly Entry[]): BatchState | null {
  const rounds = entries.filter((e): e is RoundEntry => e.kind === 'round' && e.batch === state.id);
  if (rounds.length < entries.length || state.entries[0]?.batch !== state.id) return null;
  const toCheck = rounds.filter(isUnchecked).map((e) => e.id);
  const readings = rounds.flatMap((e) => readingsOfRound(e, isUnchecked(e)));
  const ids = readings.map((r) => r.id);
  const known = readingIdsOf(state);
  if (new Set(ids).size < ids.length || ids.some((id) => known.has(id))) return null;
  const grown: BatchState = {
    ...state,
    readings: state.readings.concat(readings),
    tally: tallied(state.tally, readings),
    toCheck: toCheck.length === 0 ? state.toCheck : new Set([...state.toCheck, ...toCheck]),
    own: state.own.concat(rounds),
    entries: state.entries.concat(rounds),
  };
  // Given on: of half a million ids no second list is made.
  knownIds.delete(state);
  for (const id of ids) known.add(id);
  knownIds.set(grown, known);
  return grown;
}

const knownIds = new WeakMap<BatchState, Set<string>>();
function readingIdsOf(state: BatchState): Set<string> {
  const ids = knownIds.get(state) ?? new Set(state.readings.map((r) => r.id));
  knownIds.set(state, ids);
  return ids;
}
/** Whether a batch holds a reading under an id. */
export const hasReading = (state: BatchState, id: string): boolean => readingIdsOf(state).has(id);

function readingsOf(
  entries: readonly Entry[],
  corrections: readonly Extract<Entry, { kind: 'correction' }>[],
  struck: ReadonlyMap<string, Entry>,
  toCheck: ReadonlySet<EntryId>,
): LoggedReading[] {
  const readings = new Map<string, LoggedReading>();
  for (const e of entries) {
    if (e.kind !== 'round') continue;
    const gone = struck.get(e.id);
    for (const r of readingsOfRound(e, toCheck.has(e.id)))
      readings.set(
        r.id,
        gone?.kind === 'correction'
          ? { ...r, flag: 'rejected' as const, flagReason: gone.data.reason }
          : r,
      );
  }
  for (const c of corrections) {
    const old = c.data.reading === undefined ? undefined : readings.get(c.data.reading);
    if (!old) continue;
    const replaced = c.data.value !== undefined;
    readings.set(old.id, {
      ...old,
      flag: replaced ? 'superseded' : 'rejected',
      flagReason: c.data.reason,
    });
    if (!replaced) continue;
    const { flag: _flag, flagReason: _reason, toCheck: _doubt, ...kept } = old;
    // Whoever puts a value right has looked at it.
    const doubt = toCheck.has(c.id) ? { toCheck: true as const } : {};
    readings.set(c.id, {
      ...kept,
      ...doubt,
      id: c.id,
      value: c.data.value!,
      unit: c.data.unit ?? old.unit,
      recordedAt: isoOf(c.recordedAt),
      entry: c.id,
    });
  }
  return [...readings.values()];
}

/** Folds the site's own entries. */
export function foldSite(entries: readonly Entry[]): SiteState {
  const struck = new Set(entries.flatMap((e) => (e.kind === 'correction' ? [e.data.target] : [])));
  const probes = new Map<string, LoggedCheck[]>();
  const ambient: { at: Instant; value: number; unit: 'C' | 'F' }[] = [];
  const terms: SiteTerms[] = [];
  let country: Country | null | undefined;
  const rules = new Map<string, RuleVersion[]>();
  const instruments = new Map<string, Instrument | null>();
  let walkOrder: readonly BatchId[] | null = null;
  let settings = USUAL_SETTINGS;
  let traineesCountAtOnce = false;
  const templates = new Map<string, MethodTemplate>();
  let work: Work | null = null;
  let fireCard: FireCard | null = null;
  const chores = new Map<string, { at: Instant; by: string }>();
  const closedQuestions = new Map<string, QuestionClosed>();
  for (const e of entries) {
    if (struck.has(e.id)) continue;
    const { by, recordedAt: since } = e;
    if (e.kind === 'site-terms')
      terms.push({
        version: terms.length + 1,
        since,
        by,
        policy: e.data.policy,
        rules: e.data.rules,
      });
    if (e.kind === 'site-terms' && e.data.country !== undefined) country = e.data.country;
    if (e.kind === 'rule') {
      const versions = rules.get(e.data.rule.id) ?? [];
      rules.set(e.data.rule.id, [
        ...versions,
        { version: versions.length + 1, since, by, rule: e.data.rule },
      ]);
    }
    if (e.kind === 'instrument') instruments.set(e.data.instrument.name, e.data.instrument);
    if (e.kind === 'walk-order') walkOrder = e.data.batches.length > 0 ? e.data.batches : null;
    if (e.kind === 'round-settings') settings = e.data;
    if (e.kind === 'trainee-policy') traineesCountAtOnce = e.data.countAtOnce;
    if (e.kind === 'template') templates.set(e.data.template.id, e.data.template);
    if (e.kind === 'work') work = e.data.work;
    if (e.kind === 'fire-card') fireCard = e.data.card;
    if (e.kind === 'question-closed')
      closedQuestions.set(e.data.question, { at: e.at, by, reason: e.data.reason });
    if (e.kind === 'chore' && e.at >= (chores.get(e.data.chore)?.at ?? -Infinity))
      chores.set(e.data.chore, { at: e.at, by });
    if (e.kind === 'probe-check') {
      if (!instruments.has(e.data.probe)) instruments.set(e.data.probe, null);
      const { referenceC, readC } = e.data;
      const check = { at: e.at, referenceC, readC, entry: e.id };
      const list = probes.get(e.data.probe);
      if (list) list.push(check);
      else probes.set(e.data.probe, [check]);
    }
    if (e.kind === 'ambient') ambient.push({ at: e.at, value: e.data.value, unit: e.data.unit });
  }
  return {
    probes,
    witnesses: entries.flatMap((e) =>
      e.kind === 'witness' && !struck.has(e.id)
        ? [{ at: e.recordedAt, by: e.by, seq: e.data.saw.seq }]
        : [],
    ),
    hasFaultNotes: entries.some((e) => e.kind === 'fault-noted'),
    ambient,
    terms,
    country,
    rules,
    instruments,
    walkOrder,
    settings,
    traineesCountAtOnce,
    templates,
    work,
    fireCard,
    closedQuestions,
    chores,
  };
}
