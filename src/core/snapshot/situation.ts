import type { SiteHead } from '../formats/batch-file-of';
import { siteConditionsOf, siteFactsOf } from './site-conditions';
import { stageOf, type Stage, type Word } from '../advice/stage';
import type { HeapFacts } from '../advice/situation';
import type { RoundHeat } from '../advice/trend';
import { drySpans } from '../evidence/moisture';
import { asksMoist, turningsEndStages } from '../evidence/requirements';
import type { Round } from '../evidence/rounds';
import { windowAt } from '../evidence/run-scan';
import { sizesOfHeap } from '../heap/sizes';
import type { Change } from '../advice/diagnose';
import { pestsOf } from '../log/entry';
import type { BatchState, SiteState } from '../log/fold';
import { MS, type Instant } from '../quantity/instant';
import { titlesOf } from '../rules/library';
import { chooseWorkingRule, type BatchAssessment } from './assess-batch';
import { itemAt, valueAt } from '../quantity/present';

/** As many rounds are kept beside a heap: two weeks at two a day. */
const MAX_ROUNDS = 28;
const MAX_CHANGES = 12;
const LATELY_MS = 10 * MS.day;
const heatOfRound = (r: Round, peakC = r.peak): RoundHeat => ({
  at: r.time,
  valueC: r.value,
  peakC,
});

/** Heats of the complete rounds among the first so many of a list that grows at its end. */
type KnownHeats = { rounds: number; readonly heats: RoundHeat[] };
const knownHeats = new WeakMap<readonly Round[], KnownHeats>();

/** The rounds of a heap as heat, by time. Of thin ones only the last: a mean of two places is no trend. @param peakC of the last round, upper ends of ranges included */
export function heatsOf(
  { prepared: { rounds } }: BatchAssessment,
  peakC: number | null,
): RoundHeat[] {
  const known = knownHeats.get(rounds) ?? { rounds: 0, heats: [] };
  knownHeats.set(rounds, known);
  for (; known.rounds < rounds.length - 1; known.rounds += 1) {
    const r = itemAt(rounds, known.rounds);
    if (r.complete) known.heats.push(heatOfRound(r));
  }
  const last = rounds.at(-1);
  return last ? [...known.heats, heatOfRound(last, peakC ?? last.peak)] : [];
}

function shortened(heats: readonly RoundHeat[]): RoundHeat[] {
  const last = heats.slice(-MAX_ROUNDS);
  const hottest = heats
    .slice(0, -MAX_ROUNDS)
    .reduce<RoundHeat | null>((a, r) => (a === null || r.peakC > a.peakC ? r : a), null);
  return hottest ? [hottest, ...last] : last;
}

/** What somebody changed at a heap that may have moved its heat, by time. */
export function changesOf(state: BatchState): Change[] {
  return state.acts
    .flatMap((e): Change[] => {
      switch (e.kind) {
        case 'fix':
          return [{ at: e.at, what: e.data.fix }];
        case 'turn':
          return e.data.full ? [{ at: e.at, what: 'turn' }] : [];
        case 'water':
          return [{ at: e.at, what: 'water' }];
        case 'addition':
          return [
            {
              at: e.at,
              what: 'added',
              ...(e.data.what === undefined ? {} : { said: e.data.what }),
            },
          ];
        case 'merge':
          return [{ at: e.at, what: 'enlarge' }];
        case 'split':
          return [{ at: e.at, what: 'shrink' }];
        default:
          return [];
      }
    })
    .sort((a, b) => a.at - b.at);
}

const SQUEEZE_OF = { dry: 'crumbles', moist: 'drops', wet: 'runs' } as const;

/** The latest of a kind of sign; null: never. */
function latest<T>(
  state: BatchState,
  now: Instant,
  pick: (e: BatchState['events'][number]) => T | undefined,
): (T & { at: Instant }) | null {
  let found: (T & { at: Instant }) | null = null;
  for (const e of state.events) {
    if (state.struck.has(e.id) || e.at > now || (found !== null && e.at < found.at)) continue;
    const value = pick(e);
    if (value !== undefined) found = { ...value, at: e.at };
  }
  return found;
}

