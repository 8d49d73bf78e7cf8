'use client';
import { say } from '@/messages/say';
import type { SMELL_WORDS, SQUEEZE_WORDS } from '@/core/words/feel';
import { smellOptions, squeezeOptions } from './feelOptions';
import { useTyped } from '@/ui/draft';
import { CAUTION } from '@/core/words/caution';
import { Choices } from '@/ui/Choices';
import { Field } from '@/ui/Field';
import { KeepBar, WhenAndWho, type FormProps } from '@/entry/ui/parts';
import { useEntry } from '@/entry/ui/useEntry';

export function ObserveForm({ heap, onDone }: FormProps) {
  const entry = useEntry('observation', heap, onDone);
  const [squeeze, setSqueeze] = useTyped<keyof typeof SQUEEZE_WORDS | ''>('squeeze', '');
  const [smell, setSmell] = useTyped<keyof typeof SMELL_WORDS | ''>('smell', '');
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
        label={say('log.squeezeHandfulFromInsideHard')}
        value={squeeze}
        onChange={setSqueeze}
        options={squeezeOptions()}
      />
      <Choices
        optional
        label={say('log.smell2')}
        value={smell}
        onChange={setSmell}
        columns={4}
        options={smellOptions()}
      />
      {smell === 'burnt' && <p className="caution">{CAUTION.burnt}</p>}
      <Field
        label={say('fire.anythingElse')}
        value={words}
        onChange={(e) => setWords(e.target.value)}
        maxLength={2000}
      />
      <WhenAndWho entry={entry} heap={heap} />
      <KeepBar
        entry={entry}
        label={say('log.save2')}
        missing={Object.keys(data).length > 0 ? null : say('log.chooseOneThingOrWrite')}
        onKeep={() => entry.save(data)}
      />
    </>
  );
}
