'use client';
import { say } from '@/messages/say';
import { volumeText } from '@/core/quantity/format';
import { libraryText } from '@/messages/library-text';
import { figureWithUnit } from '@/core/quantity/format';
import { signOf } from '@/core/quantity/typed-quantity';
import { SCHOOL_WORDS } from '@/telling/status/turn';
import { type TempUnit } from '@/core/units/units';
import { Choices } from '@/ui/Choices';
import { Field } from '@/ui/Field';
import { listInputs, type OpenDraft, type OpenReading } from '../open-draft';
import type { EarlierHeap } from '../proposal';

/** The parts of the form that opens a heap, in its order. */
type Section = {
  readonly draft: OpenDraft;
  readonly reading: OpenReading;
  readonly set: (change: Partial<OpenDraft>) => void;
};

/** A problem that belongs to several fields. */
const Problem = ({ text }: { text: string | undefined }) =>
  text === undefined ? null : (
    <p role="alert" className="marked font-semibold">
      {text}
    </p>
  );

export function EarlierSelect({
  earlier,
  like,
  onChoose,
}: {
  earlier: readonly EarlierHeap[];
  like: string;
  onChoose: (id: string) => void;
}) {
  if (earlier.length === 0) return null;
  return (
    <div className="max-w-[520px]">
      <label className="label" htmlFor="like">
        {say('open.sameAsEarlierBatch')}
      </label>
      <select id="like" className="field" value={like} onChange={(e) => onChoose(e.target.value)}>
        <option value="">{say('open.noStartFresh')}</option>
        {earlier.map((h) => (
          <option key={h.id} value={h.id}>
            {h.name}: {h.says}
          </option>
        ))}
      </select>
      <p className="hint mt-1">{say('open.itsMethodSizeShapeMaterials')}</p>
    </div>
  );
}

export function NameFields({ draft, reading, set }: Section) {
  return (
    <div className="grid grid-cols-[110px_1fr_110px] gap-3 max-sm:grid-cols-1">
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
        hint={say('open.whatCrewCalls')}
      />
      <Field
        label={say('open.bay')}
        value={draft.bay}
        maxLength={40}
        onChange={(e) => set({ bay: e.target.value })}
      />
    </div>
  );
}

export function SizeFields({ draft, reading, set }: Section) {
  return (
    <>
      <Field
        label={say('open.aboutHowMuch')}
        unit={signOf('volume')}
        inputMode="decimal"
        value={draft.volume}
        onChange={(e) => set({ volume: e.target.value })}
        problem={reading.problems.volume}
        hint={say('open.leaveEmptyIfYouDo', { least: volumeText(reading.leastHotM3) })}
      />
      <Choices
        label={say('open.whatShapeIsIt')}
        value={draft.shape}
        onChange={(shape) => set({ shape })}
        columns={3}
        options={[
          { value: 'dome', label: say('open.pile'), hint: say('open.freeStanding') },
          { value: 'windrow', label: say('open.windrow'), hint: say('open.longSlopingSides') },
          { value: 'cube', label: say('open.bayBinOrDrum') },
        ]}
      />
      {draft.shape === 'windrow' && <RowFields draft={draft} reading={reading} set={set} />}
      <DepthFields draft={draft} reading={reading} set={set} />
    </>
  );
}

function RowFields({ draft, reading, set }: Section) {
  return (
    <div>
      <div className="grid grid-cols-[1fr_110px_110px] gap-3">
        <Field
          label={say('open.windrowSharesWithOthers')}
          value={draft.row}
          maxLength={40}
          onChange={(e) => set({ row: e.target.value })}
          hint={say('open.leaveEmptyIfAlone')}
        />
        <Field
          label={say('open.from')}
          unit={signOf('length')}
          inputMode="decimal"
          value={draft.from}
          onChange={(e) => set({ from: e.target.value })}
        />
        <Field
          label={say('open.to')}
          unit={signOf('length')}
          inputMode="decimal"
          value={draft.to}
          onChange={(e) => set({ to: e.target.value })}
        />
      </div>
      <Problem text={reading.problems.row} />
    </div>
  );
}

/** Whether the thermometer gets to the core. */
function reachHint({ coreM, reachM }: OpenReading): string {
  if (coreM === null || reachM === null || reachM >= coreM) return say('open.itsStemWithoutHandle');
  return say('open.shorterThanDepthCoreReadit', {
    coreM: coreM - reachM < 0.3 ? 'readIt' : 'other',
  });
}

function DepthFields({ draft, reading, set }: Section) {
  return (
    <>
      <div className="grid grid-cols-2 gap-3 max-sm:grid-cols-1">
        <Field
          label={say('open.fromSurfaceCore')}
          unit={signOf('length')}
          inputMode="decimal"
          value={draft.core}
          onChange={(e) => set({ core: e.target.value })}
          problem={reading.problems.core}
          hint={say('open.leaveEmptyIfYouDo2')}
        />
        <Field
          label={say('open.theThermometerReaches')}
          unit={signOf('length')}
          inputMode="decimal"
          value={draft.reach}
          onChange={(e) => set({ reach: e.target.value })}
          problem={reading.problems.reach}
          hint={reachHint(reading)}
        />
      </div>
      {reading.coreM !== null && (
        <p className="hint -mt-3">
          {say('open.probePoints', {
            places: reading.places
              .map((p) => `${p.label} ${figureWithUnit('length', p.depthM ?? 0)}`)
              .join('; '),
          })}
        </p>
      )}
    </>
  );
}

