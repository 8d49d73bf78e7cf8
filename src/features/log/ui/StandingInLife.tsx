'use client';
import { say } from '@/messages/say';
import { useTyped } from '@/ui/draft';
import { GIVEN_END_REASONS, type EndReason } from '@/core/log/kinds/vocabulary';
import { END_WORDS } from '@/core/words/acts';
import { Choices } from '@/ui/Choices';
import { upperFirst } from '@/core/quantity/format';
import { Field } from '@/ui/Field';
import { KeepBar, WhenAndWho, type FormProps } from '@/entry/ui/parts';
import { useEntry } from '@/entry/ui/useEntry';

/** Held, taken up again, or at its end, by decision of somebody. What goes to cure or goes out is logged under Curing. */
export function StandingInLife({ heap, onDone }: FormProps) {
  const [what, setWhat] = useTyped<'hold' | 'ended' | ''>('what', '');
  const [reason, setReason] = useTyped<EndReason | ''>('reason', '');
  const [words, setWords] = useTyped('words', '');
  const [hold, ended] = [useEntry('hold', heap, onDone), useEntry('ended', heap, onDone)];
  const entry = what === 'ended' ? ended : hold;
  const said = words.trim();
  const save = (): void =>
    what === 'hold'
      ? hold.save({ on: !heap.onHold, ...(said ? { reason: said } : {}) })
      : ended.save({ reason, ...(said ? { words: said } : {}) });
  const missing =
    what === ''
      ? say('log.chooseOne')
      : what === 'ended' && reason === ''
        ? say('log.chooseWhyFinished')
        : null;
  return (
    <>
      <a className="link pointer-coarse:py-2.5" href={`/lots/${heap.id}`}>
        {say('lots.cureTestRelease')}
      </a>
      <Choices
        label={say('log.whatHappensWithIt')}
        value={what}
        onChange={setWhat}
        columns={2}
        options={[
          {
            value: 'hold',
            label: heap.onHold ? say('log.takenOffHold') : say('log.putOnHold'),
            hint: heap.onHold ? say('log.workGoesOn') : say('log.noWorkAskedFor'),
          },
          { value: 'ended', label: say('log.finished') },
        ]}
      />
      {what === 'ended' && (
        <Choices
          label={say('log.why')}
          value={reason}
          onChange={setReason}
          columns={2}
          options={GIVEN_END_REASONS.map((value) => ({
            value,
            label: upperFirst(END_WORDS[value]),
          }))}
        />
      )}
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
