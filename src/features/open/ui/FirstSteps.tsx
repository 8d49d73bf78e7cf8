'use client';
import { say } from '@/messages/say';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useState, type ReactNode } from 'react';
import { v7 } from 'uuid';
import type { Input } from '@/core/rules/propose';
import type { Purpose } from '@/core/rules/purpose';
import { shownQuantity, signOf, typedQuantity } from '@/core/quantity/typed-quantity';
import { KeepBar } from '@/entry/ui/parts';
import { useEntry, submitEntry, type HeapRef } from '@/entry/ui/useEntry';
import { Choices } from '@/ui/Choices';
import { useDraftSaved, useTyped, useTypedFields } from '@/ui/draft';
import { Field } from '@/ui/Field';
import { remember } from '@/ui/remember';
import { whoIsMissing } from '@/ui/SaveButton';
import {
  firstCheckOf,
  firstReadingProblem,
  NEW_AIM,
  STEPS,
  termsOfAim,
  type FirstPoint,
  type Step,
} from '../first-steps';
import {
  closedAt,
  listInputs,
  newOpenDraft,
  openedData,
  readOpenDraft,
  type OpenContext,
  type OpenDraft,
} from '../open-draft';

/** What the steps share: the site, and where one goes from here. */
type StepProps = { readonly site: HeapRef; readonly next: string };

const purposes = (): readonly { value: Purpose; label: string; hint: string }[] => [
  { value: 'own', label: say('open.forOurOwnBeds'), hint: say('open.nobodyAsksForRule') },
  { value: 'sell', label: say('open.weSellOrGiveAway'), hint: say('open.toOthersGardens') },
  { value: 'organic', label: say('open.certifiedOrganic'), hint: say('open.organicHint') },
  { value: 'inspected', label: say('open.weAreInspected'), hint: say('open.inspectedHint') },
];
const STEP_NAMES: Readonly<Record<Step, () => string>> = {
  purpose: () => say('open.stepPurpose'),
  thermometer: () => say('open.stepThermometer'),
  batch: () => say('open.stepBatch'),
  temperatures: () => say('open.stepTemperatures'),
};

/** The steps there are, with the one at hand, and the way past it. */
export function StepFrame({
  step,
  next,
  children,
}: {
  step: Step;
  next: string;
  children: ReactNode;
}) {
  return (
    <div className="px-5 py-5 max-w-[760px] flex flex-col gap-5">
      <ol className="flex flex-wrap gap-x-5 gap-y-1 text-small">
        {STEPS.map((s, i) => (
          <li key={s} aria-current={s === step ? 'step' : undefined}>
            {s === step ? (
              <b>
                {i + 1}. {STEP_NAMES[s]()}
              </b>
            ) : (
              <span className="q">
                {i + 1}. {STEP_NAMES[s]()}
              </span>
            )}
          </li>
        ))}
      </ol>
      {children}
      <p>
        <Link href={next} className="link min-h-target inline-flex items-center">
          {say('open.skipThisStep')}
        </Link>
      </p>
    </div>
  );
}

const useGoOn = (next: string) => {
  const router = useRouter();
  const saved = useDraftSaved();
  return (by: string): void => {
    remember('zh_by', by);
    saved();
    router.push(next);
    router.refresh();
  };
};

