'use client';
import { say } from '@/messages/say';
import { submitOrQueue } from '@/outbox/keep';
import { Field, Problems } from '@/ui/Field';
import { Sheet } from '@/ui/Sheet';
import { useSubmit } from '@/ui/useSubmit';
import type { PlanJob, PlanView } from '../view';
import type { KnownEffects } from './useDayEffects';

/** The days that a turning may be moved to, with what each does to the proof. */
export function MoveSheet({
  job,
  effects,
  days,
  onClose,
  onChoose,
}: {
  job: PlanJob;
  effects: KnownEffects | null;
  days: PlanView['days'];
  onClose: () => void;
  onChoose: (day: number) => void;
}) {
  return (
    <Sheet
      open
      onOpenChange={(o) => {
        if (!o) onClose();
      }}
      title={say('plan.turnOnAnotherDay', { name: job.name })}
      note={job.says}
    >
      <OtherDays job={job} effects={effects} days={days} onChoose={onChoose} />
    </Sheet>
  );
}

function OtherDays({
  job,
  effects,
  days,
  onChoose,
}: {
  job: PlanJob;
  effects: KnownEffects | null;
  days: PlanView['days'];
  onChoose: (day: number) => void;
}) {
  if (effects === null || effects === 'asked')
    return <p role="status">{say('plan.workingOutWhatOtherDays')}</p>;
  if (effects === 'failed') return <p role="alert">{say('plan.theServerDidNotAnswer')}</p>;
  return (
    <ul className="flex flex-col">
      {days.map((d, i) => {
        const e = effects[i];
        return (
          e && (
            <li key={i} className="border-b border-rule">
              <button
                type="button"
                disabled={i === job.day}
                className="w-full text-left min-h-glove py-1.5 grid grid-cols-[100px_1fr] gap-3 items-center"
                onClick={() => onChoose(i)}
              >
                <b className="font-semibold">{d.long}</b>
                <span className={`text-small ${e.costs ? 'marked' : ''}`}>
                  {i === job.day ? say('plan.planned') : e.text}
                </span>
              </button>
            </li>
          )
        );
      })}
    </ul>
  );
}

/** Keeps the move, by whoever decides it; or leaves the turning where it is. */
export function ConfirmMove({
  job,
  day,
  costs,
  by: device,
  onDone,
}: {
  job: PlanJob;
  day: PlanView['days'][number];
  costs: boolean;
  by: string;
  onDone: () => void;
}) {
  const { id, by, setBy, problems, busy, keep } = useSubmit(device);
  const save = (): void =>
    keep(
      () =>
        submitOrQueue(
          {
            id,
            batch: job.batch,
            kind: 'assign',
            at: null,
            by,
            data: { task: job.task, day: day.noon },
          },
          say('plan.turningMoved', { name: job.name }),
        ),
      onDone,
    );
  return (
    <div className="px-4 pb-2 flex flex-wrap items-end gap-3" data-testid="confirm-move">
      <div className="w-[200px]">
        <Field
          label={say('plan.who')}
          value={by}
          maxLength={60}
          autoComplete="name"
          onChange={(e) => setBy(e.target.value)}
        />
      </div>
      <button type="button" className="btn key !min-h-target mb-5" disabled={busy} onClick={save}>
        {costs
          ? say('plan.moveItToAnyway', { long: day.long })
          : say('plan.moveItTo', { long: day.long })}
      </button>
      <button type="button" className="btn mb-5" onClick={onDone}>
        {say('plan.leaveIt')}
      </button>
      <Problems list={problems} />
    </div>
  );
}
