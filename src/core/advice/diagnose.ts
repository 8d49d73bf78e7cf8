import type { Fix, Pest } from '../log/entry';
import type { MethodTemplate } from '../log/shapes';
import { MS, type Instant } from '../quantity/instant';
import type { Smell, Squeeze } from '../words/feel';
import type { Course } from './course';
import type { RoundHeat } from './trend';
import { FELT_LASTS_MS } from './water';
import { firstOf, lastOf } from '../quantity/present';

/**
 * What is wrong with a heap and why: symptoms from what was logged, causes ranked by what speaks for and against each, one
 * change at a time. The order in which causes are looked at when nothing speaks is that of the trade: size, water, nitrogen,
 * air, cold (common practice).
 */
export type Symptom =
  'NOT_HEATING' | 'COOLED_EARLY' | 'AMMONIA' | 'AIRLESS' | 'DRY' | 'WET' | 'FLIES' | 'RATS';
export type Cause =
  | 'TOO_SMALL'
  | 'TOO_DRY'
  | 'TOO_WET'
  | 'LITTLE_NITROGEN'
  | 'MUCH_NITROGEN'
  | 'NO_AIR'
  | 'COLD_AIR'
  | 'UNCOVERED'
  | 'OPENED_TOO_OFTEN'
  | 'SPENT'
  | 'THERMOMETER'
  | 'BARE_FOOD'
  | 'NEST';

export type Sign =
  | { readonly code: 'SIZE'; readonly m3: number }
  | { readonly code: 'SIZE_UNKNOWN' }
  | { readonly code: 'SQUEEZE'; readonly squeeze: Squeeze; readonly at: Instant }
  | { readonly code: 'NOT_SQUEEZED' }
  | { readonly code: 'SMELL'; readonly smell: Smell; readonly at: Instant }
  | { readonly code: 'NOT_SMELLED' }
  | { readonly code: 'RICH_INPUTS' }
  | { readonly code: 'ONLY_GARDEN' }
  | { readonly code: 'INPUTS_UNKNOWN' }
  | { readonly code: 'AIR'; readonly c: number }
  | { readonly code: 'AIR_UNKNOWN' }
  | { readonly code: 'AGE'; readonly days: number; readonly activeDays: number }
  | {
      readonly code: 'TURNED';
      readonly times: number;
      readonly days: number;
      readonly last: Instant;
    }
  | { readonly code: 'NOT_TURNED'; readonly since: Instant }
  | { readonly code: 'WATERED'; readonly litres: number; readonly at: Instant }
  | { readonly code: 'COVER'; readonly on: boolean; readonly at: Instant }
  | { readonly code: 'SEEPAGE'; readonly at: Instant }
  | { readonly code: 'HIGHEST'; readonly c: number; readonly at: Instant }
  | { readonly code: 'PROBE_CHECKED'; readonly at: Instant }
  | { readonly code: 'PROBE_UNCHECKED'; readonly probe: string }
  | { readonly code: 'PROBE_UNNAMED' }
  | { readonly code: 'COVER_UNKNOWN' }
  | { readonly code: 'FOOD_IN' }
  | { readonly code: 'PESTS'; readonly at: Instant };

export type RankedCause = {
  readonly cause: Cause;
  readonly fix: Fix;
  readonly score: number;
  readonly for: readonly Sign[];
  readonly against: readonly Sign[];
  readonly unknown: readonly Sign[];
};

/** Something that was done to mend a heap; what was added is told in the words of its entry, never guessed. */
export type Change = { readonly at: Instant; readonly what: Fix | 'added'; readonly said?: string };

/** What was changed at one time, and what became of the heat. */
export type Trial = {
  readonly at: Instant;
  readonly changes: readonly Change[];
  readonly beforeC: number | null;
  readonly afterC: number | null;
  readonly afterAt: Instant | null;
  /** `unknown`: several things were changed at once, so nobody can tell which helped. `open`: not read yet. */
  readonly outcome: 'helped' | 'no-change' | 'worse' | 'open';
  readonly causeUnknown: boolean;
};

