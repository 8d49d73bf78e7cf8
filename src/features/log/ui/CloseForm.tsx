'use client';
import { say } from '@/messages/say';
import { KeepBar, WhenAndWho, type FormProps } from '@/entry/ui/parts';
import { useEntry } from '@/entry/ui/useEntry';

/** The last raw load is in: this starts the clock, and nothing else does. */
export function CloseForm({ heap, onDone }: FormProps) {
  const entry = useEntry('built', heap, onDone);
  return (
    <>
      <p>{say('log.whenDidLastRawMaterial', { name: heap.name })}</p>
      <WhenAndWho entry={entry} heap={heap} />
      <KeepBar entry={entry} label={say('log.finishAdding')} onKeep={() => entry.save({})} />
    </>
  );
}
