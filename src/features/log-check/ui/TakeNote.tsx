'use client';
import { say } from '@/messages/say';
import { useTyped } from '@/ui/draft';
import { KeepBar, WhoField } from '@/entry/ui/parts';
import { useNamedEntry, type HeapRef } from '@/entry/ui/useEntry';
import type { FaultName } from '../view';

/** A manager takes note of what does not fit in the log, and says what happened. */
export function TakeNote({
  heap,
  open,
  beginsAnew,
}: {
  heap: HeapRef;
  /** What it is about. */ open: readonly FaultName[];
  beginsAnew: boolean;
}) {
  const [words, setWords] = useTyped('words', '');
  const entry = useNamedEntry('fault-noted', say('trust.takeNote'), heap, () => setWords(''));
  return (
    <section className="flex flex-col gap-3" data-testid="take-note">
      <h2>{say('trust.takeNote')}</h2>
      <p className="hint">{say('trust.takeNoteHow')}</p>
      {beginsAnew && <p className="hint">{say('trust.memoryBegunAnew')}</p>}
      <label className="label" htmlFor="fault-words">
        {say('trust.reason')}
        <textarea
          id="fault-words"
          className="field"
          rows={3}
          maxLength={2000}
          value={words}
          onChange={(e) => setWords(e.target.value)}
        />
      </label>
      <WhoField entry={entry} />
      <KeepBar
        entry={entry}
        label={say('trust.takeNote')}
        missing={words.trim() === '' ? say('trust.reasonMissing') : null}
        onKeep={() => entry.save({ faults: open, words: words.trim() })}
      />
    </section>
  );
}
