'use client';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { Mark, type MarkName } from '@/charts/marks';
import { Sheet } from '@/ui/Sheet';
import { useKeys } from '@/ui/useKeys';
import { AddForm, CloseForm, MergeForm, NoteForm, ObserveForm, TurnForm, WaterForm } from './forms';
import type { HeapRef } from './useEntry';

type SheetName = 'turn' | 'water' | 'add' | 'merge' | 'observe' | 'note' | 'close';
const SHEETS: Record<SheetName, { label: string; title: (name: string) => string; mark: MarkName; key: string; form: typeof TurnForm }> = {
  close: { label: 'Close the heap', title: (n) => `Close ${n}`, mark: 'check', key: 'c', form: CloseForm },
  turn: { label: 'Turned', title: (n) => `${n} was turned`, mark: 'turn', key: 't', form: TurnForm },
  water: { label: 'Watered', title: (n) => `${n} was watered`, mark: 'water', key: 'w', form: WaterForm },
  add: { label: 'Added', title: (n) => `Something went into ${n}`, mark: 'add', key: 'a', form: AddForm },
  merge: { label: 'Joined', title: (n) => `Another heap was joined to ${n}`, mark: 'move', key: 'j', form: MergeForm },
  observe: { label: 'Felt, smelled', title: (n) => `What ${n} is like`, mark: 'squeeze', key: 's', form: ObserveForm },
  note: { label: 'Note', title: (n) => `A note on ${n}`, mark: 'note', key: 'n', form: NoteForm },
};

/** What can be logged of a heap, each by a button and a key. */
export function LogBar({ heap, building }: { heap: HeapRef; building: boolean }) {
  const router = useRouter();
  const [open, setOpen] = useState<SheetName | null>(null);
  const names: SheetName[] = building ? ['close', 'add', 'water', 'observe', 'note'] : ['turn', 'water', 'add', 'merge', 'observe', 'note'];
  useKeys((key, e) => {
    if (key === 'r') router.push(`/round#${heap.id}`);
    const name = names.find((n) => SHEETS[n].key === key);
    if (name) { e.preventDefault(); setOpen(name); }
  });
  const sheet = open ? SHEETS[open] : null;
  return (
    <div className="flex flex-wrap gap-2.5 items-center" data-testid="log-bar">
      <Link prefetch={false} href={`/round#${heap.id}`} className="btn key !min-h-[52px] !px-3.5"><Mark name="probe" />Log a round</Link>
      {names.map((n) => <button key={n} type="button" className="btn !min-h-[52px] !px-3.5" onClick={() => setOpen(n)}><Mark name={SHEETS[n].mark} />{SHEETS[n].label}</button>)}
      <span className="q text-[12.5px] whitespace-nowrap max-lg:hidden">keys R D {names.map((n) => SHEETS[n].key.toUpperCase()).join(' ')}</span>
      <Link prefetch={false} href={`/batch/${heap.id}/places`} className="link text-[14px]">Places, and where it stands</Link>
      <Sheet open={sheet !== null} onOpenChange={(o) => { if (!o) setOpen(null); }} title={sheet?.title(heap.name) ?? ''}>
        {sheet && <sheet.form heap={heap} onDone={() => setOpen(null)} />}
      </Sheet>
    </div>
  );
}