export type Diagnosis = {
  readonly symptom: Symptom;
  readonly at: Instant;
  readonly coreC: number | null;
  readonly causes: readonly RankedCause[];
};

export type DiagnosisSituation = {
  readonly now: Instant;
  readonly template: MethodTemplate;
  readonly builtAt: Instant | null;
  readonly volumeM3: number | null;
  /** Below this a pile rarely stays hot here, m³. */ readonly leastHotM3: number;
  readonly rounds: readonly RoundHeat[];
  readonly course: Course | null;
  readonly airC: number | null;
  readonly turns: readonly Instant[];
  readonly squeeze: { readonly squeeze: Squeeze; readonly at: Instant } | null;
  readonly smell: { readonly smell: Smell; readonly at: Instant } | null;
  readonly pests: { readonly pests: readonly Pest[]; readonly at: Instant } | null;
  readonly seepage: Instant | null;
  readonly cover: { readonly on: boolean; readonly at: Instant } | null;
  readonly watered: readonly { readonly at: Instant; readonly litres: number | null }[];
  /** What went in, as far as it was said; null: nobody said. */
  readonly inputs: readonly string[] | null;
  readonly probe: { readonly name: string; readonly checkedAt: Instant | null } | null;
};

/** What was felt or smelled longer ago says nothing of the heap as it is now. */
export const SENSES_LAST_MS = 8 * MS.day;
const HOT_C = 50;
const COLD_C = 5;
/** Turned more often than this in six days, a small heap cannot come back. */
const OFTEN = 3;
/** Left alone for longer than this it may have settled upon its own air. */
const SETTLES_MS = 7 * MS.day;
/** Food that was buried so long ago has rotted: it draws nothing any more (common practice). */
const FOOD_LASTS_DAYS = 30;
const RICH = new Set(['manure', 'food-waste', 'biosolids']);

type Finding = { for?: readonly Sign[]; against?: readonly Sign[]; unknown?: readonly Sign[] };

