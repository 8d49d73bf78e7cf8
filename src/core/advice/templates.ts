import type { MethodTemplate } from '../log/shapes';
import type { Method } from '../evidence/types';
import { firstOf, itemAt, lastOf } from '../quantity/present';

/**
 * The ways to keep a heap that ship with the product, as data: a site copies and edits them. Schedules, lower limit and hot
 * range are common practice of the trade (first turning on day 4 then every 2 days; turned again at 38 °C; first heat within
 * three days, 55–60 °C within a week; warn, act and danger at 65, 70 and 77 °C). The bands of heat expected by age are drawn
 * through those facts and are common practice, not measurements.
 */

/** Limits of the trade, °C (common practice; danger never above 80). */
export const USUAL_LIMITS = { warnC: 65, actC: 70, dangerC: 77 };
/** NRAES-54 (1992): moisture 50–60 % preferred, 40–65 % reasonable; written from memory. */
const MOIST = { lowPct: 50, targetPct: 57, highPct: 62 };
type Band = readonly [day: number, lowC: number, highC: number];
const band = (list: readonly Band[]): MethodTemplate['expect'] =>
  list.map(([day, lowC, highC]) => ({ day, lowC, highC }));

/** A hot heap that is turned: warm within three days, hot within a week, slowly down. */
const TURNED: readonly Band[] = [
  [0, 2, 40],
  [1, 12, 60],
  [3, 32, 70],
  [5, 48, 70],
  [7, 52, 70],
  [14, 48, 70],
  [21, 42, 68],
  [40, 28, 60],
  [70, 12, 45],
];

export const TEMPLATES: readonly MethodTemplate[] = [
  {
    id: 'fast',
    name: 'Fast turned pile',
    kept: 'turned',
    trigger: 'calendar',
    overrides: ['hot'],
    firstDay: 4,
    everyDays: 2,
    lowC: 50,
    limits: USUAL_LIMITS,
    moisture: MOIST,
    activeDays: 18,
    expect: band([
      [0, 2, 40],
      [1, 15, 62],
      [3, 40, 70],
      [4, 50, 70],
      [8, 50, 70],
      [12, 45, 68],
      [16, 38, 65],
      [18, 32, 60],
      [30, 12, 45],
    ]),
    minutesPerM3: 20,
    machine: false,
    words: 'First turned on day 4, then every second day; about 18 days. Pays for speed with work.',
  },
  {
    id: 'by-heat',
    name: 'Turned when it falls',
    kept: 'turned',
    trigger: 'decline',
    overrides: ['hot', 'low'],
    firstDay: 4,
    everyDays: 3,
    lowC: 50,
    limits: USUAL_LIMITS,
    moisture: MOIST,
    activeDays: 35,
    expect: band(TURNED),
    minutesPerM3: 20,
    machine: false,
    words: 'Turned when the heat begins to fall, read by thermometer.',
  },
  {
    id: 'row',
    name: 'Row turned by machine',
    kept: 'turned',
    trigger: 'calendar',
    overrides: ['hot', 'low'],
    firstDay: 3,
    everyDays: 3,
    lowC: 50,
    limits: USUAL_LIMITS,
    moisture: MOIST,
    activeDays: 40,
    expect: band(TURNED),
    minutesPerM3: 3,
    machine: true,
    words: 'A loader or a turner goes along the row every third day.',
  },
  {
    id: 'weekly',
    name: 'Turned every week',
    kept: 'turned',
    trigger: 'calendar',
    overrides: ['hot'],
    firstDay: 7,
    everyDays: 7,
    lowC: 38,
    limits: USUAL_LIMITS,
    moisture: MOIST,
    activeDays: 70,
    expect: band([
      [0, 2, 40],
      [3, 28, 70],
      [7, 45, 70],
      [21, 35, 68],
      [45, 25, 60],
      [90, 10, 45],
    ]),
    minutesPerM3: 20,
    machine: false,
  },
  {
    id: 'fortnightly',
    name: 'Turned every fortnight',
    kept: 'turned',
    trigger: 'calendar',
    overrides: ['hot'],
    firstDay: 14,
    everyDays: 14,
    lowC: 38,
    limits: USUAL_LIMITS,
    moisture: MOIST,
    activeDays: 110,
    expect: band([
      [0, 2, 40],
      [3, 25, 70],
      [7, 38, 70],
      [12, 40, 70],
      [30, 28, 65],
      [80, 15, 50],
      [140, 8, 40],
    ]),
    minutesPerM3: 20,
    machine: false,
  },
  {
    id: 'cap',
    name: 'Static pile under a cap',
    kept: 'static',
    trigger: 'never',
    overrides: ['hot'],
    firstDay: 30,
    everyDays: 30,
    lowC: 38,
    limits: USUAL_LIMITS,
    moisture: { lowPct: 50, targetPct: 58, highPct: 65 },
    activeDays: 45,
    expect: band([
      [0, 2, 40],
      [3, 24, 65],
      [7, 28, 70],
      [30, 25, 65],
      [45, 20, 55],
      [90, 8, 40],
    ]),
    minutesPerM3: 20,
    machine: false,
    words:
      'Left alone for thirty days under a cap of old compost or chip, and worked for about 45.',
  },
  {
    id: 'aerated',
    name: 'Aerated static pile',
    kept: 'static',
    aerated: true,
    trigger: 'never',
    overrides: ['hot'],
    firstDay: 21,
    everyDays: 21,
    lowC: 38,
    limits: USUAL_LIMITS,
    moisture: { lowPct: 50, targetPct: 58, highPct: 65 },
    activeDays: 30,
    expect: band([
      [0, 2, 45],
      [1, 15, 62],
      [3, 42, 70],
      [5, 50, 72],
      [14, 45, 70],
      [21, 38, 68],
      [30, 28, 60],
      [60, 10, 45],
    ]),
    minutesPerM3: 20,
    machine: false,
    words:
      'Air is blown or drawn through it from below, under an insulating cover; not turned for about three weeks.',
  },
  {
    id: 'tub',
    name: 'Closed tub with auger and air',
    kept: 'vessel',
    aerated: true,
    trigger: 'calendar',
    overrides: ['hot'],
    firstDay: 3,
    everyDays: 3,
    lowC: 40,
    limits: USUAL_LIMITS,
    moisture: { lowPct: 45, targetPct: 55, highPct: 62 },
    activeDays: 70,
    expect: band([
      [0, 2, 45],
      [2, 25, 65],
      [5, 42, 70],
      [30, 38, 70],
      [60, 22, 60],
      [90, 10, 45],
    ]),
    minutesPerM3: 8,
    machine: false,
    words: 'Mixed by the auger every third day, air blown in; two months or a little more.',
  },
  {
    id: 'bays',
    name: 'Bin moved bay to bay',
    kept: 'turned',
    trigger: 'bay',
    overrides: ['hot', 'low'],
    firstDay: 7,
    everyDays: 14,
    lowC: 38,
    limits: USUAL_LIMITS,
    moisture: MOIST,
    activeDays: 90,
    expect: band([
      [0, 2, 40],
      [3, 25, 70],
      [7, 40, 70],
      [30, 25, 65],
      [90, 8, 45],
    ]),
    minutesPerM3: 20,
    machine: false,
    words: 'Forked into the next bay when that bay is free or this one is needed.',
  },
  {
    id: 'cold',
    name: 'Slow cold pile',
    kept: 'static',
    noClaim: true,
    trigger: 'never',
    overrides: ['hot'],
    firstDay: 60,
    everyDays: 60,
    lowC: 15,
    limits: USUAL_LIMITS,
    moisture: { lowPct: 40, targetPct: 50, highPct: 65 },
    activeDays: 365,
    expect: band([
      [0, 0, 45],
      [30, 0, 45],
      [365, -2, 35],
    ]),
    minutesPerM3: 20,
    machine: false,
    words: 'No claim of any kill: it rots in its own time.',
  },
];

