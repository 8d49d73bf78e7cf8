import {
  ageText,
  countText,
  dayText,
  durationText,
  listText,
  missingText,
  soonText,
  tempBeside,
  tempText,
  upperFirst,
  volumeText,
} from '../quantity/format';
import { localParts } from '../quantity/calendar';
import { MS, type Instant } from '../quantity/instant';
import { END_WORDS } from '../words/acts';
import { CAUTION } from '../words/caution';
import { SQUEEZE_WORDS } from '../words/feel';
import type { ReleaseDoubt, EndReason, Fix } from '../log/entry';
import type { Locale } from '../words/note';
import type { Course, ReheatTest } from './course';
import type { Claim } from './claim';
import type { Cause, Sign, Symptom, Trial } from './diagnose';
import type { HotAdvice, HotChoice } from './hot';
import type { Advice } from './next';
import type { Stage, StageCode } from './stage';
import type { TurnStrategy, TurnAdvice, TurnReason, StrategyOpinion } from './turn';
import type { Group, Task, TaskKind } from './tasks';
import type { PercentRange, WaterAdvice, WaterHint } from './water';

/** The one text of everything that is advised. Every sentence names what it rests on. */

type AdviceMark =
  | 'turn'
  | 'water'
  | 'add'
  | 'cure'
  | 'probe'
  | 'note'
  | 'walk'
  | 'move'
  | 'flag'
  | 'check'
  | 'screen'
  | 'squeeze'
  | 'smell';
/** An imperative, its reason, and when; `urgent` cannot wait today. A caution stands where the work can hurt. */
export type AdviceWords = {
  readonly mark: AdviceMark;
  readonly act: string;
  readonly why: string;
  /** Its reason where there is little room. */ readonly brief?: string;
  readonly caution?: string;
  readonly due: Instant | null;
  readonly urgent: boolean;
  /** Somebody may be hurt: it stands in a form of its own, before everything. */ readonly danger?: boolean;
};

/** A change of temperature: `1.6 °C`, `2.9 °F`. */
const changeText = (k: number, unit: 'C' | 'F'): string =>
  `${(Math.abs(k) * (unit === 'F' ? 1.8 : 1)).toFixed(1)} °${unit}`;

/** Today, tomorrow, or the day's name. */
function dayWord(timeZone: string, at: number, now: number): string {
  const same = (a: number, b: number): boolean => dayText(timeZone, a) === dayText(timeZone, b);
  const p = localParts(timeZone, at);
  return same(at, now)
    ? 'today'
    : same(at, now + MS.day)
      ? 'tomorrow'
      : at - now < 6 * MS.day
        ? `on ${p.weekday}`
        : `on ${p.day} ${p.month}`;
}

export const SCHOOL_WORDS: Readonly<Record<TurnStrategy, string>> = {
  calendar: 'by the calendar',
  peak: 'at the peak',
  decline: 'when it falls',
  low: 'when it is down',
  hot: 'when too hot',
  bay: 'when the bay is wanted',
  never: 'never',
  rule: 'what the rule owes',
};
const STAGE_WORDS: Readonly<Record<StageCode, string>> = {
  building: 'Building',
  heating: 'Not hot yet',
  hot: 'Hot inside',
  cooling: 'Cooling',
  dormant: 'Asleep, frozen',
  curing: 'Put to cure',
  ready: 'Said to be ready',
  'on-hold': 'On hold',
  released: 'Gone out',
  ended: 'At its end',
};
export const FIX_WORDS: Readonly<Record<Fix, string>> = {
  enlarge: 'Make it bigger',
  water: 'Water it',
  dry: 'Let it dry',
  nitrogen: 'Add something rich: greens, manure, litter',
  carbon: 'Mix in browns',
  structure: 'Mix in dry, coarse browns',
  turn: 'Turn it',
  cover: 'Cover it',
  uncover: 'Take the cover off',
  shrink: 'Split it',
  bury: 'Bury the food and cap it with browns',
  thermometer: 'Check the thermometer',
  wait: 'Leave it alone',
};

export const SYMPTOM_WORDS: Readonly<Record<Symptom, string>> = {
  NOT_HEATING: 'It does not heat',
  COOLED_EARLY: 'It cooled early',
  AMMONIA: 'It smells of ammonia',
  AIRLESS: 'It smells sour or rotten',
  DRY: 'It is too dry',
  WET: 'It is too wet',
  FLIES: 'Flies',
  RATS: 'Rats',
};
export const CAUSE_WORDS: Readonly<Record<Cause, string>> = {
  TOO_SMALL: 'Too small to hold its heat',
  TOO_DRY: 'Too dry',
  TOO_WET: 'Too wet',
  LITTLE_NITROGEN: 'Too little nitrogen',
  MUCH_NITROGEN: 'Too much nitrogen for its carbon',
  NO_AIR: 'No air inside',
  COLD_AIR: 'Cold air outside',
  UNCOVERED: 'No cover on it',
  OPENED_TOO_OFTEN: 'Opened too often',
  SPENT: 'It has worked through its food',
  THERMOMETER: 'The thermometer may be wrong',
  BARE_FOOD: 'Food lies open',
  NEST: 'Rats may nest in it',
};
const FIX_CAUTION: Partial<Record<Fix, string>> = {
  enlarge: CAUTION.lift,
  nitrogen: CAUTION.raw,
  turn: CAUTION.spores,
  carbon: CAUTION.spores,
  structure: CAUTION.spores,
  shrink: CAUTION.split,
  bury: CAUTION.food,
};

