import { hoursToMs, type Instant } from '../quantity/instant';
import { localDays, zoneOf } from '../quantity/calendar';
import { TOO_HOT_C, type Situation } from '../advice/next';
import { lostHours, strataOf, type Stratum } from '../evidence/spans';
import { factsOf } from '../evidence/facts';
import type { Rule } from '../evidence/rule';
import { account, prepare, type Account, type Prepared, type Ruling } from '../evidence/verdict';
import { windowAt } from '../evidence/walk';
import { evidenceOf, ownRulesOf } from '../formats/batch-file';
import { batchFileOf, type SiteHead } from '../formats/batch-file-of';
import type { BatchState, SiteState, Terms } from '../log/fold';
import type { Position } from '../log/shapes';
import { findRule, rulesForMethod } from '../rules/library';
import type { VerdictFacts } from '../words/verdict';
import { highestC } from '../words/reading';
import { fieldOf, type FieldDigest } from './field';

/** The ten drawings of a mound. */
export const MOUND_STATES = ['building', 'waiting', 'running', 'recovering', 'broken', 'hot', 'stale', 'proven', 'curing', 'released'] as const;
export type MoundState = (typeof MOUND_STATES)[number];

/** One rule's standing, small enough to keep beside the batch. */
export type RuleDigest = VerdictFacts & { readonly rule: string; readonly title: string; /** Hours in all, every stage counted. */ readonly totalHours: number; /** Version of the terms that a proof was kept from; null where those in force hold. */ readonly keptFrom: number | null };

/** What the yard shows of a batch, derived from the log: dropped and rebuilt at will. */
export type Digest = {
  readonly id: string;
  readonly code: string;
  readonly name: string | null;
  readonly bay: string | null;
  /** A bay, or a stretch of a row. */
  readonly position: Position | null;
  readonly method: string;
  readonly volumeM3: number | null;
  readonly openedAt: Instant;
  readonly builtAt: Instant | null;
  readonly state: MoundState;
  /** Chosen rules, the leading one first. */
  readonly rules: readonly RuleDigest[];
  readonly strata: readonly Stratum[];
  readonly lostHours: number;
  readonly latest: { readonly at: Instant; readonly valueC: number; readonly peakC: number; readonly points: number; readonly complete: boolean } | null;
  readonly lastLogged: { readonly at: Instant; readonly by: string };
  /** What the next advice is worked out from, at the moment of looking. */
  readonly situation: Omit<Situation, 'now'>;
  readonly maxGapHours: number;
  /** What a round over the site needs to know of it. */
  readonly field: FieldDigest;
  /** Until then nothing here changes without a new entry; null: never. */
  readonly recheckAt: Instant | null;
};

/** Rules of some terms: those that are known, else all of the batch's method and its own. */
function rulesOf({ opened }: BatchState, terms: Terms): Rule[] {
  const own = ownRulesOf([...terms.ownRules]);
  const chosen = terms.rules.map((id) => findRule(id, own)).filter((rule) => rule !== undefined);
  return chosen.length > 0 ? chosen : [...rulesForMethod(opened.method), ...own];
}

/** How a batch stands to one rule. */
export type BatchRuling = Ruling & {
  /** The rules and policy that the account was reached under. */
  readonly terms: Terms;
  /** Where a proof was kept from earlier terms: what those in force would say. Null: they ask for this rule no more. */
  readonly present?: Account | null;
};

/** Everything a batch's page is drawn from, as of now. */
export type Reckoning = { readonly prepared: Prepared; readonly accounts: readonly BatchRuling[] };

/** A batch under one version of its terms. Null while it is building. */
export function reckonUnder(state: BatchState, terms: Terms, site: SiteHead, siteState: SiteState, now: Instant): Reckoning | null {
  const file = batchFileOf(state, site, siteState, terms);
  if (!file) return null;
  const prepared = prepare(evidenceOf(file), now);
  return { prepared, accounts: leadingFirst(rulesOf(state, terms).map((rule) => ({ rule, terms, account: account(prepared, rule) }))) };
}

/**
 * A batch under the terms in force; but a proof that was reached under earlier ones before they changed, and
 * that nothing raw has undone since, stands as it was reached.
 */
export function reckon(state: BatchState, site: SiteHead, siteState: SiteState, now: Instant): Reckoning | null {
  const inForce = reckonUnder(state, state.terms.at(-1)!, site, siteState, now);
  if (!inForce || state.terms.length === 1) return inForce;
  const rulings = new Map(inForce.accounts.map((r) => [r.rule.id, r]));
  state.terms.slice(0, -1).forEach((terms, i) => {
    const until = state.terms[i + 1]!.since;
    for (const earlier of reckonUnder(state, terms, site, siteState, now)?.accounts ?? []) {
      const { provenAt } = earlier.account.verdict;
      const shown = rulings.get(earlier.rule.id);
      if (provenAt === null || provenAt > until || shown?.present !== undefined) continue;
      rulings.set(earlier.rule.id, { ...earlier, present: shown?.account ?? null });
    }
  });
  return { ...inForce, accounts: leadingFirst([...rulings.values()]) };
}

const share = ({ account: { verdict: v } }: { account: Account }): number => (v.status === 'proven' ? 2 : v.creditedHours / v.requiredHours);

/** The leading rule is the one furthest from done: the last to be proven leads, so that a mound never shows more than is sure. */
const leadingFirst = <T extends { account: Account; rule: Rule }>(accounts: readonly T[]): T[] =>
  [...accounts].sort((a, b) => Number(a.rule.clock === 'seeds') - Number(b.rule.clock === 'seeds') || share(a) - share(b) || b.account.verdict.turningsRequired - a.account.verdict.turningsRequired);

