'use client';
import { say } from '@/messages/say';
import { SMELL_OPTIONS, SQUEEZE_OPTIONS } from './feelOptions';
import { useTyped } from '@/ui/draft';
import { CAUTION } from '@/core/words/caution';
import { Choices } from '@/ui/Choices';
import { Field } from '@/ui/Field';
import { KeepBar, WhenAndWho, type FormProps } from '@/entry/ui/parts';
import { useEntry } from '@/entry/ui/useEntry';

export function ObserveForm({ heap, onDone }: FormProps) {
  const entry = useEntry('observation', heap, onDone);
  const [squeeze, setSqueeze] = useTyped<(typeof SQUEEZE_OPTIONS)[number]['value'] | ''>(
    'squeeze',
    '',
  );
  const [smell, setSmell] = useTyped<(typeof SMELL_OPTIONS)[number]['value'] | ''>('smell', '');
  const [words, setWords] = useTyped('words', '');
  const data = {
    ...(squeeze ? { squeeze } : {}),
    ...(smell ? { smell } : {}),
    ...(words.trim() ? { words: words.trim() } : {}),
  };
  return (
    <>
      <Choices
        optional
        label={say('log.squeezeAHandfulFromInsideHard')}
        value={squeeze}
        onChange={setSqueeze}
        options={SQUEEZE_OPTIONS}
      />
      <Choices
        optional
        label={say('log.smell2')}
        value={smell}
        onChange={setSmell}
        columns={4}
        options={SMELL_OPTIONS}
      />
      {smell === 'burnt' && <p className="caution">{CAUTION.burnt}</p>}
      <Field
        label={say('log.anythingElse')}
        value={words}
        onChange={(e) => setWords(e.target.value)}
        maxLength={2000}
      />
      <WhenAndWho entry={entry} heap={heap} />
      <KeepBar
        entry={entry}
        label={say('log.keepWhatISaw')}
        missing={Object.keys(data).length > 0 ? null : say('log.chooseOneThingOrWriteIt')}
        onKeep={() => entry.save(data)}
      />
    </>
  );
}
