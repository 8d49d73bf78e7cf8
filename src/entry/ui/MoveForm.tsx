'use client';
import { useTyped } from '@/ui/draft';
import { positionText } from '@/core/words/position';
import { CAUTION } from '@/core/words/caution';
import { Choices } from '@/ui/Choices';
import { Effects } from '@/ui/Effects';
import { DangerFirst, KeepBar, WhenAndWho, type FormProps } from './parts';
import { StandingFields, useStanding } from './Standing';
import { useEntry, useEntryPreview } from './useEntry';

/** A heap lifted to another place as it is; forked over on the way it is a turning too. */
export function MoveForm({ heap, onDone }: FormProps) {
  const standing = useStanding(heap, heap.placed ?? []);
  const [how, setHow] = useTyped<'forked' | 'lifted' | ''>('how', '');
  const turn = useEntry('turn', heap, onDone);
  const move = useEntry('move', heap, onDone);
  const entry = how === 'forked' ? turn : move;
  const data =
    how === 'forked'
      ? {
          full: true,
          words: `moved${standing.position ? ` to ${positionText(standing.position)}` : ''}`,
        }
      : { ...(standing.position ? { words: `to ${positionText(standing.position)}` } : {}) };
  const preview = useEntryPreview(entry, how === '' ? null : data);
  const keep = (): void =>
    entry.save(data, async () => {
      const wrong = await standing.keep(entry.by, entry.at);
      if (wrong.length > 0) entry.setProblems(wrong);
      else onDone();
    });
  return (
    <>
      <DangerFirst heap={heap} />
      <p className="caution">
        {CAUTION.steam} {CAUTION.lift}
      </p>
      <StandingFields standing={standing} />
      <Choices
        label="How was it moved?"
        value={how}
        onChange={setHow}
        options={[
          { value: 'forked', label: 'Forked over whole', hint: 'counts as a full turning' },
          { value: 'lifted', label: 'Lifted as it was', hint: 'no turning' },
        ]}
      />
      <WhenAndWho entry={entry} heap={heap} />
      {how !== '' && <Effects preview={preview} />}
      <p className="hint">It loses heat on the way: read it the same afternoon and the next day.</p>
      <KeepBar
        entry={entry}
        label="Keep this move"
        missing={
          !standing.changed
            ? 'Say where it stands now.'
            : standing.effect.overlaps.length > 0
              ? `It would lie over ${standing.effect.overlaps[0]}.`
              : how === ''
                ? 'Choose how it was moved.'
                : null
        }
        onKeep={keep}
      />
    </>
  );
}