export const CHORE_WORDS = {
  leachate: 'Empty the leachate',
  covers: 'Look at the covers',
  vents: 'Look at the vents',
  tools: 'Clean the tools',
  other: 'Chore',
} as const;
export const GROUP_WORDS: Readonly<Record<Group, string>> = {
  danger: 'Danger',
  losing: 'Lost if left',
  owed: 'Owed to a proof',
  schedule: 'By schedule',
  chore: 'Chores',
};
export const TASK_WORDS: Readonly<Record<TaskKind, string>> = {
  hot: 'cooling',
  read: 'reading',
  turn: 'turning',
  water: 'watering',
  mend: 'mending',
  close: 'closing',
  chore: 'chore',
  'probe-check': 'check of a thermometer',
  load: 'a load in the store',
};

function loadWords(l: NonNullable<Task['load']>, due: number, { unit }: Locale): AdviceWords {
  const place = l.where ? `, ${l.where}` : '';
  switch (l.what) {
    case 'ripe':
      return {
        mark: 'add',
        act: `${l.name} is ripe`,
        why: `It may be used from now on${place}.`,
        due,
        urgent: false,
      };
    case 'ask':
      return {
        mark: 'note',
        act: `Ask about ${l.name}`,
        why: `It is held until then${l.asked ? `: ${l.asked}` : ''}.`,
        due,
        urgent: false,
      };
    case 'stack':
      return {
        mark: 'probe',
        act:
          l.level === 'danger' || l.level === 'act'
            ? `${l.name} is too hot in the stack`
            : `Read the stack of ${l.name}`,
        due,
        urgent: l.level === 'danger' || l.level === 'act',
        why:
          l.c === null
            ? `Fresh stacks heat up on their own; it was never read${place}.`
            : `${tempText(l.c, unit)} when it was last read${place}. ${l.level === 'danger' ? 'Keep people back, do not open it blindly, call the fire service.' : l.level === 'act' ? 'Take it apart in small portions, with water at hand.' : 'Read it again.'}`,
        ...(l.level === 'danger' || l.level === 'act'
          ? {
              caution:
                'Opening a hot stack feeds air to a smoulder. Local fire rules on stacks come first.',
            }
          : {}),
      };
  }
}

/** A task in words: what to do, with which heap or thing. */
export function taskWords(t: Task, locale: Locale): AdviceWords {
  if (t.advice) return adviceWords(t.advice, locale);
  const { timeZone, now } = locale;
  if (t.chore)
    return {
      mark: 'check',
      act: t.chore.words ?? CHORE_WORDS[t.chore.what as keyof typeof CHORE_WORDS],
      why:
        t.chore.doneAt === null
          ? `Every ${countText(t.chore.everyDays, 'day')}; not done yet.`
          : `Every ${countText(t.chore.everyDays, 'day')}; last done ${soonText(timeZone, t.chore.doneAt, now)}.`,
      ...(t.chore.what === 'leachate' ? { caution: CAUTION.raw } : {}),
      due: t.due,
      urgent: false,
    };
  if (t.load) return loadWords(t.load, t.due, locale);
  return {
    mark: 'probe',
    act: `Check thermometer ${t.name}`,
    why: 'In ice water, and at the hot end. What it read since its last check hangs on it.',
    due: t.due,
    urgent: false,
  };
}

/** What leaving a task costs; empty: nothing that can be told. */
export function costText(t: Task, { timeZone, now, unit }: Locale): string {
  if (t.group === 'danger') return 'A heap that is too hot does not wait.';
  if (
    t.advice?.code === 'TURN' &&
    t.advice.waiting &&
    t.advice.waiting.code !== t.advice.reasons[0]?.code
  )
    return reasonText(t.advice.waiting, { timeZone, now, unit });
  if (t.atStakeHours > 0 && t.latest !== null)
    return `After ${soonText(timeZone, t.latest, now)} its ${durationText(t.atStakeHours)} are lost.`;
  if (t.advice?.code === 'TURN' && t.advice.owed > 0)
    return `Its proof comes later: ${countText(t.advice.owed, 'turning')} still owed.`;
  if (t.advice?.code === 'KEEP_READING') return 'The run hangs on a round a day.';
  return '';
}