/** The signs of each cause, read off the log. */
function signs(s: DiagnosisSituation): Readonly<Record<Cause, Finding>> {
  const fresh = <T extends { at: Instant }>(x: T | null): T | null =>
    x !== null && s.now - x.at <= SENSES_LAST_MS ? x : null;
  const [squeeze, smell, cover] = [fresh(s.squeeze), fresh(s.smell), fresh(s.cover)];
  const felt = squeeze && ({ code: 'SQUEEZE', squeeze: squeeze.squeeze, at: squeeze.at } as const);
  const smelled = smell && ({ code: 'SMELL', smell: smell.smell, at: smell.at } as const);
  const is = (...list: Squeeze[]): boolean => squeeze !== null && list.includes(squeeze.squeeze);
  const smells = (...list: Smell[]): boolean => smell !== null && list.includes(smell.smell);
  const only = <T>(x: T | null | false | undefined): T[] => (x ? [x] : []);
  const size: Sign | null = s.volumeM3 === null ? null : { code: 'SIZE', m3: s.volumeM3 };
  const age: Sign | null =
    s.builtAt === null
      ? null
      : { code: 'AGE', days: (s.now - s.builtAt) / MS.day, activeDays: s.template.activeDays };
  const recent = s.turns.filter((t) => t > s.now - 6 * MS.day && t <= s.now);
  const turned: Sign | null =
    recent.length > 0
      ? { code: 'TURNED', times: recent.length, days: 6, last: lastOf(recent) }
      : null;
  const opened = s.turns.at(-1) ?? s.builtAt;
  const still: Sign | null =
    opened !== null && s.now - opened > SETTLES_MS ? { code: 'NOT_TURNED', since: opened } : null;
  const air: Sign | null = s.airC === null ? null : { code: 'AIR', c: s.airC };
  const hottest = s.rounds.reduce<RoundHeat | null>(
    (a, r) => (a === null || r.peakC > a.peakC ? r : a),
    null,
  );
  const highest: Sign | null = hottest && { code: 'HIGHEST', c: hottest.peakC, at: hottest.at };
  const wet = s.watered.filter((w) => w.at > s.now - 3 * MS.day);
  const litres = wet.reduce((sum, w) => sum + (w.litres ?? 0), 0);
  const drenched: Sign | null =
    wet.length > 0 && s.volumeM3 !== null && litres / s.volumeM3 > 60
      ? { code: 'WATERED', litres, at: lastOf(wet).at }
      : null;
  const covered = cover && ({ code: 'COVER', on: cover.on, at: cover.at } as const);
  // Where nobody said what went in, it is not known that nothing rich did.
  const rich =
    s.inputs === null || s.inputs.length === 0 ? null : s.inputs.some((i) => RICH.has(i));
  const seeps: Sign | null =
    s.seepage !== null && s.now - s.seepage <= SENSES_LAST_MS
      ? { code: 'SEEPAGE', at: s.seepage }
      : null;
  const old = s.builtAt !== null && (s.now - s.builtAt) / MS.day > s.template.activeDays * 0.8;
  const pests = fresh(s.pests);
  return {
    TOO_SMALL:
      size === null
        ? { unknown: [{ code: 'SIZE_UNKNOWN' }] }
        : s.volumeM3! < s.leastHotM3
          ? { for: [size] }
          : { against: [size] },
    TOO_DRY:
      felt === null
        ? { unknown: [{ code: 'NOT_SQUEEZED' }] }
        : is('crumbles')
          ? { for: [felt, felt] }
          : is('holds')
            ? { for: [felt] }
            : { against: [felt, felt] },
    TOO_WET:
      felt === null
        ? { for: [...only(seeps), ...only(drenched)], unknown: [{ code: 'NOT_SQUEEZED' }] }
        : is('runs')
          ? { for: [felt, felt, ...only(seeps), ...only(drenched)] }
          : { for: [...only(seeps)], against: [felt] },
    LITTLE_NITROGEN: {
      for: rich === false ? [{ code: 'ONLY_GARDEN' }] : [],
      against: [
        ...(rich === true ? [{ code: 'RICH_INPUTS' } as const] : []),
        ...only(smells('ammonia') && smelled),
      ],
      unknown: rich === null ? [{ code: 'INPUTS_UNKNOWN' }] : [],
    },
    MUCH_NITROGEN: {
      for: [
        ...only(smells('ammonia') && smelled),
        ...(rich === true ? [{ code: 'RICH_INPUTS' } as const] : []),
      ],
      against: only(smell !== null && !smells('ammonia') && smelled),
      unknown: smell === null ? [{ code: 'NOT_SMELLED' }] : [],
    },
    NO_AIR: {
      for: [
        ...(smells('sour', 'rotten') ? [smelled!, smelled!] : []),
        ...only(is('runs') && felt),
        ...only(s.template.aerated !== true && still),
      ],
      against: [...only(smells('earthy', 'none', 'sweet') && smelled), ...only(turned)],
      unknown: smell === null ? [{ code: 'NOT_SMELLED' }] : [],
    },
    COLD_AIR:
      air === null
        ? { unknown: [{ code: 'AIR_UNKNOWN' }] }
        : s.airC! < COLD_C
          ? { for: [air] }
          : { against: [air] },
    UNCOVERED:
      covered === null
        ? { unknown: [{ code: 'COVER_UNKNOWN' }] }
        : covered.on
          ? { against: [covered] }
          : { for: [covered] },
    OPENED_TOO_OFTEN:
      turned && recent.length >= OFTEN ? { for: [turned] } : { against: only(turned) },
    SPENT:
      hottest !== null && hottest.peakC >= HOT_C && old
        ? { for: [age!, highest!] }
        : { against: only(age) },
    THERMOMETER:
      s.probe === null
        ? { unknown: [{ code: 'PROBE_UNNAMED' }] }
        : s.probe.checkedAt === null
          ? { for: [{ code: 'PROBE_UNCHECKED', probe: s.probe.name }] }
          : { against: [{ code: 'PROBE_CHECKED', at: s.probe.checkedAt }] },
    BARE_FOOD: bareFood(s, age, pests),
    NEST: {
      for: [...only(still), ...only(is('crumbles', 'holds') && felt)],
      against: only(turned),
    },
  };
}

