'use client';
import { say } from '@/messages/say';
import { useTyped } from '@/ui/draft';
import { KeepBar, WhenAndWho, type FormProps } from '@/entry/ui/parts';
import { useEntry } from '@/entry/ui/useEntry';

export function NoteForm({ heap, onDone }: FormProps) {
  const entry = useEntry('note', heap, onDone);
  const [words, setWords] = useTyped('words', '');
  return (
    <>
      <div>
        <label className="label" htmlFor="note-words">
          {say('log.note')}
        </label>
        <textarea
          id="note-words"
          className="field"
          rows={4}
          maxLength={2000}
          value={words}
          onChange={(e) => setWords(e.target.value)}
        />
      </div>
      <WhenAndWho entry={entry} heap={heap} />
      <KeepBar
        entry={entry}
        label={say('log.saveThisNote')}
        missing={words.trim() === '' ? say('log.writeTheNote') : null}
        onKeep={() => entry.save({ words: words.trim() })}
      />
    </>
  );
}
