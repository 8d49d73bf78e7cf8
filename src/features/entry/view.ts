import {
  clockText,
  countText,
  durationText,
  soonText,
  tempFigure,
  tempText,
  whenText,
} from '@/core/quantity/format';
import { MS, parseInstant } from '@/core/quantity/instant';
import { toCelsius, type TempUnit } from '@/core/quantity/units';
import {
  CLOCK_TOLERANCE_MS,
  deviceOf,
  pestsOf,
  type DataOf,
  type ReleaseDoubt,
  type Entry,
} from '@/core/log/entry';
import { localInput } from '@/core/quantity/calendar';
import { positionText } from '@/core/heap/row';
import { readingText } from '@/core/words/reading';
import { SQUEEZE_WORDS } from '@/core/words/feel';
import { SKIP_WORDS } from '@/core/words/skip';
import { DEFER_WORDS, END_WORDS, FIXED_WORDS } from '@/core/advice/words';
import { amountText } from '@/core/words/amount';
import { TRANSFER_WORDS } from '@/core/words/transfer';
import type { BatchState, LoggedReading } from '@/core/log/fold';
import type { Locale } from '@/core/words/note';
import { factsOf } from '@/core/evidence/facts';
import type { AssessedRule } from '@/core/evidence/verdict';
import { titlesOf } from '@/core/rules/library';
import { statusWord, displayStatusOf } from '@/core/words/verdict';

/** What an entry does to one rule, said before it is saved. `costs`: credit or a proof goes. */
export type Effect = {
  readonly rule: string;
  readonly text: string;
  readonly costs: boolean;
  /** It changes nothing. */ readonly none: boolean;
};

const HOUR_SLACK = 1 / 60;

function effect(
  { assessment: was }: AssessedRule,
  after: AssessedRule | undefined,
  name: string,
  title: string,
): Effect {
  const before = was.verdict;
  const v = after?.assessment.verdict;
  const say = (text: string, costs: boolean): Effect => ({ rule: title, text, costs, none: false });
  if (!v) return say('can no longer be reckoned.', true);
  if (before.status === 'proven' && v.status !== 'proven')
    return say(`${name}’s proof is lost: the clock starts again.`, true);
  if (before.status !== 'proven' && v.status === 'proven') return say('is proven with it.', false);
  const lost = before.creditedHours - v.creditedHours;
  if (lost > HOUR_SLACK)
    return say(
      `${durationText(lost)} would be lost: ${durationText(v.creditedHours)} remain${v.segmentFrom > before.segmentFrom ? ', and the clock starts again' : ''}.`,
      true,
    );
  if (v.segmentFrom > before.segmentFrom)
    return say('the clock starts again; it has nothing to lose yet.', false);
  if (lost < -HOUR_SLACK)
    return say(
      `${durationText(-lost)} are earned: ${durationText(v.creditedHours)} in all.`,
      false,
    );
  if (v.turningsCounted !== before.turningsCounted)
    return say(
      `${countText(v.turningsCounted, 'turning counts', 'turnings count')} instead of ${before.turningsCounted}.`,
      v.turningsCounted < before.turningsCounted,
    );
  const [from, to] = [factsOf(was), factsOf(after!.assessment)];
  // A change that reads alike is none to anybody who reads it.
  if (displayStatusOf(from) !== displayStatusOf(to))
    return say(
      `goes from ‘${statusWord(from).toLowerCase()}’ to ‘${statusWord(to).toLowerCase()}’.`,
      v.status === 'broken' && before.creditedHours > 0,
    );
  return { rule: title, text: 'nothing changes.', costs: false, none: true };
}

export function effectsOf(
  before: readonly AssessedRule[],
  after: readonly AssessedRule[],
  name: string,
): Effect[] {
  const titles = titlesOf(before.map(({ rule }) => rule));
  return before.map((b) =>
    effect(
      b,
      after.find((a) => a.rule.id === b.rule.id),
      name,
      titles.get(b.rule.id)!,
    ),
  );
}

