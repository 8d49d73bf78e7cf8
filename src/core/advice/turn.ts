import type { MethodTemplate, Trigger } from '../log/shapes';
import { hoursToMs, MS, type Instant } from '../quantity/instant';
import {
  fallOf,
  passesBelow,
  REBOUND_MS,
  trendOf,
  withoutWatered,
  type RoundHeat,
  type Trend,
} from './trend';

/**
 * Whether and when to turn a heap, with reasons that name the readings behind them. Every school that a crew may belong to is
 * asked (trade facts, section 2); the heap's method decides which one rules, which may override it, and what the rule that is
 * being proven still owes stands beside them all.
 */

export type TurnStrategy = Trigger | 'rule';

/** What is being proven, as far as a turning touches it. */
export type ProofState = {
  readonly status: 'proven' | 'waiting' | 'running' | 'recovering' | 'broken' | null;
  /** `staged`: a hold before each turning; any other counts turnings within its time. */
  readonly form: 'staged' | 'other';
  readonly creditedHours: number;
  readonly requiredHours: number;
  readonly turningsOwed: number;
  readonly floorC: number;
  readonly maxGapHours: number;
  readonly graceHours: number;
  /** Not before; null: not to be told. */
  readonly earliestProofAt: Instant | null;
  /** Latest hot round of the run. */
  readonly lastHot: Instant | null;
  /** Until when a turning excuses a cold round. */
  readonly graceUntil: Instant | null;
};

export type TurnSituation = {
  readonly now: Instant;
  readonly template: MethodTemplate;
  readonly limits: MethodTemplate['limits'];
  readonly builtAt: Instant | null;
  /** Full turnings, by time. */
  readonly turns: readonly Instant[];
  /** The last rounds, by time. */
  readonly rounds: readonly RoundHeat[];
  /** When water was poured in. */ readonly watered: readonly { readonly at: Instant }[];
  readonly proof: ProofState;
  /** When its bay is wanted for another heap. */
  readonly bayNeededBy: Instant | null;
};

export type TurnReason =
  | {
      readonly code: 'CALENDAR';
      readonly since: Instant;
      readonly first: boolean;
      readonly days: number;
      readonly due: Instant;
    }
  | { readonly code: 'WORKED_OUT'; readonly activeDays: number; readonly since: Instant }
  | {
      readonly code: 'PEAKED';
      /** Whether the checks beside it are close enough to call it a peak; else it is the highest that was seen. */
      readonly isPeak: boolean;
      readonly highestC: number;
      readonly at: Instant;
      readonly nowC: number;
    }
  | {
      readonly code: 'FALLING';
      readonly perDay: number;
      readonly nowC: number;
      readonly rounds: number;
      readonly from: Instant;
    }
  | {
      readonly code: 'STEADY';
      readonly perDay: number;
      readonly nowC: number;
      readonly rounds: number;
      readonly from: Instant;
    }
  | { readonly code: 'TOO_FEW_ROUNDS'; readonly rounds: number; readonly since: Instant }
  | { readonly code: 'LOW'; readonly coreC: number; readonly lowC: number; readonly at: Instant }
  | {
      readonly code: 'ABOVE_LOW';
      readonly coreC: number;
      readonly lowC: number;
      readonly at: Instant;
    }
  | { readonly code: 'HOT'; readonly coreC: number; readonly actC: number; readonly at: Instant }
  | {
      readonly code: 'NOT_HOT';
      readonly coreC: number;
      readonly actC: number;
      readonly at: Instant;
    }
  | { readonly code: 'BAY'; readonly by: Instant }
  | { readonly code: 'BAY_FREE'; readonly since: Instant }
  | {
      readonly code: 'OWED';
      readonly owed: number;
      readonly missingHours: number;
      readonly since: Instant;
      readonly apartHours: number;
    }
  | {
      readonly code: 'OWED_NOT_HOT_SINCE';
      readonly owed: number;
      readonly turnedAt: Instant;
      readonly floorC: number;
    }
  | {
      readonly code: 'STAGE_DONE';
      readonly heldHours: number;
      readonly needHours: number;
      readonly owed: number;
      readonly at: Instant;
    }
  | {
      readonly code: 'STAGE_RUNS';
      readonly missingHours: number;
      readonly owed: number;
      readonly at: Instant;
    }
  | {
      readonly code: 'RUN_WOULD_END';
      readonly at: Instant;
      readonly creditedHours: number;
      readonly floorC: number;
      readonly perDay: number;
    }
  | {
      readonly code: 'NEAR_PROOF';
      readonly missingHours: number;
      readonly proofAt: Instant;
      readonly graceHours: number;
    }
  | { readonly code: 'RECOVERING'; readonly until: Instant; readonly floorC: number }
  | { readonly code: 'TURNED_LATELY'; readonly at: Instant; readonly earliest: Instant }
  | { readonly code: 'NO_RULE_ASKS'; readonly at: Instant }
  | { readonly code: 'LEFT_ALONE'; readonly since: Instant };

