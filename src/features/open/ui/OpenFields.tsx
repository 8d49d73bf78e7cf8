'use client';
import { SCHOOL_WORDS } from '@/core/advice/words';
import { VOLUME_SIGN, type TempUnit, type VolumeUnit } from '@/core/quantity/units';
import { Choices } from '@/ui/Choices';
import { Field } from '@/ui/Field';
import { INPUT_WORDS, type OpenDraft, type OpenReading } from '../open-draft';
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
        Like an earlier heap?
      </label>
      <select id="like" className="field" value={like} onChange={(e) => onChoose(e.target.value)}>
        <option value="">No, from the start</option>
        {earlier.map((h) => (
          <option key={h.id} value={h.id}>
            {h.name}: {h.says}
          </option>
        ))}
      </select>
      <p className="hint mt-1">
        Its method, size, shape, what went in and its rules are filled in below.
      </p>
    </div>
  );
}

export function NameFields({ draft, reading, set }: Section) {
  return (
    <div className="grid grid-cols-[110px_1fr_110px] gap-3 max-sm:grid-cols-1">
      <Field
        label="Code"
        value={draft.code}
        maxLength={24}
        onChange={(e) => set({ code: e.target.value })}
        problem={reading.problems.code}
      />
      <Field
        label="Name"
        value={draft.name}
        maxLength={60}
        onChange={(e) => set({ name: e.target.value })}
        hint="What the crew calls it"
      />
      <Field
        label="Bay"
        value={draft.bay}
        maxLength={40}
        onChange={(e) => set({ bay: e.target.value })}
      />
    </div>
  );
}