/** Whether food lies open: only where it went in, and not so long ago that it has rotted. */
function bareFood(
  { inputs, builtAt, now }: DiagnosisSituation,
  age: Sign | null,
  pests: DiagnosisSituation['pests'],
): Finding {
  const old = builtAt !== null && (now - builtAt) / MS.day > FOOD_LASTS_DAYS;
  const seen: Sign[] = pests && pests.pests.length > 0 ? [{ code: 'PESTS', at: pests.at }] : [];
  if (inputs === null)
    return old
      ? { against: age ? [age] : [] }
      : { for: seen, unknown: [{ code: 'INPUTS_UNKNOWN' }] };
  if (!inputs.includes('food-waste')) return {};
  return old ? { against: age ? [age] : [] } : { for: [{ code: 'FOOD_IN' }, ...seen] };
}

const FIX_OF: Readonly<Record<Cause, Fix>> = {
  TOO_SMALL: 'enlarge',
  TOO_DRY: 'water',
  TOO_WET: 'structure',
  LITTLE_NITROGEN: 'nitrogen',
  MUCH_NITROGEN: 'carbon',
  NO_AIR: 'turn',
  COLD_AIR: 'cover',
  UNCOVERED: 'cover',
  OPENED_TOO_OFTEN: 'wait',
  SPENT: 'wait',
  THERMOMETER: 'thermometer',
  BARE_FOOD: 'bury',
  NEST: 'turn',
};

/** Causes of each symptom in the order in which the trade looks at them. */
const CAUSES: Readonly<Record<Symptom, readonly Cause[]>> = {
  NOT_HEATING: [
    'TOO_SMALL',
    'TOO_DRY',
    'TOO_WET',
    'LITTLE_NITROGEN',
    'NO_AIR',
    'COLD_AIR',
    'UNCOVERED',
    'OPENED_TOO_OFTEN',
    'THERMOMETER',
  ],
  COOLED_EARLY: [
    'TOO_DRY',
    'NO_AIR',
    'TOO_SMALL',
    'TOO_WET',
    'LITTLE_NITROGEN',
    'OPENED_TOO_OFTEN',
    'COLD_AIR',
    'UNCOVERED',
    'SPENT',
    'THERMOMETER',
  ],
  AMMONIA: ['MUCH_NITROGEN', 'TOO_DRY', 'NO_AIR'],
  AIRLESS: ['NO_AIR', 'TOO_WET', 'MUCH_NITROGEN'],
  DRY: ['TOO_DRY', 'UNCOVERED'],
  WET: ['TOO_WET', 'UNCOVERED', 'NO_AIR'],
  FLIES: ['BARE_FOOD', 'TOO_WET', 'UNCOVERED'],
  RATS: ['BARE_FOOD', 'NEST', 'UNCOVERED'],
};

/** The right mix rises within three days; in cold air within five (common practice). */
const RISES_WITHIN_DAYS = 3;
const RISES_WITHIN_COLD_DAYS = 5;
const RISEN_C = 40;