/** A line of the log as people read it. */
export type LogLineView = {
  readonly id: string;
  readonly mark:
    | 'add'
    | 'check'
    | 'probe'
    | 'turn'
    | 'water'
    | 'note'
    | 'squeeze'
    | 'cure'
    | 'screen'
    | 'move'
    | 'flag'
    | 'walk';
  readonly title: string;
  readonly detail: string;
  readonly when: string;
  readonly by: string;
  readonly late: string | null;
  readonly clock: string | null;
  readonly photo: string | null;
  readonly struck: string | null;
  readonly readings: readonly {
    readonly id: string;
    readonly place: string;
    readonly value: string;
    readonly struck: string | null;
  }[];
  readonly correctable: boolean;
  /** What can be put right in it, as it stands; null: it is struck as a whole. */
  readonly parts: CorrectableParts | null;
};

/** Time, amount and kind of an entry that can be put right; the time by the site's clock. */
export type CorrectableParts = { readonly at: string } & (
  | { readonly kind: 'turn'; readonly full: boolean }
  | { readonly kind: 'water'; readonly clean: boolean; readonly litres: number | null }
  | {
      readonly kind: 'addition';
      readonly raw: boolean;
      readonly seeds: boolean | null;
      readonly what: string;
    }
  | { readonly kind: 'built' }
);

function partsOf(e: Entry, timeZone: string): CorrectableParts | null {
  const at = localInput(timeZone, e.at);
  switch (e.kind) {
    case 'turn':
      return e.data.act === undefined ? { at, kind: 'turn', full: e.data.full } : null;
    case 'water':
      return { at, kind: 'water', clean: e.data.clean, litres: e.data.litres ?? null };
    case 'addition':
      return e.data.from === undefined
        ? {
            at,
            kind: 'addition',
            raw: e.data.raw,
            seeds: e.data.seeds ?? null,
            what: e.data.what ?? '',
          }
        : null;
    case 'built':
      return { at, kind: 'built' };
    default:
      return null;
  }
}

const RIM_WORDS = {
  all: 'all of the rim went in',
  most: 'most of the rim went in',
  partly: 'the rim went in partly',
  unsure: 'unsure how far the rim went in',
} as const;

const NOTHING = {
  growth: 'no growth',
  steam: 'no steam',
  pests: 'no pests',
  seepage: 'no seepage',
} as const;

/** What was seen, and what was looked for and not found. */
function observed(o: DataOf<'observation'>): string {
  const looked = (Object.keys(NOTHING) as (keyof typeof NOTHING)[])
    .filter((k) => o[k] === 'none')
    .map((k) => NOTHING[k]);
  return some(
    o.squeeze &&
      `squeezed: ${SQUEEZE_WORDS[o.squeeze].word.toLowerCase()}${SQUEEZE_WORDS[o.squeeze].means.includes(':') ? ', ' : ': '}${SQUEEZE_WORDS[o.squeeze].means}${o.sample ? `, from ${o.sample}` : ''}`,
    o.smell && `smell: ${o.smell}`,
    o.growth && o.growth !== 'none' && `${o.growth} growth`,
    o.steam && o.steam !== 'none' && (o.steam === 'much' ? 'much steam' : 'steam'),
    o.pests !== undefined &&
      pestsOf(o.pests)
        .map((p) => (p === 'other' ? 'other pests' : p))
        .join(' and '),
    o.seepage && o.seepage !== 'none' && (o.seepage === 'much' ? 'much seepage' : 'seepage'),
    o.cover && `cover ${o.cover}`,
    o.colour && COLOUR_WORDS[o.colour],
    o.sunkCm !== undefined && `${o.sunkCm} cm below its mark`,
    looked.length > 0 && looked.join(', '),
    o.words,
  );
}
const COLOUR_WORDS = {
  'as-built': 'colour as built',
  browning: 'browning',
  dark: 'dark brown',
  ashy: 'grey, ashy',
} as const;

const some = (...words: (string | false | null | undefined)[]): string =>
  words.filter((w): w is string => Boolean(w)).join(', ');

