'use client';
import { useCallback } from 'react';
import { useTyped } from '@/ui/draft';
import type { Rule } from '@/core/evidence/rule';
import type { EntryKind } from '@/core/log/entry';
import { WAITING_NAMES } from '@/core/log/kinds/waiting';
import type { MethodTemplate, Position } from '@/core/log/shapes';
import type { OwnMeasure } from '@/core/log/store-shapes';
import type { PutInSource, Room } from '@/core/mix/put-in';
import type { CarriedRisks } from '@/core/mix/concerns';
import type { PlacedHeap } from '../placed';
import { nameForHeap } from '@/core/words/waiting';
import { submitOrQueue } from '@/outbox/keep';
import { useSubmit, type SubmitResult } from '@/ui/useSubmit';
import type { EntryForm } from '../input';
import type { EntryPreview } from '@/ui/Effects';
import { usePreview as useAsked } from '@/ui/usePreview';
import { askEntry } from './ask-entry';

/** What may be put into a heap: the store first, then the library; and the measures it is counted in. */
type StoreRef = {
  readonly sources: readonly {
    readonly key: string;
    readonly material: string;
    readonly load: string | null;
    readonly name: string;
    readonly says: string;
    readonly inStore: boolean;
    readonly carries: CarriedRisks;
    readonly left: PutInSource['left'];
    readonly ripening: string | null;
    readonly answer: string | null;
  }[];
  readonly measures: readonly OwnMeasure[];
  readonly room: Room | null;
};
/** The heap and the device that a form speaks for. */
export type HeapRef = {
  readonly id: string;
  readonly name: string;
  readonly by: string;
  readonly nowLocal: string;
  readonly unit: 'C' | 'F';
  /** Where the heaps of the site stand, where a form asks for neighbours. */ readonly placed?: readonly PlacedHeap[];
  /** Whether its last round is fresh enough to count as read before a turning. */ readonly readLately?: boolean;
  /** What the site goes by. */ readonly templates?: readonly MethodTemplate[];
  readonly template?: string;
  /** The rules it is kept under. */ readonly rules?: readonly {
    readonly title: string;
    readonly rule: Rule;
  }[];
  readonly onHold?: boolean;
  /** It is in danger: what its page says comes before any work on it. */ readonly danger?:
    string | null;
  /** What speaks against water: it was felt too wet. */ readonly tooWet?: string | null;
  readonly store?: StoreRef;
  /** Where it is to stand, where that was said already. */ readonly to?: Position | null;
  readonly shape?: string | null;
  /** Below this a pile rarely stays hot here, m³. */ readonly leastHotM3?: number;
};

/** One entry of a kind, from the form to the log. */
export const useEntry = (
  kind: keyof typeof WAITING_NAMES,
  heap: HeapRef,
  onDone: () => void,
): EntryHandle => useNamedEntry(kind, WAITING_NAMES[kind], heap, onDone);

/** The same with the name that it has while it waits. */
export function useNamedEntry(kind: EntryKind, name: string, heap: HeapRef, onDone: () => void) {
  const { id, by, setBy, problems, setProblems, busy, keep } = useSubmit(heap.by);
  const [at, setAt] = useTyped<string | null>('at', null);
  const form = useCallback(
    (data: object): EntryForm => ({
      id,
      batch: kind === 'opened' ? id : heap.id === '' ? null : heap.id,
      kind,
      at,
      by,
      data: data as Record<string, unknown>,
    }),
    [id, kind, heap.id, at, by],
  );
  const save = (data: object, then: () => void | Promise<void> = onDone): void =>
    keep(() => submitOrQueue(form(data), nameForHeap(heap.name, name)), then);
  return { id, by, setBy, at, setAt, problems, setProblems, busy, keep, save, form };
}

/** Through the outbox: what the hub cannot take now waits on this device. */
export const submitEntry = (
  form: EntryForm,
  name: string,
  kind: keyof typeof WAITING_NAMES,
): Promise<SubmitResult> => submitOrQueue(form, nameForHeap(name, WAITING_NAMES[kind]));
export type EntryHandle = ReturnType<typeof useNamedEntry>;

/** What the entry would do, asked a moment after the last change. Null: not known yet. */
export function useEntryPreview(entry: EntryHandle, data: object | null): EntryPreview | null {
  return useAsked(data === null ? null : JSON.stringify(entry.form(data)), askEntry);
}
