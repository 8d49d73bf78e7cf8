'use client';
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
      title={`${job.name}: turn it on another day`}
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
    return <p role="status">Working out what other days would do…</p>;
  if (effects === 'failed')
    return (
      <p role="alert">
        The hub did not answer, so what other days would do is not known. Close this and press the
        turning again.
      </p>
    );
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
                  {i === job.day ? 'planned' : e.text}
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
          `${job.name}: turning moved`,
        ),
      onDone,
    );
  return (
    <div className="px-4 pb-2 flex flex-wrap items-end gap-3" data-testid="confirm-move">
      <div className="w-[200px]">
        <Field
          label="Who"
          value={by}
          maxLength={60}
          autoComplete="name"
          onChange={(e) => setBy(e.target.value)}
        />
      </div>
      <button type="button" className="btn key !min-h-target mb-5" disabled={busy} onClick={save}>
        {costs ? `Move it to ${day.long} all the same` : `Move it to ${day.long}`}
      </button>
      <button type="button" className="btn mb-5" onClick={onDone}>
        Leave it
      </button>
      <Problems list={problems} />
    </div>
  );
}
