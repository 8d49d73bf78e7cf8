'use client';
import { upperFirst } from '@/core/quantity/format';
import { useState } from 'react';
import { TRIGGERS, type MethodTemplate, type Trigger } from '@/core/log/shapes';
import { SCHOOL_WORDS } from '@/core/advice/words';
import { keysOf } from '@/core/words/feel';
import { ExpectBand } from '@/charts/ExpectBand';
import { submitOrQueue } from '@/outbox/keep';
import { Choices } from '@/ui/Choices';
import { DraftScope, useTyped } from '@/ui/draft';
import { Field, Problems } from '@/ui/Field';
import { SaveButton, whoIsMissing } from '@/ui/SaveButton';
import { typed } from '@/core/quantity/typed-number';
import { useSubmit } from '@/ui/useSubmit';
import { lastOf } from '@/core/quantity/present';

const KEPT = { turned: 'Turned', static: 'Static', vessel: 'Closed vessel' } as const;
export type MethodRow = {
  readonly template: MethodTemplate;
  readonly ships: boolean;
  readonly changed: boolean;
  readonly heaps: readonly string[];
};

/** The ways to keep a heap: each with its schedule, the heat that is expected, and its limits. They can be copied and changed. */
export function Methods({ rows, by }: { rows: readonly MethodRow[]; by: string }) {
  const [edit, setEdit] = useState<{ template: MethodTemplate; copy: boolean } | null>(null);
  if (edit)
    return (
      <DraftScope name={`method ${edit.template.id}${edit.copy ? ', a copy' : ''}`}>
        <Edit
          key={edit.template.id}
          from={edit.template}
          copy={edit.copy}
          taken={rows.map((r) => r.template.id)}
          by={by}
          onDone={() => setEdit(null)}
        />
      </DraftScope>
    );
  return (
    <div className="px-5 py-5 max-w-[1080px] flex flex-col gap-4">
      <h1>Methods</h1>
      <p className="max-w-[720px]">
        A method says when a heap is turned, which heat is expected of it by its age, and from where
        it is too hot. A heap keeps the method as it was when it was chosen; change it on the heap’s
        page.
      </p>
      <ul className="grid md:grid-cols-2 gap-x-8">
        {rows.map(({ template: t, ships, changed, heaps }) => (
          <li
            key={t.id}
            className="ruled py-3 flex flex-col gap-1.5"
            data-testid="method"
            data-method={t.id}
          >
            <div className="flex justify-between items-baseline gap-3">
              <h2 className="!text-subhead">{t.name}</h2>
              <span className="q text-note">
                {KEPT[t.kept]}
                {ships ? '' : ', of this site'}
                {changed ? ', changed here' : ''}
              </span>
            </div>
            <p className="text-small">
              Turned <b>{SCHOOL_WORDS[t.trigger]}</b>
              {t.trigger === 'never'
                ? ''
                : t.trigger === 'calendar'
                  ? `: on day ${t.firstDay}, then every ${t.everyDays} days`
                  : `; where a calendar is asked, on day ${t.firstDay}, then every ${t.everyDays} days`}
              . Too hot from {t.limits.actC} °C. {t.moisture.lowPct}–{t.moisture.highPct} % moist.
              Works about {t.activeDays} days. {t.minutesPerM3} min of work a m³
              {t.machine ? ', by machine' : ''}.
            </p>
            <ExpectBand expect={t.expect} limits={t.limits} />
            {t.words && <p className="q text-hint">{t.words}</p>}
            <p className="text-small flex flex-wrap gap-x-5">
              <button
                type="button"
                className="link min-h-target"
                onClick={() => setEdit({ template: t, copy: false })}
              >
                Change it
              </button>
              <button
                type="button"
                className="link min-h-target"
                onClick={() => setEdit({ template: t, copy: true })}
              >
                Copy it
              </button>
              {heaps.length > 0 && (
                <span className="q self-center">Kept so: {heaps.join(', ')}</span>
              )}
            </p>
          </li>
        ))}
      </ul>
    </div>
  );
}

const slug = (name: string): string =>
  name
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '')
    .slice(0, 40);