export function MethodFields({ draft, reading: { template, templates }, set }: Section) {
  return (
    <>
      <Choices
        label={say('open.howIsItComposted')}
        value={draft.method}
        onChange={(method) => set({ method })}
        columns={3}
        options={[
          { value: 'turned', label: say('open.turned'), hint: say('open.windrowBinOrPile') },
          { value: 'static', label: say('open.static'), hint: say('open.notTurned') },
          { value: 'vessel', label: say('open.inVessel'), hint: say('open.mixedInside') },
        ]}
      />
      <div className="max-w-[520px]">
        <label className="label" htmlFor="template">
          {say('log.whichMethod')}
        </label>
        <select
          id="template"
          className="field"
          value={template?.id ?? ''}
          onChange={(e) => set({ templateId: e.target.value })}
        >
          {templates.map((t) => (
            <option key={t.id} value={t.id}>
              {libraryText(t.name)}
            </option>
          ))}
        </select>
        {template && (
          <p className="hint mt-1">
            {(template.words && libraryText(template.words)) ??
              say('log.turned', { schoolwords: SCHOOL_WORDS[template.trigger] })}
          </p>
        )}
      </div>
    </>
  );
}

type StageSection = Section & { readonly unit: TempUnit; readonly nowLocal: string };

export function StageFields(section: StageSection) {
  const { draft, set } = section;
  return (
    <>
      <Choices
        label={say('open.isLastRawMaterialIn')}
        value={draft.stage}
        onChange={(stage) => set({ stage })}
        columns={3}
        options={[
          {
            value: 'building',
            label: say('open.stillBeingBuilt'),
            hint: say('open.theClockNotRunningYet'),
          },
          {
            value: 'closed',
            label: say('open.yesAddingIsFinished'),
            hint: say('open.theClockRunsFromThen'),
          },
          {
            value: 'adopted',
            label: say('open.itIsUnderWay'),
            hint: say('open.takenOverPastWasNot'),
          },
        ]}
      />
      {draft.stage === 'adopted' && <AdoptedFields {...section} />}
      {draft.stage === 'closed' && <ClosedField {...section} />}
    </>
  );
}

/** When the last raw material went in. */
export function ClosedField({
  draft,
  set,
  nowLocal,
}: Pick<StageSection, 'draft' | 'set' | 'nowLocal'>) {
  return (
    <Field
      label={say('bring.whenLastRawMaterialWent')}
      type="datetime-local"
      value={draft.builtAt}
      max={nowLocal}
      onChange={(e) => set({ builtAt: e.target.value })}
      hint={say('open.nothingBeforeThisCounts')}
    />
  );
}

function AdoptedFields({ draft, reading, set, unit, nowLocal }: StageSection) {
  return (
    <section className="flex flex-col gap-3 border-l-[4px] border-ink pl-4" data-testid="adopt">
      <Choices
        label={say('open.whenDidLastRawMaterial')}
        value={draft.rawAt}
        onChange={(rawAt) => set({ rawAt })}
        columns={3}
        options={[
          { value: 'known', label: say('open.itWasWrittenDown') },
          { value: 'about', label: say('open.aboutThen'), hint: say('open.fromMemory') },
          {
            value: 'unknown',
            label: say('open.nobodyKnows'),
            hint: say('open.theClockRunsFromNow'),
          },
        ]}
      />
      {(draft.rawAt === 'known' || draft.rawAt === 'about') && (
        <Field
          label={say('open.lastRawMaterial')}
          type="datetime-local"
          value={draft.builtAt}
          max={nowLocal}
          onChange={(e) => set({ builtAt: e.target.value })}
          hint={say('open.theAgeBatchCountsFrom')}
        />
      )}
      <div className="grid grid-cols-2 gap-3">
        <Field
          label={say('open.turnedSoFar')}
          inputMode="numeric"
          value={draft.turned}
          onChange={(e) => set({ turned: e.target.value })}
          hint={say('open.asReportedCountsForNo')}
        />
        <Field
          label={say('open.hottestSeen')}
          unit={`°${unit}`}
          inputMode="decimal"
          value={draft.hottest}
          onChange={(e) => set({ hottest: e.target.value })}
        />
      </div>
      <Field
        label={say('open.whatElseIsKnown')}
        value={draft.told}
        maxLength={400}
        onChange={(e) => set({ told: e.target.value })}
        placeholder={say('open.horseManureChipsBuiltIn')}
      />
      <Problem text={reading.problems.adopted} />
      <p className="hint">{say('open.nothingBeforeNowLoggedHere')}</p>
    </section>
  );
}

export function InputFields({ draft: { inputs }, set }: Section) {
  return (
    <fieldset>
      <legend className="label">{say('open.whatGoesInThisDecides')}</legend>
      <div className="grid grid-cols-[repeat(auto-fit,minmax(210px,1fr))]">
        {listInputs().map(([input, word]) => (
          <label key={input} className="flex gap-3 items-center min-h-target">
            <input
              type="checkbox"
              className="size-5"
              checked={inputs.includes(input)}
              onChange={(e) =>
                set({
                  inputs: e.target.checked ? [...inputs, input] : inputs.filter((x) => x !== input),
                })
              }
            />
            {word}
          </label>
        ))}
      </div>
    </fieldset>
  );
}
