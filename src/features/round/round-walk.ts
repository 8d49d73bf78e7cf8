import { say } from '@/messages/say';
import { nameForHeap } from '@/core/words/waiting';
import type { DoubtAnswer, DoubtCode } from '@/core/advice/doubt';
import type { DataOf, EntryKind } from '@/core/log/entry';
import type { ReadingMark } from '@/core/log/shapes';
import { toCelsius, type TempUnit } from '@/core/units/units';
import { faultyReasonText } from '@/core/words/doubt';
import type { Smell, Squeeze } from '@/core/words/feel';
import type { SkipReason } from '@/core/words/skip';
import type { RoundHeap, OfflineRoundData } from './offline-round-data';

/**
 * A walk over the site as it goes on, on one device. It is a plain value that is kept on the device after each step, so that
 * a phone that dies loses nothing; each step gives a new one.
 */
export type KeptReading = {
  readonly id: string;
  readonly value: number;
  readonly unit: TempUnit;
  /** Hub's time, ms. */ readonly at: number;
  readonly settledS: number;
  readonly marks: readonly ReadingMark[];
  readonly high?: number;
  readonly probe: string | null;
  readonly typed?: { readonly value: number; readonly unit: TempUnit };
  readonly doubts: readonly { readonly code: DoubtCode; readonly answer: DoubtAnswer }[];
  /** Kept, and not counted: the instrument was faulty, or it was read again. */
  readonly out: { readonly flag: 'rejected' | 'superseded'; readonly reason: string } | null;
};
/** What is noted beside temperatures. */
export type Feel = {
  readonly squeeze?: Squeeze;
  readonly sample?: string;
  readonly smell?: Smell;
  readonly growth?: 'none' | 'white' | 'grey';
  readonly steam?: 'none' | 'some' | 'much';
  readonly pests?: DataOf<'observation'>['pests'];
  readonly seepage?: 'none' | 'some' | 'much';
  readonly cover?: 'on' | 'off';
  readonly colour?: 'as-built' | 'browning' | 'dark' | 'ashy';
  readonly sunkCm?: number;
  readonly words?: string;
};
export type HeapDraft = {
  /** Ids of the entries that it becomes: made once, so that sending it twice keeps it once. */
  readonly ids: { readonly round: string; readonly feel: string; readonly left: string };
  /** By place, in the order in which they were read; the last that counts holds. */
  readonly kept: Readonly<Record<string, readonly KeptReading[]>>;
  readonly left: Readonly<Record<string, SkipReason>>;
  readonly feel: Feel;
  readonly done: 'read' | 'left' | null;
  /** Name of the evidence round; not the walk's where the heap was read a second time on it. */
  readonly name: string;
};
export type RoundWalk = {
  readonly id: string;
  readonly startedAt: number;
  readonly by: string;
  readonly probe: string | null;
  readonly order: readonly string[];
  readonly air: {
    readonly id: string;
    readonly value: number;
    readonly unit: TempUnit;
    readonly at: number;
  } | null;
  readonly airAsked: boolean;
  readonly heaps: Readonly<Record<string, HeapDraft>>;
  /** One heap alone, from its own page. */
  readonly single: boolean;
};
/** A fresh id. */
export type NewId = () => string;
/** An entry that a step gives to the outbox. */
export type Out = {
  readonly form: {
    readonly id: string;
    readonly batch: string | null;
    readonly kind: EntryKind;
    readonly at: string | null;
    readonly by: string;
    readonly data: Readonly<Record<string, unknown>>;
  };
  readonly what: string;
  readonly short?: string;
};

const iso = (ms: number): string => new Date(ms).toISOString();

/** A walk that somebody else has under way, or that any device would begin, is joined while the sheet is fresh and this device has not ended it. */
const SHEET_HOLDS_MS = 12 * 3_600_000;

export function startWalk(
  data: OfflineRoundData,
  now: number,
  choice: {
    order: readonly string[];
    probe: string | null;
    by: string;
    single: boolean;
    ended: readonly string[];
  },
  newId: NewId,
): RoundWalk {
  const joins =
    now - data.now < SHEET_HOLDS_MS && !choice.ended.includes(data.walk.id) && !choice.single;
  return {
    id: joins ? data.walk.id : newId(),
    startedAt: now,
    by: choice.by,
    probe: choice.probe,
    order: choice.order,
    air: null,
    airAsked: choice.single,
    heaps: {},
    single: choice.single,
  };
}

