'use client';
import type { DeferReason } from '@/core/log/entry';
import { DEFER_WORDS } from '@/core/words/acts';
import { keysOf } from '@/core/words/feel';
import { submitOrQueue } from '@/outbox/keep';
import { Choices } from '@/ui/Choices';
import { DraftScope, useTyped } from '@/ui/draft';
import { Field, Problems } from '@/ui/Field';
import { SaveButton, whoIsMissing } from '@/ui/SaveButton';
import { Sheet } from '@/ui/Sheet';
import { useSubmit } from '@/ui/useSubmit';
import { itemAt } from '@/core/quantity/present';

const HOUR = 3_600_000;
const LATER = [
  { value: '4', label: 'In 4 hours' },
  { value: '16', label: 'Tomorrow morning' },
  { value: '24', label: 'A day' },
  { value: '48', label: 'Two days' },
] as const;
type Later = (typeof LATER)[number]['value'];
export type PutOffTask = {
  readonly key: string;
  readonly batch: string | null;
  readonly name: string;
  readonly words: { readonly act: string };
  readonly cost: string;
};

/** An advised act is put off: until when it is looked at again, why, and what it may cost. */
export const PutOff = (p: PutOffProps) => (
  <Sheet
    open
    onOpenChange={(o) => {
      if (!o) p.onDone();
    }}
    title={`${nameOf(p.task)}: not now`}
    note={p.task.words.act}
  >
    <DraftScope name={`put off ${p.task.key}`}>
      <PutOffForm {...p} />
    </DraftScope>
  </Sheet>
);
type PutOffProps = {
  readonly task: PutOffTask;
  readonly by: string;
  /** To whom it may be given. */ readonly crew?: readonly string[];
  readonly onDone: () => void;
};
const nameOf = (task: PutOffTask): string => itemAt(task.key.split(':'), 1);

function PutOffForm({ task, by: device, crew = [], onDone }: PutOffProps) {
  const { id, by, setBy, problems, busy, keep } = useSubmit(device);
  const [reason, setReason] = useTyped<DeferReason | ''>('reason', '');
  const [later, setLater] = useTyped<Later | ''>('later', '24');
  const [impossible, setImpossible] = useTyped<'no' | 'yes' | ''>('impossible', 'no');
  const [words, setWords] = useTyped('words', '');
  const name = nameOf(task);
  const [to, setTo] = useTyped('to', '');
  const give = (): void =>
    keep(
      () =>
        submitOrQueue(
          { id, batch: task.batch, kind: 'assign', at: null, by, data: { task: name, who: to } },
          `${task.name}: given to ${to}`,
        ),
      onDone,
    );
  const save = (): void =>
    keep(
      () =>
        submitOrQueue(
          {
            id,
            batch: task.batch,
            kind: 'defer',
            at: null,
            by,
            data: {
              task: name,
              until: Date.now() + Number(later) * HOUR,
              reason,
              ...(impossible === 'yes' ? { impossible: true } : {}),
              ...(words.trim() ? { words: words.trim() } : {}),
            },
          },
          `${task.name}: put off`,
        ),
      onDone,
    );
  return (
    <>
      {task.cost && (
        <p className="caution" data-testid="cost">
          {task.cost}
        </p>
      )}
      <Choices
        label="Can it be done later?"
        value={impossible}
        onChange={setImpossible}
        options={[
          { value: 'no', label: 'Later' },
          { value: 'yes', label: 'Not possible', hint: 'look again all the same' },
        ]}
      />
      <Choices
        label="Look at it again"
        value={later}
        onChange={setLater}
        columns={2}
        options={LATER}
      />
      <Choices
        label="Why"
        value={reason}
        onChange={setReason}
        columns={3}
        options={keysOf(DEFER_WORDS).map((value) => ({ value, label: DEFER_WORDS[value] }))}
      />
      <Field
        label="A few words"
        value={words}
        maxLength={200}
        onChange={(e) => setWords(e.target.value)}
      />
      <Field
        label="Who"
        value={by}
        maxLength={60}
        autoComplete="name"
        onChange={(e) => setBy(e.target.value)}
        hint="Your name goes beside it"
      />
      <Problems list={problems} />
      {crew.length > 0 && (
        <div className="flex flex-col gap-2 border-t border-rule pt-2">
          <Choices
            label="Or give it to"
            value={to}
            onChange={setTo}
            columns={3}
            options={crew.map((value) => ({ value, label: value }))}
          />
          {to !== '' && (
            <button
              type="button"
              className="btn !min-h-glove"
              disabled={busy}
              onClick={give}
            >{`${to} does it`}</button>
          )}
        </div>
      )}
      <SaveButton
        label="Put it off"
        busy={busy}
        missing={
          reason === ''
            ? 'Choose why.'
            : later === ''
              ? 'Choose when it is looked at again.'
              : whoIsMissing(by)
        }
        onSave={save}
      />
    </>
  );
}