const wordOf = (e: { readonly at: Instant; readonly by: string } | undefined): Word | null =>
  e ? { at: e.at, by: e.by } : null;

/** Whether it is covered, as of the last entry that says so: seen in a check, done, or logged as what was changed. */
function coverOf(state: BatchState, now: Instant): HeapFacts['cover'] {
  const seen = latest(state, now, (e) =>
    e.kind === 'observation' && e.data.cover
      ? { on: e.data.cover === 'on' }
      : e.kind === 'cover'
        ? { on: true }
        : undefined,
  );
  const changed = state.acts.findLast(
    (e) => e.kind === 'fix' && (e.data.fix === 'cover' || e.data.fix === 'uncover') && e.at <= now,
  );
  if (changed?.kind !== 'fix' || (seen !== null && seen.at > changed.at)) return seen;
  return { on: changed.data.fix === 'cover', at: changed.at };
}

function stageFor(
  state: BatchState,
  heats: readonly RoundHeat[],
  air: readonly { at: Instant; c: number }[],
  now: Instant,
): Stage {
  const live = state.events.filter((e) => !state.struck.has(e.id) && e.at <= now);
  const own = state.acts.filter((e) => e.at <= now);
  const raw = live
    .filter(
      (e) =>
        (e.kind === 'addition' && e.data.raw) ||
        (e.kind === 'merge' && !e.data.withProven) ||
        (e.kind === 'water' && !e.data.clean),
    )
    .map((e) => e.at);
  const hold = own.findLast((e) => e.kind === 'hold');
  const ended = own.findLast((e) => e.kind === 'ended');
  return stageOf({
    now,
    openedAt: state.openedAt,
    builtAt: state.builtAt,
    rawAt: raw.length > 0 ? Math.max(...raw, state.builtAt ?? -Infinity) : state.builtAt,
    // A part that went to cure leaves the rest what it was.
    cured: wordOf(live.findLast((e) => e.kind === 'cure' && e.data.all !== false)),
    ready: wordOf(own.findLast((e) => e.kind === 'ready')),
    released: wordOf(live.findLast((e) => e.kind === 'release')),
    hold: hold
      ? { at: hold.at, by: hold.by, on: hold.data.on, reason: hold.data.reason ?? null }
      : null,
    ended: ended ? { at: ended.at, by: ended.by, reason: ended.data.reason } : null,
    rounds: heats,
    air,
  });
}

/** Which of its rules it has met, the leading one first. */
function rulesMet(batchAssessment: BatchAssessment | null): HeapFacts['rules'] {
  const rules = batchAssessment?.rules ?? [];
  const titles = titlesOf(rules.map(({ rule }) => rule));
  return {
    asked: rules.length,
    met: rules.flatMap(({ rule, assessment }) =>
      assessment.verdict.provenAt === null
        ? []
        : [{ title: valueAt(titles, rule.id), at: assessment.verdict.provenAt }],
    ),
  };
}

/** Since when the batch is dry, where that stops a rule of it that is not met. */
function dryStops(batchAssessment: BatchAssessment | null, now: Instant): Instant | null {
  const asks = batchAssessment?.rules.some(
    ({ rule, assessment }) => assessment.verdict.provenAt === null && asksMoist(rule.requirement),
  );
  const span = asks ? drySpans(batchAssessment!.prepared.evidence.events, now).at(-1) : undefined;
  return span?.to === Infinity ? span.from : null;
}

