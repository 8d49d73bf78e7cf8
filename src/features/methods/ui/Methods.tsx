'use client';
import { firstTurnProblem } from '../first-turn';
import { b } from '@/messages/marked';
import { Marked } from '@/ui/Marked';
import { currentUnits, say, sayMarked } from '@/messages/say';
import { libraryText } from '@/messages/library-text';
import { fromBase } from '@/core/units/units';
import { shownQuantity, signOf, typedQuantity } from '@/core/quantity/typed-quantity';
import { upperFirst } from '@/core/quantity/format';
import { useState } from 'react';
import { TRIGGERS, type MethodTemplate, type Trigger } from '@/core/log/shapes';
import { SCHOOL_WORDS } from '@/telling/status/turn';
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

const KEPT = {
  get turned() {
    return say('methods.turned');
  },
  get static() {
    return say('methods.static');
  },
  get vessel() {
    return say('methods.inVessel');
  },
} as const;
export type MethodRow = {
  readonly template: MethodTemplate;
  readonly ships: boolean;
  readonly changed: boolean;
  readonly heaps: readonly string[];
};

/** When it is turned, from where it is too hot, how moist it is kept and what it costs in time. */
const ScheduleFacts = ({ template: t }: { template: MethodTemplate }) => (
  <p className="text-small">
    <Marked
      text={sayMarked('methods.tooHotFromCMoisture', {
        school: SCHOOL_WORDS[t.trigger],
        b,
        trigger:
          t.trigger === 'never'
            ? ''
            : t.trigger === 'calendar'
              ? say('methods.onDayThenEveryDays', {
                  firstDay: t.firstDay,
                  everyDays: t.everyDays,
                })
              : say('methods.byCalendarOnDayThen', {
                  firstDay: t.firstDay,
                  everyDays: t.everyDays,
                }),
        actC: t.limits.actC,
        lowPct: t.moisture.lowPct,
        highPct: t.moisture.highPct,
        activeDays: t.activeDays,
        minutes: Number(minutesShown(t.minutesPerM3)),
        volume: signOf('volume'),
        machine: t.machine ? 'byMachine' : 'other',
      })}
    />
  </p>
);

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
      <h1>{say('methods.methods')}</h1>
      <p className="max-w-[720px]">{say('methods.aMethodSaysWhenBatch')}</p>
      <ul className="grid md:grid-cols-2 gap-x-8">
        {rows.map(({ template: t, ships, changed, heaps }) => (
          <li
            key={t.id}
            className="ruled py-3 flex flex-col gap-1.5"
            data-testid="method"
            data-method={t.id}
          >
            <div className="flex justify-between items-baseline gap-3">
              <h2 className="!text-subhead">{libraryText(t.name)}</h2>
              <span className="q text-note">
                {KEPT[t.kept]}
                {ships ? '' : say('methods.ofThisSite')}
                {changed ? say('methods.changedHere') : ''}
              </span>
            </div>
            <ScheduleFacts template={t} />
            <ExpectBand expect={t.expect} limits={t.limits} />
            {t.words && <p className="q text-hint">{libraryText(t.words)}</p>}
            <p className="text-small flex flex-wrap gap-x-5">
              <button
                type="button"
                className="link min-h-target"
                onClick={() => setEdit({ template: t, copy: false })}
              >
                {say('methods.changeIt')}
              </button>
              <button
                type="button"
                className="link min-h-target"
                onClick={() => setEdit({ template: t, copy: true })}
              >
                {say('methods.copyIt')}
              </button>
              {heaps.length > 0 && (
                <span className="q self-center">
                  {say('methods.usedBy', { heaps: heaps.join(', ') })}
                </span>
              )}
            </p>
          </li>
        ))}
      </ul>
    </div>
  );
}

/** Work of a cubic metre, as a field shows it: for each cubic yard where those are used. */
const minutesShown = (minutesPerM3: number): string =>
  String(Number((minutesPerM3 / fromBase('volume', 1, currentUnits())).toPrecision(2)));