/** What one school would say now. `now`: turn; `on`: turn then; `wait`: not yet, nobody knows when; `no`: not at all. */
export type StrategyOpinion = {
  readonly strategy: TurnStrategy;
  readonly says: 'now' | 'on' | 'wait' | 'no';
  readonly at: Instant | null;
  readonly because: TurnReason;
};

export type TurnAdvice = {
  /** `turn`: within the window; `wait`: a turning now would cost something; `none`: nothing asks for one. */
  readonly act: 'turn' | 'wait' | 'none';
  /** Not before, best at, and at the latest. Null: nothing says so. */
  readonly earliest: Instant | null;
  readonly due: Instant | null;
  readonly latest: Instant | null;
  /** The school that decided; null: none. */
  readonly by: TurnStrategy | null;
  readonly reasons: readonly TurnReason[];
  /** What waiting longer than that costs. */
  readonly waiting: TurnReason | null;
  readonly voices: readonly StrategyOpinion[];
};

/** A heap that was opened is left alone for a day, whatever anybody says. */
export const APART_MS = MS.day;
/** Turnings that a rule counts are best two days apart: the heat has come back and was read (common practice). */
const RULE_APART_MS = 2 * MS.day;
/** Within so long of a proof that owes no turning, a turning is put off. */
export const NEAR_PROOF_HOURS = 72;
/** A fall slower than this is a plateau, K a day. */
const FALLS_K = 0.5;
/** Below the highest by so much, half a day after it: it has peaked. */
const PEAKED_K = 1.5;
const PEAKED_MS = 10 * MS.hour;
/** What has not been this hot has had no peak to speak of: the loosest lower edge of the hot range (common practice). */
const HOT_EDGE_C = 50;
/** A run about to fall out of its heat is turned so long before it does. */
const BEFORE_FLOOR_MS = 12 * MS.hour;

type TurnInputs = TurnSituation & {
  /** Rounds without those taken soon after a watering. */ readonly steady: readonly RoundHeat[];
  readonly last: RoundHeat | null;
  readonly lastTurn: Instant | null;
  readonly since: Instant;
  readonly trend: Trend | null;
  readonly missingHours: number;
};

function calendar({ template, builtAt, lastTurn, now }: TurnInputs): StrategyOpinion {
  const first = lastTurn === null;
  const since = lastTurn ?? builtAt ?? now;
  const days = first ? template.firstDay : template.everyDays;
  const due = since + Math.round(days * MS.day);
  const ends = builtAt === null ? Infinity : builtAt + template.activeDays * MS.day;
  // A little over: a turning on the last day, at a later hour than it was built, still belongs to it.
  if (due > ends + MS.day / 2)
    return {
      strategy: 'calendar',
      says: 'no',
      at: null,
      because: { code: 'WORKED_OUT', activeDays: template.activeDays, since: ends },
    };
  return {
    strategy: 'calendar',
    says: due <= now ? 'now' : 'on',
    at: due,
    because: { code: 'CALENDAR', since, first, days, due },
  };
}

const few = (school: TurnStrategy, { rounds, since }: TurnInputs): StrategyOpinion => ({
  strategy: school,
  says: 'wait',
  at: null,
  because: { code: 'TOO_FEW_ROUNDS', rounds: rounds.filter((r) => r.at >= since).length, since },
});

/** Whether the checks before and after one are no further from it than the gap. */
function isReadAround(rounds: readonly RoundHeat[], top: RoundHeat, gapMs: number): boolean {
  const i = rounds.indexOf(top);
  const beside = [rounds[i - 1], rounds[i + 1]].filter((r) => r !== undefined);
  return beside.every((r) => Math.abs(r.at - top.at) <= gapMs);
}