function wordsOf(
  e: Entry,
  own: readonly LoggedReading[],
  unit: TempUnit,
): Pick<LogLineView, 'mark' | 'title' | 'detail'> {
  switch (e.kind) {
    case 'opened':
      return {
        mark: 'flag',
        title: e.data.adopted ? 'Taken over under way' : 'Opened',
        detail: some(
          e.data.bay && `bay ${e.data.bay}`,
          e.data.method,
          e.data.adopted && 'not recorded here before',
          e.data.adopted?.words,
        ),
      };
    case 'built':
      return { mark: 'check', title: 'Closed', detail: 'last raw load in; the clock starts' };
    case 'round': {
      const live = own.filter((r) => r.flag === undefined).map((r) => toCelsius(r.value, r.unit));
      const places = new Set(e.data.readings.map((r) => r.point)).size;
      const range =
        live.length === 0
          ? 'all struck'
          : `${tempFigure(
              live.reduce((a, b) => Math.min(a, b)),
              unit,
            )}–${tempText(
              live.reduce((a, b) => Math.max(a, b)),
              unit,
            )}`;
      return {
        mark: 'probe',
        title:
          e.data.source === 'file'
            ? `${e.data.readings.length} readings brought in`
            : `Round of ${places}`,
        detail: some(
          range,
          e.data.left &&
            e.data.left.length > 0 &&
            `${countText(e.data.left.length, 'place')} left out`,
          e.data.words,
        ),
      };
    }
    case 'turn':
      return {
        mark: 'turn',
        title: e.data.full ? 'Turned' : 'Stirred only',
        detail: some(
          e.data.rim && RIM_WORDS[e.data.rim],
          e.data.machine && 'by machine',
          e.data.minutes !== undefined &&
            `${e.data.minutes} min${e.data.people ? ` by ${countText(e.data.people, 'person', 'people')}` : ''}`,
          e.data.readFirst === false && 'not read before it',
          e.data.words,
        ),
      };
    case 'water':
      return {
        mark: 'water',
        title: 'Watered',
        detail: some(
          e.data.litres !== undefined && `${e.data.litres} L`,
          e.data.clean ? 'clean' : 'not clean: starts the clock again',
        ),
      };
    case 'addition':
      return {
        mark: 'add',
        title: e.data.raw ? 'Raw addition' : 'Clean addition',
        detail: some(
          e.data.what,
          ...(e.data.parts ?? []).map(
            (p) => `${p.material.replaceAll('-', ' ')} ${amountText(p.amount)}`,
          ),
          e.data.raw && 'starts the clock again',
          e.data.seeds !== undefined && (e.data.seeds ? 'with live seeds' : 'no live seeds'),
        ),
      };
    case 'merge':
      return {
        mark: 'move',
        title: 'Joined',
        detail: some(
          e.data.what,
          e.data.withProven ? 'with a proven heap' : 'with an unproven heap',
        ),
      };
    case 'moisture':
      return { mark: 'squeeze', title: 'Moisture', detail: e.data.state };
    case 'observation':
      return { mark: 'squeeze', title: 'Seen', detail: observed(e.data) };
    case 'skip':
      return {
        mark: 'walk',
        title: 'Left out of a round',
        detail: some(SKIP_WORDS[e.data.reason], e.data.words),
      };
    case 'photo':
      return { mark: 'note', title: 'Photo', detail: e.data.words ?? '' };
    case 'plan':
      return {
        mark: 'probe',
        title: 'Places of a round',
        detail: e.data.points
          .map((p) =>
            [p.label, p.depthM === undefined ? '' : `${p.depthM} m`].filter(Boolean).join(' '),
          )
          .join('; '),
      };
    case 'position':
      return {
        mark: 'move',
        title: 'Stands at',
        detail: some(positionText(e.data.position), e.data.words),
      };
    case 'note':
      return {
        mark: 'note',
        title: 'Note',
        detail: e.data.words || String((e.data as { text?: unknown }).text ?? ''),
      };
    case 'correction':
      return {
        mark: 'note',
        title: 'Correction',
        detail: some(
          e.data.instead !== undefined && 'put right',
          e.data.value !== undefined &&
            `now ${tempText(toCelsius(e.data.value, e.data.unit ?? 'C'), unit, 1)}`,
          e.data.reason,
        ),
      };
    case 'move':
      return { mark: 'move', title: 'Moved', detail: e.data.words ?? '' };
    case 'transfer':
      return {
        mark: 'move',
        title: `${TRANSFER_WORDS[e.data.what].name} taken off`,
        detail: some(
          e.data.litres !== undefined && `${e.data.litres} L`,
          e.data.to && 'into another heap',
          e.data.words,
        ),
      };
    case 'split':
      return {
        mark: 'move',
        title: 'A part was carried off',
        detail: `${e.data.volumeM3} m³, a heap of its own now`,
      };
    case 'stack':
      return {
        mark: 'move',
        title: e.data.layer === 'upper' ? 'Stands on another heap' : 'Another heap stands on it',
        detail: '',
      };
    case 'size':
      return {
        mark: 'note',
        title: 'Size',
        detail: some(
          e.data.measures &&
            `${e.data.measures.lengthM} × ${e.data.measures.widthM} × ${e.data.measures.heightM} m`,
          e.data.volumeM3 !== undefined && `${e.data.volumeM3} m³`,
          e.data.words,
        ),
      };
    case 'method':
      return { mark: 'flag', title: 'Method', detail: some(e.data.template.name, e.data.words) };
    case 'fix':
      return {
        mark: 'note',
        title: 'Changed',
        detail: some(FIXED_WORDS[e.data.fix], e.data.words),
      };
    case 'defer':
      return {
        mark: 'note',
        title: e.data.impossible ? 'Not possible' : 'Put off',
        detail: some(e.data.task, DEFER_WORDS[e.data.reason].toLowerCase(), e.data.words),
      };
    case 'assign':
      return {
        mark: 'walk',
        title: 'Task',
        detail: some(
          e.data.task,
          e.data.who && `for ${e.data.who}`,
          e.data.day !== undefined && 'moved to another day',
        ),
      };
    case 'hold':
      return {
        mark: 'note',
        title: e.data.on ? 'Put on hold' : 'Taken up again',
        detail: e.data.reason ?? '',
      };
    case 'ready':
      return {
        mark: 'note',
        title: 'Said to be ready',
        detail: some(knownText(e.data.knowing), e.data.words),
      };
    case 'ended':
      return {
        mark: 'note',
        title: 'At its end',
        detail: some(END_WORDS[e.data.reason], knownText(e.data.knowing), e.data.words),
      };
    case 'bay-wanted':
      return {
        mark: 'note',
        title: e.data.by === null ? 'Bay no longer wanted' : 'Bay wanted',
        detail: e.data.words ?? '',
      };
    case 'lay-up':
      return { mark: 'flag', title: 'To be built by', detail: e.data.recipe.name };
    case 'charge':
      return {
        mark: 'add',
        title: 'Went in',
        detail: some(
          e.data.layer !== undefined && `layer ${e.data.layer}`,
          ...e.data.parts.map((p) => `${p.material.replaceAll('-', ' ')} ${amountText(p.amount)}`),
          e.data.waterL !== undefined && `${e.data.waterL} L of water`,
          e.data.base && `base: ${e.data.base}`,
          e.data.activator && `activator: ${e.data.activator}`,
          e.data.cover && `cover: ${e.data.cover}`,
          e.data.way && (e.data.way === 'layered' ? 'in layers' : 'mixed at once'),
          e.data.words,
        ),
      };
    case 'cover':
      return { mark: 'cure', title: 'Cover', detail: '' };
    case 'screen':
      return { mark: 'screen', title: 'Screened', detail: '' };
    case 'cure':
      return { mark: 'cure', title: 'Put to cure', detail: '' };
    case 'release':
      return { mark: 'note', title: 'Let go out', detail: '' };
    case 'terms':
      return {
        mark: 'check',
        title: 'Rules and policy changed',
        detail: some(
          countText(e.data.rules.length, 'rule'),
          e.data.siteVersion !== undefined && `version ${e.data.siteVersion} of the site`,
          e.data.words,
        ),
      };
    case 'probe-check':
    case 'ambient':
    case 'site-terms':
    case 'rule':
    case 'instrument':
    case 'walk-order':
    case 'round-settings':
    case 'template':
    case 'work':
    case 'fire-card':
    case 'chore':
    case 'material':
    case 'measures':
    case 'acceptance':
    case 'load':
    case 'load-change':
    case 'load-heat':
    case 'recipe':
    case 'site-map':
      return { mark: 'probe', title: e.kind, detail: '' };
  }
}

