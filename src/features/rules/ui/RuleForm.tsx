'use client';
import { say } from '@/messages/say';
import { useEffect, useState } from 'react';
import { getRequirementDescription, LEAF_KINDS } from '@/core/evidence/requirements';
import type { FormInput } from '@/core/evidence/requirements/description';
import type { TempUnit } from '@/core/units/units';
import { Choices } from '@/ui/Choices';
import { Disclosure } from '@/ui/Disclosure';
import { DraftScope, useTyped } from '@/ui/draft';
import { Field, Problems } from '@/ui/Field';
import { SaveButton, whoIsMissing } from '@/ui/SaveButton';
import type { RuleDraft } from '../input';
import { askServer } from '@/ui/ask-server';
import type { RulePreview } from '../rule-preview';
import {
  draftFrom,
  emptyPart,
  isMistyped,
  newDraft,
  ruleOf,
  withKind,
  type TypedRule,
  type RequirementDraft,
} from '../rule-draft';
import type { RuleView } from '../view';
import { useSubmitTerms } from './useSubmitTerms';

const unitSign = (input: FormInput, unit: TempUnit): string | undefined =>
  ({ temperature: `°${unit}`, days: 'days', hours: 'h', count: undefined })[input.unit];

function PartInput({
  input,
  part,
  unit,
  onChange,
}: {
  input: FormInput;
  part: RequirementDraft;
  unit: TempUnit;
  onChange: (change: Partial<RequirementDraft>) => void;
}) {
  const sign = unitSign(input, unit);
  return (
    <Field
      label={input.label}
      {...(sign ? { unit: sign } : {})}
      inputMode="decimal"
      value={part[input.key]}
      onChange={(e) => onChange({ [input.key]: e.target.value })}
      problem={isMistyped(part, input) ? say('rules.typeANumber') : undefined}
      {...(input.empty ? { placeholder: input.empty } : {})}
    />
  );
}

function PartFields({
  part,
  unit,
  onChange,
}: {
  part: RequirementDraft;
  unit: TempUnit;
  onChange: (p: RequirementDraft) => void;
}) {
  const set = (change: Partial<RequirementDraft>): void => onChange({ ...part, ...change });
  const { inputs, asksInARow, asksMoist } = getRequirementDescription(part.kind).form;
  return (
    <div className="flex flex-col gap-3">
      <Choices
        label={say('rules.whatItAsksFor')}
        value={part.kind}
        columns={4}
        onChange={(v) => {
          if (v) onChange(withKind(part, v));
        }}
        options={LEAF_KINDS.map((value) => ({
          value,
          label: getRequirementDescription(value).form.label,
        }))}
      />
      <div className="grid grid-cols-[repeat(auto-fit,minmax(150px,1fr))] gap-x-4 items-start">
        {inputs.map((input) => (
          <PartInput key={input.key} input={input} part={part} unit={unit} onChange={set} />
        ))}
      </div>
      {asksMoist && (
        <label className="flex gap-2 items-center min-h-target">
          <input
            type="checkbox"
            className="size-5"
            checked={part.moist}
            onChange={(e) => set({ moist: e.target.checked })}
          />
          {say('rules.countsOnlyWhileBatchMoist')}{' '}
          <span className="q">{say('rules.dryWeedSeedsSurviveHeat')}</span>
        </label>
      )}
      {asksInARow && (
        <Choices
          label={say('rules.mustTimeInRow')}
          value={part.row}
          onChange={(v) => {
            if (v) set({ row: v });
          }}
          options={[
            { value: 'yes', label: say('rules.inARow') },
            { value: 'no', label: say('rules.addedUp') },
          ]}
        />
      )}
    </div>
  );
}