const freshDraft = (walk: RoundWalk, newId: NewId, again: boolean): HeapDraft => {
  const round = newId();
  return {
    ids: { round, feel: newId(), left: newId() },
    kept: {},
    left: {},
    feel: {},
    done: null,
    name: again ? round : walk.id,
  };
};
/** Opens a heap: its draft as it stands, or a fresh one. A heap that is done is read anew, as a round of its own. */
export function openHeap(walk: RoundWalk, heap: string, newId: NewId): RoundWalk {
  const draft = walk.heaps[heap];
  if (draft?.done === null) return walk;
  return {
    ...walk,
    heaps: { ...walk.heaps, [heap]: freshDraft(walk, newId, draft !== undefined) },
  };
}
const withDraft = (
  walk: RoundWalk,
  heap: string,
  change: (d: HeapDraft) => HeapDraft,
): RoundWalk => ({
  ...walk,
  heaps: { ...walk.heaps, [heap]: change(walk.heaps[heap]!) },
});

/** The reading that holds at a place; null: none yet. */
export const standing = (draft: HeapDraft | undefined, place: string): KeptReading | null =>
  draft?.kept[place]?.findLast((k) => k.out === null) ?? null;

/** Keeps a reading at a place. One that is there already stays, superseded, with the reason. */
export function keepReading(
  walk: RoundWalk,
  heap: string,
  place: string,
  reading: Omit<KeptReading, 'id' | 'out' | 'probe'> & { readonly faulty?: boolean },
  again: string | null,
): RoundWalk {
  return withDraft(walk, heap, (d) => {
    const before = d.kept[place] ?? [];
    const { faulty, ...rest } = reading;
    const next: KeptReading = {
      ...rest,
      id: `${d.ids.round}.${place}${before.length > 0 ? `.${before.length + 1}` : ''}`,
      probe: walk.probe,
      out: faulty ? { flag: 'rejected', reason: faultyReasonText() } : null,
    };
    const { [place]: _left, ...left } = d.left;
    return {
      ...d,
      left,
      kept: {
        ...d.kept,
        [place]: [
          ...before.map((k) =>
            k.out === null
              ? {
                  ...k,
                  out: { flag: 'superseded' as const, reason: again ?? say('round.readAgain') },
                }
              : k,
          ),
          next,
        ],
      },
    };
  });
}
/** Marks with one more, or one less. */
export const toggleMark = (marks: readonly ReadingMark[], mark: ReadingMark): ReadingMark[] =>
  marks.includes(mark) ? marks.filter((m) => m !== mark) : [...marks, mark];

/** Says of the reading that holds at a place how sure it is, or takes that back. */
export const markReading = (
  walk: RoundWalk,
  heap: string,
  place: string,
  mark: ReadingMark,
): RoundWalk =>
  withDraft(walk, heap, (d) => {
    const holds = standing(d, place);
    return {
      ...d,
      kept: {
        ...d.kept,
        [place]: (d.kept[place] ?? []).map((k) =>
          k === holds ? { ...k, marks: toggleMark(k.marks, mark) } : k,
        ),
      },
    };
  });

/** Takes the last reading of a place back; it stays in the record as taken back. */
export const takeBack = (walk: RoundWalk, heap: string, place: string): RoundWalk =>
  withDraft(walk, heap, (d) => ({
    ...d,
    kept: {
      ...d.kept,
      [place]: (d.kept[place] ?? []).map((k, i, all) =>
        i === all.length - 1 && k.out === null
          ? { ...k, out: { flag: 'superseded' as const, reason: say('round.undoneAtOnce') } }
          : k,
      ),
    },
  }));
export const leavePlace = (
  walk: RoundWalk,
  heap: string,
  place: string,
  reason: SkipReason,
): RoundWalk => withDraft(walk, heap, (d) => ({ ...d, left: { ...d.left, [place]: reason } }));
export const setFeel = (walk: RoundWalk, heap: string, feel: Feel): RoundWalk =>
  withDraft(walk, heap, (d) => ({ ...d, feel }));

/** The next place to read: the first behind `from` that is neither read nor left out, else the first before it. Null: all are. */
export function nextPlace(heap: RoundHeap, draft: HeapDraft | undefined, from = -1): number | null {
  const open = heap.places.flatMap((p, i) =>
    standing(draft, p.id) === null && draft?.left[p.id] === undefined ? [i] : [],
  );
  return open.find((i) => i > from) ?? open[0] ?? null;
}
/** The next heap of the walk that this device has not done, nor another device on the same walk. */
export const nextHeap = (walk: RoundWalk, data: OfflineRoundData): string | null =>
  walk.order.find((id) => !isDone(walk, data, id)) ?? null;
export const doneElsewhere = (
  walk: RoundWalk,
  data: OfflineRoundData,
  id: string,
): RoundHeap['walk'] => {
  const w = data.heaps.find((h) => h.id === id)?.walk ?? null;
  return w?.id === walk.id &&
    walk.heaps[id]?.done == null &&
    Object.keys(walk.heaps[id]?.kept ?? {}).length === 0
    ? w
    : null;
};
export const isDone = (walk: RoundWalk, data: OfflineRoundData, id: string): boolean =>
  walk.heaps[id]?.done != null || doneElsewhere(walk, data, id) !== null;

