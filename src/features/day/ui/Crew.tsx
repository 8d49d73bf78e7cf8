'use client';
import { useState } from 'react';
import { CHORES, type Limits, type Work } from '@/core/log/shapes';
import { CHORE_WORDS } from '@/core/advice/words';
import { USUAL_LIMITS } from '@/core/advice/templates';
import { MIN_HOT_M3 } from '@/core/heap/size';
import { submitOrQueue } from '@/outbox/keep';
import { DraftScope, useTyped } from '@/ui/draft';
import { Field, Problems } from '@/ui/Field';
import { SaveButton, whoIsMissing } from '@/ui/SaveButton';
import { typed } from '@/core/quantity/typed-number';
import { useSubmit } from '@/ui/useSubmit';

const DAYS = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'];
type Person = { name: string; hours: string; drives: boolean };
type Chore = {
  id: string;
  what: (typeof CHORES)[number];
  words: string;
  every: string;
  minutes: string;
};
const AT_FIRST: Work = {
  from: '08:00',
  to: '17:00',
  days: [1, 2, 3, 4, 5],
  crew: [],
  machine: null,
  flowLPerMin: 15,
  bucketL: 10,
  limits: null,
  chores: [],
};

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
        <label key={d} className="flex gap-2 items-center min-h-[44px]">
          <input
            type="checkbox"
            className="size-5"
            checked={days.includes(i + 1)}
            onChange={(e) =>
              onChange(e.target.checked ? [...days, i + 1].sort() : days.filter((x) => x !== i + 1))
            }
          />
          {d}
        </label>
      ))}
    </div>
  </fieldset>
);

/** Who works when and with what, from where a heap is too hot, and what comes round on its own. */
export const Crew = (p: CrewProps) => (
  <DraftScope name="crew">
    <CrewForm {...p} />
  </DraftScope>
);
type CrewProps = { readonly work: Work | null; readonly by: string };

