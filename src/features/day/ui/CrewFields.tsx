'use client';
import { currentUnits, say } from '@/messages/say';
import { signOf } from '@/core/quantity/typed-quantity';
import type { ReactNode } from 'react';
import { USUAL_LIMITS } from '@/core/advice/templates';
import { CHORE_WORDS } from '@/telling/status/tasks';
import { CHORES } from '@/core/log/shapes';
import { Field } from '@/ui/Field';
import {
  changeAt,
  usualLimits,
  type ChoreDraft,
  type PersonDraft,
  type WorkDraft,
} from '../work-draft';

/** The parts of the form of crew, machine and limits, in its order. */
type Section = {
  readonly draft: WorkDraft;
  readonly set: (change: Partial<WorkDraft>) => void;
};

const Part = ({ title, children }: { title: string; children: ReactNode }) => (
  <section className="flex flex-col gap-2">
    <h2 className="!text-figure">{title}</h2>
    {children}
  </section>
);

const Tick = ({
  on,
  onChange,
  className = 'gap-3',
  children,
}: {
  on: boolean;
  onChange: (on: boolean) => void;
  className?: string;
  children: ReactNode;
}) => (
  <label className={`flex items-center min-h-target ${className}`}>
    <input
      type="checkbox"
      className="size-5"
      checked={on}
      onChange={(e) => onChange(e.target.checked)}
    />
    {children}
  </label>
);

const listDays = () => [
  say('day.mon'),
  say('day.tue'),
  say('day.wed'),
  say('day.thu'),
  say('day.fri'),
  say('day.sat'),
  say('day.sun'),
];
const Days = ({
  label,
  days,
  onChange,
}: {
  label: string;
  days: readonly number[];
  onChange: (days: number[]) => void;
}) => (
  <fieldset>
    <legend className="label">{label}</legend>
    <div className="flex flex-wrap gap-x-4">
      {listDays().map((d, i) => (
        <Tick
          key={d}
          className="gap-2"
          on={days.includes(i + 1)}
          onChange={(on) =>
            onChange(on ? [...days, i + 1].sort() : days.filter((x) => x !== i + 1))
          }
        >
          {d}
        </Tick>
      ))}
    </div>
  </fieldset>
);

export function DayFields({ draft: { hours, days }, set }: Section) {
  return (
    <section className="flex flex-col gap-3">
      <h2 className="!text-figure">{say('day.theWorkingDay')}</h2>
      <div className="grid grid-cols-2 gap-3 max-w-[340px]">
        <Field
          label={say('day.from')}
          type="time"
          value={hours.from}
          onChange={(e) => set({ hours: { ...hours, from: e.target.value } })}
        />
        <Field
          label={say('day.to')}
          type="time"
          value={hours.to}
          onChange={(e) => set({ hours: { ...hours, to: e.target.value } })}
        />
      </div>
      <Days label={say('day.days')} days={days} onChange={(d) => set({ days: d })} />
    </section>
  );
}

function PersonFields({
  person,
  onChange,
  onOut,
}: {
  person: PersonDraft;
  onChange: (change: Partial<PersonDraft>) => void;
  onOut: () => void;
}) {
  return (
    <div className="grid grid-cols-[1fr_130px_auto_auto] gap-3 items-start max-sm:grid-cols-2">
      <Field
        label={say('day.name')}
        value={person.name}
        maxLength={60}
        onChange={(e) => onChange({ name: e.target.value })}
      />
      <Field
        label={say('day.forComposting')}
        unit={say('day.hADay')}
        inputMode="decimal"
        value={person.hours}
        onChange={(e) => onChange({ hours: e.target.value })}
      />
      <Tick className="gap-2 mt-6" on={person.drives} onChange={(drives) => onChange({ drives })}>
        {say('day.drivesTheMachine')}
      </Tick>
      <button type="button" className="btn mt-6" onClick={onOut}>
        {say('day.remove')}
        <span className="sr-only"> {person.name}</span>
      </button>
    </div>
  );
}

export function PeopleFields({ draft: { crew }, set }: Section) {
  return (
    <Part title={say('day.who')}>
      {crew.map((person, i) => (
        <PersonFields
          key={i}
          person={person}
          onChange={(change) => set({ crew: changeAt(crew, i, change) })}
          onOut={() => set({ crew: crew.filter((_, k) => k !== i) })}
        />
      ))}
      <p>
        <button
          type="button"
          className="btn"
          onClick={() => set({ crew: [...crew, { name: '', hours: '2', drives: false }] })}
        >
          {say('day.addAPerson')}
        </button>
      </p>
    </Part>
  );
}

export function MachineFields({ draft: { machine }, set }: Section) {
  const change = (part: Partial<WorkDraft['machine']>): void =>
    set({ machine: { ...machine, ...part } });
  return (
    <Part title={say('day.machine')}>
      <Tick on={machine.on} onChange={(on) => change({ on })}>
        {say('day.thereLoaderOrTurner')}
      </Tick>
      {machine.on && (
        <>
          <div className="grid grid-cols-[1fr_150px] gap-3 max-w-[420px]">
            <Field
              label={say('day.itsName')}
              value={machine.name}
              maxLength={40}
              onChange={(e) => change({ name: e.target.value })}
            />
            <Field
              label={say('day.hoursForComposting')}
              unit={say('day.hADay')}
              inputMode="decimal"
              value={machine.hours}
              onChange={(e) => change({ hours: e.target.value })}
            />
          </div>
          <Days label={say('day.on')} days={machine.days} onChange={(days) => change({ days })} />
        </>
      )}
    </Part>
  );
}