/** What a reason rests on, in one sentence. */
export function reasonText(r: TurnReason, { timeZone, now, unit }: Locale): string {
  const at = (t: number): string => soonText(timeZone, t, now);
  const temp = (c: number): string => tempText(c, unit);
  switch (r.code) {
    case 'CALENDAR':
      return r.first
        ? `Its calendar turns it first on day ${Math.round(r.days * 10) / 10}: ${dayText(timeZone, r.due)}.`
        : `Its calendar turns it every ${countText(r.days, 'day')}; last turned ${at(r.since)}.`;
    case 'WORKED_OUT':
      return `Its method works it for ${countText(r.activeDays, 'day')}, and those were over ${at(r.since)}.`;
    case 'PEAKED':
      return `Peaked ${at(r.at)} at ${temp(r.highestC)}; ${temp(r.nowC)} in its last round.`;
    case 'FALLING':
      return `It falls ${changeText(r.perDay, unit)} a day over its last ${countText(r.rounds, 'round')}.`;
    case 'STEADY':
      return `${r.perDay > 0.3 ? `Still rising ${changeText(r.perDay, unit)} a day` : r.perDay < -0.3 ? `Falls only ${changeText(r.perDay, unit)} a day` : 'Holds steady'} over its last ${countText(r.rounds, 'round')}.`;
    case 'TOO_FEW_ROUNDS':
      return `${r.rounds === 0 ? 'Not read' : `Read ${r.rounds === 1 ? 'once' : `${r.rounds} times`}`} since ${at(r.since)}: too little to tell where it is heading.`;
    case 'LOW':
      return `Down to ${temp(r.coreC)} at ${at(r.at)}; it is turned again at ${temp(r.lowC)}.`;
    case 'ABOVE_LOW':
      return `${temp(r.coreC)} at ${at(r.at)}, still above ${temp(r.lowC)}.`;
    case 'HOT':
      return `${temp(r.coreC)} inside at ${at(r.at)}: past ${temp(r.actC)} the heat kills what makes compost.`;
    case 'NOT_HOT':
      return `${temp(r.coreC)} at ${at(r.at)}, under ${temp(r.actC)}.`;
    case 'BAY':
      return `Its bay is wanted by ${at(r.by)}.`;
    case 'OWED':
      return `${countText(r.owed, 'turning')} still owed in the ${missingText(r.missingHours)} that are left: about every ${countText(Math.max(1, Math.round(r.apartHours / 24)), 'day')}, with a hot round between.`;
    case 'OWED_NOT_HOT_SINCE':
      return `${countText(r.owed, 'turning')} still owed, but none counts before a round of ${temp(r.floorC)} or more since ${at(r.turnedAt)}.`;
    case 'STAGE_DONE':
      return `${durationText(r.heldHours)} hot since its last turning, ${durationText(r.needHours)} were asked for; ${countText(r.owed, 'turning')} still owed. Last hot round ${at(r.at)}.`;
    case 'STAGE_RUNS':
      return `${missingText(r.missingHours)} more before the next of ${countText(r.owed, 'owed turning')}: a turning now would waste the hours since the last. Last hot round ${at(r.at)}.`;
    case 'RUN_WOULD_END':
      return `At ${changeText(r.perDay, unit)} a day it falls past ${temp(r.floorC)} ${dayWord(timeZone, r.at, now)} about ${localParts(timeZone, r.at).clock}, and its ${durationText(r.creditedHours)} would be lost.`;
    case 'NEAR_PROOF':
      return `${missingText(r.missingHours)} from proof: ${at(r.proofAt)} at the earliest. A turning now would pause the run for up to ${ageText(r.graceHours)} and owes nothing.`;
    case 'RECOVERING':
      return `It is still coming back from its turning: it has until ${at(r.until)} to reach ${temp(r.floorC)}.`;
    case 'TURNED_LATELY':
      return `Turned ${at(r.at)}. Opened again within a day it only loses heat.`;
    case 'NO_RULE_ASKS':
      return 'No rule that it is kept under asks for a turning now.';
    case 'BAY_FREE':
      return `Nobody has said that its bay is wanted. Left alone since ${at(r.since)}.`;
    case 'LEFT_ALONE':
      return `Left alone since ${at(r.since)}.`;
  }
}

/** What a school says, in a few words: `turn now`, `wait`, `turn on Thu`. */
export function voiceText(v: StrategyOpinion, locale: Locale): string {
  const act =
    v.says === 'now'
      ? 'turn now'
      : v.says === 'on' && v.at !== null
        ? `turn ${dayWord(locale.timeZone, v.at, locale.now)}`
        : v.says === 'no'
          ? 'no turning'
          : 'not yet';
  return `${act}. ${reasonText(v.because, locale)}`;
}

/** The heading of a turn advice. */
export function turnHeading(
  a: Pick<TurnAdvice, 'act' | 'due' | 'earliest'>,
  { timeZone, now }: Locale,
): string {
  if (a.act === 'turn' && a.due !== null)
    return a.due <= now ? 'Turn it now' : `Turn it ${dayWord(timeZone, a.due, now)}`;
  if (a.act === 'wait')
    return a.earliest === null
      ? 'Do not turn it now'
      : `Do not turn it before ${soonText(timeZone, a.earliest, now)}`;
  return 'No turning asked for';
}

