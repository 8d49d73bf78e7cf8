'use client';
import { KeepBar, WhenAndWho, type FormProps } from '@/entry/ui/parts';
import { useEntry } from '@/entry/ui/useEntry';

/** The last raw load is in: this starts the clock, and nothing else does. */
export function CloseForm({ heap, onDone }: FormProps) {
  const entry = useEntry('built', heap, onDone);
  return (
    <>
      <p>
        When did the last raw load go in? {heap.name}’s clock starts then. Anything raw after it
        starts the clock again.
      </p>
      <WhenAndWho entry={entry} heap={heap} />
      <KeepBar entry={entry} label="Close the heap" onKeep={() => entry.save({})} />
    </>
  );
}
