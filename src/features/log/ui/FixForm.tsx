'use client';
import { say } from '@/messages/say';
import { useTyped } from '@/ui/draft';
import { FIXES, type Fix } from '@/core/log/kinds/vocabulary';
import { FIX_WORDS } from '@/telling/status/diagnosis';
import { Choices } from '@/ui/Choices';
import { Field } from '@/ui/Field';
import { KeepBar, WhenAndWho, type FormProps } from '@/entry/ui/parts';
import { useEntry } from '@/entry/ui/useEntry';

/** One thing that was changed to mend it. */
export function FixForm({ heap, onDone }: FormProps) {
  const entry = useEntry('fix', heap, onDone);
  const [fix, setFix] = useTyped<Fix | ''>('fix', '');
  const [words, setWords] = useTyped('words', '');
  return (
    <>
      <p className="hint">{say('log.changeOneThingAtTime')}</p>
      <Choices
        label={say('log.whatWasChanged')}
        value={fix}
        onChange={setFix}
        columns={2}
        options={FIXES.filter(
          (f) => !['water', 'turn', 'nitrogen', 'carbon', 'thermometer'].includes(f),
        ).map((value) => ({ value, label: FIX_WORDS[value] }))}
      />
      <Field
        label={say('log.aFewWords')}
        value={words}
        maxLength={300}
        onChange={(e) => setWords(e.target.value)}
      />
      <WhenAndWho entry={entry} heap={heap} />
      <KeepBar
        entry={entry}
        label={say('log.saveThisChange')}
        missing={fix === '' ? say('log.chooseWhatWasChanged') : null}
        onKeep={() => entry.save({ fix, ...(words.trim() ? { words: words.trim() } : {}) })}
      />
    </>
  );
}