function peak(inputs: TurnInputs): StrategyOpinion {
  const { rounds, since, last, trend } = inputs;
  const risen = rounds.filter(
    (r) => r.at >= since + (inputs.lastTurn === null ? 0 : REBOUND_MS / 2),
  );
  if (!last || risen.length < 2) return few('peak', inputs);
  const top = risen.reduce((a, r) => (r.peakC >= a.peakC ? r : a));
  if (
    top.peakC >= HOT_EDGE_C &&
    last.peakC <= top.peakC - PEAKED_K &&
    last.at - top.at >= PEAKED_MS
  )
    return {
      strategy: 'peak',
      says: 'now',
      at: last.at,
      because: {
        ...{ code: 'PEAKED', highestC: top.peakC, at: top.at, nowC: last.peakC },
        isPeak: isReadAround(risen, top, hoursToMs(inputs.proof.maxGapHours)),
      },
    };
  return {
    strategy: 'peak',
    says: 'wait',
    at: null,
    because: trend
      ? {
          code: 'STEADY',
          perDay: trend.perDay,
          nowC: trend.nowC,
          rounds: trend.rounds,
          from: trend.from,
        }
      : { code: 'NOT_HOT', coreC: last.peakC, actC: HOT_EDGE_C, at: last.at },
  };
}

function decline(inputs: TurnInputs): StrategyOpinion {
  const from = inputs.lastTurn === null ? inputs.since : inputs.lastTurn + REBOUND_MS;
  const fall = fallOf(inputs.steady, from);
  const trend = fall ?? inputs.trend;
  if (!trend) return few('decline', inputs);
  const facts = { perDay: trend.perDay, nowC: trend.nowC, rounds: trend.rounds, from: trend.from };
  return (fall !== null || trend.perDay <= -FALLS_K) && trend.nowC >= 40
    ? { strategy: 'decline', says: 'now', at: trend.to, because: { code: 'FALLING', ...facts } }
    : { strategy: 'decline', says: 'wait', at: null, because: { code: 'STEADY', ...facts } };
}

function low(inputs: TurnInputs): StrategyOpinion {
  const {
    last,
    template: { lowC },
    rounds,
    since,
  } = inputs;
  if (!last) return few('low', inputs);
  const wasHot = rounds.some((r) => r.at >= since && r.peakC > lowC);
  const facts = { coreC: last.peakC, lowC, at: last.at };
  if (wasHot && last.peakC <= lowC)
    return { strategy: 'low', says: 'now', at: last.at, because: { code: 'LOW', ...facts } };
  // It has not been above the limit since, so it has not fallen to it either.
  if (last.peakC <= lowC)
    return {
      strategy: 'low',
      says: 'wait',
      at: null,
      because: { code: 'NOT_HOT', coreC: last.peakC, actC: lowC, at: last.at },
    };
  const at = passesBelow(trendOf(rounds, inputs.turns, inputs.now, 'peakC'), lowC);
  return {
    strategy: 'low',
    says: at === null ? 'wait' : 'on',
    at,
    because: { code: 'ABOVE_LOW', ...facts },
  };
}

function hot(inputs: TurnInputs): StrategyOpinion {
  const {
    last,
    limits: { actC },
  } = inputs;
  if (!last) return few('hot', inputs);
  const facts = { coreC: last.peakC, actC, at: last.at };
  return last.peakC >= actC
    ? { strategy: 'hot', says: 'now', at: last.at, because: { code: 'HOT', ...facts } }
    : { strategy: 'hot', says: 'no', at: null, because: { code: 'NOT_HOT', ...facts } };
}

const bay = ({ bayNeededBy, now, since }: TurnInputs): StrategyOpinion =>
  bayNeededBy === null
    ? { strategy: 'bay', says: 'wait', at: null, because: { code: 'BAY_FREE', since } }
    : {
        strategy: 'bay',
        says: bayNeededBy - now < MS.day ? 'now' : 'on',
        at: bayNeededBy,
        because: { code: 'BAY', by: bayNeededBy },
      };

