'use client';
import { useState } from 'react';
import { CAUTION } from '@/core/words/caution';
import { keepAnswered } from '@/outbox/keep';
import { Field, Problems } from '@/ui/Field';
import { typed } from '@/ui/number';
import { Sheet } from '@/ui/Sheet';
import { useKept } from '@/ui/useKept';
import type { TodayTask } from '../view';

/** A chore that was done: by whom, and how much came out where something did. */
export function ChoreDone({ task, by: device, onDone }: { task: TodayTask; by: string; onDone: () => void }) {
  const { id, by, setBy, problems, busy, keep } = useKept(device);
  const [litres, setLitres] = useState('');
  const leachate = task.chore?.what === 'leachate';
  const amount = typed(litres);
  const save = (): void => keep(() => keepAnswered({ id, batch: null, kind: 'chore', at: null, by, data: { chore: task.chore!.id, ...(typeof amount === 'number' ? { litres: amount } : {}) } }, task.words.act), onDone);
  return (
    <Sheet open onOpenChange={(o) => { if (!o) onDone(); }} title={`${task.words.act}: done`}>
      {leachate && <><p className="caution">{CAUTION.raw}</p><Field label="How much" unit="litres" inputMode="decimal" value={litres} onChange={(e) => setLitres(e.target.value)} problem={amount === null ? 'Type litres as a number, or leave it empty.' : undefined} hint="Did it go on a heap? Then log it at the heap it came from, under ‘Taken off’: it starts the other’s clock again." /></>}
      <Field label="Who" value={by} maxLength={60} autoComplete="name" onChange={(e) => setBy(e.target.value)} hint="Your name goes beside it" />
      <Problems list={problems} />
      <button type="button" className="btn key !min-h-[56px] w-full" disabled={busy || amount === null} onClick={save}>{busy ? 'Keeping…' : 'Keep it'}</button>
    </Sheet>
  );
}