/** What the compost is for: it decides which rules are proposed. */
export function PurposeStep({ site, next, timeZone }: StepProps & { timeZone: string }) {
  const [draft, set] = useTypedFields(NEW_AIM);
  const { purpose, inputs } = draft;
  const entry = useEntry('site-terms', { ...site, id: '' }, () => undefined);
  const goOn = useGoOn(
    `${next}&method=${draft.method}&inputs=${encodeURIComponent(inputs.join(' '))}`,
  );
  const tick = (input: Input, on: boolean): void =>
    set({ inputs: on ? [...inputs, input] : inputs.filter((x) => x !== input) });
  return (
    <>
      <h1>{say('open.whatDoYouMakeCompostFor')}</h1>
      <Choices
        label={say('open.itIs')}
        value={purpose}
        onChange={(p) => {
          if (p) set({ purpose: p });
        }}
        options={purposes()}
      />
      <fieldset>
        <legend className="label">{say('open.whatUsuallyGoesIn')}</legend>
        <div className="grid grid-cols-2 max-sm:grid-cols-1 gap-x-5">
          {listInputs().map(([input, label]) => (
            <label key={input} className="flex gap-3 items-center min-h-target">
              <input
                type="checkbox"
                className="size-5"
                checked={inputs.includes(input)}
                onChange={(e) => tick(input, e.target.checked)}
              />
              {label}
            </label>
          ))}
        </div>
      </fieldset>
      <Choices
        label={say('open.howIsItManaged')}
        value={draft.method}
        onChange={(method) => {
          if (method) set({ method });
        }}
        columns={3}
        options={[
          { value: 'turned', label: say('open.turned'), hint: say('open.windrowBinOrPile') },
          { value: 'static', label: say('open.static'), hint: say('open.notTurned') },
          { value: 'vessel', label: say('open.inVessel'), hint: say('open.mixedInside') },
        ]}
      />
      <Field
        label={say('open.yourName')}
        value={entry.by}
        onChange={(e) => entry.setBy(e.target.value)}
        maxLength={60}
        autoComplete="name"
      />
      <p className="hint">{say('open.rulesAreProposedCheck')}</p>
      <KeepBar
        entry={entry}
        label={say('open.next')}
        missing={purpose === '' ? say('open.chooseWhatItIsFor') : whoIsMissing(entry.by)}
        onKeep={() =>
          purpose !== '' && entry.save(termsOfAim(draft, purpose, timeZone), () => goOn(entry.by))
        }
      />
    </>
  );
}

/** The thermometer that readings are taken with; more is said of it under Thermometers. */
export function ThermometerStep({ site, next }: StepProps) {
  const [name, setName] = useTyped('name', 'T1');
  const [stem, setStem] = useTyped('stem', '');
  const [unit, setUnit] = useTyped<'C' | 'F'>('unit', site.unit);
  const entry = useEntry('instrument', { ...site, id: '', name }, () => undefined);
  const goOn = useGoOn(next);
  const stemCm = typedQuantity('cm', stem);
  const outOf = stemCm === null || (stemCm !== undefined && (stemCm < 5 || stemCm > 500));
  const instrument = {
    name: name.trim(),
    kind: 'dial',
    unit,
    ...(typeof stemCm === 'number' ? { stemM: stemCm / 100 } : {}),
  };
  return (
    <>
      <h1>{say('open.whichThermometerDoYouUse')}</h1>
      <Field
        label={say('open.nameOnIt')}
        value={name}
        maxLength={40}
        onChange={(e) => setName(e.target.value)}
        hint={say('open.writeItOnTheHandle')}
      />
      <Choices
        label={say('open.itShows')}
        value={unit}
        onChange={(u) => {
          if (u) setUnit(u);
        }}
        options={[
          { value: 'C', label: '°C' },
          { value: 'F', label: '°F' },
        ]}
      />
      <Field
        label={say('open.stemLength')}
        unit={signOf('cm')}
        inputMode="decimal"
        value={stem}
        onChange={(e) => setStem(e.target.value)}
        problem={
          outOf
            ? say('open.aStemIs', {
                least: shownQuantity('cm', 5, 0),
                most: shownQuantity('cm', 500, 0),
                unit: signOf('cm'),
              })
            : undefined
        }
        hint={say('open.leaveEmptyIfNotKnown')}
      />
      <KeepBar
        entry={entry}
        label={say('open.next')}
        missing={
          name.trim() === ''
            ? say('open.giveItAName')
            : outOf
              ? say('open.correctTheStem')
              : whoIsMissing(entry.by)
        }
        onKeep={() => entry.save({ instrument }, () => goOn(entry.by))}
      />
    </>
  );
}