function CrewForm({ work, by: device }: CrewProps) {
  const at = work ?? AT_FIRST;
  const { id, by, setBy, problems, busy, keep } = useSubmit(device);
  const [saved, setSaved] = useState(false);
  const [{ from, to }, setHours] = useTyped('hours', { from: at.from, to: at.to });
  const [days, setDays] = useTyped<readonly number[]>('days', at.days);
  const [crew, setCrew] = useTyped<readonly Person[]>(
    'crew',
    at.crew.map((p) => ({ name: p.name, hours: String(p.hoursPerDay), drives: p.drives })),
  );
  const [machine, setMachine] = useTyped('machine', {
    on: at.machine !== null,
    name: at.machine?.name ?? 'Loader',
    hours: String(at.machine?.hoursPerDay ?? 4),
    days: at.machine?.days ?? [1, 2, 3, 4, 5],
  });
  const [flow, setFlow] = useTyped('flow', String(at.flowLPerMin));
  const [bucket, setBucket] = useTyped('bucket', String(at.bucketL));
  const [least, setLeast] = useTyped('least', String(at.leastM3 ?? MIN_HOT_M3));
  const [limits, setLimits] = useTyped<Record<keyof Limits, string> | null>(
    'limits',
    at.limits && {
      warnC: String(at.limits.warnC),
      actC: String(at.limits.actC),
      dangerC: String(at.limits.dangerC),
    },
  );
  const [chores, setChores] = useTyped<readonly Chore[]>(
    'chores',
    at.chores.map((c) => ({
      id: c.id,
      what: c.what,
      words: c.words ?? '',
      every: String(c.everyDays),
      minutes: String(c.minutes),
    })),
  );
  const change = <T,>(list: readonly T[], i: number, part: Partial<T>): T[] =>
    list.map((x, k) => (k === i ? { ...x, ...part } : x));
  const numbers = [
    flow,
    bucket,
    least,
    ...crew.map((p) => p.hours),
    ...chores.flatMap((c) => [c.every, c.minutes]),
    ...(machine.on ? [machine.hours] : []),
    ...(limits ? Object.values(limits) : []),
  ].map((t) => typed(t));
  const wrong = numbers.some((n) => typeof n !== 'number')
    ? 'Every figure wants a number.'
    : crew.some((p) => p.name.trim() === '')
      ? 'Each person wants a name; take the line out if nobody is meant.'
      : days.length === 0
        ? 'Choose one day at least.'
        : null;
  const figure = (t: string): number => typed(t)!;
  const save = (): void =>
    keep(
      () =>
        submitOrQueue(
          {
            id,
            batch: null,
            kind: 'work',
            at: null,
            by,
            data: {
              work: {
                from,
                to,
                days: [...days],
                crew: crew.map((p) => ({
                  name: p.name.trim(),
                  hoursPerDay: figure(p.hours),
                  drives: p.drives,
                })),
                machine: machine.on
                  ? {
                      name: machine.name.trim() || 'Loader',
                      hoursPerDay: figure(machine.hours),
                      days: machine.days,
                    }
                  : null,
                flowLPerMin: figure(flow),
                bucketL: figure(bucket),
                leastM3: figure(least),
                limits: limits && {
                  warnC: figure(limits.warnC),
                  actC: figure(limits.actC),
                  dangerC: figure(limits.dangerC),
                },
                chores: chores.map((c) => ({
                  id: c.id,
                  what: c.what,
                  ...(c.words.trim() ? { words: c.words.trim() } : {}),
                  everyDays: figure(c.every),
                  minutes: figure(c.minutes),
                })),
              } satisfies Work,
            },
          },
          'crew and hours',
        ),
      () => setSaved(true),
    );
  return (
    <div className="px-5 py-5 max-w-[820px] flex flex-col gap-5" onInput={() => setSaved(false)}>
      <h1>Crew, machine, limits</h1>
      <section className="flex flex-col gap-3">
        <h2 className="!text-[19px]">The working day</h2>
        <div className="grid grid-cols-2 gap-3 max-w-[340px]">
          <Field
            label="From"
            type="time"
            value={from}
            onChange={(e) => setHours({ from: e.target.value, to })}
          />
          <Field
            label="To"
            type="time"
            value={to}
            onChange={(e) => setHours({ from, to: e.target.value })}
          />
        </div>
        <Days label="Days" days={days} onChange={setDays} />
      </section>
      <section className="flex flex-col gap-2">
        <h2 className="!text-[19px]">Who</h2>
        {crew.map((p, i) => (
          <div
            key={i}
            className="grid grid-cols-[1fr_130px_auto_auto] gap-3 items-start max-sm:grid-cols-2"
          >
            <Field
              label="Name"
              value={p.name}
              maxLength={60}
              onChange={(e) => setCrew(change(crew, i, { name: e.target.value }))}
            />
            <Field
              label="For heaps"
              unit="h a day"
              inputMode="decimal"
              value={p.hours}
              onChange={(e) => setCrew(change(crew, i, { hours: e.target.value }))}
            />
            <label className="flex gap-2 items-center min-h-[44px] mt-6">
              <input
                type="checkbox"
                className="size-5"
                checked={p.drives}
                onChange={(e) => setCrew(change(crew, i, { drives: e.target.checked }))}
              />
              drives the machine
            </label>
            <button
              type="button"
              className="btn mt-6"
              onClick={() => {
                setCrew(crew.filter((_, k) => k !== i));
                setSaved(false);
              }}
            >
              Take out<span className="sr-only"> {p.name}</span>
            </button>
          </div>
        ))}
        <p>
          <button
            type="button"
            className="btn"
            onClick={() => setCrew([...crew, { name: '', hours: '2', drives: false }])}
          >
            Add a person
          </button>
        </p>
      </section>
      <section className="flex flex-col gap-2">
        <h2 className="!text-[19px]">Machine</h2>
        <label className="flex gap-3 items-center min-h-[44px]">
          <input
            type="checkbox"
            className="size-5"
            checked={machine.on}
            onChange={(e) => setMachine({ ...machine, on: e.target.checked })}
          />
          There is a loader or a turner
        </label>
        {machine.on && (
          <>
            <div className="grid grid-cols-[1fr_150px] gap-3 max-w-[420px]">
              <Field
                label="What it is called"
                value={machine.name}
                maxLength={40}
                onChange={(e) => setMachine({ ...machine, name: e.target.value })}
              />
              <Field
                label="Free for heaps"
                unit="h a day"
                inputMode="decimal"
                value={machine.hours}
                onChange={(e) => setMachine({ ...machine, hours: e.target.value })}
              />
            </div>
            <Days
              label="On"
              days={machine.days}
              onChange={(d) => setMachine({ ...machine, days: d })}
            />
          </>
        )}
      </section>
      <section className="flex flex-col gap-2">
        <h2 className="!text-[19px]">Water</h2>
        <div className="grid grid-cols-2 gap-3 max-w-[420px]">
          <Field
            label="The hose gives"
            unit="L a minute"
            inputMode="decimal"
            value={flow}
            onChange={(e) => setFlow(e.target.value)}
            hint="Time a full bucket: 10 L in 40 s is 15"
          />
          <Field
            label="A bucket holds"
            unit="L"
            inputMode="decimal"
            value={bucket}
            onChange={(e) => setBucket(e.target.value)}
          />
        </div>
      </section>
      <section className="flex flex-col gap-2">
        <h2 className="!text-[19px]">Size</h2>
        <div className="max-w-[200px]">
          <Field
            label="A heap wants at least"
            unit="m³"
            inputMode="decimal"
            value={least}
            onChange={(e) => setLeast(e.target.value)}
            hint="about one, as a rule; the bench warns below it"
          />
        </div>
      </section>
      <section className="flex flex-col gap-2">
        <h2 className="!text-[19px]">Too hot</h2>
        <label className="flex gap-3 items-center min-h-[44px]">
          <input
            type="checkbox"
            className="size-5"
            checked={limits !== null}
            onChange={(e) =>
              setLimits(
                e.target.checked
                  ? {
                      warnC: String(USUAL_LIMITS.warnC),
                      actC: String(USUAL_LIMITS.actC),
                      dangerC: String(USUAL_LIMITS.dangerC),
                    }
                  : null,
              )
            }
          />
          This site has limits of its own, for every method
        </label>
        {limits ? (
          <div className="grid grid-cols-3 gap-3 max-w-[480px]">
            <Field
              label="Look out from"
              unit="°C"
              inputMode="decimal"
              value={limits.warnC}
              onChange={(e) => setLimits({ ...limits, warnC: e.target.value })}
            />
            <Field
              label="Act from"
              unit="°C"
              inputMode="decimal"
              value={limits.actC}
              onChange={(e) => setLimits({ ...limits, actC: e.target.value })}
            />
            <Field
              label="Danger from"
              unit="°C"
              inputMode="decimal"
              value={limits.dangerC}
              onChange={(e) => setLimits({ ...limits, dangerC: e.target.value })}
              hint="never above 80"
            />
          </div>
        ) : (
          <p className="hint">
            Without, each method goes by its own: usually {USUAL_LIMITS.warnC}, {USUAL_LIMITS.actC}{' '}
            and {USUAL_LIMITS.dangerC} °C.
          </p>
        )}
      </section>
      <section className="flex flex-col gap-2">
        <h2 className="!text-[19px]">What comes round</h2>
        {chores.map((c, i) => (
          <div
            key={c.id}
            className="grid grid-cols-[170px_1fr_100px_100px_auto] gap-3 items-start max-sm:grid-cols-2"
          >
            <div>
              <label className="label" htmlFor={`chore-${i}`}>
                Chore
              </label>
              <select
                id={`chore-${i}`}
                className="field"
                value={c.what}
                onChange={(e) =>
                  setChores(change(chores, i, { what: e.target.value as Chore['what'] }))
                }
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
              value={c.words}
              maxLength={120}
              onChange={(e) => setChores(change(chores, i, { words: e.target.value }))}
            />
            <Field
              label="Every"
              unit="days"
              inputMode="decimal"
              value={c.every}
              onChange={(e) => setChores(change(chores, i, { every: e.target.value }))}
            />
            <Field
              label="Takes"
              unit="min"
              inputMode="decimal"
              value={c.minutes}
              onChange={(e) => setChores(change(chores, i, { minutes: e.target.value }))}
            />
            <button
              type="button"
              className="btn mt-6"
              onClick={() => {
                setChores(chores.filter((_, k) => k !== i));
                setSaved(false);
              }}
            >
              Take out
            </button>
          </div>
        ))}
        <p>
          <button
            type="button"
            className="btn"
            onClick={() =>
              setChores([
                ...chores,
                {
                  id: `c${chores.length + 1}-${id.slice(-6)}`,
                  what: 'leachate',
                  words: '',
                  every: '1',
                  minutes: '10',
                },
              ])
            }
          >
            Add a chore
          </button>
        </p>
      </section>
      <Field
        label="Who"
        value={by}
        maxLength={60}
        autoComplete="name"
        onChange={(e) => setBy(e.target.value)}
      />
      <Problems list={problems} />
      <SaveButton
        label="Keep all this"
        busy={busy}
        missing={wrong ?? whoIsMissing(by)}
        onSave={save}
      />
      {saved && (
        <p role="status" className="font-semibold">
          Kept. Today and the plan go by it from now on.
        </p>
      )}
    </div>
  );
}
