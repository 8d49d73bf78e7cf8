'use client';
import { Field, Problems } from '@/ui/Field';
import type { Preview } from '../server/actions';
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

/** What it will do to each rule, said before it is kept. */
export function Effects({ preview }: { preview: Preview | null }) {
  if (preview?.effects === null) return <p className="hint" aria-live="polite">{preview.problems.map((p) => p.message).join(' ')}</p>;
  const effects = preview?.effects;
  if (effects === undefined) return <p className="hint" aria-live="polite">Working out what it does to each rule…</p>;
  if (effects.length === 0) return <p className="hint" aria-live="polite">No clock is running yet, so it changes no verdict.</p>;
  const costs = effects.some((e) => e.costs);
  return (
    <div aria-live="polite" data-testid="effects" className={`border-[1.6px] border-ink px-3 py-2 ${costs ? 'bg-marker' : 'bg-paper'}`}>
      <p className="font-semibold">{costs ? 'This costs credit:' : 'What it does:'}</p>
      <ul>{effects.map((e) => <li key={e.rule} className="text-[14px] leading-[1.35]"><b className="font-semibold">{e.rule}</b>: {e.text}</li>)}</ul>
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
