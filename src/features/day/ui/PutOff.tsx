'use client';
import { say } from '@/messages/say';
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
  {
    value: '4',
    get label() {
      return say('day.in4Hours');
    },
  },
  {
    value: '16',
    get label() {
      return say('day.tomorrowMorning');
    },
  },
  {
    value: '24',
    get label() {
      return say('day.inADay');
    },
  },
  {
    value: '48',
    get label() {
      return say('day.inTwoDays');
    },
  },
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
    title={say('day.notNow', { task: nameOf(p.task) })}
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
          say('day.assignedTo', { name: task.name, to }),
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
          say('day.postponed2', { name: task.name }),
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
        label={say('day.canDoneLater')}
        value={impossible}
        onChange={setImpossible}
        options={[
          { value: 'no', label: say('day.later') },
          { value: 'yes', label: say('day.notPossible'), hint: say('day.checkAgainAnyway') },
        ]}
      />
      <Choices
        label={say('day.checkItAgain')}
        value={later}
        onChange={setLater}
        columns={2}
        options={LATER}
      />
      <Choices
        label={say('day.why')}
        value={reason}
        onChange={setReason}
        columns={3}
        options={keysOf(DEFER_WORDS).map((value) => ({ value, label: DEFER_WORDS[value] }))}
      />
      <Field
        label={say('day.aFewWords')}
        value={words}
        maxLength={200}
        onChange={(e) => setWords(e.target.value)}
      />
      <Field
        label={say('day.who')}
        value={by}
        maxLength={60}
        autoComplete="name"
        onChange={(e) => setBy(e.target.value)}
        hint={say('entry.yourNameSavedWith')}
      />
      <Problems list={problems} />
      {crew.length > 0 && (
        <div className="flex flex-col gap-2 border-t border-rule pt-2">
          <Choices
            label={say('day.orAssignItTo')}
            value={to}
            onChange={setTo}
            columns={3}
            options={crew.map((value) => ({ value, label: value }))}
          />
          {to !== '' && (
            <button type="button" className="btn !min-h-glove" disabled={busy} onClick={give}>
              {say('day.doesIt', { to })}
            </button>
          )}
        </div>
      )}
      <SaveButton
        label={say('day.postpone')}
        busy={busy}
        missing={
          reason === ''
            ? say('day.chooseAReason')
            : later === ''
              ? say('day.chooseWhenCheckAgain')
              : whoIsMissing(by)
        }
        onSave={save}
      />
    </>
  );
}
