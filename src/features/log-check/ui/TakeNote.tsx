'use client';
import { useTyped } from '@/ui/draft';
import { KeepBar, WhoField } from '@/entry/ui/parts';
import { useNamedEntry, type HeapRef } from '@/entry/ui/useEntry';
import type { FaultName } from '../view';

/** Texts that the page brings along: the file of all texts need not hold them. */
export type TakeNoteTexts = Readonly<
  Record<'takeNote' | 'takeNoteHow' | 'memoryBegunAnew' | 'reason' | 'reasonMissing', string>
>;

/** A manager takes note of what does not fit in the log, and says what happened. */
export function TakeNote({
  heap,
  open,
  beginsAnew,
  texts,
}: {
  heap: HeapRef;
  /** What it is about. */ open: readonly FaultName[];
  beginsAnew: boolean;
  texts: TakeNoteTexts;
}) {
  const [words, setWords] = useTyped('words', '');
  const entry = useNamedEntry('fault-noted', texts.takeNote, heap, () => setWords(''));
  return (
    <section className="flex flex-col gap-3" data-testid="take-note">
      <h2>{texts.takeNote}</h2>
      <p className="hint">{texts.takeNoteHow}</p>
      {beginsAnew && <p className="hint">{texts.memoryBegunAnew}</p>}
      <label className="label" htmlFor="fault-words">
        {texts.reason}
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
        label={texts.takeNote}
        missing={words.trim() === '' ? texts.reasonMissing : null}
        onKeep={() => entry.save({ faults: open, words: words.trim() })}
      />
    </section>
  );
}
