'use client';
import { say } from '@/messages/say';
import { useState } from 'react';
import { useTyped } from '@/ui/draft';
import type { ReleaseDoubt } from '@/core/log/entry';
import { END_REASONS, type EndReason } from '@/core/log/kinds/vocabulary';
import { END_WORDS } from '@/core/words/acts';
import { CAUTION } from '@/core/words/caution';
import { Choices } from '@/ui/Choices';
import { upperFirst } from '@/core/quantity/format';
import { Field } from '@/ui/Field';
import { KeepBar, WhenAndWho, type FormProps } from '@/entry/ui/parts';
import { useEntry, type HeapRef } from '@/entry/ui/useEntry';

/** What is doubtful about letting it go, each to be ticked by whoever does. */
function DoubtTicks({
  heap,
  known,
  onChange,
}: {
  heap: HeapRef;
  known: readonly ReleaseDoubt[];
  onChange: (known: readonly ReleaseDoubt[]) => void;
}) {
  return (
    <fieldset className="border-[1.6px] border-ink bg-marker px-3 py-2" data-testid="doubts">
      <legend className="px-1 font-semibold">{say('log.beforeItLeaves')}</legend>
      {heap.doubts!.map(({ doubt, text }) => (
        <label key={doubt} className="flex gap-3 items-start py-1.5 min-h-target">
          <input
            type="checkbox"
            className="size-5 mt-0.5 flex-none"
            checked={known.includes(doubt)}
            onChange={(e) =>
              onChange(e.target.checked ? [...known, doubt] : known.filter((d) => d !== doubt))
            }
          />
          <span>
            {text} <b className="font-semibold">{say('log.iKnowThat')}</b>
          </span>
        </label>
      ))}
      {heap.doubts!.some((d) => d.doubt === 'unproven') && (
        <p className="caution mt-1">{heap.rawIn === false ? CAUTION.unproven : CAUTION.rawOut}</p>
      )}
      {heap.doubts!.some((d) => d.doubt === 'warm') && (
        <p className="caution mt-1">{CAUTION.warmOut}</p>
      )}
    </fieldset>
  );
}

/** Held, taken up again, called ready, or at its end: by decision of somebody. */
export function StandingInLife({ heap, onDone }: FormProps) {
  const [what, setWhat] = useTyped<'hold' | 'ready' | 'ended' | ''>('what', '');
  const [reason, setReason] = useTyped<EndReason | ''>('reason', '');
  const [words, setWords] = useTyped('words', '');
  const [known, setKnown] = useState<readonly ReleaseDoubt[]>([]);
  const [hold, ready, ended] = [
    useEntry('hold', heap, onDone),
    useEntry('ready', heap, onDone),
    useEntry('ended', heap, onDone),
  ];
  const entry = what === 'ready' ? ready : what === 'ended' ? ended : hold;
  const goesOut =
    what === 'ready' || (what === 'ended' && (reason === 'matured' || reason === 'used-raw'));
  const doubts = goesOut ? (heap.doubts ?? []) : [];
  const said = {
    ...(words.trim() ? { words: words.trim() } : {}),
    ...(goesOut && known.length > 0 ? { knowing: known } : {}),
  };
  const save = (): void =>
    what === 'hold'
      ? hold.save({ on: !heap.onHold, ...(words.trim() ? { reason: words.trim() } : {}) })
      : what === 'ready'
        ? ready.save(said)
        : ended.save({ reason, ...said });
  const missing =
    what === ''
      ? say('log.chooseOne')
      : what === 'ended' && reason === ''
        ? say('log.chooseWhyFinished')
        : doubts.some((d) => !known.includes(d.doubt))
          ? say('log.tickBoxAboveWhoeverLets')
          : null;
  return (
    <>
      <Choices
        label={say('log.whatHappensWithIt')}
        value={what}
        onChange={setWhat}
        columns={3}
        options={[
          {
            value: 'hold',
            label: heap.onHold ? say('log.takenOffHold') : say('log.putOnHold'),
            hint: heap.onHold ? say('log.workGoesOn') : say('log.noWorkAskedFor'),
          },
          { value: 'ready', label: say('log.ready'), hint: say('log.yourOwnDecision') },
          { value: 'ended', label: say('log.finished') },
        ]}
      />
      {what === 'ended' && (
        <Choices
          label={say('log.why')}
          value={reason}
          onChange={setReason}
          columns={2}
          options={END_REASONS.filter((r) => r !== 'merged').map((value) => ({
            value,
            label: upperFirst(END_WORDS[value]),
          }))}
        />
      )}
      {doubts.length > 0 && <DoubtTicks heap={heap} known={known} onChange={setKnown} />}
      {what === 'ready' && <p className="hint">{say('log.thisYourDecisionSavedWith')}</p>}
      <Field
        label={say('log.whyInFewWords')}
        value={words}
        maxLength={300}
        onChange={(e) => setWords(e.target.value)}
      />
      <WhenAndWho entry={entry} heap={heap} />
      <KeepBar entry={entry} label={say('log.save')} missing={missing} onKeep={save} />
    </>
  );
}
