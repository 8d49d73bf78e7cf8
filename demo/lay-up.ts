import { sql } from 'kysely';
import type { Db } from '@/db/client';
import { forgetEventsOfEmptyDatabase } from '@/db/begin-memory';
import { migrate } from '@/db/migrate';
import { siteRepo, type Site } from '@/db/repositories/site';
import { writeEntries } from '@/db/write';
import type { NewEntry } from '@/core/log/entry';
import { localDays, zoneOf } from '@/core/quantity/calendar';
import { isoOf, MS } from '@/core/quantity/instant';
import { idAt, newId } from '@/platform/ids';
import { HEAPS, type DemoEvent, type DemoHeap } from './heaps';
import { lotEntries } from './lots';
import { present } from '@/core/quantity/present';
import { storeEntries } from './store';
import { airC, atHour, coreCurve, randomOf, type HeapModel } from './heat';

const TIME_ZONE = 'Europe/London';
const INPUTS = ['garden', 'seeding-weeds', 'manure'];
const RULES = ['us-503-pfrp-turned', 'us-produce-turned', 'practice-weed-seed-week'];

const POINTS = [
  {
    id: 'P1',
    side: 'crown',
    label: 'P1 core, top',
    zone: 'core' as const,
    depthM: 0.9,
    below: 0,
  },
  {
    id: 'P2',
    side: 'west',
    label: 'P2 middle, west',
    zone: 'middle' as const,
    depthM: 0.6,
    below: 0.2,
  },
  {
    id: 'P3',
    side: 'east',
    label: 'P3 middle, east',
    zone: 'middle' as const,
    depthM: 0.6,
    below: 0.42,
  },
  {
    id: 'P4',
    side: 'south',
    label: 'P4 edge, south',
    zone: 'edge' as const,
    depthM: 0.6,
    below: 1,
  },
  {
    id: 'P5',
    side: 'north',
    label: 'P5 edge, north',
    zone: 'edge' as const,
    depthM: 0.6,
    below: 0.75,
  },
];

/** Clock times of the day's rounds, hours after local midnight. */
const ROUND_CLOCK_H = [7.2, 17.1];

/** Hours of the day between which people are on the site. */
const [FIRST_H, LAST_H] = [7, 19];

/** The nearest moment that lies between two hours of a day and not after now. */
function between(at: number, fromH: number, toH: number, now: number): number {
  const day = localDays(zoneOf(TIME_ZONE), at, at)[0]!;
  const hour = (at - day.start) / MS.hour;
  if (hour >= fromH && hour < toH && at <= now) return at;
  const before = localDays(zoneOf(TIME_ZONE), day.start - MS.hour, day.start - MS.hour)[0]!;
  const ends = [
    before.start + (toH - 0.3) * MS.hour,
    day.start + (fromH + 0.2) * MS.hour,
    day.start + (toH - 0.3) * MS.hour,
  ].filter((t) => t <= now);
  return ends.reduce((best, t) => (Math.abs(t - at) < Math.abs(best - at) ? t : best));
}

/** Nobody works at night. */
const working = (at: number, now: number): number => between(at, FIRST_H, LAST_H, now);

/** The heap with its works moved to the day, in hours since building. */
function inDaylight(heap: DemoHeap, builtAt: number, now: number): DemoHeap {
  // A turning leaves time for the round before it.
  const move = (hour: number): number =>
    (between(builtAt + hour * MS.hour, FIRST_H + 1, LAST_H - 1, now) - builtAt) / MS.hour;
  const events = heap.events.map((e) => ({ ...e, hour: move(Math.min(e.hour, heap.ageH - 0.2)) }));
  return { ...heap, events, model: heap.model && movedModel(heap.model, move) };
}

function movedModel(model: HeapModel, move: (hour: number) => number): HeapModel {
  const { dryFrom, turns } = model;
  // A heap that dries from a turning on does so from where the turning was moved to.
  return {
    ...model,
    turns: turns.map(move),
    ...(dryFrom !== undefined && turns.includes(dryFrom) ? { dryFrom: move(dryFrom) } : {}),
  };
}

/** A rule that the made-up site wrote for its own seedling beds. */
const SEEDLING_BED = {
  id: 'site-seedling-bed',
  title: 'Five hot days for the seedling beds',
  jurisdiction: 'this site',
  document: 'agreed with the growers of the seedling beds',
  fromMemory: false,
  methods: ['turned', 'static', 'vessel'],
  clock: 'seeds',
  requirement: { kind: 'hold', floorC: 60, hours: 120, consecutive: false, turnings: 2 },
  conditions: [],
};

