'use client';
import type { ReactNode } from 'react';
import { USUAL_LIMITS } from '@/core/advice/templates';
import { CHORE_WORDS } from '@/core/advice/words';
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

const DAYS = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'];
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
      {DAYS.map((d, i) => (
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
      <h2 className="!text-figure">The working day</h2>
      <div className="grid grid-cols-2 gap-3 max-w-[340px]">
        <Field
          label="From"
          type="time"
          value={hours.from}
          onChange={(e) => set({ hours: { ...hours, from: e.target.value } })}
        />
        <Field
          label="To"
          type="time"
          value={hours.to}
          onChange={(e) => set({ hours: { ...hours, to: e.target.value } })}
        />
      </div>
      <Days label="Days" days={days} onChange={(d) => set({ days: d })} />
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
        label="Name"
        value={person.name}
        maxLength={60}
        onChange={(e) => onChange({ name: e.target.value })}
      />
      <Field
        label="For heaps"
        unit="h a day"
        inputMode="decimal"
        value={person.hours}
        onChange={(e) => onChange({ hours: e.target.value })}
      />
      <Tick className="gap-2 mt-6" on={person.drives} onChange={(drives) => onChange({ drives })}>
        drives the machine
      </Tick>
      <button type="button" className="btn mt-6" onClick={onOut}>
        Take out<span className="sr-only"> {person.name}</span>
      </button>
    </div>
  );
}

export function PeopleFields({ draft: { crew }, set }: Section) {
  return (
    <Part title="Who">
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
          Add a person
        </button>
      </p>
    </Part>
  );
}

export function MachineFields({ draft: { machine }, set }: Section) {
  const change = (part: Partial<WorkDraft['machine']>): void =>
    set({ machine: { ...machine, ...part } });
  return (
    <Part title="Machine">
      <Tick on={machine.on} onChange={(on) => change({ on })}>
        There is a loader or a turner
      </Tick>
      {machine.on && (
        <>
          <div className="grid grid-cols-[1fr_150px] gap-3 max-w-[420px]">
            <Field
              label="What it is called"
              value={machine.name}
              maxLength={40}
              onChange={(e) => change({ name: e.target.value })}
            />
            <Field
              label="Free for heaps"
              unit="h a day"
              inputMode="decimal"
              value={machine.hours}
              onChange={(e) => change({ hours: e.target.value })}
            />
          </div>
          <Days label="On" days={machine.days} onChange={(days) => change({ days })} />
        </>
      )}
    </Part>
  );
}

export function WaterFields({ draft, set }: Section) {
  return (
    <Part title="Water">
      <div className="grid grid-cols-2 gap-3 max-w-[420px]">
        <Field
          label="The hose gives"
          unit="L a minute"
          inputMode="decimal"
          value={draft.flow}
          onChange={(e) => set({ flow: e.target.value })}
          hint="Time a full bucket: 10 L in 40 s is 15"
        />
        <Field
          label="A bucket holds"
          unit="L"
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
    <Part title="Size">
      <div className="max-w-[200px]">
        <Field
          label="A heap wants at least"
          unit="m³"
          inputMode="decimal"
          value={draft.least}
          onChange={(e) => set({ least: e.target.value })}
          hint="about one, as a rule; the bench warns below it"
        />
      </div>
    </Part>
  );
}

export function LimitFields({ draft: { limits }, set }: Section) {
  return (
    <Part title="Too hot">
      <Tick on={limits !== null} onChange={(on) => set({ limits: on ? usualLimits() : null })}>
        This site has limits of its own, for every method
      </Tick>
      {limits ? (
        <div className="grid grid-cols-3 gap-3 max-w-[480px]">
          <Field
            label="Look out from"
            unit="°C"
            inputMode="decimal"
            value={limits.warnC}
            onChange={(e) => set({ limits: { ...limits, warnC: e.target.value } })}
          />
          <Field
            label="Act from"
            unit="°C"
            inputMode="decimal"
            value={limits.actC}
            onChange={(e) => set({ limits: { ...limits, actC: e.target.value } })}
          />
          <Field
            label="Danger from"
            unit="°C"
            inputMode="decimal"
            value={limits.dangerC}
            onChange={(e) => set({ limits: { ...limits, dangerC: e.target.value } })}
            hint="never above 80"
          />
        </div>
      ) : (
        <p className="hint">
          Without, each method goes by its own: usually {USUAL_LIMITS.warnC}, {USUAL_LIMITS.actC}{' '}
          and {USUAL_LIMITS.dangerC} °C.
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
          Chore
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
        label="In your words"
        value={chore.words}
        maxLength={120}
        onChange={(e) => onChange({ words: e.target.value })}
      />
      <Field
        label="Every"
        unit="days"
        inputMode="decimal"
        value={chore.every}
        onChange={(e) => onChange({ every: e.target.value })}
      />
      <Field
        label="Takes"
        unit="min"
        inputMode="decimal"
        value={chore.minutes}
        onChange={(e) => onChange({ minutes: e.target.value })}
      />
      <button type="button" className="btn mt-6" onClick={onOut}>
        Take out
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
    <Part title="What comes round">
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
          Add a chore
        </button>
      </p>
    </Part>
  );
}