/** When, at the earliest and at the latest; empty: nothing bounds it. */
export function windowText(
  a: Pick<TurnAdvice, 'act' | 'earliest' | 'latest'>,
  { timeZone, now }: Locale,
): string {
  if (a.act !== 'turn') return '';
  const at = (t: number): string => soonText(timeZone, t, now);
  return [
    a.earliest !== null && a.earliest > now ? `not before ${at(a.earliest)}` : '',
    a.latest === null
      ? ''
      : a.latest <= now
        ? `it should have been done by ${at(a.latest)}`
        : `at the latest ${at(a.latest)}`,
  ]
    .filter(Boolean)
    .join(', ');
}

/** Whether a turning counts for the rule that leads, and why not. */
export const COUNT_WORDS = {
  counted: 'Counts',
  TURN_PARTIAL: 'No: only stirred',
  TURN_WITHOUT_HEAT: 'No: not hot again since the turning before it',
  TURN_WITHOUT_HOLD: 'No: not hot for long enough before it',
  TURN_OUTSIDE_RUN: 'No: no hot run goes on from it',
  EARLIER: 'No: the clock started again after it',
  AWAITED: 'Not yet: it must be read hot first',
} as const;

const CHOICE_WORDS: Readonly<Record<HotChoice, string>> = {
  turn: 'Turn it, reading first',
  split: 'Split it in two smaller heaps',
  wet: 'Water it, slowly, from the top',
  'cap-off': 'Take the cap or cover off',
  'look-again': 'Read it again',
  'keep-back': 'Keep people back, upwind',
  'do-not-open': 'Do not open it: air feeds a smoulder',
  call: 'Call the fire service at any smoke or smell of burning',
};
const CHOICE_CAUTION: Partial<Record<HotChoice, string>> = {
  turn: CAUTION.steam,
  split: CAUTION.split,
  wet: 'Steam comes up where the water goes in: stand upwind, face away.',
  'cap-off': CAUTION.steam,
};
export type HotWords = {
  readonly heading: string;
  readonly why: string;
  readonly choices: readonly {
    readonly choice: HotChoice;
    readonly act: string;
    readonly caution: string | null;
  }[];
  readonly follow: string;
  readonly urgent: boolean;
  readonly escalate: string | null;
};

/** Heading, reason and choices for a heap that is too hot. */
export function hotWords(h: HotAdvice, { timeZone, now, unit }: Locale): HotWords {
  const read =
    h.coreC === null
      ? 'Nobody has read it'
      : `${tempText(h.coreC, unit)} inside, read ${ageText((now - h.at) / MS.hour)} ago`;
  const answered =
    h.answeredAt === null
      ? ''
      : ` It was turned, watered or split since, ${soonText(timeZone, h.answeredAt, now)}: only a reading shows whether that was enough.`;
  const by = soonText(timeZone, h.followUpAt, now);
  return {
    heading:
      h.level === 'danger'
        ? 'Stand back and check it now'
        : h.level === 'act'
          ? h.answeredAt !== null || h.old
            ? 'Read it again'
            : 'Cool it down'
          : 'Keep an eye on its heat',
    why:
      h.burnt && h.level === 'danger'
        ? `${read}, and somebody smelled burning or took it for a fire.`
        : h.level === 'warn'
          ? `${read}. From ${tempText(h.limitC, unit)} on it begins to harm itself.`
          : answered
            ? `${read}.${answered}`
            : `${read}. ${h.level === 'danger' ? `At ${tempText(h.limitC, unit)} and more it may heat itself further without air or life.` : `Past ${tempText(h.limitC, unit)} the heat kills what makes compost.`}`,
    choices: h.choices
      .filter((c) => c !== 'look-again')
      .map((choice) => ({
        choice,
        act: CHOICE_WORDS[choice],
        caution: CHOICE_CAUTION[choice] ?? null,
      })),
    follow: h.overdue
      ? `It should have been read again by ${by}. Read it now.`
      : `Read it again by ${by}.`,
    urgent: h.level !== 'warn',
    escalate:
      h.escalate && h.overSince !== null
        ? `Too hot in every round since ${soonText(timeZone, h.overSince, now)}. Tell whoever answers for the site; see the fire card.`
        : null,
  };
}

const round5 = (x: number): number =>
  x < 20 ? Math.round(x) : x < 200 ? Math.round(x / 5) * 5 : Math.round(x / 10) * 10;
const span = ({ low, high }: PercentRange, one: string, many = one): string => {
  const [a, b] = [round5(low), round5(high)];
  return a === b ? `${b} ${b === 1 ? one : many}` : `${a}–${b} ${many}`;
};
const HINT_WORDS: Readonly<Record<WaterHint, string>> = {
  FROST: 'It freezes outside: water only while it is turned, so that it goes in and not on it.',
  HEAT: 'Hot day: water early or late, and cover it afterwards.',
  SHEDS: 'Dry straw sheds water at first: wet it slowly, layer by layer, best while it is turned.',
  TWO_GOES: 'More at once would run through: feel it again the next day, then give the rest.',
};
const pctText = ({ low, high }: PercentRange): string =>
  `${Math.round(low)}–${Math.round(high)} % moist`;