/** Who works at the made-up site, and what comes round. */
const WORK = {
  from: '07:30',
  to: '17:30',
  days: [1, 2, 3, 4, 5, 6, 7],
  crew: [
    { name: 'Mo', hoursPerDay: 3, drives: true },
    { name: 'Jo', hoursPerDay: 2.5, drives: false },
    { name: 'Sam', hoursPerDay: 1.5, drives: false },
  ],
  machine: { name: 'Loader', hoursPerDay: 2, days: [2, 4, 6] },
  flowLPerMin: 18,
  bucketL: 10,
  limits: null,
  chores: [
    { id: 'leachate', what: 'leachate', everyDays: 1, minutes: 10 },
    {
      id: 'covers',
      what: 'covers',
      words: 'Covers and ropes after wind',
      everyDays: 3,
      minutes: 15,
    },
    { id: 'vents', what: 'vents', everyDays: 7, minutes: 10 },
  ],
};

type Laid = { readonly entry: NewEntry; readonly recordedAt: number };

/** Round times of a heap between building and now, as instants. */
function roundTimes(heap: DemoHeap, builtAt: number, now: number): number[] {
  const last = Math.min(
    now - (heap.unreadFor ?? 0.4) * MS.hour,
    builtAt + (heap.readTo ?? Infinity) * MS.hour,
  );
  const daily = localDays(zoneOf(TIME_ZONE), builtAt, now).flatMap((day) =>
    ROUND_CLOCK_H.map((h) => working(day.start + h * MS.hour, now)),
  );
  const turned = heap.events
    .filter((e) => e.kind === 'turn')
    .map((e) => builtAt + e.hour * MS.hour);
  // Somebody reads a heap before it is turned, and again the same afternoon.
  const around = turned.flatMap((at) => [at - 0.7 * MS.hour, working(at + 6 * MS.hour, now)]);
  const cured = heap.events.find((e) => e.kind === 'cure');
  // While it cures it is read once a week.
  const quiet = (at: number): boolean =>
    cured !== undefined &&
    at > builtAt + cured.hour * MS.hour &&
    Math.floor((at - builtAt) / MS.day) % 7 !== 0;
  const regular = [...daily, ...around].filter(
    (at) => at > builtAt + 4 * MS.hour && at < last && !quiet(at),
  );
  const extra = (heap.extraRoundsAgo ?? []).map((h) => working(now - h * MS.hour, now));
  const special = [heap.thinAt, heap.slipAt].flatMap((h) =>
    h === undefined ? [] : [working(builtAt + h * MS.hour, now)],
  );
  const times = [...regular, ...extra, ...special].sort((a, b) => a - b);
  const wanted = new Set([...extra, ...special]);
  // Moved to the day, some fall together: nobody reads a heap twice in an hour.
  return times.filter((at, i) =>
    wanted.has(at)
      ? times.indexOf(at) === i
      : !times.some(
          (other, j) =>
            j !== i &&
            (wanted.has(other)
              ? Math.abs(other - at) < 2 * MS.hour
              : j < i && at - other < MS.hour),
        ),
  );
}

/**
 * A heap whose last round lies in the last sixth of the gap that its policy allows, and in the hours of the day. In the
 * morning a gap of 36 hours ends at night: that heap then is kept under one of 48.
 */
function almostLost(
  heap: DemoHeap,
  now: number,
): { heap: DemoHeap; policy: { maxGapHours?: number } } {
  if (!heap.almostLost) return { heap, policy: {} };
  const within = (gap: number): number[] =>
    Array.from({ length: 20 }, (_, i) => gap * (0.86 + (0.11 * i) / 19)).filter(
      (h) => working(now - h * MS.hour, now) === now - h * MS.hour,
    );
  const usual = within(36);
  const ago = (usual.length > 0 ? usual : within(48))[0]!;
  return {
    heap: { ...heap, unreadFor: ago - 0.3, extraRoundsAgo: [ago] },
    policy: usual.length > 0 ? {} : { maxGapHours: 48 },
  };
}

/** Late enough in the day that it was opened and filled on the same day. */
const builtOf = (heap: DemoHeap, now: number): number =>
  Math.round(between(now - heap.ageH * MS.hour, FIRST_H + 5.2, LAST_H, now) / MS.minute) *
  MS.minute;