const KNOWN_WORDS = {
  unproven: 'not proven',
  warm: 'still warm',
  unread: 'not read lately',
} as const;
const knownText = (knowing: readonly ReleaseDoubt[] | undefined): string =>
  knowing && knowing.length > 0
    ? `knowing that it was ${knowing.map((d) => KNOWN_WORDS[d]).join(' and ')}`
    : '';

const CORRECTABLE = new Set([
  'round',
  'turn',
  'water',
  'addition',
  'observation',
  'note',
  'built',
  'merge',
  'moisture',
  'cure',
  'skip',
  'photo',
  'position',
  'plan',
  'size',
  'fix',
  'method',
  'hold',
  'ready',
  'ended',
  'move',
  'transfer',
  'split',
  'stack',
  'charge',
  'lay-up',
]);
/** Above this many readings an entry is a block from a file: it is struck as a whole. */
const MAX_READINGS = 60;
const LATE_MS = 24 * MS.hour;

/** The log, newest first by when it happened. */
export function logLines(state: BatchState, { timeZone, unit, now }: Locale): LogLineView[] {
  const label = new Map(state.points.map((p) => [p.id, p.label ?? p.id]));
  const byEntry = new Map<string, LoggedReading[]>();
  for (const r of state.readings) {
    const list = byEntry.get(r.entry);
    if (list) list.push(r);
    else byEntry.set(r.entry, [r]);
  }
  return [...state.entries]
    .sort((a, b) => b.at - a.at || b.seq - a.seq)
    .map((e): LogLineView => {
      const strike = state.struck.get(e.id);
      const own = byEntry.get(e.id) ?? [];
      const readings =
        e.kind !== 'round' || e.data.readings.length > MAX_READINGS
          ? []
          : own.map((r) => ({
              id: r.id,
              place: label.get(r.point) ?? r.point,
              value: readingText(r, unit),
              struck: r.flag ? `${r.flag}: ${r.flagReason ?? 'no reason given'}` : null,
            }));
      const lateMs = e.recordedAt - e.at;
      const device = deviceOf(e.data);
      const enteredAt = device ? parseInstant(device.enteredAt) : null;
      const waited = enteredAt !== null && enteredAt - e.at < LATE_MS;
      return {
        id: e.id,
        ...wordsOf(e, own, unit),
        when: soonText(timeZone, e.at, now),
        by: e.by,
        late:
          lateMs > LATE_MS &&
          e.kind !== 'opened' &&
          e.kind !== 'correction' &&
          !(e.kind === 'round' && e.data.source === 'file')
            ? `${waited ? 'came off a phone' : 'entered'} ${durationText(lateMs / MS.hour)} later, ${whenText(timeZone, e.recordedAt, now)}`
            : null,
        clock:
          Math.abs(device?.clockAheadMs ?? 0) <= CLOCK_TOLERANCE_MS
            ? null
            : `the phone’s clock was ${clockText(device!.clockAheadMs!)}; the time was put right`,
        photo: e.kind === 'photo' ? e.data.sha256 : null,
        struck: strike?.kind === 'correction' ? strike.data.reason : null,
        readings, // What happened before it was carried off is corrected where it was logged.
        correctable: CORRECTABLE.has(e.kind) && !strike && e.batch === state.id,
        parts: partsOf(e, timeZone),
      };
    });
}