export type WaterWords = {
  /** Water is to go in now. */ readonly now: boolean;
  readonly heading: string;
  readonly text: string;
  readonly stop: string | null;
  readonly heat: string | null;
  readonly hints: readonly string[];
};
/** Heading and reasons of a water advice. Litres of loose water. */
export function waterWords(w: WaterAdvice, { timeZone, now, unit }: Locale): WaterWords {
  const felt =
    'at' in w
      ? `By the squeeze of ${soonText(timeZone, w.at, now)} it is about ${pctText(w.pct)}`
      : '';
  switch (w.code) {
    case 'NOT_FELT':
      return {
        now: false,
        heading: 'Squeeze a handful first',
        text: 'Nobody has squeezed a handful yet, so it cannot be told what it lacks. Take it from inside, not from the rim.',
        stop: null,
        heat: null,
        hints: [],
      };
    case 'FELT_LONG_AGO':
      return {
        now: false,
        heading: 'Squeeze a handful again',
        text: `The last was felt ${soonText(timeZone, w.felt, now)}: too long ago to tell what it lacks now.`,
        stop: null,
        heat: null,
        hints: [],
      };
    case 'MOIST_ENOUGH':
      return {
        now: false,
        heading: 'No water now',
        text: `${felt}: that is right.`,
        stop: null,
        heat: null,
        hints: [],
      };
    case 'TOO_WET':
      return {
        now: false,
        heading: 'No water: it is too wet',
        text: `${felt}. ${w.looseL ? `It has about ${span(w.looseL, 'L')} too much. ` : ''}Turn it with dry, coarse browns, and cover it against rain.`,
        stop: null,
        heat: null,
        hints: [],
      };
    case 'NO_SIZE':
      return {
        now: true,
        heading: 'Water it, until a squeeze gives a drop',
        text: `${felt}. How much cannot be reckoned: its size is not known. Measure it.`,
        stop: 'Stop when it seeps at the foot.',
        heat: null,
        hints: [],
      };
    case 'WATER':
      return {
        now: true,
        heading: `Water it: about ${round5(w.now.litres)} L now`,
        text: `${felt}; ${w.targetPct} % is aimed at: ${span(w.litres, 'L')} in all. ${round5(w.now.litres)} L are ${countText(Math.max(1, round5(w.now.minutes)), 'minute')} of the hose, or ${countText(Math.max(1, round5(w.now.buckets)), 'bucket')}.`,
        stop: 'Stop when it seeps at the foot, or a squeeze gives a drop or two.',
        heat:
          w.coolsK === null
            ? null
            : `That much at ${tempText(w.waterC, unit)} takes about ${changeText(w.coolsK, unit)} off its mean. It comes back with the life that the water brings.`,
        hints: w.hints.map((h) => HINT_WORDS[h]),
      };
  }
}

/** What a diagnosis rests on, in a clause. */
export function signText(s: Sign, { timeZone, now, unit }: Locale): string {
  const at = (t: number): string => soonText(timeZone, t, now);
  switch (s.code) {
    case 'SIZE':
      return `${volumeText(s.m3, 'm3')} now`;
    case 'SIZE_UNKNOWN':
      return 'its size is not known: measure it';
    case 'SQUEEZE':
      return `squeezed ${at(s.at)}: ${SQUEEZE_WORDS[s.squeeze].word.toLowerCase()}`;
    case 'NOT_SQUEEZED':
      return 'nobody squeezed a handful lately';
    case 'SMELL':
      return `smelled ${at(s.at)}: ${s.smell}`;
    case 'NOT_SMELLED':
      return 'nobody noted a smell lately';
    case 'RICH_INPUTS':
      return 'manure or food went in';
    case 'ONLY_GARDEN':
      return 'nothing rich went in';
    case 'INPUTS_UNKNOWN':
      return 'what went in was not said';
    case 'AIR':
      return `air at ${tempText(s.c, unit)}`;
    case 'AIR_UNKNOWN':
      return 'the air was not read';
    case 'AGE':
      return `day ${Math.floor(s.days) + 1} of about ${s.activeDays}`;
    case 'TURNED':
      return `turned ${s.times === 1 ? 'once' : `${s.times} times`} in ${s.days} days, last ${at(s.last)}`;
    case 'NOT_TURNED':
      return `not turned since ${at(s.since)}`;
    case 'WATERED':
      return `${Math.round(s.litres)} L of water in three days`;
    case 'COVER':
      return `cover ${s.on ? 'on' : 'off'} ${at(s.at)}`;
    case 'GROWTH':
      return `${s.growth} growth ${at(s.at)}`;
    case 'SEEPAGE':
      return `it seeped ${at(s.at)}`;
    case 'HIGHEST':
      return `was ${tempText(s.c, unit)} ${at(s.at)}`;
    case 'PROBE_CHECKED':
      return `thermometer checked ${at(s.at)}`;
    case 'PROBE_UNNAMED':
      return 'no reading names its thermometer';
    case 'COVER_UNKNOWN':
      return 'nobody noted whether it is covered';
    case 'PROBE_UNCHECKED':
      return `thermometer ${s.probe} was never checked`;
    case 'FOOD_IN':
      return 'food waste went in';
    case 'PESTS':
      return `pests seen ${at(s.at)}`;
  }
}

