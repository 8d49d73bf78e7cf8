import { currentUnits, say } from '@/messages/say';
import { shownQuantity, typedQuantity, type FieldQuantity } from '@/core/quantity/typed-quantity';
import { USUAL_LIMITS } from '@/core/advice/templates';
import { leastHotVolume } from '@/core/heap/size';
import type { CHORES, Limits, Work } from '@/core/log/shapes';
import { typed } from '@/core/quantity/typed-number';

/** Crew, machine, limits and chores as they are typed, and the entry that they make. Pure: the form only shows it. */

export type PersonDraft = {
  readonly name: string;
  readonly hours: string;
  readonly drives: boolean;
};
export type ChoreDraft = {
  readonly id: string;
  readonly what: (typeof CHORES)[number];
  readonly words: string;
  readonly every: string;
  readonly minutes: string;
};
export type WorkDraft = {
  readonly hours: { readonly from: string; readonly to: string };
  readonly days: readonly number[];
  readonly crew: readonly PersonDraft[];
  readonly machine: {
    readonly on: boolean;
    readonly name: string;
    readonly hours: string;
    readonly days: readonly number[];
  };
  readonly flow: string;
  readonly bucket: string;
  readonly least: string;
  readonly limits: Readonly<Record<keyof Limits, string>> | null;
  readonly chores: readonly ChoreDraft[];
};

const WEEKDAYS = [1, 2, 3, 4, 5];
const AT_FIRST: Work = {
  from: '08:00',
  to: '17:00',
  days: WEEKDAYS,
  crew: [],
  machine: null,
  flowLPerMin: 15,
  bucketL: 10,
  limits: null,
  chores: [],
};

const typedLimits = (limits: Limits): Record<keyof Limits, string> => ({
  warnC: shownQuantity('celsius', limits.warnC),
  actC: shownQuantity('celsius', limits.actC),
  dangerC: shownQuantity('celsius', limits.dangerC),
});
/** The usual limits, to be changed. */
export const usualLimits = (): Record<keyof Limits, string> => typedLimits(USUAL_LIMITS);

/** What a site said before, to be changed; null: it never said. */
export const workDraft = (work: Work | null): WorkDraft => {
  const at = work ?? AT_FIRST;
  return {
    hours: { from: at.from, to: at.to },
    days: at.days,
    crew: at.crew.map((p) => ({ name: p.name, hours: String(p.hoursPerDay), drives: p.drives })),
    machine: {
      on: at.machine !== null,
      name: at.machine?.name ?? say('day.loader'),
      hours: String(at.machine?.hoursPerDay ?? 4),
      days: at.machine?.days ?? WEEKDAYS,
    },
    flow: shownQuantity('flow', at.flowLPerMin),
    bucket: shownQuantity('litres', at.bucketL),
    least: shownQuantity('volume', leastHotVolume(at.leastM3, currentUnits().system)),
    limits: at.limits && typedLimits(at.limits),
    chores: at.chores.map((c) => ({
      id: c.id,
      what: c.what,
      words: c.words ?? '',
      every: String(c.everyDays),
      minutes: String(c.minutes),
    })),
  };
};

/** Figures of the form that are used as it stands. */
const figuresOf = (d: WorkDraft): readonly string[] => [
  d.flow,
  d.bucket,
  d.least,
  ...d.crew.map((p) => p.hours),
  ...d.chores.flatMap((c) => [c.every, c.minutes]),
  ...(d.machine.on ? [d.machine.hours] : []),
  ...(d.limits ? Object.values(d.limits) : []),
];

/** Why it cannot be kept yet; null: it can. */
export function missingInWork(d: WorkDraft): string | null {
  if (figuresOf(d).some((text) => typeof typed(text) !== 'number'))
    return say('day.everyBoxNeedsNumber');
  if (d.crew.some((p) => p.name.trim() === '')) return say('day.eachPersonNeedsNameRemove');
  return d.days.length === 0 ? say('day.chooseAtLeastOneDay') : null;
}

/** The work that a draft says, once nothing is missing in it. */
export function workOf(d: WorkDraft): Work {
  const figure = (text: string): number => typed(text) ?? NaN;
  const quantity = (of: FieldQuantity, text: string): number => typedQuantity(of, text) ?? NaN;
  return {
    ...d.hours,
    days: [...d.days],
    crew: d.crew.map((p) => ({
      name: p.name.trim(),
      hoursPerDay: figure(p.hours),
      drives: p.drives,
    })),
    machine: d.machine.on
      ? {
          name: d.machine.name.trim() || say('day.loader'),
          hoursPerDay: figure(d.machine.hours),
          days: [...d.machine.days],
        }
      : null,
    flowLPerMin: quantity('flow', d.flow),
    bucketL: quantity('litres', d.bucket),
    leastM3: quantity('volume', d.least),
    limits: d.limits && {
      warnC: quantity('celsius', d.limits.warnC),
      actC: quantity('celsius', d.limits.actC),
      dangerC: quantity('celsius', d.limits.dangerC),
    },
    chores: d.chores.map((c) => ({
      id: c.id,
      what: c.what,
      ...(c.words.trim() ? { words: c.words.trim() } : {}),
      everyDays: figure(c.every),
      minutes: figure(c.minutes),
    })),
  };
}

/** A list with one of its lines changed. */
export const changeAt = <T>(list: readonly T[], i: number, part: Partial<T>): T[] =>
  list.map((line, k) => (k === i ? { ...line, ...part } : line));