/** The first batch, with what was said before taken as its own. */
export function FirstBatchStep({
  site,
  next,
  context,
  draft: given,
}: StepProps & { context: OpenContext; draft: Partial<OpenDraft> }) {
  const first = newOpenDraft({ code: 'A', name: '', bay: '' }, site.nowLocal);
  const [draft, set] = useTypedFields<OpenDraft>({ ...first, ...given });
  const entry = useEntry('opened', site, () => undefined);
  const [builtId] = useState(() => v7());
  const goOn = useGoOn(`${next}&batch=${entry.id}`);
  const reading = readOpenDraft(draft, context);
  const name = draft.name.trim() || draft.code.trim();
  const start = (): void =>
    entry.save(openedData(draft, reading, context), async () => {
      const at = closedAt(draft);
      if (at !== undefined) {
        const built = { id: builtId, batch: entry.id, kind: 'built' as const, at, by: entry.by };
        const kept = await submitEntry({ ...built, data: {} }, name, 'built');
        if (!kept.ok) {
          entry.setProblems(kept.problems);
          return;
        }
      }
      goOn(entry.by);
    });
  return (
    <>
      <h1>{say('open.yourFirstBatch')}</h1>
      <div className="grid grid-cols-[110px_1fr] gap-3">
        <Field
          label={say('open.code')}
          value={draft.code}
          maxLength={24}
          onChange={(e) => set({ code: e.target.value })}
          problem={reading.problems.code}
        />
        <Field
          label={say('open.name')}
          value={draft.name}
          maxLength={60}
          onChange={(e) => set({ name: e.target.value })}
        />
      </div>
      <Field
        label={say('open.aboutHowMuch')}
        unit={signOf('volume')}
        inputMode="decimal"
        value={draft.volume}
        onChange={(e) => set({ volume: e.target.value })}
        problem={reading.problems.volume}
        hint={say('open.leaveEmptyIfNotKnown')}
      />
      <Choices
        label={say('open.isLastRawMaterialIn')}
        value={draft.stage}
        onChange={(stage) => set({ stage })}
        options={[
          {
            value: 'closed',
            label: say('open.yesAddingIsFinished'),
            hint: say('open.theClockRunsFromThen'),
          },
          {
            value: 'building',
            label: say('open.stillBeingBuilt'),
            hint: say('open.theClockNotRunningYet'),
          },
        ]}
      />
      {draft.stage === 'closed' && (
        <Field
          label={say('open.whenLastRawMaterialWent')}
          type="datetime-local"
          value={draft.builtAt}
          max={site.nowLocal}
          onChange={(e) => set({ builtAt: e.target.value })}
          hint={say('open.nothingBeforeThisCounts')}
        />
      )}
      <KeepBar
        entry={entry}
        label={say('open.start', { name: name || say('open.theBatch') })}
        missing={reading.missing ?? whoIsMissing(entry.by)}
        onKeep={start}
      />
    </>
  );
}

/** The first temperatures of the batch: what was read just now, point by point. */
export function FirstTemperaturesStep({
  site,
  next,
  points,
  instruments,
}: StepProps & {
  points: readonly FirstPoint[];
  instruments: readonly { readonly name: string; readonly unit: 'C' | 'F' }[];
}) {
  const [cells, setCells] = useTyped<Readonly<Record<string, string>>>('cells', {});
  const probe = instruments[0] ?? null;
  const unit = probe?.unit ?? site.unit;
  const entry = useEntry('round', site, () => undefined);
  const goOn = useGoOn(next);
  const data = firstCheckOf(entry.id, points, cells, unit, probe?.name ?? null);
  const wrong = points.some((p) => firstReadingProblem(cells[p.id] ?? '') !== null);
  return (
    <>
      <h1>{say('open.whatDoesItReadNow')}</h1>
      <p className="hint max-w-[60ch]">{say('open.pushThermometerWait')}</p>
      <div className="grid grid-cols-2 gap-3">
        {points.map((p) => (
          <Field
            key={p.id}
            label={p.label}
            unit={`°${unit}`}
            inputMode="decimal"
            value={cells[p.id] ?? ''}
            onChange={(e) => setCells({ ...cells, [p.id]: e.target.value })}
            problem={firstReadingProblem(cells[p.id] ?? '') ?? undefined}
          />
        ))}
      </div>
      <p className="caution">{say('open.steamBurnsStandUpwind')}</p>
      <KeepBar
        entry={entry}
        label={say('open.saveAndSeeVerdict')}
        missing={
          wrong
            ? say('open.correctTheFigures')
            : data === null
              ? say('open.typeAtLeastOneTemperature')
              : whoIsMissing(entry.by)
        }
        onKeep={() => data && entry.save(data, () => goOn(entry.by))}
      />
    </>
  );
}