/** What came of something that was changed. */
export function trialText(t: Trial, { timeZone, now, unit }: Locale): string {
  const heat =
    t.beforeC === null || t.afterC === null
      ? ''
      : ` ${tempText(t.beforeC, unit)} before, ${tempText(t.afterC, unit)} within five days.`;
  if (t.outcome === 'open') return 'No full round since: it cannot be told yet.';
  const came =
    t.outcome === 'helped' ? 'It warmed' : t.outcome === 'worse' ? 'It cooled' : 'No change';
  return `${came}.${heat}${t.causeUnknown ? ' Cause unknown: several things were changed at once.' : ''}${t.afterAt === null ? '' : ` Read ${soonText(timeZone, t.afterAt, now)}.`}`;
}

const NO_TEST = {
  small: 'under a cubic metre',
  'size-unknown': 'of a size that nobody measured',
  dry: 'dry',
  'not-squeezed': 'of a moisture that nobody felt lately',
} as const;
const FIRST_PUT_RIGHT = {
  small: 'add to it or join it',
  'size-unknown': 'measure it',
  dry: 'water it',
  'not-squeezed': 'squeeze a handful',
} as const;

/** Whether staying cool shows that a heap has worked through, and what would show it. */
function reheatText(t: ReheatTest, { timeZone, now }: Locale): string {
  switch (t.code) {
    case 'SHOWS_NOTHING':
      return `That it stays cool shows nothing: it is ${listText(t.why.map((w) => NO_TEST[w]))}. To test it, ${listText(t.why.map((w) => FIRST_PUT_RIGHT[w]))}, then turn it and read it on the five days after.`;
    case 'NOT_TURNED':
      return 'Turn it once more and read it on the five days after; if it stays cool then, it may be put to cure.';
    case 'READ_ON':
      return `Turned ${soonText(timeZone, t.turnedAt, now)}: read it until ${soonText(timeZone, t.until, now)}. If it stays cool, it may be put to cure.`;
    case 'STAYED_COOL':
      return `Moist, big enough, turned ${soonText(timeZone, t.turnedAt, now)}, and it did not warm again in ${countText(t.checks, 'reading')}: it may be put to cure.`;
  }
}

/** Since when somebody says that it is so, and what the log has to say to that. */
export function claimText(c: Claim, { timeZone, unit, now }: Locale): string {
  const met =
    c.met.length === 0
      ? c.asked === 0
        ? 'No rule is claimed.'
        : 'Not proven.'
      : c.met.length < c.asked
        ? `Meets ${c.met.length} of ${c.asked} rules; not all are proven.`
        : `Proven by ${listText(c.met.map((m) => `${m.title}, ${dayText(timeZone, m.at)}`))}.`;
  const r = c.lastRead;
  const over =
    r?.airC == null
      ? ', the air was not read'
      : `, ${Math.round(Math.abs(r.coreC - r.airC) * (unit === 'F' ? 1.8 : 1))} °${unit} ${r.coreC >= r.airC ? 'over' : 'under'} the air`;
  const read =
    r === null
      ? 'Its heat was never read.'
      : `${tempText(r.coreC, unit)} inside when last read ${soonText(timeZone, r.at, now)}${over}.`;
  return `${met} Maturity was not tested. ${read}`;
}

/** Why it should not go out yet, each to be confirmed by whoever lets it go. */
export function readingDoubtText(d: ReleaseDoubt, c: Claim, { unit }: Locale): string {
  const r = c.lastRead;
  switch (d) {
    case 'unproven':
      return c.asked === 0
        ? 'No rule is claimed for it, so no kill of germs or seeds is shown.'
        : c.met.length === 0
          ? 'It has not met any rule: germs and weed seeds may be alive in it.'
          : `It meets ${c.met.length} of the ${c.asked} rules that it is kept under.`;
    case 'warm':
      return `It was still warm: ${tempText(r!.coreC, unit)} inside${r!.airC === null ? '' : `, ${tempText(r!.airC, unit)} outside`}. Stacked or bagged warm it can heat up again and catch fire.`;
    case 'unread':
      return r === null
        ? 'Nobody has ever read its heat.'
        : 'Nobody has read its heat in the last seven days.';
  }
}

/** A reading against what is expected of this heap at its age. */
export function courseText(
  c: Course,
  method: string,
  locale: Locale,
  reheat: ReheatTest | null = null,
): string {
  const { unit } = locale;
  const day = `day ${Math.floor(c.ageDays) + 1}`;
  const band = `${tempText(c.lowC, unit)} to ${tempText(c.highC, unit)}`;
  const air =
    c.airC === null
      ? ''
      : `, ${Math.round(Math.abs(c.coreC - c.airC) * (unit === 'F' ? 1.8 : 1))} °${unit} ${c.coreC >= c.airC ? 'above' : 'below'} the air`;
  const is = `${tempText(c.coreC, unit)}${air}`;
  switch (c.code) {
    case 'TOO_YOUNG':
      return `${is}. Too early to tell anything.`;
    case 'ON_COURSE':
      return `${is}: on course. ${method} is expected at ${band} on ${day}.`;
    case 'HOTTER':
      return `${is}: hotter than the ${band} expected of this method on ${day}.`;
    case 'COOLER':
      return `${is}: cooler than the ${band} expected of this method on ${day}.`;
    case 'JUST_TURNED':
      return `${is}, just after its turning. ${band} is expected on ${day}.`;
    case 'NEAR_END':
      return `${is}: near its end on ${day}. ${reheat ? reheatText(reheat, locale) : ''}`.trim();
    case 'AT_AIR':
      return `${is}: as the air on ${day}. ${reheat ? reheatText(reheat, locale) : ''}`.trim();
  }
}

