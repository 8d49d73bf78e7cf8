'use client';
import { useCallback, useEffect, useState } from 'react';
import type { EntryKind } from '@/core/log/entry';
import { useKept } from '@/ui/useKept';
import type { EntryForm } from '../input';
import { logEntry, previewEntry, type Preview } from '../server/actions';

/** The heap and the device that a form speaks for. */
export type HeapRef = { readonly id: string; readonly name: string; readonly by: string; readonly nowLocal: string; readonly unit: 'C' | 'F' };

/** One entry of a kind, from the form to the log. */
export function useEntry(kind: EntryKind, heap: HeapRef, onDone: () => void) {
  const { id, by, setBy, problems, setProblems, busy, keep } = useKept(heap.by);
  const [at, setAt] = useState<string | null>(null);
  const form = useCallback((data: object): EntryForm => ({ id, batch: kind === 'opened' ? id : heap.id === '' ? null : heap.id, kind, at, by, data: data as Record<string, unknown> }), [id, kind, heap.id, at, by]);
  const save = (data: object): void => keep(() => logEntry(form(data)), onDone);
  return { id, by, setBy, at, setAt, problems, setProblems, busy, save, form };
}
export type EntryHandle = ReturnType<typeof useEntry>;

const PAUSE_MS = 250;

const CANNOT_SAY: Preview = { effects: null, problems: [{ path: '(form)', message: 'The hub does not answer, so what it does to each rule cannot be said now.' }] };

/** What the entry would do, asked a moment after the last change. Null: not known yet. */
export function usePreview(entry: EntryHandle, data: object | null): Preview | null {
  const [preview, setPreview] = useState<Preview | null>(null);
  const text = data === null ? null : JSON.stringify(data);
  const { form } = entry;
  useEffect(() => {
    let current = true;
    const timer = setTimeout(() => {
      if (text === null) { setPreview(null); return; }
      previewEntry(form(JSON.parse(text) as object)).then((p) => { if (current) setPreview(p); }, () => { if (current) setPreview(CANNOT_SAY); });
    }, PAUSE_MS);
    return () => { current = false; clearTimeout(timer); };
  }, [text, form]);
  return preview;
}
