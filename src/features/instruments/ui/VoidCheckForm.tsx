'use client';
import { say } from '@/messages/say';
import { useTyped } from '@/ui/draft';
import { Field } from '@/ui/Field';
import { KeepBar, WhoField } from '@/entry/ui/parts';
import { useEntry, type HeapRef } from '@/entry/ui/useEntry';
import { CheckEffects, useCheckPreview } from './CheckEffects';
import { temp, type InstrumentLine } from './instrumentParts';

/** A check that was a mistake corrects nothing any more, and stays readable; what that does to verdicts is said first. */
export function VoidCheckForm({
  line,
  check,
  site,
  onDone,
}: {
  line: InstrumentLine;
  check: InstrumentLine['checks'][number];
  site: HeapRef;
  onDone: () => void;
}) {
  const [reason, setReason] = useTyped('reason', '');
  const entry = useEntry('correction', { ...site, id: '', name: line.name }, onDone);
  const preview = useCheckPreview({ voids: check.entry });
  const unit = line.known?.unit ?? site.unit;
  return (
    <>
      <p>
        {say('instruments.readAtOutofOutsideAccuracy', {
          when: check.when,
          readC: temp(check.readC, unit),
          referenceC: temp(check.referenceC, unit),
          off: check.off ? 'outOf' : 'other',
        })}
      </p>
      <Field
        label={say('lots.whyVoid')}
        value={reason}
        maxLength={200}
        onChange={(e) => setReason(e.target.value)}
      />
      <CheckEffects preview={preview} isVoid />
      <WhoField entry={entry} />
      <KeepBar
        entry={entry}
        label={say('instruments.voidThisCheck')}
        missing={reason.trim().length < 3 ? say('instruments.sayWhy') : null}
        onKeep={() => entry.save({ target: check.entry, reason: reason.trim() })}
      />
    </>
  );
}