/** Where it stands in its life, by the entry or the reading that says so. @param read whether it was read since its clock began */
export function stageText(s: Stage, { timeZone, now }: Locale, read: boolean): string {
  const since = soonText(timeZone, s.since, now);
  if (s.code === 'heating')
    return `${read ? STAGE_WORDS.heating : 'Not read yet'}, closed ${since}`;
  if (s.by !== null && (s.code === 'ready' || s.code === 'curing'))
    return `${STAGE_WORDS[s.code]} by ${s.by}, ${since}`;
  return `${STAGE_WORDS[s.code]} since ${since}${s.reason === null ? '' : `: ${s.code === 'ended' ? END_WORDS[s.reason as EndReason] : s.reason}`}`;
}

/** What became of a heap that is gone, and what stands behind it. */
function goneText(
  {
    stage,
    reason,
    by,
    since,
    claim,
  }: Pick<Extract<Advice, { code: 'NOTHING' }>, 'stage' | 'reason' | 'by' | 'since' | 'claim'>,
  locale: Locale,
): string {
  const when = `${by === null ? '' : ` by ${by}`}, ${soonText(locale.timeZone, since, locale.now)}`;
  if (reason === 'merged' || reason === 'discarded' || reason === 'gave-up')
    return `At its end: ${END_WORDS[reason]}${when}.`;
  const how =
    stage === 'released'
      ? 'Let go out'
      : reason === null
        ? 'At its end'
        : upperFirst(END_WORDS[reason as EndReason]);
  return `${how}${when}. ${claimText(claim, locale)}`;
}