export function WaterFields({ draft, set }: Section) {
  return (
    <Part title={say('day.water')}>
      <div className="grid grid-cols-2 gap-3 max-w-[420px]">
        <Field
          label={say('day.theHoseGives')}
          unit={signOf('flow')}
          inputMode="decimal"
          value={draft.flow}
          onChange={(e) => set({ flow: e.target.value })}
          hint={say('day.timeFullBucket10L', { system: currentUnits().system })}
        />
        <Field
          label={say('day.aBucketHolds')}
          unit={signOf('litres')}
          inputMode="decimal"
          value={draft.bucket}
          onChange={(e) => set({ bucket: e.target.value })}
        />
      </div>
    </Part>
  );
}

export function LeastSizeFields({ draft, set }: Section) {
  return (
    <Part title={say('day.size')}>
      <div className="max-w-[200px]">
        <Field
          label={say('day.smallestBatchHeatsWell')}
          unit={signOf('volume')}
          inputMode="decimal"
          value={draft.least}
          onChange={(e) => set({ least: e.target.value })}
          hint={say('day.usuallyAboutOneMixCalculator', { usual: 1 })}
        />
      </div>
    </Part>
  );
}

export function LimitFields({ draft: { limits }, set }: Section) {
  return (
    <Part title={say('day.tooHot')}>
      <Tick on={limits !== null} onChange={(on) => set({ limits: on ? usualLimits() : null })}>
        {say('day.thisSiteHasOwnLimits')}
      </Tick>
      {limits ? (
        <div className="grid grid-cols-3 gap-3 max-w-[480px]">
          <Field
            label={say('day.watchFrom')}
            unit={signOf('celsius')}
            inputMode="decimal"
            value={limits.warnC}
            onChange={(e) => set({ limits: { ...limits, warnC: e.target.value } })}
          />
          <Field
            label={say('day.actFrom')}
            unit={signOf('celsius')}
            inputMode="decimal"
            value={limits.actC}
            onChange={(e) => set({ limits: { ...limits, actC: e.target.value } })}
          />
          <Field
            label={say('day.dangerFrom')}
            unit={signOf('celsius')}
            inputMode="decimal"
            value={limits.dangerC}
            onChange={(e) => set({ limits: { ...limits, dangerC: e.target.value } })}
            hint={say('day.neverAbove80', { most: 80 })}
          />
        </div>
      ) : (
        <p className="hint">
          {say('day.withoutTheseEachMethodUses', {
            warnC: USUAL_LIMITS.warnC,
            actC: USUAL_LIMITS.actC,
            dangerC: USUAL_LIMITS.dangerC,
          })}
        </p>
      )}
    </Part>
  );
}

function ChoreLine({
  chore,
  onChange,
  onOut,
}: {
  chore: ChoreDraft;
  onChange: (change: Partial<ChoreDraft>) => void;
  onOut: () => void;
}) {
  return (
    <div className="grid grid-cols-[170px_1fr_100px_100px_auto] gap-3 items-start max-sm:grid-cols-2">
      <div>
        <label className="label" htmlFor={`chore-${chore.id}`}>
          {say('advice.regularTask')}
        </label>
        <select
          id={`chore-${chore.id}`}
          className="field"
          value={chore.what}
          onChange={(e) => onChange({ what: e.target.value as ChoreDraft['what'] })}
        >
          {CHORES.map((w) => (
            <option key={w} value={w}>
              {CHORE_WORDS[w]}
            </option>
          ))}
        </select>
      </div>
      <Field
        label={say('day.inYourWords')}
        value={chore.words}
        maxLength={120}
        onChange={(e) => onChange({ words: e.target.value })}
      />
      <Field
        label={say('day.every')}
        unit={say('day.days2')}
        inputMode="decimal"
        value={chore.every}
        onChange={(e) => onChange({ every: e.target.value })}
      />
      <Field
        label={say('day.takes')}
        unit="min"
        inputMode="decimal"
        value={chore.minutes}
        onChange={(e) => onChange({ minutes: e.target.value })}
      />
      <button type="button" className="btn mt-6" onClick={onOut}>
        {say('day.remove')}
      </button>
    </div>
  );
}

/** @param mark tells chores of this form from those that were there before */
export function ChoreFields({ draft: { chores }, set, mark }: Section & { mark: string }) {
  const add = (): void => {
    const id = `c${chores.length + 1}-${mark}`;
    const chore = { id, what: 'leachate', words: '', every: '1', minutes: '10' } as const;
    set({ chores: [...chores, chore] });
  };
  return (
    <Part title={say('day.regularTasks')}>
      {chores.map((chore, i) => (
        <ChoreLine
          key={chore.id}
          chore={chore}
          onChange={(change) => set({ chores: changeAt(chores, i, change) })}
          onOut={() => set({ chores: chores.filter((_, k) => k !== i) })}
        />
      ))}
      <p>
        <button type="button" className="btn" onClick={add}>
          {say('day.addARegularTask')}
        </button>
      </p>
    </Part>
  );
}
