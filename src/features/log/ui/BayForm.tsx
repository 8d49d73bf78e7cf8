'use client';
import { say } from '@/messages/say';
import { useTyped } from '@/ui/draft';
import { Field } from '@/ui/Field';
import { KeepBar, WhenAndWho, type FormProps } from '@/entry/ui/parts';
import { useEntry } from '@/entry/ui/useEntry';

/** Its bay is wanted for another heap. */
export function BayForm({ heap, onDone }: FormProps) {
  const entry = useEntry('bay-wanted', heap, onDone);
  const [day, setDay] = useTyped('day', '');
  const by = day === '' ? null : Date.parse(`${day}T12:00:00Z`);
  return (
    <>
      <Field
        label={say('log.byWhichDayBayNeeded')}
        type="date"
        min={heap.nowLocal.slice(0, 10)}
        value={day}
        onChange={(e) => setDay(e.target.value)}
        hint={say('log.leaveEmptyIfNoLonger')}
      />
      <WhenAndWho entry={entry} heap={heap} />
      <KeepBar
        entry={entry}
        label={by === null ? say('log.noLongerNeeded') : say('log.save')}
        onKeep={() => entry.save({ by })}
      />
    </>
  );
}
