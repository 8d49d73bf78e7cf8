'use client';
import { say } from '@/messages/say';
import { Field, Problems } from '@/ui/Field';
import { SaveButton, whoIsMissing } from '@/ui/SaveButton';
import type { EntryHandle, HeapRef } from './useEntry';

/** What each form of a heap's log bar is given. */
export type FormProps = { readonly heap: HeapRef; readonly onDone: () => void };

/** Who did it: the person on this device, unless said otherwise. */
export const WhoField = ({
  entry,
  label = say('entry.who'),
}: {
  entry: EntryHandle;
  label?: string;
}) => (
  <Field
    label={label}
    value={entry.by}
    onChange={(e) => entry.setBy(e.target.value)}
    autoComplete="name"
    maxLength={60}
  />
);

/** When it happened and who did it: this moment and the person on this device, unless said otherwise. */
export function WhenAndWho({ entry, heap }: { entry: EntryHandle; heap: HeapRef }) {
  return (
    <div className="grid grid-cols-[repeat(auto-fit,minmax(200px,1fr))] gap-3">
      <Field
        label={say('entry.when')}
        type="datetime-local"
        value={entry.at ?? heap.nowLocal}
        max={heap.nowLocal}
        onChange={(e) => entry.setAt(e.target.value || null)}
        hint={entry.at === null ? say('entry.justNow') : say('entry.laterEntryLogShowsBoth')}
      />
      <Field
        label={say('entry.who')}
        value={entry.by}
        onChange={(e) => entry.setBy(e.target.value)}
        autoComplete="name"
        maxLength={60}
        hint={say('entry.yourNameSavedWith')}
      />
    </div>
  );
}

/** Danger comes before any work on a heap; nothing else is said of it then. */
export const DangerFirst = ({ heap }: { heap: HeapRef }) =>
  heap.danger ? (
    <p role="alert" className="danger pl-6 pr-3 py-2 font-semibold" data-testid="danger-first">
      {heap.danger}
    </p>
  ) : null;

/** Keep it, or go back; what went wrong stands above, what is missing below. */
export function KeepBar({
  entry,
  label,
  onKeep,
  missing = null,
}: {
  entry: EntryHandle;
  label: string;
  onKeep: () => void;
  /** What it still takes, as a sentence; null: nothing. */ missing?: string | null;
}) {
  return (
    <>
      <Problems list={entry.problems} />
      <SaveButton
        label={label}
        busy={entry.busy}
        missing={missing ?? whoIsMissing(entry.by)}
        onSave={onKeep}
      />
    </>
  );
}
