'use client';
import { say } from '@/messages/say';
import { useState } from 'react';
import type { Work } from '@/core/log/shapes';
import { submitOrQueue } from '@/outbox/keep';
import { DraftScope, useTypedFields } from '@/ui/draft';
import { Field, Problems } from '@/ui/Field';
import { SaveButton, whoIsMissing } from '@/ui/SaveButton';
import { useSubmit } from '@/ui/useSubmit';
import { missingInWork, workDraft, workOf, type WorkDraft } from '../work-draft';
import {
  ChoreFields,
  DayFields,
  LimitFields,
  MachineFields,
  PeopleFields,
  LeastSizeFields,
  WaterFields,
} from './CrewFields';

/** Who works when and with what, from where a heap is too hot, and what comes round on its own. */
export const Crew = (p: CrewProps) => (
  <DraftScope name="crew">
    <CrewForm {...p} />
  </DraftScope>
);
type CrewProps = { readonly work: Work | null; readonly by: string };

function CrewForm({ work, by: device }: CrewProps) {
  const { id, by, setBy, problems, busy, keep } = useSubmit(device);
  const [saved, setSaved] = useState(false);
  const [draft, setDraft] = useTypedFields(workDraft(work));
  const set = (change: Partial<WorkDraft>): void => {
    setSaved(false);
    setDraft(change);
  };
  const save = (): void =>
    keep(
      () =>
        submitOrQueue(
          { id, batch: null, kind: 'work', at: null, by, data: { work: workOf(draft) } },
          say('log.kindWork'),
        ),
      () => setSaved(true),
    );
  const section = { draft, set };
  return (
    <div className="px-5 py-5 max-w-[820px] flex flex-col gap-5">
      <h1>{say('terms.crewAndHours')}</h1>
      <DayFields {...section} />
      <PeopleFields {...section} />
      <MachineFields {...section} />
      <WaterFields {...section} />
      <LeastSizeFields {...section} />
      <LimitFields {...section} />
      <ChoreFields {...section} mark={id.slice(-6)} />
      <Field
        label={say('day.who')}
        value={by}
        maxLength={60}
        autoComplete="name"
        onChange={(e) => {
          setSaved(false);
          setBy(e.target.value);
        }}
      />
      <Problems list={problems} />
      <SaveButton
        label={say('day.save2')}
        busy={busy}
        missing={missingInWork(draft) ?? whoIsMissing(by)}
        onSave={save}
      />
      {saved && (
        <p role="status" className="font-semibold">
          {say('day.savedTodayPlanFollowFrom')}
        </p>
      )}
    </div>
  );
}