const minutesTyped = (minutes: number): number => minutes * fromBase('volume', 1, currentUnits());

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
  const [name, setName] = useTyped(
    'name',
    copy ? say('methods.ours', { name: from.name }) : from.name,
  );
  const [trigger, setTrigger] = useTyped<Trigger | ''>('trigger', from.trigger);
  const [overrides, setOverrides] = useTyped<readonly Trigger[]>('overrides', from.overrides);
  const [f, setF] = useTyped('f', {
    firstDay: String(from.firstDay),
    everyDays: String(from.everyDays),
    lowC: shownQuantity('celsius', from.lowC),
    warnC: shownQuantity('celsius', from.limits.warnC),
    actC: shownQuantity('celsius', from.limits.actC),
    dangerC: shownQuantity('celsius', from.limits.dangerC),
    lowPct: String(from.moisture.lowPct),
    targetPct: String(from.moisture.targetPct),
    highPct: String(from.moisture.highPct),
    activeDays: String(from.activeDays),
    minutesPerM3: minutesShown(from.minutesPerM3),
  });
  const [machine, setMachine] = useTyped('machine', from.machine);
  const [expect, setExpect] = useTyped(
    'expect',
    from.expect.map((e) => ({
      day: String(e.day),
      lowC: shownQuantity('celsius', e.lowC),
      highC: shownQuantity('celsius', e.highC),
    })),
  );
  const figures = [...Object.values(f), ...expect.flatMap((e) => [e.day, e.lowC, e.highC])].map(
    (t) => typed(t, -20),
  );
  const templateId = copy ? slug(name) : from.id;
  const wrong = figures.some((x) => typeof x !== 'number')
    ? say('day.everyBoxNeedsNumber')
    : copy && taken.includes(templateId)
      ? say('methods.thereAlreadyMethodWithName')
      : firstTurnProblem(trigger, f);
  const n = (t: string): number => typed(t, -20)!;
  const celsius = (t: string): number => typedQuantity('celsius', t, -20) ?? NaN;
  const template = (): MethodTemplate => ({
    ...from,
    id: templateId,
    name: name.trim(),
    trigger: trigger as Trigger,
    overrides: [...overrides],
    firstDay: n(f.firstDay),
    everyDays: n(f.everyDays),
    lowC: celsius(f.lowC),
    limits: { warnC: celsius(f.warnC), actC: celsius(f.actC), dangerC: celsius(f.dangerC) },
    moisture: { lowPct: n(f.lowPct), targetPct: n(f.targetPct), highPct: n(f.highPct) },
    activeDays: n(f.activeDays),
    minutesPerM3: minutesTyped(n(f.minutesPerM3)),
    machine,
    expect: expect.map((e) => ({ day: n(e.day), lowC: celsius(e.lowC), highC: celsius(e.highC) })),
  });
  const save = (): void =>
    keep(
      () =>
        submitOrQueue(
          { id, batch: null, kind: 'template', at: null, by, data: { template: template() } },
          say('methods.method', { name }),
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
      <h1>
        {copy
          ? say('methods.copyOf', { name: from.name })
          : say('methods.change', { name: from.name })}
      </h1>
      <Field
        label={say('methods.name')}
        value={name}
        maxLength={60}
        onChange={(e) => setName(e.target.value)}
      />
      <Choices
        label={say('methods.whatDecidesWhenTurned')}
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
        <legend className="label">{say('methods.whatElseMayCallFor')}</legend>
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
        {figure('firstDay', say('methods.firstTurnedOn'), 'day')}
        {figure('everyDays', say('methods.thenEvery'), 'days')}
        {figure('lowC', say('methods.turnAgainAt'), signOf('celsius'))}
        {figure('warnC', say('methods.watchFrom'), signOf('celsius'))}
        {figure('actC', say('methods.tooHotFrom'), signOf('celsius'))}
        {figure('dangerC', say('methods.dangerFrom'), signOf('celsius'))}
        {figure('lowPct', say('methods.tooDryBelow'), say('methods.moisture'))}
        {figure('targetPct', say('methods.waterUpTo'), say('methods.moisture'))}
        {figure('highPct', say('methods.tooWetAbove'), say('methods.moisture'))}
        {figure('activeDays', say('methods.activeForAbout'), 'days')}
        {figure(
          'minutesPerM3',
          say('methods.workOfOneTurning'),
          say('methods.minPerM', { volume: signOf('volume') }),
        )}
        <label className="flex gap-2 items-center min-h-target mt-6">
          <input
            type="checkbox"
            className="size-5"
            checked={machine}
            onChange={(e) => setMachine(e.target.checked)}
          />
          {say('methods.turnedByMachine')}
        </label>
      </div>
      <section className="flex flex-col gap-2">
        <h2 className="!text-subhead">{say('methods.expectedCoreTemperature')}</h2>
        {figures.every((x) => typeof x === 'number') && (
          <ExpectBand expect={template().expect} limits={template().limits} />
        )}
        <div className="relative overflow-x-auto">
          <table className="text-small">
            <thead>
              <tr>
                {[
                  say('methods.day'),
                  say('methods.atLeastC', { unit: signOf('celsius') }),
                  say('methods.atMostC', { unit: signOf('celsius') }),
                  '',
                ].map((h) => (
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
                        aria-label={say('methods.dayAtleastAtLeastAt', {
                          k: k === 'day' ? 'day' : k === 'lowC' ? 'atLeast' : 'other',
                          i: i + 1,
                        })}
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
                        {say('methods.remove')}
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
              {say('methods.addADay')}
            </button>
          </p>
        )}
      </section>
      <Field
        label={say('methods.who')}
        value={by}
        maxLength={60}
        autoComplete="name"
        onChange={(e) => setBy(e.target.value)}
      />
      <Problems list={problems} />
      <SaveButton
        label={say('methods.saveThisMethod')}
        busy={busy}
        missing={wrong ?? (name.trim() === '' ? say('instruments.giveItAName') : whoIsMissing(by))}
        onSave={save}
      />
      <button type="button" className="btn self-start" onClick={onDone}>
        {say('methods.back')}
      </button>
    </div>
  );
}
