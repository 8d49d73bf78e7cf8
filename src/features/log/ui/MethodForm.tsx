'use client';
import { say } from '@/messages/say';
import { libraryText } from '@/messages/library-text';
import { useTyped } from '@/ui/draft';
import { shortScheduleTexts } from '@/core/advice/schedule';
import { SCHOOL_WORDS } from '@/telling/status/turn';
import { KeepBar, WhenAndWho, type FormProps } from '@/entry/ui/parts';
import { useEntry } from '@/entry/ui/useEntry';

/** The method that it is kept by, from now on. */
export function MethodForm({ heap, onDone }: FormProps) {
  const entry = useEntry('method', heap, onDone);
  const list = heap.templates ?? [];
  const [id, setId] = useTyped('id', heap.template ?? '');
  const chosen = list.find((t) => t.id === id);
  return (
    <>
      <div className="flex flex-col gap-2" role="radiogroup" aria-label={say('log.whichMethod')}>
        {list.map((t) => (
          <button
            key={t.id}
            type="button"
            role="radio"
            aria-checked={t.id === id}
            data-state={t.id === id ? 'on' : 'off'}
            className="choice !items-start !text-left flex-col"
            onClick={() => setId(t.id)}
          >
            <span>{libraryText(t.name)}</span>
            <span className="text-note font-normal">
              {say('log.turned', { schoolwords: SCHOOL_WORDS[t.trigger] })}{' '}
              {t.words && libraryText(t.words)}
            </span>
          </button>
        ))}
      </div>
      {chosen &&
        id !== heap.template &&
        shortScheduleTexts(chosen, heap.rules ?? []).map((text) => (
          <p key={text} role="alert" className="caution">
            {text}
          </p>
        ))}
      <p className="hint">{say('log.thisChangesWhatAdvisedExpected')}</p>
      <WhenAndWho entry={entry} heap={heap} />
      <KeepBar
        entry={entry}
        label={chosen ? say('log.use', { name: chosen.name }) : say('log.save')}
        missing={
          chosen === undefined || id === heap.template ? say('log.chooseADifferentMethod') : null
        }
        onKeep={() => chosen && entry.save({ template: chosen })}
      />
    </>
  );
}