/** What the rule would have said about the heaps here, asked a moment after the last change. */
function usePast(rule: RuleDraft): RulePreview | null {
  const [past, setPast] = useState<RulePreview | null>(null);
  const text = JSON.stringify(rule);
  useEffect(() => {
    let current = true;
    const timer = setTimeout(() => {
      askServer<RulePreview>('/api/ask/rule', JSON.parse(text) as RuleDraft).then(
        (p) => {
          if (current) setPast(p);
        },
        () => {
          if (current) setPast(null);
        },
      );
    }, 400);
    return () => {
      current = false;
      clearTimeout(timer);
    };
  }, [text]);
  return past;
}

function Past({ past }: { past: RulePreview | null }) {
  if (past === null)
    return (
      <p className="hint" aria-live="polite">
        {say('rules.workingOutResultForPast')}
      </p>
    );
  if (!past.ok)
    return (
      <p className="hint" aria-live="polite">
        {past.problems.map((x) => x.message).join('; ')}.
      </p>
    );
  return (
    <div aria-live="polite" data-testid="past" className="border-[1.6px] border-ink px-3 py-2">
      <p>
        <b>{say('rules.reads')}</b> {past.text}.
      </p>
      <p className="font-semibold mt-1.5">{say('rules.forBatchesHereWouldSay')}</p>
      {past.batches.length === 0 ? (
        <p>{say('rules.noBatchWithTheseMethods')}</p>
      ) : (
        <ul className="grid grid-cols-[repeat(auto-fill,minmax(240px,1fr))] gap-x-5 text-small">
          {past.batches.map((b) => (
            <li key={b.code} className="flex justify-between gap-3 border-b border-rule py-0.5">
              <span>
                {b.code} {b.name}
              </span>
              <span className="text-right">
                <b className="font-semibold">{b.word}</b> <span className="q">{b.text}</span>
              </span>
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}

function Editor({
  start,
  unit,
  by,
  taken,
  onDone,
}: {
  start: TypedRule;
  unit: TempUnit;
  by: string;
  taken: readonly string[];
  onDone: () => void;
}) {
  const [d, setD] = useTyped('rule', start);
  const rule = ruleOf(d, unit, taken);
  const past = usePast(rule);
  const keeper = useSubmitTerms(by);
  const missing =
    d.methods.length === 0
      ? say('rules.chooseMethodsApplies')
      : past === null
        ? say('rules.workingOutResultForPast2')
        : !past.ok
          ? say('controls.correctWhatIsMarkedAbove')
          : whoIsMissing(keeper.by);
  const setPart = (i: number, p: RequirementDraft): void =>
    setD({ ...d, parts: d.parts.map((x, j) => (j === i ? p : x)) });
  return (
    <div className="flex flex-col gap-4 pb-3">
      <div className="grid sm:grid-cols-2 gap-x-4">
        <Field
          label={say('rules.title')}
          value={d.title}
          maxLength={120}
          onChange={(e) => setD({ ...d, title: e.target.value })}
          hint={say('rules.asCrewWouldSay')}
        />
        <Field
          label={say('rules.source')}
          value={d.document}
          maxLength={300}
          onChange={(e) => setD({ ...d, document: e.target.value })}
          hint={say('rules.aPermitBuyerHazardAnalysis')}
        />
      </div>
      {d.parts.map((p, i) => (
        <fieldset key={i} className="border-[1.5px] border-rule-2 px-3 pb-3">
          <legend className="px-1 font-semibold">
            {d.parts.length === 1 ? say('rules.requirement') : say('rules.part', { i: i + 1 })}
          </legend>
          <PartFields part={p} unit={unit} onChange={(x) => setPart(i, x)} />
          {d.parts.length > 1 && (
            <button
              type="button"
              className="link mt-2 min-h-target"
              onClick={() => setD({ ...d, parts: d.parts.filter((_, j) => j !== i) })}
            >
              {say('rules.removePart', { i: i + 1 })}
            </button>
          )}
        </fieldset>
      ))}
      {d.parts.length > 1 && (
        <Choices
          label={say('rules.ofTheseParts')}
          value={d.join}
          onChange={(v) => {
            if (v) setD({ ...d, join: v });
          }}
          options={[
            { value: 'anyOf', label: say('rules.anyOneIsEnough') },
            { value: 'allOf', label: say('rules.allAreNeeded') },
          ]}
        />
      )}
      <button
        type="button"
        className="btn self-start"
        onClick={() => setD({ ...d, parts: [...d.parts, emptyPart(unit)] })}
      >
        {say('rules.addAnotherPart')}
      </button>
      <Choices
        label={say('rules.whatStartsClockOver')}
        value={d.clock}
        onChange={(v) => {
          if (v) setD({ ...d, clock: v });
        }}
        options={[
          { value: 'germs', label: say('rules.anythingRaw'), hint: say('rules.aRuleForPathogens') },
          {
            value: 'seeds',
            label: say('rules.liveWeedSeeds'),
            hint: say('rules.aRuleForWeedSeeds'),
          },
        ]}
      />
      <fieldset>
        <legend className="label">{say('rules.forBatchesWithMethod')}</legend>
        <div className="flex gap-5 flex-wrap">
          {(['turned', 'static', 'vessel'] as const).map((m) => (
            <label key={m} className="flex gap-2 items-center min-h-target">
              <input
                type="checkbox"
                className="size-5"
                checked={d.methods.includes(m)}
                onChange={(e) =>
                  setD({
                    ...d,
                    methods: e.target.checked
                      ? [...d.methods, m]
                      : d.methods.filter((x) => x !== m),
                  })
                }
              />
              {m === 'vessel' ? say('rules.inVessel') : m}
            </label>
          ))}
        </div>
      </fieldset>
      <Past past={past} />
      <Field
        label={say('rules.who')}
        value={keeper.by}
        onChange={(e) => keeper.setBy(e.target.value)}
        maxLength={60}
        autoComplete="name"
        hint={say('rules.yourNameSavedWithThis')}
      />
      <Problems list={keeper.problems} />
      <SaveButton
        label={d.id ? say('rules.saveAsNextVersion') : say('rules.saveThisRule')}
        busy={keeper.busy}
        missing={missing}
        onSave={() => keeper.save('rule', null, { rule }, onDone)}
      />
    </div>
  );
}

/** Rules that the site wrote itself, in the form of the library; each change is a version. */
export function RuleForm({
  own,
  unit,
  by,
  taken,
}: {
  own: readonly { draft: RuleDraft; view: RuleView; versions: readonly string[] }[];
  unit: TempUnit;
  by: string;
  taken: readonly string[];
}) {
  const [open, setOpen] = useState<{ key: string; draft: TypedRule } | null>(null);
  return (
    <Disclosure
      summary={
        own.length === 0
          ? say('rules.yourOwnRulesNoneYet')
          : say('rules.yourOwnRules', { own: own.length })
      }
      open={own.length > 0}
    >
      <div className="flex flex-col gap-3">
        {own.map((o) => (
          <div key={o.view.id} className="border-b border-rule pb-2">
            <p>
              <b>{o.view.title}</b>: {o.view.text}.
            </p>
            <p className="hint">
              {o.view.id}. {o.versions.join('. ')}.
            </p>
            <button
              type="button"
              className="link min-h-target"
              onClick={() => setOpen({ key: o.view.id, draft: draftFrom(o.draft, unit) })}
            >
              {say('rules.changeIt')}
            </button>
          </div>
        ))}
        {open ? (
          <DraftScope key={open.key} name={`rule ${open.key}`}>
            <Editor
              start={open.draft}
              unit={unit}
              by={by}
              taken={[...taken, ...own.map((o) => o.view.id)]}
              onDone={() => setOpen(null)}
            />
          </DraftScope>
        ) : (
          <button
            type="button"
            className="btn self-start"
            onClick={() => setOpen({ key: 'new', draft: newDraft(unit) })}
          >
            {say('rules.writeARule')}
          </button>
        )}
      </div>
    </Disclosure>
  );
}