const USUAL: Readonly<Record<Method, string>> = { turned: 'by-heat', static: 'cap', vessel: 'tub' };

/** The method of a heap that never said more than how it is kept. */
export const usualTemplate = (kept: Method): MethodTemplate =>
  TEMPLATES.find((t) => t.id === USUAL[kept])!;

/** The figures of a method that its words describe. */
const scheduleOf = (t: MethodTemplate): string =>
  JSON.stringify([t.trigger, t.firstDay, t.everyDays, t.lowC, t.activeDays, t.machine, t.limits]);

/** A method, without its words where they describe a shipped method that has other figures. */
function withTrueWords(t: MethodTemplate): MethodTemplate {
  const shipped = TEMPLATES.find((own) => own.words !== undefined && own.words === t.words);
  if (shipped === undefined || scheduleOf(shipped) === scheduleOf(t)) return t;
  const { words: _words, ...rest } = t;
  return rest;
}

/** The site's templates: those that ship, changed ones in their place, its own behind them. */
export function templatesOf(own: ReadonlyMap<string, MethodTemplate>): MethodTemplate[] {
  const changed = new Map([...own].map(([id, t]) => [id, withTrueWords(t)]));
  return [
    ...TEMPLATES.map((t) => changed.get(t.id) ?? t),
    ...[...changed.values()].filter((t) => !TEMPLATES.some((s) => s.id === t.id)),
  ];
}

/** Heat of the core expected at an age, °C: straight lines between the days of the template, level beyond them. */
export function expectedAt(
  { expect }: MethodTemplate,
  ageDays: number,
): { lowC: number; highC: number } {
  const after = expect.findIndex((e) => e.day >= ageDays);
  const [a, b] =
    after === 0
      ? [firstOf(expect), firstOf(expect)]
      : after < 0
        ? [lastOf(expect), lastOf(expect)]
        : [itemAt(expect, after - 1), itemAt(expect, after)];
  const f = b.day > a.day ? (ageDays - a.day) / (b.day - a.day) : 0;
  return { lowC: a.lowC + f * (b.lowC - a.lowC), highC: a.highC + f * (b.highC - a.highC) };
}