function entriesOf(
  asWritten: DemoHeap,
  batch: string,
  index: number,
  now: number,
  airNow: (at: number) => number,
): Laid[] {
  const { heap: planned, policy } = almostLost(asWritten, now);
  const random = randomOf(1000 + index);
  const builtAt = builtOf(planned, now);
  const ageH = (now - builtAt) / MS.hour;
  const heap = inDaylight({ ...planned, ageH }, builtAt, now);
  const laid: Laid[] = [];
  const add = (
    at: number,
    by: string,
    kind: NewEntry['kind'],
    data: unknown,
    id = newId(),
  ): string => {
    laid.push({
      entry: { id, batch, at, by, kind, data } as NewEntry,
      recordedAt: Math.min(now, at + 4 * MS.minute),
    });
    return id;
  };
  add(
    builtAt - 5 * MS.hour,
    'Mo',
    'opened',
    {
      code: heap.code,
      name: heap.name,
      method: 'turned',
      bay: heap.bay,
      volumeM3: heap.volumeM3,
      shape: heap.row ? 'windrow' : 'dome',
      coreDepthM: 0.9,
      points: POINTS.map(({ below: _below, ...p }) => p),
      policy,
      rules: RULES,
      ownRules: [],
      inputs: INPUTS,
      siteVersion: 1,
    },
    batch,
  );
  if (heap.row) add(builtAt - 5 * MS.hour, 'Mo', 'position', { position: heap.row });
  for (const event of heap.events) addEvent(add, builtAt + event.hour * MS.hour, event);
  if (!heap.model) return laid;
  add(builtAt, 'Mo', 'built', {});
  const curve = coreCurve(heap.model, heap.ageH, (h) => airNow(builtAt + h * MS.hour));
  for (const time of roundTimes(heap, builtAt, now)) {
    const hour = (time - builtAt) / MS.hour;
    const core = atHour(curve, hour);
    const heat = Math.max(0, Math.min(1, (core - 20) / 35));
    const id = newId();
    const thin = heap.thinAt !== undefined && Math.abs(hour - heap.thinAt) < 0.01;
    const slip = heap.slipAt !== undefined && Math.abs(hour - heap.slipAt) < 0.01;
    const readings = POINTS.slice(0, thin ? 2 : 5).map((p, i) => {
      const value =
        Math.round(
          (core - p.below * (heap.model!.spreadK ?? 5) * heat + (random() - 0.5) * 1.2) * 10,
        ) / 10;
      const at = isoOf(Math.round(time / 1000) * 1000 - (4 - i) * 70_000);
      return {
        id: `${id}.${p.id}`,
        at,
        point: p.id,
        probe: 'T2',
        value: slip && i === 3 ? Math.round((value - 25) * 10) / 10 : value,
        unit: 'C',
        round: id,
        truth: value,
      };
    });
    add(
      Math.round(time / 1000) * 1000,
      index % 3 ? 'Mo' : 'Jo',
      'round',
      { source: 'hand', readings: readings.map(({ truth: _truth, ...r }) => r) },
      id,
    );
    if (slip) {
      add(working(time + 9 * MS.hour, now), 'Mo', 'correction', {
        target: id,
        reading: readings[3]!.id,
        value: readings[3]!.truth,
        unit: 'C',
        reason: 'Slip of the finger: the paper says otherwise.',
      });
    }
  }
  return laid;
}

function addEvent(
  add: (at: number, by: string, kind: NewEntry['kind'], data: unknown) => void,
  at: number,
  event: DemoEvent,
): void {
  const {
    kind,
    by,
    hour: _hour,
    ...data
  }: { kind: DemoEvent['kind']; by?: string; hour: number; full?: boolean } = event;
  add(
    Math.round(at / 1000) * 1000,
    by ?? 'Mo',
    kind,
    kind === 'turn' ? { ...data, rim: data.full ? 'most' : 'partly' } : data,
  );
}