/** What is wrong, the gravest first; empty: nothing that the log tells. */
export function symptomsOf(s: DiagnosisSituation): { symptom: Symptom; at: Instant }[] {
  const out: { symptom: Symptom; at: Instant }[] = [];
  const last = s.rounds.at(-1) ?? null;
  const fresh = (at: Instant): boolean => s.now - at <= SENSES_LAST_MS;
  if (s.builtAt !== null && last) {
    const ageDays = (last.at - s.builtAt) / MS.day;
    const top = Math.max(...s.rounds.map((r) => r.peakC));
    const within = s.airC !== null && s.airC < COLD_C ? RISES_WITHIN_COLD_DAYS : RISES_WITHIN_DAYS;
    if (
      top < HOT_C &&
      ageDays >= within &&
      last.peakC < Math.max(RISEN_C, s.course?.lowC ?? 0) &&
      s.course?.code === 'COOLER'
    )
      out.push({ symptom: 'NOT_HEATING', at: last.at });
    else if (top >= HOT_C && s.course?.code === 'COOLER')
      out.push({ symptom: 'COOLED_EARLY', at: last.at });
  }
  if (s.smell && fresh(s.smell.at)) {
    if (s.smell.smell === 'ammonia') out.push({ symptom: 'AMMONIA', at: s.smell.at });
    if (s.smell.smell === 'sour' || s.smell.smell === 'rotten')
      out.push({ symptom: 'AIRLESS', at: s.smell.at });
  }
  const felt = s.squeeze && s.now - s.squeeze.at <= FELT_LASTS_MS ? s.squeeze : null;
  if (felt?.squeeze === 'crumbles') out.push({ symptom: 'DRY', at: felt.at });
  if (felt?.squeeze === 'runs') out.push({ symptom: 'WET', at: felt.at });
  if (s.pests && fresh(s.pests.at)) {
    if (s.pests.pests.includes('flies')) out.push({ symptom: 'FLIES', at: s.pests.at });
    if (s.pests.pests.includes('rats')) out.push({ symptom: 'RATS', at: s.pests.at });
  }
  return out;
}

/** Each symptom with its causes, the likeliest first; one that nothing in the log speaks for, against or asks about is not named; causes that something speaks against and nothing for come last. */
export function diagnose(s: DiagnosisSituation): Diagnosis[] {
  const found = signs(s);
  return symptomsOf(s).map(({ symptom, at }) => ({
    symptom,
    at,
    coreC: s.rounds.at(-1)?.peakC ?? null,
    causes: CAUSES[symptom]
      .map((cause, i): RankedCause => {
        const { for: yes = [], against = [], unknown = [] } = found[cause];
        // One place in the trade's order weighs less than one sign; what nobody looked at stays in its place.
        const score = yes.length * 2 - against.length * 2 + (CAUSES[symptom].length - i) * 0.15;
        const once = (list: readonly Sign[]): Sign[] =>
          list.filter(
            (x, k) => list.findIndex((y) => JSON.stringify(x) === JSON.stringify(y)) === k,
          );
        return {
          cause,
          fix: FIX_OF[cause],
          score,
          for: once(yes),
          against: once(against),
          unknown,
        };
      })
      .filter((c) => c.for.length + c.against.length + c.unknown.length > 0)
      .sort((a, b) => b.score - a.score),
  }));
}

/** Changes closer together than this were made at once: no reading lies between them that tells them apart. */
const AT_ONCE_MS = 36 * MS.hour;
const TOLD_AFTER_MS = 5 * MS.day;
/** A change of heat smaller than this is none, K. */
const MATTERS_K = 6;

/** What was changed, each with the heat before it and within five days after it. */
export function trialsOf(
  changes: readonly Change[],
  rounds: readonly RoundHeat[],
  now: Instant,
): Trial[] {
  const groups: Change[][] = [];
  for (const c of [...changes].sort((a, b) => a.at - b.at)) {
    const group = groups.at(-1);
    if (group && c.at - lastOf(group).at < AT_ONCE_MS) group.push(c);
    else groups.push([c]);
  }
  return groups.map((group, i) => {
    const [first, last] = [firstOf(group).at, lastOf(group).at];
    const until = Math.min(last + TOLD_AFTER_MS, groups[i + 1]?.[0]!.at ?? Infinity, now);
    const before = rounds.findLast((r) => r.at <= first);
    const after = rounds
      .filter((r) => r.at > last && r.at <= until)
      .reduce<RoundHeat | null>((a, r) => (a === null || r.peakC > a.peakC ? r : a), null);
    const rise = before && after ? after.peakC - before.peakC : null;
    return {
      at: first,
      changes: group,
      beforeC: before?.peakC ?? null,
      afterC: after?.peakC ?? null,
      afterAt: after?.at ?? null,
      outcome:
        rise === null
          ? 'open'
          : rise >= MATTERS_K
            ? 'helped'
            : rise <= -MATTERS_K
              ? 'worse'
              : 'no-change',
      causeUnknown: new Set(group.map((c) => `${c.what} ${c.said ?? ''}`)).size > 1,
    };
  });
}