/** Readings that hold, with their places, in °C: for what is said of the round so far. */
export const readSoFar = (
  heap: RoundHeap,
  draft: HeapDraft | undefined,
): { place: string; label: string; kept: KeptReading; c: number }[] =>
  heap.places.flatMap((p) => {
    const kept = standing(draft, p.id);
    return kept
      ? [{ place: p.id, label: p.label ?? p.id, kept, c: toCelsius(kept.value, kept.unit) }]
      : [];
  });

/** What the hub is to be told of a heap when it is done. Nothing was read: nothing of a round. */
export function entriesOf(walk: RoundWalk, heap: RoundHeap, at: number | string): Out[] {
  const draft = walk.heaps[heap.id]!;
  const { ids, feel } = draft;
  const mark = walk.single ? {} : { walk: walk.id };
  const chosen = typeof at === 'string' ? at : null; // a time that a person chose holds for the whole round
  const frame = { batch: heap.id, by: walk.by };
  const kept = heap.places.flatMap((p) =>
    (draft.kept[p.id] ?? []).map((k) => ({ point: p.id, k })),
  );
  const left = Object.entries(draft.left).map(([point, reason]) => ({ point, reason }));
  const out: Out[] = [];
  if (kept.length > 0) {
    const readings = kept.map(({ point, k }) => ({
      id: k.id,
      point,
      value: k.value,
      unit: k.unit,
      round: draft.name,
      ...(chosen === null ? { at: iso(k.at) } : {}),
      ...(k.probe === null ? {} : { probe: k.probe }),
      ...(k.marks.length > 0 ? { marks: k.marks } : {}),
      ...(k.high === undefined ? {} : { high: k.high }),
      ...(k.typed ? { typed: k.typed } : {}),
      ...(k.doubts.length > 0 ? { doubts: k.doubts } : {}),
      settledS: k.settledS,
      ...(k.out ? { flag: k.out.flag, flagReason: k.out.reason } : {}),
    }));
    const places = new Set(kept.filter(({ k }) => k.out === null).map(({ point }) => point)).size;
    out.push({
      form: {
        ...frame,
        id: ids.round,
        kind: 'round',
        at: chosen ?? iso(Math.max(...kept.map(({ k }) => k.at))),
        data: { source: 'hand', readings, ...mark, ...(left.length > 0 ? { left } : {}) },
      },
      ...nameForHeap(heap.name, say('round.checkOf', { places })),
    });
  }
  if (Object.keys(feel).length > 0)
    out.push({
      form: {
        ...frame,
        id: ids.feel,
        kind: 'observation',
        at: chosen ?? iso(at as number),
        data: { ...feel, ...mark },
      },
      ...nameForHeap(heap.name, say('log.moistureAndSmell')),
    });
  return out;
}
export const finishHeap = (walk: RoundWalk, heap: string): RoundWalk =>
  withDraft(walk, heap, (d) => ({ ...d, done: 'read' }));

/** What an ended walk still has to tell: heaps that were begun and not finished. Nothing that was typed is lost. */
export const unfinished = (walk: RoundWalk, data: OfflineRoundData, at: number): Out[] =>
  walk.order.flatMap((id) => {
    const heap = data.heaps.find((h) => h.id === id);
    return heap && walk.heaps[id]?.done === null ? entriesOf(walk, heap, at) : [];
  });

/** Leaves a heap out of the walk, with the reason. */
export function leaveHeap(
  walk: RoundWalk,
  heap: RoundHeap,
  reason: SkipReason,
  at: number,
  newId: NewId,
): { walk: RoundWalk; out: Out } {
  const opened = openHeap(walk, heap.id, newId);
  const id = opened.heaps[heap.id]!.ids.left;
  return {
    walk: withDraft(opened, heap.id, (d) => ({ ...d, done: 'left' })),
    out: {
      form: {
        id,
        batch: heap.id,
        by: walk.by,
        kind: 'skip',
        at: iso(at),
        data: { reason, walk: walk.id },
      },
      ...nameForHeap(heap.name, say('round.skipped')),
    },
  };
}
/** The air, once for each walk. */
export function keepAir(
  walk: RoundWalk,
  value: number,
  unit: TempUnit,
  at: number,
  newId: NewId,
): { walk: RoundWalk; out: Out } {
  const air = { id: newId(), value, unit, at };
  return {
    walk: { ...walk, air, airAsked: true },
    out: {
      form: {
        id: air.id,
        batch: null,
        by: walk.by,
        kind: 'ambient',
        at: iso(at),
        data: { value, unit, walk: walk.id },
      },
      what: say('round.airInTheShade'),
    },
  };
}