/** Everything that advice about a heap looks at. @param peakC hottest of the last round, upper ends of ranges included */
export function heapFacts(
  state: BatchState,
  { siteState, site }: { readonly siteState: SiteState; readonly site: SiteHead },
  assessment: BatchAssessment | null,
  peakC: number | null,
  neverHot: boolean,
  now: Instant,
): HeapFacts {
  const working = assessment ? (chooseWorkingRule(assessment.rules)?.assessment ?? null) : null;
  const policy = assessment?.prepared.evidence.policy;
  const heats = assessment ? heatsOf(assessment, peakC) : [];
  const conditions = siteConditionsOf(siteState, site);
  const kept = state.opened.method;
  const last = heats.at(-1);
  const lastRead = last ? { at: last.at, coreC: last.peakC, airC: null } : null;
  const sizes = sizesOfHeap(state).filter((s) => s.at <= now);
  const verdict = working?.verdict;
  const hand = state.tally.lastByProbe?.probe;
  const fire = state.tally.lastEmergency;
  const burnt =
    latest(state, now, (e) =>
      e.kind === 'observation' && e.data.smell === 'burnt' ? {} : undefined,
    )?.at ?? null;
  return {
    ...siteFactsOf({ kept, lastRead }, state.template, conditions, now),
    stage: stageFor(state, heats, conditions.air, now),
    kept,
    builtAt: state.builtAt,
    neverHot,
    volumeM3: sizes.at(-1)?.m3 ?? null,
    builtM3: sizes[0]?.m3 ?? null,
    proof: {
      status: verdict?.status ?? null,
      form: working && turningsEndStages(working.progress.part.of) ? 'staged' : 'other',
      creditedHours: verdict?.creditedHours ?? 0,
      requiredHours: verdict?.requiredHours ?? 0,
      turningsOwed: Math.max(0, (verdict?.turningsRequired ?? 0) - (verdict?.turningsCounted ?? 0)),
      floorC: working?.progress.scan.floor.floorC ?? 55,
      maxGapHours: policy?.maxGapHours ?? 36,
      graceHours: policy?.turnGraceHours ?? 36,
      earliestProofAt: verdict?.earliestProofAt ?? null,
      lastHot: verdict?.run?.to ?? null,
      graceUntil: (working && windowAt(working.progress.scan.windows, now)?.to) ?? null,
    },
    rules: rulesMet(assessment),
    turns: state.events
      .filter((e) => e.kind === 'turn' && e.data.full && !state.struck.has(e.id) && e.at <= now)
      .map((e) => e.at)
      .sort((a, b) => a - b)
      .slice(-12),
    rounds: shortened(heats),
    bayNeededBy: state.acts.findLast((e) => e.kind === 'bay-wanted')?.data.by ?? null,
    squeeze: latest(state, now, (e) =>
      e.kind === 'observation' && e.data.squeeze
        ? { squeeze: e.data.squeeze }
        : e.kind === 'moisture'
          ? { squeeze: SQUEEZE_OF[e.data.state] }
          : undefined,
    ),
    smell: latest(state, now, (e) =>
      e.kind === 'observation' && e.data.smell ? { smell: e.data.smell } : undefined,
    ),
    pests: latest(state, now, (e) =>
      e.kind === 'observation' && e.data.pests ? { pests: pestsOf(e.data.pests) } : undefined,
    ),
    seepage:
      latest(state, now, (e) =>
        e.kind === 'observation' && (e.data.seepage === 'some' || e.data.seepage === 'much')
          ? {}
          : undefined,
      )?.at ?? null,
    cover: coverOf(state, now),
    dryStops: dryStops(assessment, now),
    watered: state.events
      .filter(
        (e) =>
          e.kind === 'water' && !state.struck.has(e.id) && e.at <= now && e.at > now - LATELY_MS,
      )
      .map((e) => ({ at: e.at, litres: e.kind === 'water' ? (e.data.litres ?? null) : null })),
    burnt: fire ? Math.max(burnt ?? -Infinity, fire.time) : burnt,
    inputs: state.opened.inputs ?? null,
    probe:
      hand === undefined
        ? null
        : { name: hand, checkedAt: siteState.probes.get(hand)?.at(-1)?.at ?? null },
    changes: changesOf(state).slice(-MAX_CHANGES),
  };
}