/** What the rule that is being proven asks for. */
function rule(inputs: TurnInputs): StrategyOpinion {
  const { proof: p, now, lastTurn, since, missingHours } = inputs;
  const answer = (
    says: StrategyOpinion['says'],
    at: Instant | null,
    because: TurnReason,
  ): StrategyOpinion => ({
    strategy: 'rule',
    says,
    at,
    because,
  });
  if (p.status === null || p.status === 'proven' || p.turningsOwed === 0)
    return answer('no', null, { code: 'NO_RULE_ASKS', at: p.lastHot ?? since });
  if (p.status !== 'running' || p.lastHot === null)
    return answer('wait', null, {
      code: 'OWED_NOT_HOT_SINCE',
      owed: p.turningsOwed,
      turnedAt: lastTurn ?? since,
      floorC: p.floorC,
    });
  if (p.form === 'staged') {
    return missingHours <= 0
      ? answer('now', now, {
          code: 'STAGE_DONE',
          heldHours: p.creditedHours,
          needHours: p.requiredHours,
          owed: p.turningsOwed,
          at: p.lastHot,
        })
      : answer('on', p.lastHot + hoursToMs(missingHours), {
          code: 'STAGE_RUNS',
          missingHours,
          owed: p.turningsOwed,
          at: p.lastHot,
        });
  }
  // Without a hot round between two turnings only one of them counts.
  if (lastTurn !== null && p.lastHot <= lastTurn)
    return answer('wait', null, {
      code: 'OWED_NOT_HOT_SINCE',
      owed: p.turningsOwed,
      turnedAt: lastTurn,
      floorC: p.floorC,
    });
  // Spread over what is missing, so that the last turning still leaves time to be read hot behind it.
  const apart = Math.max(RULE_APART_MS, hoursToMs(missingHours) / (p.turningsOwed + 1));
  const at = (lastTurn ?? since) + apart;
  return answer(at <= now ? 'now' : 'on', at, {
    code: 'OWED',
    owed: p.turningsOwed,
    missingHours,
    since: lastTurn ?? since,
    apartHours: apart / MS.hour,
  });
}

const never = ({ since }: TurnInputs): StrategyOpinion => ({
  strategy: 'never',
  says: 'no',
  at: null,
  because: { code: 'LEFT_ALONE', since },
});

const SCHOOLS: Readonly<Record<TurnStrategy, (ear: TurnInputs) => StrategyOpinion>> = {
  calendar,
  peak,
  decline,
  low,
  hot,
  bay,
  never,
  rule,
};
const ALL = Object.keys(SCHOOLS) as TurnStrategy[];

/** Turnings owed to a plain time must fit in before it is over, two days apart, the last with a hot round behind it. */
function latestForRule({
  proof: p,
  missingHours,
  lastTurn,
  since,
  now,
}: TurnInputs): Instant | null {
  if (p.form === 'staged' || p.turningsOwed === 0 || p.status !== 'running') return null;
  const end = (p.earliestProofAt ?? now + hoursToMs(missingHours)) - MS.day;
  return Math.max(end - (p.turningsOwed - 1) * RULE_APART_MS, (lastTurn ?? since) + APART_MS);
}