function Edit({
  from,
  copy,
  taken,
  by: device,
  onDone,
}: {
  from: MethodTemplate;
  copy: boolean;
  taken: readonly string[];
  by: string;
  onDone: () => void;
}) {
  const { id, by, setBy, problems, busy, keep } = useSubmit(device);
  const [name, setName] = useTyped('name', copy ? `${from.name}, ours` : from.name);
  const [trigger, setTrigger] = useTyped<Trigger | ''>('trigger', from.trigger);
  const [overrides, setOverrides] = useTyped<readonly Trigger[]>('overrides', from.overrides);
  const [f, setF] = useTyped('f', {
    firstDay: String(from.firstDay),
    everyDays: String(from.everyDays),
    lowC: String(from.lowC),
    warnC: String(from.limits.warnC),
    actC: String(from.limits.actC),
    dangerC: String(from.limits.dangerC),
    lowPct: String(from.moisture.lowPct),
    targetPct: String(from.moisture.targetPct),
    highPct: String(from.moisture.highPct),
    activeDays: String(from.activeDays),
    minutesPerM3: String(from.minutesPerM3),
  });
  const [machine, setMachine] = useTyped('machine', from.machine);
  const [expect, setExpect] = useTyped(
    'expect',
    from.expect.map((e) => ({ day: String(e.day), lowC: String(e.lowC), highC: String(e.highC) })),
  );
  const figures = [...Object.values(f), ...expect.flatMap((e) => [e.day, e.lowC, e.highC])].map(
    (t) => typed(t, -20),
  );
  const templateId = copy ? slug(name) : from.id;
  const wrong = figures.some((x) => typeof x !== 'number')
    ? 'Every figure wants a number.'
    : copy && taken.includes(templateId)
      ? 'There is a method of that name. Give it another.'
      : null;
  const n = (t: string): number => typed(t, -20)!;
  const template = (): MethodTemplate => ({
    ...from,
    id: templateId,
    name: name.trim(),
    trigger: trigger as Trigger,
    overrides: [...overrides],
    firstDay: n(f.firstDay),
    everyDays: n(f.everyDays),
    lowC: n(f.lowC),
    limits: { warnC: n(f.warnC), actC: n(f.actC), dangerC: n(f.dangerC) },
    moisture: { lowPct: n(f.lowPct), targetPct: n(f.targetPct), highPct: n(f.highPct) },
    activeDays: n(f.activeDays),
    minutesPerM3: n(f.minutesPerM3),
    machine,
    expect: expect.map((e) => ({ day: n(e.day), lowC: n(e.lowC), highC: n(e.highC) })),
  });
  const save = (): void =>
    keep(
      () =>
        submitOrQueue(
          { id, batch: null, kind: 'template', at: null, by, data: { template: template() } },
          `method ${name}`,
        ),
      onDone,
    );
  const figure = (key: keyof typeof f, label: string, unit: string) => (
    <Field
      label={label}
      unit={unit}
      inputMode="decimal"
      value={f[key]}
      onChange={(e) => setF({ ...f, [key]: e.target.value })}
    />
  );
  return (
    <div className="px-5 py-5 max-w-[820px] flex flex-col gap-5">
      <h1>{copy ? `A copy of ‘${from.name}’` : `Change ‘${from.name}’`}</h1>
      <Field label="Name" value={name} maxLength={60} onChange={(e) => setName(e.target.value)} />
      <Choices
        label="When is it turned, in the main?"
        value={trigger}
        onChange={(t) => {
          if (t) setTrigger(t);
        }}
        columns={2}
        options={TRIGGERS.map((value) => ({
          value,
          label: upperFirst(SCHOOL_WORDS[value]),
        }))}
      />
      <fieldset>
        <legend className="label">
          What else may call for a turning? What a rule owes always does.
        </legend>
        <div className="flex flex-wrap gap-x-5">
          {TRIGGERS.filter((t) => t !== trigger && t !== 'never').map((t) => (
            <label key={t} className="flex gap-2 items-center min-h-target">
              <input
                type="checkbox"
                className="size-5"
                checked={overrides.includes(t)}
                onChange={(e) =>
                  setOverrides(
                    e.target.checked ? [...overrides, t] : overrides.filter((x) => x !== t),
                  )
                }
              />
              {SCHOOL_WORDS[t]}
            </label>
          ))}
        </div>
      </fieldset>
      <div className="grid grid-cols-3 gap-3 max-sm:grid-cols-2">
        {figure('firstDay', 'First turned on', 'day')}
        {figure('everyDays', 'Then every', 'days')}
        {figure('lowC', 'Turned again at', '°C')}
        {figure('warnC', 'Look out from', '°C')}
        {figure('actC', 'Too hot from', '°C')}
        {figure('dangerC', 'Danger from', '°C')}
        {figure('lowPct', 'Too dry under', '% moist')}
        {figure('targetPct', 'Watered up to', '% moist')}
        {figure('highPct', 'Too wet over', '% moist')}
        {figure('activeDays', 'Works about', 'days')}
        {figure('minutesPerM3', 'Work of a turning', 'min a m³')}
        <label className="flex gap-2 items-center min-h-target mt-6">
          <input
            type="checkbox"
            className="size-5"
            checked={machine}
            onChange={(e) => setMachine(e.target.checked)}
          />
          turned by machine
        </label>
      </div>
      <section className="flex flex-col gap-2">
        <h2 className="!text-subhead">Heat expected of its core</h2>
        {figures.every((x) => typeof x === 'number') && (
          <ExpectBand expect={template().expect} limits={template().limits} />
        )}
        <div className="overflow-x-auto">
          <table className="text-small">
            <thead>
              <tr>
                {['Day', 'At least, °C', 'At most, °C', ''].map((h) => (
                  <th key={h} scope="col" className="text-left font-semibold pr-3">
                    {h}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {expect.map((e, i) => (
                <tr key={i}>
                  {keysOf(e).map((k) => (
                    <td key={k} className="pr-3 py-0.5">
                      <input
                        aria-label={`${k === 'day' ? 'Day' : k === 'lowC' ? 'At least' : 'At most'}, line ${i + 1}`}
                        className="field !w-[96px]"
                        inputMode="decimal"
                        value={e[k]}
                        onChange={(x) =>
                          setExpect(
                            expect.map((y, j) => (j === i ? { ...y, [k]: x.target.value } : y)),
                          )
                        }
                      />
                    </td>
                  ))}
                  <td>
                    {expect.length > 2 && (
                      <button
                        type="button"
                        className="link min-h-target"
                        onClick={() => setExpect(expect.filter((_, j) => j !== i))}
                      >
                        Take out
                      </button>
                    )}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
        {expect.length < 20 && (
          <p>
            <button
              type="button"
              className="btn"
              onClick={() =>
                setExpect([
                  ...expect,
                  {
                    day: String(n(lastOf(expect).day) + 10 || ''),
                    lowC: lastOf(expect).lowC,
                    highC: lastOf(expect).highC,
                  },
                ])
              }
            >
              Add a day
            </button>
          </p>
        )}
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
        label="Keep this method"
        busy={busy}
        missing={wrong ?? (name.trim() === '' ? 'Give it a name.' : whoIsMissing(by))}
        onSave={save}
      />
      <button type="button" className="btn self-start" onClick={onDone}>
        Back
      </button>
    </div>
  );
}
