'use client';
import { firstOf } from '@/core/quantity/present';
import { say } from '@/messages/say';
import { useTyped } from '@/ui/draft';
import { positionText } from '@/core/words/position';
import { CAUTION } from '@/core/words/caution';
import { Choices } from '@/ui/Choices';
import { Effects } from '@/ui/Effects';
import { DangerFirst, KeepBar, WhenAndWho, type FormProps } from './parts';
import { StandingFields, useStanding } from './Standing';
import { useEntry, useEntryPreview } from './useEntry';

type HowMoved = 'forked' | 'lifted' | '';

/** What is still to be said before the move can be kept; null: nothing. */
function missingOf(standing: ReturnType<typeof useStanding>, how: HowMoved): string | null {
  if (!standing.changed) return say('entry.sayWhereNow');
  const { overlaps } = standing.effect;
  if (overlaps.length > 0) return say('entry.itWouldOverlap', { overlaps: firstOf(overlaps) });
  if (standing.missing !== null) return standing.missing;
  return how === '' ? say('entry.chooseHowWasMoved') : null;
}

/** A heap lifted to another place as it is; forked over on the way it is a turning too. */
export function MoveForm({ heap, onDone }: FormProps) {
  const standing = useStanding(heap, heap.placed ?? []);
  const [how, setHow] = useTyped<HowMoved>('how', '');
  const turn = useEntry('turn', heap, onDone);
  const move = useEntry('move', heap, onDone);
  const entry = how === 'forked' ? turn : move;
  const data =
    how === 'forked'
      ? {
          full: true,
          words: standing.position
            ? say('entry.movedTo', { position: positionText(standing.position) })
            : say('entry.moved'),
        }
      : {
          ...(standing.position
            ? { words: say('entry.to3', { position: positionText(standing.position) }) }
            : {}),
        };
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
        label={say('entry.howWasItMoved')}
        value={how}
        onChange={setHow}
        options={[
          {
            value: 'forked',
            label: say('entry.forkedOrTurnedOverCompletely'),
            hint: say('entry.countsAsFullTurn'),
          },
          { value: 'lifted', label: say('entry.movedAsItWas'), hint: say('entry.noTurning') },
        ]}
      />
      <WhenAndWho entry={entry} heap={heap} />
      {how !== '' && <Effects preview={preview} />}
      <p className="hint">{say('entry.itLosesHeatOnWay')}</p>
      <KeepBar
        entry={entry}
        label={say('entry.saveThisMove')}
        missing={missingOf(standing, how)}
        onKeep={keep}
      />
    </>
  );
}