/** The advice about turning one heap that is hot or on its way; building, curing, held and ended heaps are not asked about. */
export function turnAdvice(s: TurnSituation): TurnAdvice {
  const past = s.turns.filter((t) => t <= s.now);
  const lastTurn = past.at(-1) ?? null;
  // The list itself where it is all past, as it is but for readings dated ahead: what was worked out of it is known by it.
  const known = s.rounds.every((r) => r.at <= s.now)
    ? s.rounds
    : s.rounds.filter((r) => r.at <= s.now);
  const steady = withoutWatered(known, s.watered);
  const inputs: TurnInputs = {
    ...s,
    steady,
    turns: past,
    rounds: known,
    last: known.at(-1) ?? null,
    lastTurn,
    since: lastTurn ?? s.builtAt ?? s.now,
    trend: trendOf(steady, past, s.now),
    missingHours: Math.max(0, s.proof.requiredHours - s.proof.creditedHours),
  };
  const opinions = ALL.map((school) => SCHOOLS[school](inputs));
  const opinion = (school: TurnStrategy): StrategyOpinion =>
    opinions.find((v) => v.strategy === school)!;
  const { proof: p, template, now } = s;
  const notBefore = lastTurn === null ? -Infinity : lastTurn + APART_MS;
  const running = p.status === 'running' && p.creditedHours > 0;
  const ends = running ? passesBelow(inputs.trend, p.floorC) : null;
  const wouldEnd: TurnReason | null =
    ends === null
      ? null
      : {
          code: 'RUN_WOULD_END',
          at: ends,
          creditedHours: p.creditedHours,
          floorC: p.floorC,
          perDay: inputs.trend!.perDay,
        };
  const answer = (
    act: TurnAdvice['act'],
    by: TurnStrategy | null,
    when: Partial<Pick<TurnAdvice, 'earliest' | 'due' | 'latest' | 'waiting'>>,
    reasons: readonly TurnReason[],
  ): TurnAdvice => ({
    act,
    by,
    earliest: null,
    due: null,
    latest: null,
    waiting: null,
    ...when,
    reasons: reasons.slice(0, 3),
    voices: opinions,
  });

  if (now < notBefore)
    return answer('wait', null, { earliest: notBefore }, [
      { code: 'TURNED_LATELY', at: lastTurn!, earliest: notBefore },
    ]);
  const heard = (school: TurnStrategy): boolean =>
    template.trigger === school ||
    (template.overrides as readonly TurnStrategy[]).includes(school) ||
    school === 'rule';
  // Danger is another matter: nobody opens a heap that may smoulder.
  if (heard('hot') && opinion('hot').says === 'now') {
    if (inputs.last!.peakC >= s.limits.dangerC)
      return answer('wait', 'hot', {}, [opinion('hot').because]);
    return answer(
      'turn',
      'hot',
      { earliest: now, due: now, latest: now + 12 * MS.hour, waiting: wouldEnd },
      [opinion('hot').because, ...(p.turningsOwed > 0 ? [opinion('rule').because] : [])],
    );
  }
  if (p.status === 'recovering' && p.graceUntil !== null)
    return answer('wait', 'rule', { earliest: p.graceUntil }, [
      { code: 'RECOVERING', until: p.graceUntil, floorC: p.floorC },
    ]);
  // Hours from proof and no turning owed: whatever the school, the run is let through, unless it would not get there.
  if (
    running &&
    p.turningsOwed === 0 &&
    p.form !== 'staged' &&
    inputs.missingHours <= NEAR_PROOF_HOURS &&
    p.earliestProofAt !== null &&
    (ends === null || ends > p.earliestProofAt)
  ) {
    return answer('wait', 'rule', { earliest: p.earliestProofAt }, [
      {
        code: 'NEAR_PROOF',
        missingHours: inputs.missingHours,
        proofAt: p.earliestProofAt,
        graceHours: p.graceHours,
      },
      opinion(template.trigger).because,
    ]);
  }
  // A stage of a staged rule that is not over yet would be wasted.
  const stage = opinion('rule');
  if (
    p.form === 'staged' &&
    running &&
    stage.says === 'on' &&
    stage.at !== null &&
    (ends === null || ends > stage.at)
  ) {
    return answer('wait', 'rule', { earliest: stage.at, due: stage.at }, [
      stage.because,
      opinion(template.trigger).because,
    ]);
  }
  const asking = opinions.filter(
    (v) => heard(v.strategy) && (v.says === 'now' || v.says === 'on') && v.at !== null,
  );
  // Falling out of its heat within two days is a reason whatever the school, where turning is done at all.
  const saved = ends !== null && template.trigger !== 'never' && ends - now < 2 * MS.day;
  const ripe = asking.filter((v) => v.says === 'now');
  const latest = Math.min(
    latestForRule(inputs) ?? Infinity,
    ends === null ? Infinity : Math.max(now, ends - BEFORE_FLOOR_MS),
  );
  const bound = latest === Infinity ? null : Math.max(latest, notBefore);
  if (ripe.length > 0 || saved) {
    const by =
      ripe.find((v) => v.strategy === template.trigger)?.strategy ?? ripe[0]?.strategy ?? 'decline';
    const due = saved && ripe.length === 0 ? Math.max(now, ends - BEFORE_FLOOR_MS) : now;
    const reasons = [
      ...(saved ? [wouldEnd!] : []),
      ...(ripe.length > 0 ? ripe.map((v) => v.because) : [opinion('decline').because]),
      ...(p.turningsOwed > 0 && stage.says === 'on' ? [stage.because] : []),
    ];
    return answer(
      'turn',
      by,
      {
        earliest: Math.max(now, notBefore),
        due,
        latest: bound,
        waiting: wouldEnd ?? (stage.says === 'now' ? stage.because : null),
      },
      reasons,
    );
  }
  const next = asking.reduce<StrategyOpinion | null>(
    (a, v) => (a === null || v.at! < a.at! ? v : a),
    null,
  );
  if (next) {
    const due = Math.max(next.at!, notBefore);
    return answer(
      'turn',
      next.strategy,
      {
        earliest: Math.max(now, notBefore),
        due: bound === null ? due : Math.min(due, bound),
        latest: bound,
        waiting: wouldEnd,
      },
      [
        next.because,
        ...(next.strategy !== template.trigger ? [opinion(template.trigger).because] : []),
      ],
    );
  }
  // Turnings that a rule still needs are not called off: they wait until they would count.
  if (stage.says === 'wait')
    return answer('wait', 'rule', {}, [
      stage.because,
      ...(template.trigger === 'never' ? [] : [opinion(template.trigger).because]),
    ]);
  return answer('none', null, { earliest: Math.max(now, notBefore) }, [
    opinion(template.trigger).because,
  ]);
}
