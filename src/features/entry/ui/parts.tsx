'use client';
import { Field, Problems } from '@/ui/Field';
import type { EntryHandle, HeapRef } from './useEntry';

/** When it happened and who did it: this moment and the person on this device, unless said otherwise. */
export function WhenAndWho({ entry, heap }: { entry: EntryHandle; heap: HeapRef }) {
  return (
    <div className="grid grid-cols-[repeat(auto-fit,minmax(200px,1fr))] gap-3">
      <Field label="When" type="datetime-local" value={entry.at ?? heap.nowLocal} max={heap.nowLocal} onChange={(e) => entry.setAt(e.target.value || null)} hint={entry.at === null ? 'Just now' : 'Later entry: the log shows both times'} />
      <Field label="Who" value={entry.by} onChange={(e) => entry.setBy(e.target.value)} autoComplete="name" maxLength={60} hint="Your name goes beside it" />
    </div>
  );
}

/** Keep it, or go back; what went wrong stands above. */
export function KeepBar({ entry, label, onKeep, ready = true }: { entry: EntryHandle; label: string; onKeep: () => void; ready?: boolean }) {
  return (
    <>
      <Problems list={entry.problems} />
      <button type="button" className="btn key !min-h-[56px] w-full" disabled={entry.busy || !ready} onClick={onKeep}>{entry.busy ? 'Keeping…' : label}</button>
    </>
  );
}
