'use client';
import { useState } from 'react';
import {
  answered,
  doubtsOf,
  type Doubt,
  type DoubtAnswer,
  type DoubtCode,
} from '@/core/advice/doubt';
import type { ReadingMark } from '@/core/log/shapes';
import { toCelsius, type TempUnit } from '@/core/units/units';
import { numberIn, appendKey, type Key } from '../pad';
import type { RoundHeap, RoundInstrument, OfflineRoundData } from '../offline-round-data';
import { readSoFar, toggleMark, type HeapDraft, type KeptReading } from '../round-walk';
import { serverNow } from './useRoundWalk';
import { itemAt } from '@/core/quantity/present';

/** Time that no clock's being set can move, ms. */
export const stopwatch = (): number => performance.now();

type Answered = readonly { readonly code: DoubtCode; readonly answer: DoubtAnswer }[];
/** What is typed at a place until it is kept. */
type Draft = {
  readonly text: string;
  /** Lower end, once the upper end is being typed. */ readonly low: string | null;
  readonly marks: readonly ReadingMark[];
  readonly asking: Doubt | null;
  readonly answers: Answered;
  /** What was typed before an answer changed it. */ readonly first: {
    value: number;
    unit: TempUnit;
  } | null;
  readonly unit: TempUnit;
  readonly fire: boolean;
};
export type ReadingToKeep = Omit<KeptReading, 'id' | 'out' | 'probe'> & {
  readonly faulty?: boolean;
};

/** What is half typed stays on the device too: a phone that goes dark at the third digit loses none. */
const halfTyped = {
  of: (key: string): Pick<Draft, 'text' | 'low' | 'marks'> | null =>
    JSON.parse(localStorage.getItem(`zh_typed ${key}`) ?? 'null') as Pick<
      Draft,
      'text' | 'low' | 'marks'
    > | null,
  keep: (key: string, { text, low, marks }: Draft): void =>
    localStorage.setItem(`zh_typed ${key}`, JSON.stringify({ text, low, marks })),
  drop: (key: string): void => localStorage.removeItem(`zh_typed ${key}`),
};

const keyOf = (heap: RoundHeap, draft: HeapDraft | undefined, place: string): string =>
  `${draft?.ids.round ?? heap.id}/${place}`;
/** Texts that were left half typed at a heap's places. */
export const leftTyped = (heap: RoundHeap, draft: HeapDraft | undefined): Record<string, string> =>
  Object.fromEntries(
    heap.places.map((p) => [p.id, halfTyped.of(keyOf(heap, draft, p.id))?.text ?? '']),
  );

/** Air that was read so long ago says nothing of the air now. */
const AIR_HOLDS_MS = 6 * 3_600_000;
export const airNow = (
  data: OfflineRoundData,
  walkAir: { value: number; unit: TempUnit } | null,
): number | null =>
  walkAir
    ? toCelsius(walkAir.value, walkAir.unit)
    : data.air && serverNow() - data.air.at < AIR_HOLDS_MS
      ? data.air.c
      : null;

/** One place's reading from the first key to the moment it is kept: marks, ranges, and the questions that an odd value raises. */
export function useReading({
  unit,
  instrument,
  airC,
  heap,
  draft,
  placeIndex,
  onKeep,
}: {
  unit: TempUnit;
  instrument: RoundInstrument | null;
  airC: number | null;
  heap: RoundHeap;
  draft: HeapDraft | undefined;
  placeIndex: number;
  onKeep: (reading: ReadingToKeep) => void;
}) {
  const place = itemAt(heap.places, placeIndex);
  const key = keyOf(heap, draft, place.id);
  const empty: Draft = {
    text: '',
    low: null,
    marks: [],
    asking: null,
    answers: [],
    first: null,
    unit,
    fire: false,
  };
  const [held, setHeld] = useState<{ key: string; d: Draft; since: number }>(() => ({
    key,
    d: { ...empty, ...halfTyped.of(key) },
    since: stopwatch(),
  }));
  // Another place is another reading: what was typed for the last one does not ride along, and its clock starts anew.
  if (held.key !== key) setHeld({ key, d: { ...empty, ...halfTyped.of(key) }, since: stopwatch() });
  const { d, since } = held.key === key ? held : { d: empty, since: held.since };
  const set = (change: Partial<Draft>): void => {
    const next = { ...d, ...change };
    halfTyped.keep(key, next);
    setHeld({ key, d: next, since });
  };
  const value = numberIn(d.text);
  const context = {
    unit: d.unit,
    lastC: place.last?.c ?? null,
    airC,
    instrument,
    others: readSoFar(heap, draft)
      .filter((r) => r.place !== place.id)
      .map((r) => r.kept.value),
  };

  const finish = (v: number, state: Draft, faulty: boolean): void => {
    const low = state.low === null ? null : numberIn(state.low);
    const [least, most] = low === null ? [v, null] : [Math.min(low, v), Math.max(low, v)];
    onKeep({
      value: least,
      unit: state.unit,
      at: serverNow(),
      settledS: Math.round((stopwatch() - since) / 1000),
      marks: state.marks,
      doubts: state.answers,
      ...(most === null || most === least ? {} : { high: most }),
      ...(state.first ? { typed: state.first } : {}),
      ...(faulty ? { faulty } : {}),
    });
    halfTyped.drop(key);
    setHeld({ key, d: empty, since: stopwatch() });
  };
  /** Asks the next question, or keeps the value when there is none left. */
  const consider = (v: number, state: Draft): void => {
    const open = doubtsOf(v, { ...context, unit: state.unit }).find(
      (q) => !state.answers.some((a) => a.code === q.code),
    );
    if (open) setHeld({ key, d: { ...state, asking: open }, since });
    else finish(v, state, false);
  };
  return {
    text: d.text,
    low: d.low,
    marks: d.marks,
    asking: d.asking,
    fire: d.fire,
    unit: d.unit,
    value,
    since,
    place,
    press: (k: Key): void =>
      set({ text: appendKey(d.text, k), asking: null, answers: [], first: null, unit }),
    type: (text: string): void => set({ text, asking: null, answers: [], first: null, unit }),
    mark: (m: ReadingMark): void => set({ marks: toggleMark(d.marks, m) }),
    range: (): void => {
      if (d.low !== null) set({ low: null, text: d.low });
      else if (value !== null) set({ low: d.text, text: '' });
    },
    keep: (): void => {
      if (value !== null) consider(value, { ...d, asking: null });
    },
    /** A range that was typed in one go: its ends are asked about like any value, and kept as they are. */
    keepRange: (low: number, high: number): void =>
      consider(high, { ...d, text: String(high), low: String(low), asking: null }),
    retype: (): void =>
      set({ text: '', asking: null, answers: [], first: null, unit, fire: false }),
    answer: (answer: DoubtAnswer): void => {
      if (d.asking === null || value === null) return;
      const next = answered(value, d.unit, answer);
      const changed = next.value !== value || next.unit !== d.unit;
      const state: Draft = {
        ...d,
        asking: null,
        text: changed ? String(next.value) : d.text,
        unit: next.unit,
        first: changed ? (d.first ?? { value, unit: d.unit }) : d.first,
        answers: [...d.answers, { code: d.asking.code, answer }],
        fire: answer === 'emergency',
      };
      if (answer === 'emergency') setHeld({ key, d: state, since });
      else if (answer === 'faulty') finish(next.value, state, true);
      else consider(next.value, state);
    },
    /** After the fire card: it stands as it was read. */
    keepAnyway: (): void => {
      if (value !== null) finish(value, d, false);
    },
  };
}
export type ReadingHandle = ReturnType<typeof useReading>;