export function SizeFields({
  draft,
  reading,
  set,
  volumeUnit,
}: Section & { volumeUnit: VolumeUnit }) {
  return (
    <>
      <Field
        label="How much, about"
        unit={VOLUME_SIGN[volumeUnit]}
        inputMode="decimal"
        value={draft.volume}
        onChange={(e) => set({ volume: e.target.value })}
        problem={reading.problems.volume}
        hint="Leave empty if you do not know. Under about one cubic metre a heap rarely stays hot."
      />
      <Choices
        label="What shape is it?"
        value={draft.shape}
        onChange={(shape) => set({ shape })}
        columns={3}
        options={[
          { value: 'dome', label: 'Heap', hint: 'free-standing' },
          { value: 'windrow', label: 'Row', hint: 'long, sloping sides' },
          { value: 'cube', label: 'Bay, bin or tub' },
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
          label="Row it shares with others"
          value={draft.row}
          maxLength={40}
          onChange={(e) => set({ row: e.target.value })}
          hint="Leave empty if it lies alone"
        />
        <Field
          label="From"
          unit="m"
          inputMode="decimal"
          value={draft.from}
          onChange={(e) => set({ from: e.target.value })}
        />
        <Field
          label="To"
          unit="m"
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
  if (coreM === null || reachM === null || reachM >= coreM) return 'Its stem, not its handle';
  return `Shorter than the way to the core: ${coreM - reachM < 0.3 ? 'read it from above too' : 'the core will not be read'}.`;
}

function DepthFields({ draft, reading, set }: Section) {
  return (
    <>
      <div className="grid grid-cols-2 gap-3 max-sm:grid-cols-1">
        <Field
          label="From its surface to the core"
          unit="m"
          inputMode="decimal"
          value={draft.core}
          onChange={(e) => set({ core: e.target.value })}
          problem={reading.problems.core}
          hint="Leave empty if you do not know: the hot share of the heap then stays unknown"
        />
        <Field
          label="The thermometer reaches in"
          unit="m"
          inputMode="decimal"
          value={draft.reach}
          onChange={(e) => set({ reach: e.target.value })}
          problem={reading.problems.reach}
          hint={reachHint(reading)}
        />
      </div>
      {reading.coreM !== null && (
        <p className="hint -mt-3">
          Places of a round: {reading.places.map((p) => `${p.label} ${p.depthM} m`).join('; ')}.
        </p>
      )}
    </>
  );
}

export function MethodFields({ draft, reading: { template, templates }, set }: Section) {
  return (
    <>
      <Choices
        label="How is it kept?"
        value={draft.method}
        onChange={(method) => set({ method })}
        columns={3}
        options={[
          { value: 'turned', label: 'Turned', hint: 'row, bin or heap' },
          { value: 'static', label: 'Static', hint: 'not turned' },
          { value: 'vessel', label: 'Closed vessel', hint: 'mixed inside' },
        ]}
      />
      <div className="max-w-[520px]">
        <label className="label" htmlFor="template">
          By which method?
        </label>
        <select
          id="template"
          className="field"
          value={template?.id ?? ''}
          onChange={(e) => set({ templateId: e.target.value })}
        >
          {templates.map((t) => (
            <option key={t.id} value={t.id}>
              {t.name}
            </option>
          ))}
        </select>
        {template && (
          <p className="hint mt-1">
            {template.words ?? `Turned ${SCHOOL_WORDS[template.trigger]}.`}
          </p>
        )}
      </div>
    </>
  );
}

type StageSection = Section & { readonly unit: TempUnit; readonly nowLocal: string };

export function StageFields(section: StageSection) {
  const { draft, set, nowLocal } = section;
  return (
    <>
      <Choices
        label="Is the last raw load in?"
        value={draft.stage}
        onChange={(stage) => set({ stage })}
        columns={3}
        options={[
          { value: 'building', label: 'Still building', hint: 'no clock runs yet' },
          { value: 'closed', label: 'Yes, it is closed', hint: 'the clock runs from then' },
          {
            value: 'adopted',
            label: 'It is under way',
            hint: 'taken over; its past was not logged here',
          },
        ]}
      />
      {draft.stage === 'adopted' && <AdoptedFields {...section} />}
      {draft.stage === 'closed' && (
        <Field
          label="When the last raw load went in"
          type="datetime-local"
          value={draft.builtAt}
          max={nowLocal}
          onChange={(e) => set({ builtAt: e.target.value })}
          hint="Nothing before this counts"
        />
      )}
    </>
  );
}

function AdoptedFields({ draft, reading, set, unit, nowLocal }: StageSection) {
  return (
    <section className="flex flex-col gap-3 border-l-[4px] border-ink pl-4" data-testid="adopt">
      <Choices
        label="When did its last raw load go in?"
        value={draft.rawAt}
        onChange={(rawAt) => set({ rawAt })}
        columns={3}
        options={[
          { value: 'known', label: 'It was written down' },
          { value: 'about', label: 'About then', hint: 'from memory' },
          { value: 'unknown', label: 'Nobody knows', hint: 'the clock runs from now' },
        ]}
      />
      {(draft.rawAt === 'known' || draft.rawAt === 'about') && (
        <Field
          label="Last raw load"
          type="datetime-local"
          value={draft.builtAt}
          max={nowLocal}
          onChange={(e) => set({ builtAt: e.target.value })}
          hint="The age of the heap counts from then; heat counts only from its first round here"
        />
      )}
      <div className="grid grid-cols-2 gap-3">
        <Field
          label="Turned so far"
          inputMode="numeric"
          value={draft.turned}
          onChange={(e) => set({ turned: e.target.value })}
          hint="as they tell it; counts for no rule"
        />
        <Field
          label="Hottest that was seen"
          unit={`°${unit}`}
          inputMode="decimal"
          value={draft.hottest}
          onChange={(e) => set({ hottest: e.target.value })}
        />
      </div>
      <Field
        label="What else is known"
        value={draft.told}
        maxLength={400}
        onChange={(e) => set({ told: e.target.value })}
        placeholder="horse manure and chip, built in one day"
      />
      <Problem text={reading.problems.adopted} />
      <p className="hint">
        Before now nothing is recorded here, and the record says so. Readings on paper can be
        brought in under Bring in, with their own times.
      </p>
    </section>
  );
}

export function InputFields({ draft: { inputs }, set }: Section) {
  return (
    <fieldset>
      <legend className="label">What goes in? It decides which rules are proposed</legend>
      <div className="grid grid-cols-[repeat(auto-fit,minmax(210px,1fr))]">
        {INPUT_WORDS.map(([input, word]) => (
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
