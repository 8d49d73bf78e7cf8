'use client';
import { libraryText } from '@/messages/library-text';
import { say } from '@/messages/say';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useState, type ReactNode } from 'react';
import { v7 } from 'uuid';
import { COUNTRIES, type Country } from '@/core/log/kinds/vocabulary';
import type { Input } from '@/core/rules/propose';
import type { Purpose } from '@/core/rules/purpose';
import { shownQuantity, signOf, typedQuantity } from '@/core/quantity/typed-quantity';
import { KeepBar } from '@/entry/ui/parts';
import { useEntry, submitEntry, type HeapRef } from '@/entry/ui/useEntry';
import { Choices } from '@/ui/Choices';
import { useDraftSaved, useTypedFields } from '@/ui/draft';
import { Field } from '@/ui/Field';
import { remember } from '@/ui/remember';
import { whoIsMissing } from '@/ui/SaveButton';
import { NEW_AIM, STEPS, termsOfAim, type AimDraft, type Step } from '../first-steps';
import {
  closedAt,
  listInputs,
  newOpenDraft,
  openedData,
  readOpenDraft,
  type OpenContext,
  type OpenDraft,
  type OpenReading,
} from '../open-draft';
import { ClosedField } from './OpenFields';

/** What the steps share: the site, and where one goes from here. */
export type StepProps = { readonly site: HeapRef; readonly next: string };

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

export const useGoOn = (next: string) => {
  const router = useRouter();
  const saved = useDraftSaved();
  return (by: string): void => {
    remember('zh_by', by);
    saved();
    router.push(next);
    router.refresh();
  };
};

/** What it is for, what goes in, how it is managed. */
function PurposeFields({
  draft,
  set,
}: {
  draft: AimDraft;
  set: (change: Partial<AimDraft>) => void;
}) {
  const { purpose, inputs } = draft;
  const tick = (input: Input, on: boolean): void =>
    set({ inputs: on ? [...inputs, input] : inputs.filter((x) => x !== input) });
  return (
    <>
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
    </>
  );
}

/** Where a site may lie: whose rules are proposed to it. */
const countryOptions = (): readonly { value: Country | 'other'; label: string }[] => [
  ...COUNTRIES.map((value) => ({ value, label: libraryText(value) })),
  { value: 'other', label: say('open.anotherCountry') },
];

/** What the compost is for: it decides which rules are proposed. */
export function PurposeStep({
  site,
  next,
  country,
}: StepProps & {
  /** As its time zone tells, or as it said; null: neither. */ country: Country | null;
}) {
  const [draft, set] = useTypedFields(NEW_AIM);
  const { purpose, inputs } = draft;
  const entry = useEntry('site-terms', { ...site, id: '' }, () => undefined);
  const goOn = useGoOn(
    `${next}&method=${draft.method}&inputs=${encodeURIComponent(inputs.join(' '))}`,
  );
  return (
    <>
      <h1>{say('open.whatDoYouMakeCompostFor')}</h1>
      <PurposeFields draft={draft} set={set} />
      {country === null && (
        <Choices
          label={say('open.whereIsTheSite')}
          value={draft.country}
          onChange={(c) => set({ country: c })}
          columns={3}
          options={countryOptions()}
        />
      )}
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
        missing={
          purpose === ''
            ? say('open.chooseWhatItIsFor')
            : country === null && draft.country === ''
              ? say('open.sayWhereTheSiteIs')
              : whoIsMissing(entry.by)
        }
        onKeep={() =>
          purpose !== '' && entry.save(termsOfAim(draft, purpose, country), () => goOn(entry.by))
        }
      />
    </>
  );
}

type ThermometerDraft = { readonly name: string; readonly stem: string; readonly unit: 'C' | 'F' };

const ThermometerFields = ({
  draft,
  set,
  wrong,
}: {
  draft: ThermometerDraft;
  set: (change: Partial<ThermometerDraft>) => void;
  /** Its stem is none. */ wrong: boolean;
}) => (
  <>
    <Field
      label={say('open.nameOnIt')}
      value={draft.name}
      maxLength={40}
      onChange={(e) => set({ name: e.target.value })}
      hint={say('open.writeItOnTheHandle')}
    />
    <Choices
      label={say('open.itShows')}
      value={draft.unit}
      onChange={(u) => {
        if (u) set({ unit: u });
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
      value={draft.stem}
      onChange={(e) => set({ stem: e.target.value })}
      problem={
        wrong
          ? say('open.aStemIs', {
              least: shownQuantity('cm', 5, 0),
              most: shownQuantity('cm', 500, 0),
              unit: signOf('cm'),
            })
          : undefined
      }
      hint={say('open.leaveEmptyIfNotKnown')}
    />
  </>
);

/** The thermometer that readings are taken with; more is said of it under Thermometers. */
export function ThermometerStep({ site, next }: StepProps) {
  const [draft, set] = useTypedFields<ThermometerDraft>({ name: 'T1', stem: '', unit: site.unit });
  const { name, stem, unit } = draft;
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
      <ThermometerFields draft={draft} set={set} wrong={outOf} />
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

/** Whether its last raw material is in, and since when. */
const WhenBuilt = ({
  draft,
  set,
  nowLocal,
}: {
  draft: OpenDraft;
  set: (change: Partial<OpenDraft>) => void;
  nowLocal: string;
}) => (
  <>
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
    {draft.stage === 'closed' && <ClosedField draft={draft} set={set} nowLocal={nowLocal} />}
  </>
);

const FirstBatchFields = ({
  draft,
  set,
  reading,
  nowLocal,
}: {
  draft: OpenDraft;
  set: (change: Partial<OpenDraft>) => void;
  reading: OpenReading;
  nowLocal: string;
}) => (
  <>
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
    <WhenBuilt draft={draft} set={set} nowLocal={nowLocal} />
  </>
);

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
      <FirstBatchFields draft={draft} set={set} reading={reading} nowLocal={site.nowLocal} />
      <KeepBar
        entry={entry}
        label={say('open.start', { name: name || say('open.theBatch') })}
        missing={reading.missing ?? whoIsMissing(entry.by)}
        onKeep={start}
      />
    </>
  );
}
