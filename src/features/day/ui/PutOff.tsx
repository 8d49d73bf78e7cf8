'use client';
import { useState } from 'react';
import type { DeferReason } from '@/core/log/entry';
import { DEFER_WORDS } from '@/core/advice/words';
import { keysOf } from '@/core/words/feel';
import { keepAnswered } from '@/outbox/keep';
import { Choices } from '@/ui/Choices';
import { Field, Problems } from '@/ui/Field';
import { Sheet } from '@/ui/Sheet';
import { useKept } from '@/ui/useKept';

const HOUR = 3_600_000;
const LATER = [{ value: '4', label: 'In 4 hours' }, { value: '16', label: 'Tomorrow morning' }, { value: '24', label: 'A day' }, { value: '48', label: 'Two days' }] as const;
type Later = (typeof LATER)[number]['value'];
export type PutOffTask = { readonly key: string; readonly batch: string | null; readonly name: string; readonly words: { readonly act: string }; readonly cost: string };

/** An advised act is put off: until when it is looked at again, why, and what it may cost. */
export function PutOff({ task, by: device, crew = [], onDone }: { task: PutOffTask; by: string; /** To whom it may be given. */ crew?: readonly string[]; onDone: () => void }) {
  const { id, by, setBy, problems, busy, keep } = useKept(device);
  const [reason, setReason] = useState<DeferReason | ''>('');
  const [later, setLater] = useState<Later | ''>('24');
  const [impossible, setImpossible] = useState<'no' | 'yes' | ''>('no');
  const [words, setWords] = useState('');
  const name = task.key.split(':')[1]!;
  const [to, setTo] = useState('');
  const give = (): void => keep(() => keepAnswered({ id, batch: task.batch, kind: 'assign', at: null, by, data: { task: name, who: to } }, `${task.name}: given to ${to}`), onDone);
  const save = (): void => keep(() => keepAnswered({ id, batch: task.batch, kind: 'defer', at: null, by, data: { task: name, until: Date.now() + Number(later) * HOUR, reason, ...(impossible === 'yes' ? { impossible: true } : {}), ...(words.trim() ? { words: words.trim() } : {}) } }, `${task.name}: put off`), onDone);
  return (
    <Sheet open onOpenChange={(o) => { if (!o) onDone(); }} title={`${task.name}: not now`} note={task.words.act}>
      {task.cost && <p className="caution" data-testid="cost">{task.cost}</p>}
      <Choices label="Can it be done later?" value={impossible} onChange={setImpossible} options={[{ value: 'no', label: 'Later' }, { value: 'yes', label: 'Not possible', hint: 'look again all the same' }]} />
      <Choices label="Look at it again" value={later} onChange={setLater} columns={2} options={LATER} />
      <Choices label="Why" value={reason} onChange={setReason} columns={3} options={keysOf(DEFER_WORDS).map((value) => ({ value, label: DEFER_WORDS[value] }))} />
      <Field label="A few words" value={words} maxLength={200} onChange={(e) => setWords(e.target.value)} />
      <Field label="Who" value={by} maxLength={60} autoComplete="name" onChange={(e) => setBy(e.target.value)} hint="Your name goes beside it" />
      <Problems list={problems} />
      {crew.length > 0 && <div className="flex flex-col gap-2 border-t border-rule pt-2"><Choices label="Or give it to" value={to} onChange={setTo} columns={3} options={crew.map((value) => ({ value, label: value }))} />{to !== '' && <button type="button" className="btn !min-h-[56px]" disabled={busy} onClick={give}>{`${to} does it`}</button>}</div>}
      <button type="button" className="btn key !min-h-[56px] w-full" disabled={busy || reason === '' || later === ''} onClick={save}>{busy ? 'Keeping…' : 'Put it off'}</button>
    </Sheet>
  );
}
