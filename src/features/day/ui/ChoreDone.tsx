'use client';
import { say } from '@/messages/say';
import { CAUTION } from '@/core/words/caution';
import { submitOrQueue } from '@/outbox/keep';
import { DraftScope, useTyped } from '@/ui/draft';
import { Field, Problems } from '@/ui/Field';
import { SaveButton, whoIsMissing } from '@/ui/SaveButton';
import { signOf, typedQuantity } from '@/core/quantity/typed-quantity';
import { Sheet } from '@/ui/Sheet';
import { useSubmit } from '@/ui/useSubmit';
import type { TodayTask } from '../view';

/** A chore that was done: by whom, and how much came out where something did. */
export const ChoreDone = (p: ChoreDoneProps) => (
  <Sheet
    open
    onOpenChange={(o) => {
      if (!o) p.onDone();
    }}
    title={say('day.done', { act: p.task.words.act })}
  >
    <DraftScope name={`chore ${p.task.chore!.id}`}>
      <ChoreForm {...p} />
    </DraftScope>
  </Sheet>
);
type ChoreDoneProps = {
  readonly task: TodayTask;
  readonly by: string;
  readonly onDone: () => void;
};

function ChoreForm({ task, by: device, onDone }: ChoreDoneProps) {
  const { id, by, setBy, problems, busy, keep } = useSubmit(device);
  const [litres, setLitres] = useTyped('litres', '');
  const leachate = task.chore?.what === 'leachate';
  const amount = typedQuantity('litres', litres);
  const save = (): void =>
    keep(
      () =>
        submitOrQueue(
          {
            id,
            batch: null,
            kind: 'chore',
            at: null,
            by,
            data: {
              chore: task.chore!.id,
              ...(typeof amount === 'number' ? { litres: amount } : {}),
            },
          },
          task.words.act,
        ),
      onDone,
    );
  return (
    <>
      {leachate && (
        <>
          <p className="caution">{CAUTION.raw}</p>
          <Field
            label={say('day.howMuch')}
            unit={signOf('litres')}
            inputMode="decimal"
            value={litres}
            onChange={(e) => setLitres(e.target.value)}
            problem={amount === null ? say('bench.typeWaterAsLitersOr') : undefined}
            hint={say('day.didGoOnAnotherBatch')}
          />
        </>
      )}
      <Field
        label={say('day.who')}
        value={by}
        maxLength={60}
        autoComplete="name"
        onChange={(e) => setBy(e.target.value)}
        hint={say('entry.yourNameSavedWith')}
      />
      <Problems list={problems} />
      <SaveButton
        label={say('day.save')}
        busy={busy}
        missing={amount === null ? say('bench.typeWaterAsLitersOr') : whoIsMissing(by)}
        onSave={save}
      />
    </>
  );
}