/** Notes that a sentence or a label is made of; the page reads the rest from the log. */
const KEPT_NOTES = new Set(['COLD', 'OVER_CEILING', 'GAP', 'SLOW_RECOVERY', 'STALE', 'RECOVERING', 'PROOF_LOST']);

const ruleDigest = ({ rule, account: acc, terms, present }: BatchRuling): RuleDigest => ({
  ...factsOf(acc, (note) => KEPT_NOTES.has(note.code)), rule: rule.id, title: rule.title, totalHours: acc.standing.part.totalHours, keptFrom: present === undefined ? null : terms.version,
});

function moundState(stage: 'building' | 'curing' | 'released' | 'live', lead: Account | null, latest: Digest['latest'], now: Instant, maxGapHours: number): MoundState {
  if (stage !== 'live') return stage;
  if (latest && latest.peakC >= TOO_HOT_C) return 'hot';
  if (!lead) return 'waiting';
  const { status, run } = lead.verdict;
  // The last sixth of the allowed gap: six hours of thirty-six.
  if (status === 'running' && run && now - lead.standing.base > hoursToMs((maxGapHours * 5) / 6)) return 'stale';
  if (status === 'broken' && everHot(lead) === false) return 'waiting'; // cold so far, and nothing lost: closed, not yet hot
  if (status === 'running' && run && lead.standing.creditMs === 0 && lead.standing.walk.runs.length > 1) return 'broken';
  return status;
}

const everHot = (lead: Account): boolean => [lead.standing, ...lead.earlier].some(({ walk }) => walk.runs.length > 0);

/** The digest of a batch at a moment. @param reckoning of the same state and moment, where it is there already */
export function digestOf(state: BatchState, site: SiteHead, siteState: SiteState, now: Instant, reckoning = reckon(state, site, siteState, now)): Digest {
  const live = state.events.filter((e) => !state.struck.has(e.id) && e.at <= now);
  const stage = live.some((e) => e.kind === 'release') ? 'released' : state.builtAt === null ? 'building' : live.some((e) => e.kind === 'cure') ? 'curing' : 'live';
  const first = reckoning?.accounts[0];
  const lead = first?.account ?? null;
  const policy = reckoning?.prepared.evidence.policy;
  const maxGapHours = policy?.maxGapHours ?? 36;
  const round = reckoning?.prepared.rounds.at(-1) ?? null;
  // The upper end of a range warns; its lower end counts.
  const inRound = new Set(round?.readings.map((r) => r.id));
  const peakC = state.readings.reduce((a, r) => (r.high !== undefined && inRound.has(r.id) ? Math.max(a, highestC(r)) : a), round?.peak ?? 0);
  const latest = round ? { at: round.time, valueC: round.value, peakC, points: round.points, complete: round.complete } : null;
  const turns = live.filter((e) => e.kind === 'turn' && e.data.full);
  const window = lead ? windowAt(lead.standing.walk.windows, now) : undefined;
  const verdict = lead?.verdict;
  const situation: Digest['situation'] = {
    stage, status: verdict?.status ?? null, creditedHours: verdict?.creditedHours ?? 0, requiredHours: verdict?.requiredHours ?? 0,
    turningsOwed: Math.max(0, (verdict?.turningsRequired ?? 0) - (verdict?.turningsCounted ?? 0)), floorC: lead?.standing.walk.floor.floorC ?? 55, maxGapHours,
    lastHot: verdict?.run?.to ?? null, lastRound: latest, lastTurn: turns.at(-1)?.at ?? null, graceUntil: window?.to ?? null, neverHot: !lead || !everHot(lead), builtAt: state.builtAt,
  };
  const last = state.entries.at(-1)!;
  return {
    id: state.id, code: state.opened.code, name: state.opened.name ?? null, bay: state.position && 'bay' in state.position ? state.position.bay : null, position: state.position, method: state.opened.method,
    volumeM3: state.opened.volumeM3 ?? null, openedAt: state.openedAt, builtAt: state.builtAt,
    state: moundState(stage, lead, latest, now, maxGapHours),
    rules: (reckoning?.accounts ?? []).map(ruleDigest),
    strata: lead ? strataOf(lead) : [],
    lostHours: lead ? lostHours(lead) : 0,
    latest, lastLogged: { at: last.at, by: last.by }, situation, maxGapHours, field: fieldOf(state, policy?.minPoints ?? 3),
    recheckAt: reckoning && stage === 'live' ? nextChange(reckoning, now) : null,
  };
}

/** The next moment at which time alone changes a standing: a gap used up, a window closed, a day over, a reading dated ahead. */
function nextChange({ prepared, accounts }: Reckoning, now: Instant): Instant | null {
  const { policy, timeZone } = prepared.evidence;
  const moments = accounts.flatMap(({ account: { standing } }) => [
    standing.base + hoursToMs(policy.maxGapHours) + 1,
    standing.base + hoursToMs((policy.maxGapHours * 5) / 6) + 1,
    ...standing.walk.windows.map((w) => w.to + 1),
  ]);
  if (policy.counting === 'days') moments.push(localDays(zoneOf(timeZone), now, now)[0]!.end);
  const asked = prepared.evidence.readings.filter((r) => r.at > now).map((r) => r.at);
  const ahead = [...moments, ...asked.slice(0, 1000)].filter((at) => at > now);
  return ahead.length > 0 ? Math.min(...ahead) : null;
}