/** The one text of each advice. */
export function adviceWords(a: Advice, locale: Locale): AdviceWords {
  const { timeZone, now, unit } = locale;
  const by = (at: number): string => soonText(timeZone, at, now);
  const late = (at: number): boolean => at < now;
  const readAct = (at: number): string => (late(at) ? 'Read it now' : `Read by ${by(at)}`);
  const calm = { urgent: false } as const;
  switch (a.code) {
    case 'CLOSE_WHEN_BUILT':
      return {
        mark: 'add',
        act: 'Fill it, then close it',
        why: 'The clock starts when the last raw load is in, and not before.',
        due: null,
        ...calm,
      };
    case 'TOO_HOT': {
      const w = hotWords(a.hot, locale);
      return {
        mark: a.hot.level !== 'danger' && a.hot.choices[0] === 'look-again' ? 'probe' : 'turn',
        act:
          a.hot.level === 'danger' || a.hot.answeredAt !== null || a.hot.old
            ? w.heading
            : `Cool it: ${a.hot.choices
                .filter((c) => c !== 'look-again')
                .slice(0, 2)
                .map(
                  (c) =>
                    ({ turn: 'turn', split: 'split', wet: 'water', 'cap-off': 'cap off' })[
                      c as 'turn'
                    ],
                )
                .join(' or ')}`,
        why: `${w.why} ${w.follow}`,
        caution: a.hot.level === 'danger' ? CAUTION.danger : CAUTION.steam,
        due: Math.min(now, a.hot.followUpAt),
        urgent: true,
        danger: w.urgent,
      };
    }
    case 'READ_AFTER_TURN':
      return {
        mark: 'probe',
        act: readAct(a.due),
        why: a.second
          ? 'A day after the turning: it shows whether the heat came back, and keeps the lost time short.'
          : 'Turned today. A reading this afternoon earns the hours since; without it they are lost.',
        due: a.due,
        ...calm,
      };
    case 'READ_BEFORE_LOST':
      return {
        mark: 'probe',
        act: readAct(a.due),
        why: `Last hot round ${ageText((now - a.last) / MS.hour)} ago. Past ${ageText(a.maxGapHours)} its ${durationText(a.creditedHours)} are lost.`,
        due: a.due,
        urgent: true,
      };
    case 'READ_RECOVERING':
      return {
        mark: 'probe',
        act: readAct(a.due),
        why: `${tempBeside(a.valueC, a.floorC, unit)} after its turning. Has until ${by(a.due)} to reach ${tempBeside(a.floorC, a.floorC, unit)}.`,
        due: a.due,
        urgent: a.due - now < 12 * MS.hour,
      };
    case 'TURN': {
      const urgent = a.waiting?.code === 'RUN_WOULD_END' && a.due - now < 12 * MS.hour;
      const first = a.reasons[0];
      return {
        mark: 'turn',
        act: turnHeading({ act: 'turn', due: a.due, earliest: null }, locale),
        why: `${first ? reasonText(first, locale) : ''} Read it first.`.trim(),
        caution: CAUTION.steam,
        due: a.due,
        urgent,
      };
    }
    case 'WATER':
      return {
        mark: 'water',
        act: waterWords(a.water, locale).heading,
        why: waterWords(a.water, locale).text,
        due: a.due,
        ...calm,
      };
    case 'SQUEEZE_AGAIN':
      return {
        mark: 'squeeze',
        act: 'Squeeze a handful',
        why: `It was dry when it was last squeezed, ${by(a.drySince)}. The weed-seed time does not count until a squeeze test says that it is moist again.`,
        due: a.due,
        ...calm,
      };
    case 'KEEP_READING':
      return {
        mark: 'probe',
        act: readAct(a.due),
        why: `${missingText(a.missingHours)} more. One round a day keeps the run.`,
        due: a.due,
        ...calm,
      };
    case 'WAIT_FOR_HEAT':
      return {
        mark: 'probe',
        act: readAct(a.due),
        why:
          a.valueC === null
            ? 'No round yet. The right mix warms within three days.'
            : `${tempBeside(a.valueC, a.floorC, unit)} in its coldest place, not yet ${tempBeside(a.floorC, a.floorC, unit)}. ${a.late ? 'Nothing counts before that.' : 'The right mix gets there within a week.'}`,
        due: a.due,
        ...calm,
      };
    case 'MEND': {
      const why =
        a.signs.length > 0
          ? `${CAUSE_WORDS[a.cause]}: ${a.signs.map((s) => signText(s, locale)).join(', ')}.`
          : `${CAUSE_WORDS[a.cause]}, perhaps: ${a.unseen.map((s) => signText(s, locale)).join(', ') || 'nothing speaks against it'}.`;
      const look = a.signs.length === 0 && a.unseen.length > 0;
      const caution = FIX_CAUTION[a.fix];
      return {
        mark: look
          ? 'squeeze'
          : a.fix === 'water'
            ? 'water'
            : a.fix === 'turn'
              ? 'turn'
              : a.fix === 'thermometer'
                ? 'probe'
                : 'add',
        act: look
          ? `${SYMPTOM_WORDS[a.symptom]}: find out why`
          : `${SYMPTOM_WORDS[a.symptom]}: ${FIX_WORDS[a.fix].charAt(0).toLowerCase()}${FIX_WORDS[a.fix].slice(1)}`,
        why: `${why} One change at a time.`,
        ...(caution && !look ? { caution } : {}),
        due: a.due,
        ...calm,
      };
    }
    case 'FIND_OUT_WHY':
      return {
        mark: 'squeeze',
        act: 'Squeeze it and smell it',
        why: `${tempBeside(a.valueC, a.floorC, unit)} in the last round. Look at size, water, nitrogen and air, in that order; change one thing at a time.`,
        due: a.due,
        ...calm,
      };
    case 'PROVEN_MOVE_ON':
      return {
        mark: 'cure',
        act: 'Let it cool and cure',
        why: `${a.valueC === null ? '' : `${tempText(a.valueC, unit)} in the last round. `}Nothing raw goes in any more: it would start the clock again.`,
        due: null,
        ...calm,
      };
    case 'ASLEEP':
      return {
        mark: 'note',
        act: 'Let it sleep until it thaws',
        why: `${tempText(a.coreC, unit)} inside at ${by(a.at)}, under frost. It has not failed, and it earns nothing: ${a.creditedHours > 0 ? 'its run is broken' : 'no run is on'}.`,
        due: a.due,
        ...calm,
      };
    case 'READ_QUIET':
      return {
        mark: 'probe',
        act: readAct(a.due),
        why: `${a.coreC === null ? 'Never read' : `${tempText(a.coreC, unit)} in the last round`}. No rule waits for it: once a week is enough.`,
        due: a.due,
        ...calm,
      };
    case 'READ_RUN_DOWN':
      return {
        mark: 'probe',
        act: readAct(a.due),
        why: `${a.coreC === null ? 'Never read' : `${tempText(a.coreC, unit)} in the last round`}, and past its working time. Once a week is enough now.`,
        due: a.due,
        ...calm,
      };
    case 'LEAVE_TO_CURE':
      return {
        mark: 'cure',
        act: 'Leave it to cure',
        why: `Keep it covered and moist, and nothing raw near it. ${claimText(a.claim, locale)}`,
        brief: 'Keep it covered and moist, and nothing raw near it. Maturity was not tested.',
        due: a.due,
        ...calm,
      };
    case 'ON_HOLD':
      return {
        mark: 'note',
        act: 'On hold',
        why: `Since ${by(a.since)}${a.reason ? `: ${a.reason}` : ''}.`,
        due: null,
        ...calm,
      };
    case 'READY':
      return {
        mark: 'note',
        act: 'Said to be ready',
        why: `${a.by ?? 'Somebody'} put it down as ready ${by(a.since)}. ${claimText(a.claim, locale)}`,
        brief: 'Maturity was not tested.',
        due: a.due,
        ...calm,
      };
    case 'NOTHING':
      return {
        mark: 'note',
        act: 'Nothing to do',
        why: `${goneText(a, locale)} Its record stays.`,
        due: null,
        ...calm,
      };
  }
}