/** Thermometer checks, air temperatures, rules and policy of the site. */
function siteEntries(now: number, airNow: (at: number) => number): Laid[] {
  const laid: Laid[] = [];
  const add = (at: number, kind: NewEntry['kind'], data: object): void => {
    const day = working(at, now);
    laid.push({
      entry: { id: newId(), batch: null, at: day, by: 'Mo', kind, data } as NewEntry,
      recordedAt: Math.min(now, day + MS.minute),
    });
  };
  const dial = { kind: 'dial', unit: 'C', minC: -10, maxC: 110, accuracyK: 1, checkDays: 90 };
  add(now - 120 * MS.day, 'instrument', {
    instrument: { ...dial, name: 'T1', stemM: 0.75, settleS: 45 },
  });
  add(now - 120 * MS.day, 'instrument', {
    instrument: { ...dial, name: 'T2', kind: 'digital', stemM: 0.9, settleS: 30, accuracyK: 0.5 },
  });
  add(now - 120 * MS.day, 'instrument', {
    instrument: { ...dial, name: 'T3', unit: 'F', stemM: 0.5, settleS: 40 },
  });
  add(now - 12 * MS.day, 'instrument', {
    instrument: { ...dial, name: 'T3', unit: 'F', stemM: 0.5, settleS: 40, out: 'glass broken' },
  });
  // Ice water each time, boiling water beside it: the hub lies at 120 m, where water boils at 99.6 °C.
  for (const [daysAgo, ice, boil] of [
    [118, 0.1, 99.7],
    [72, 0.1, 99.8],
    [30, 0.2, 99.9],
  ] as const) {
    add(now - daysAgo * MS.day, 'probe-check', {
      probe: 'T2',
      referenceC: 0,
      readC: ice,
      how: 'ice',
    });
    add(now - daysAgo * MS.day + 20 * MS.minute, 'probe-check', {
      probe: 'T2',
      referenceC: 99.6,
      readC: boil,
      how: 'boil',
      altitudeM: 120,
    });
  }
  for (const [daysAgo, ice] of [
    [118, 0.2],
    [100, -0.4],
  ] as const)
    add(now - daysAgo * MS.day, 'probe-check', {
      probe: 'T1',
      referenceC: 0,
      readC: ice,
      how: 'ice',
    });
  add(now - 110 * MS.day, 'work', { work: WORK });
  // Numbers that are kept for films and books, and reach nobody.
  add(now - 110 * MS.day, 'fire-card', {
    card: {
      contacts: [
        { who: 'Fire service', phone: '01632 960112' },
        { who: 'Mo, answers for the site', phone: '01632 960417' },
        { who: 'Neighbour with the water cart', phone: '01632 960883' },
      ],
      address: 'Hopyard Corner, the lane behind the oast house, second gate',
      water: 'Hydrant at the gate; hose and butt by bay 6',
      words: 'Shut the gate behind the engine: sheep.',
    },
  });
  add(now - 119 * MS.day, 'round-settings', { stretchM: 5, borderM: 0.5, altitudeM: 120 });
  for (const day of localDays(zoneOf(TIME_ZONE), now - 96 * MS.day, now)) {
    for (const h of [7.1, 10, 13, 15.9, 18.8]) {
      const at = working(day.start + h * MS.hour, now);
      if (day.start + h * MS.hour < now)
        add(at, 'ambient', { value: Math.round(airNow(at) * 10) / 10, unit: 'C' });
    }
  }
  add(now - 95 * MS.day, 'site-terms', { policy: {}, rules: RULES });
  add(now - 60 * MS.day, 'rule', { rule: SEEDLING_BED });
  // The site has grown stricter of late; the heaps under way keep what they were opened with.
  add(now - 2.4 * MS.day, 'site-terms', {
    policy: { guardBandC: 1, maxGapHours: 30 },
    rules: [...RULES, SEEDLING_BED.id],
    words: 'The dials differ by a degree.',
  });
  return laid;
}

/** The batch that is still being built. */
const BUILDING = 'K';

/** Empties the database and lays up Hopyard Corner as of now, through the same door that people's entries take. */
/** @param until what was recorded later is left out: the site as it was then */
export async function layUpDemo(db: Db, now: number, until = now): Promise<Site> {
  await sql`drop schema public cascade`.execute(db);
  await sql`create schema public`.execute(db);
  await migrate(db);
  await forgetEventsOfEmptyDatabase(db);
  const site: Site = {
    id: newId(),
    name: 'Hopyard Corner',
    timeZone: TIME_ZONE,
    unit: 'C',
    demoUntil: now,
  };
  await siteRepo(db).create(site);
  const zero = Math.floor(now / MS.day) * MS.day;
  const airNow = (at: number): number => airC((at - zero) / MS.hour);
  const ids = HEAPS.map((h) => idAt(builtOf(h, now) - 5 * MS.hour));
  const stored = HEAPS.map((h, i) => ({
    code: h.code,
    id: ids[i]!,
    builtAt: builtOf(h, now),
    volumeM3: h.volumeM3,
    building: h.model === null,
  }));
  const heapOf = (code: string) =>
    present(
      stored.find((h) => h.code === code),
      code,
    );
  const laid = [
    ...siteEntries(now, airNow),
    ...storeEntries(now, stored, (at) => working(at, now)),
    ...lotEntries(now, { N: heapOf('N'), O: heapOf('O') }, heapOf(BUILDING).id, (at) =>
      working(at, now),
    ),
    ...HEAPS.flatMap((heap, i) => entriesOf(heap, ids[i]!, i, now, airNow)),
  ]
    .filter((l) => l.recordedAt <= until)
    .sort((a, b) => a.recordedAt - b.recordedAt || a.entry.at - b.entry.at);
  const recordedAt = new Map(laid.map((l) => [l.entry.id, l.recordedAt]));
  await writeEntries(
    db,
    site,
    laid.map((l) => l.entry),
    until,
    (e) => recordedAt.get(e.id)!,
  );
  return site;
}
