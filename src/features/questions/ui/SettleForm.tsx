'use client';
import { useTyped } from '@/ui/draft';
import { KeepBar, WhoField } from '@/entry/ui/parts';
import { useNamedEntry, type HeapRef } from '@/entry/ui/useEntry';

/** Texts that the page brings along: the file of all texts need not hold them. */
export type SettleTexts = Readonly<Record<'settleIt' | 'reason' | 'reasonMissing', string>>;

/** A manager looked into something that speaks against the evidence, and says why it is settled. */
export function SettleForm({
  heap,
  question,
  texts,
}: {
  heap: HeapRef;
  question: string;
  texts: SettleTexts;
}) {
  const [reason, setReason] = useTyped('reason', '');
  const entry = useNamedEntry('question-closed', texts.settleIt, heap, () => setReason(''));
  return (
    <div className="flex flex-col gap-3 max-w-[560px] pb-2" data-testid="settle">
      <label className="label" htmlFor={`reason-${question}`}>
        {texts.reason}
        <textarea
          id={`reason-${question}`}
          className="field"
          rows={3}
          maxLength={2000}
          value={reason}
          onChange={(e) => setReason(e.target.value)}
        />
      </label>
      <WhoField entry={entry} />
      <KeepBar
        entry={entry}
        label={texts.settleIt}
        missing={reason.trim() === '' ? texts.reasonMissing : null}
        onKeep={() => entry.save({ question, reason: reason.trim() })}
      />
    </div>
  );
}
