'use client';
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
        label="Squeeze a handful from inside, hard"
        value={squeeze}
        onChange={setSqueeze}
        options={SQUEEZE_OPTIONS}
      />
      <Choices
        optional
        label="Smell"
        value={smell}
        onChange={setSmell}
        columns={4}
        options={SMELL_OPTIONS}
      />
      {smell === 'burnt' && <p className="caution">{CAUTION.burnt}</p>}
      <Field
        label="Anything else"
        value={words}
        onChange={(e) => setWords(e.target.value)}
        maxLength={2000}
      />
      <WhenAndWho entry={entry} heap={heap} />
      <KeepBar
        entry={entry}
        label="Keep what I saw"
        missing={Object.keys(data).length > 0 ? null : 'Choose one thing, or write it.'}
        onKeep={() => entry.save(data)}
      />
    </>
  );
}
