'use client';
import { say } from '@/messages/say';
import { Mark } from '@/charts/marks';
import type { PlanJob, PlanView } from '../view';

function JobKey({ job: j, onPress }: { job: PlanJob; onPress: () => void }) {
  return (
    <button type="button" className="btn !min-h-glove w-full !justify-start mt-1" onClick={onPress}>
      <Mark name="turn" />
      {say('plan.turnIt', { name: j.name })}
      <span className="q font-normal ml-auto">{j.minutes}</span>
    </button>
  );
}

/** The plan on a phone: day by day, each turning a key. */
export function PlanDays({ view, onPress }: { view: PlanView; onPress: (job: PlanJob) => void }) {
  return (
    <ul className="md:hidden px-4 pb-4">
      {view.days.map((d, i) => (
        <li key={i} className="ruled py-2">
          <h2 className="!text-lead flex justify-between">
            <span>{d.long}</span>
            <span className="q font-text text-small font-normal">
              {say('plan.hOfWork', { hours: d.hours })}
            </span>
          </h2>
          {d.over && <p className="marked font-semibold">{d.over}</p>}
          <ul>
            {view.jobs
              .filter((j) => j.day === i)
              .map((j) => (
                <li key={j.key}>
                  <JobKey job={j} onPress={() => onPress(j)} />
                </li>
              ))}
          </ul>
          {view.rows
            .filter((r) => r.proofAt !== null && Math.floor(r.proofAt) === i)
            .map((r) => (
              <p key={r.batch} className="text-stamp text-small font-semibold">
                {say('plan.couldMeetRuleAsPlanned3', { name: r.name })}
              </p>
            ))}
        </li>
      ))}
    </ul>
  );
}
