'use client';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { useDraftSaved, useTyped } from '@/ui/draft';
import { v7 } from 'uuid';
import { proposePlan } from '@/core/heap/plan';
import { M3_OF, toCelsius, VOLUME_SIGN } from '@/core/quantity/units';
import type { Rule } from '@/core/evidence/rule';
import type { MethodTemplate } from '@/core/log/shapes';
import { SCHOOL_WORDS } from '@/core/advice/words';
import { fitsBatch, keepingOf, orderedLike, proposedRules, type Input } from '@/core/rules/propose';
import { usualTemplate } from '@/core/advice/templates';
import { Choices } from '@/ui/Choices';
import { Field } from '@/ui/Field';
import { withLead } from '@/ui/LeadSelect';
import { typed } from '@/ui/number';
import { remember } from '@/ui/remember';
import type { EarlierHeap } from '../proposal';
import { KeepBar } from './parts';
import { RulesToProve, type RuleOffer } from './RulesToProve';
import { submitEntry, useEntry, type HeapRef } from './useEntry';

type Method = 'turned' | 'static' | 'vessel';
const INPUT_WORDS: readonly (readonly [Input, string])[] = [
  ['garden', 'Garden and crop waste'],
  ['seeding-weeds', 'Seeding weeds, late hay'],
  ['manure', 'Manure, bedding'],
  ['food-waste', 'Food waste'],
  ['diseased-plants', 'Diseased plants'],
  ['biosolids', 'Sewage sludge'],
];
const metres = (text: string): number | null =>
  text.trim() === '' ? null : Number(text.replace(',', '.'));
/** A new heap: code and name proposed, method, bay, and when the last raw load went in, if it is in. */
export function OpenForm({
  site,
  proposed,
  codes,
  stretchM,
  rules,
  ownRules,
  siteTerms,
  volumeUnit,
  templates,
  earlier,
  nowMs,
  timeZone,
  forBench = false,
}: {
  timeZone: string;
  site: HeapRef;
  proposed: { code: string; name: string; bay: string };
  codes: readonly string[];
  /** Of the site: one set of places for so much row, m. */ stretchM: number;
  rules: readonly RuleOffer[];
  ownRules: readonly (Pick<Rule, 'id'> & Readonly<Record<string, unknown>>)[];
  siteTerms: { version: number; rules: readonly string[]; policy: object } | null;
  volumeUnit: 'm3' | 'yd3';
  templates: readonly MethodTemplate[];
  earlier: readonly EarlierHeap[];
  nowMs: number;
  /** A mix waits on the bench for this heap. */ forBench?: boolean;
}) {
  const router = useRouter();
  const [code, setCode] = useTyped('code', proposed.code);
  const [name, setName] = useTyped('name', proposed.name);
  const [bay, setBay] = useTyped('bay', proposed.bay);
  const [volume, setVolume] = useTyped('volume', '');
  const [shape, setShape] = useTyped<'dome' | 'windrow' | 'cube' | ''>('shape', 'dome');
  const [core, setCore] = useTyped('core', '');
  const [reach, setReach] = useTyped('reach', '');
  const [row, setRow] = useTyped('row', '');
  const [from, setFrom] = useTyped('from', '');
  const [to, setTo] = useTyped('to', '');
  const [method, setMethod] = useTyped<Method | ''>('method', 'turned');
  const kept = templates.filter((t) => t.kept === method);
  const [templateId, setTemplateId] = useTyped('templateId', '');
  const template =
    kept.find((t) => t.id === templateId) ??
    kept.find((t) => t.id === usualTemplate(method || 'turned').id) ??
    kept[0];
  const [like, setLike] = useTyped('like', '');
  const [stage, setStage] = useTyped<'building' | 'closed' | 'adopted' | ''>('stage', '');
  const [rawAt, setRawAt] = useTyped<'known' | 'about' | 'unknown' | ''>('rawAt', '');
  const [turned, setTurned] = useTyped('turned', '');
  const [hottest, setHottest] = useTyped('hottest', '');
  const [told, setTold] = useTyped('told', '');
  const [builtAt, setBuiltAt] = useTyped('builtAt', site.nowLocal);
  const [builtId] = useState(() => v7());
  const [placedId] = useState(() => v7());
  const keeping = keepingOf(method || 'turned', template ?? null);
  const offered = rules.filter((r) => fitsBatch(r.rule, keeping));
  const [inputs, setInputs] = useTyped<readonly Input[]>('inputs', ['garden', 'seeding-weeds']);
  /** Ticks that a person set or took away stand over what is proposed. */
  const [byHand, setByHand] = useTyped<Readonly<Record<string, boolean>>>('byHand', {});
  const proposedFor = new Map(
    proposedRules({
      keeping,
      inputs,
      siteRules: siteTerms?.rules ?? [],
      timeZone,
      own: ownRules as unknown as Rule[],
    }).map((p) => [p.id, `${p.input}; ${p.from}`]),
  );
  const [leads, setLeads] = useTyped<string | null>('leads', null);
  // In the site's own order, so that the rule it lets lead comes first.
  const ticked = orderedLike(
    offered.filter((r) => byHand[r.id] ?? proposedFor.has(r.id)).map((r) => r.id),
    siteTerms?.rules ?? [],
  );
  const chosen = leads !== null && ticked.includes(leads) ? withLead(ticked, leads) : ticked;
  /** Everything that does not belong to one heap alone is taken from an earlier one; it can be changed below. */
  const copy = (id: string): void => {
    setLike(id);
    const from = earlier.find((h) => h.id === id);
    if (!from) return;
    setMethod(from.template.kept);
    setTemplateId(from.template.id);
    setVolume(
      from.volumeM3 === null
        ? ''
        : String(Math.round((from.volumeM3 / M3_OF[volumeUnit]) * 10) / 10),
    );
    if (from.shape === 'dome' || from.shape === 'windrow' || from.shape === 'cube')
      setShape(from.shape);
    setCore(from.coreDepthM === null ? '' : String(from.coreDepthM));
    setInputs(INPUT_WORDS.map(([input]) => input).filter((i) => from.inputs.includes(i)));
    setByHand(Object.fromEntries(rules.map((r) => [r.id, from.rules.includes(r.id)])));
  };
  const entry = useEntry('opened', site, () => undefined);
  const m3 = volume.trim() === '' ? null : Number(volume.replace(',', '.')) * M3_OF[volumeUnit];
  const volumeProblem =
    m3 !== null && !(m3 > 0) ? 'Type the volume as a number, or leave it empty.' : undefined;
  const [coreM, reachM] = [metres(core), metres(reach)];
  const depthProblem = (m: number | null): string | undefined =>
    m !== null && !(m > 0 && m < 20) ? 'Type metres as a number, or leave it empty.' : undefined;
  const [fromM, toM] = [metres(from), metres(to)];
  const inRow = shape === 'windrow' && row.trim() !== '';
  const rowProblem =
    inRow && !(fromM !== null && toM !== null && fromM >= 0 && toM > fromM)
      ? 'Type where it starts and ends along the row, in metres.'
      : null;
  const sound = (m: number | null): number | null => (m !== null && !depthProblem(m) ? m : null);
  const places = proposePlan(
    {
      shape: shape || null,
      coreDepthM: sound(coreM),
      lengthM: inRow && !rowProblem ? toM! - fromM! : null,
    },
    stretchM,
    sound(reachM),
  );
  const codeProblem =
    code.trim() === ''
      ? 'A heap needs a code for its flag.'
      : codes.includes(code.trim().toUpperCase())
        ? `There is a heap ${code.trim()} already. Choose another code.`
        : undefined;
  const [turnedN, hottestN] = [typed(turned), typed(hottest, -30)];
  const adoptProblem =
    stage === 'adopted' && (turnedN === null || hottestN === null)
      ? 'Type turnings and the hottest reading as numbers, or leave them empty.'
      : null;
  const adopted =
    stage !== 'adopted' || rawAt === ''
      ? {}
      : {
          adopted: {
            from: nowMs,
            rawAt,
            ...(typeof turnedN === 'number' ? { turnings: Math.round(turnedN) } : {}),
            ...(typeof hottestN === 'number' ? { highestC: toCelsius(hottestN, site.unit) } : {}),
            ...(told.trim() ? { words: told.trim() } : {}),
          },
        };
  const ready =
    !adoptProblem &&
    !(stage === 'adopted' && rawAt === '') &&
    !codeProblem &&
    !volumeProblem &&
    !depthProblem(coreM) &&
    !depthProblem(reachM) &&
    !rowProblem &&
    shape !== '' &&
    method !== '' &&
    stage !== '';
  const missing = ready
    ? null
    : (codeProblem ??
      volumeProblem ??
      depthProblem(coreM) ??
      depthProblem(reachM) ??
      rowProblem ??
      adoptProblem ??
      (stage === ''
        ? 'Say whether the last raw load is in.'
        : stage === 'adopted' && rawAt === ''
          ? 'Say when its last raw load went in.'
          : 'Choose its shape and how it is kept.'));
  const saved = useDraftSaved();
  const keep = async (): Promise<void> => {
    const data = {
      code: code.trim(),
      method,
      ...(name.trim() ? { name: name.trim() } : {}),
      ...(bay.trim() ? { bay: bay.trim() } : {}),
      ...(m3 === null ? {} : { volumeM3: m3 }),
      shape,
      ...(coreM === null ? {} : { coreDepthM: coreM }),
      points: places,
      rules: chosen,
      inputs,
      ...(template ? { template } : {}),
      ownRules: ownRules.filter((r) => chosen.includes(r.id)),
      ...(siteTerms ? { policy: siteTerms.policy, siteVersion: siteTerms.version } : {}),
      ...adopted,
    };
    const heapName = name.trim() || code.trim();
    const opened = await submitEntry(
      { ...entry.form(data), at: stage === 'closed' ? builtAt : null },
      heapName,
      'opened',
    );
    if (!opened.ok) {
      entry.setProblems(opened.problems);
      return;
    }
    if (inRow) {
      const placed = await submitEntry(
        {
          id: placedId,
          batch: entry.id,
          kind: 'position',
          at: null,
          by: entry.by,
          data: { position: { row: row.trim(), fromM, toM } },
        },
        heapName,
        'position',
      );
      if (!placed.ok) {
        entry.setProblems(placed.problems);
        return;
      }
    }
    if (stage === 'closed' || stage === 'adopted') {
      // Of a heap whose last raw load nobody knows, the clock runs from when it was taken over: it cannot have been later.
      const built = await submitEntry(
        {
          id: builtId,
          batch: entry.id,
          kind: 'built',
          at: stage === 'adopted' && rawAt === 'unknown' ? null : builtAt,
          by: entry.by,
          data: {},
        },
        heapName,
        'built',
      );
      if (!built.ok) {
        entry.setProblems(built.problems);
        return;
      }
    }
    remember('zh_by', entry.by);
    saved();
    // Its page is made by the hub: without a signal there is none yet.
    if (opened.waiting) {
      router.push('/waiting');
      return;
    }
    router.push(forBench ? `/bench?lay=${entry.id}` : `/batch/${entry.id}`);
    router.refresh();
  };
  return (
    <div className="px-5 py-5 max-w-[760px] flex flex-col gap-5">
      <h1>Open a heap</h1>
      {earlier.length > 0 && (
        <div className="max-w-[520px]">
          <label className="label" htmlFor="like">
            Like an earlier heap?
          </label>
          <select id="like" className="field" value={like} onChange={(e) => copy(e.target.value)}>
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
      )}
      <div className="grid grid-cols-[110px_1fr_110px] gap-3 max-sm:grid-cols-1">
        <Field
          label="Code"
          value={code}
          maxLength={24}
          onChange={(e) => setCode(e.target.value)}
          problem={codeProblem}
        />
        <Field
          label="Name"
          value={name}
          maxLength={60}
          onChange={(e) => setName(e.target.value)}
          hint="What the crew calls it"
        />
        <Field label="Bay" value={bay} maxLength={40} onChange={(e) => setBay(e.target.value)} />
      </div>
      <Field
        label="How much, about"
        unit={VOLUME_SIGN[volumeUnit]}
        inputMode="decimal"
        value={volume}
        onChange={(e) => setVolume(e.target.value)}
        problem={volumeProblem}
        hint="Leave empty if you do not know. Under about one cubic metre a heap rarely stays hot."
      />
      <Choices
        label="What shape is it?"
        value={shape}
        onChange={setShape}
        columns={3}
        options={[
          { value: 'dome', label: 'Heap', hint: 'free-standing' },
          { value: 'windrow', label: 'Row', hint: 'long, sloping sides' },
          { value: 'cube', label: 'Bay, bin or tub' },
        ]}
      />
      {shape === 'windrow' && (
        <div>
          <div className="grid grid-cols-[1fr_110px_110px] gap-3">
            <Field
              label="Row it shares with others"
              value={row}
              maxLength={40}
              onChange={(e) => setRow(e.target.value)}
              hint="Leave empty if it lies alone"
            />
            <Field
              label="From"
              unit="m"
              inputMode="decimal"
              value={from}
              onChange={(e) => setFrom(e.target.value)}
            />
            <Field
              label="To"
              unit="m"
              inputMode="decimal"
              value={to}
              onChange={(e) => setTo(e.target.value)}
            />
          </div>
          {rowProblem && (
            <p role="alert" className="marked font-semibold">
              {rowProblem}
            </p>
          )}
        </div>
      )}
      <div className="grid grid-cols-2 gap-3 max-sm:grid-cols-1">
        <Field
          label="From its surface to the core"
          unit="m"
          inputMode="decimal"
          value={core}
          onChange={(e) => setCore(e.target.value)}
          problem={depthProblem(coreM)}
          hint="Leave empty if you do not know: the hot share of the heap then stays unknown"
        />
        <Field
          label="The thermometer reaches in"
          unit="m"
          inputMode="decimal"
          value={reach}
          onChange={(e) => setReach(e.target.value)}
          problem={depthProblem(reachM)}
          hint={
            coreM !== null && reachM !== null && reachM < coreM
              ? `Shorter than the way to the core: ${coreM - reachM < 0.3 ? 'read it from above too' : 'the core will not be read'}.`
              : 'Its stem, not its handle'
          }
        />
      </div>
      {sound(coreM) !== null && (
        <p className="hint -mt-3">
          Places of a round: {places.map((p) => `${p.label} ${p.depthM} m`).join('; ')}.
        </p>
      )}
      <Choices
        label="How is it kept?"
        value={method}
        onChange={setMethod}
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
          onChange={(e) => setTemplateId(e.target.value)}
        >
          {kept.map((t) => (
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
      <Choices
        label="Is the last raw load in?"
        value={stage}
        onChange={setStage}
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
      {stage === 'adopted' && (
        <section className="flex flex-col gap-3 border-l-[4px] border-ink pl-4" data-testid="adopt">
          <Choices
            label="When did its last raw load go in?"
            value={rawAt}
            onChange={setRawAt}
            columns={3}
            options={[
              { value: 'known', label: 'It was written down' },
              { value: 'about', label: 'About then', hint: 'from memory' },
              { value: 'unknown', label: 'Nobody knows', hint: 'the clock runs from now' },
            ]}
          />
          {(rawAt === 'known' || rawAt === 'about') && (
            <Field
              label="Last raw load"
              type="datetime-local"
              value={builtAt}
              max={site.nowLocal}
              onChange={(e) => setBuiltAt(e.target.value)}
              hint="The age of the heap counts from then; heat counts only from its first round here"
            />
          )}
          <div className="grid grid-cols-2 gap-3">
            <Field
              label="Turned so far"
              inputMode="numeric"
              value={turned}
              onChange={(e) => setTurned(e.target.value)}
              hint="as they tell it; counts for no rule"
            />
            <Field
              label="Hottest that was seen"
              unit={`°${site.unit}`}
              inputMode="decimal"
              value={hottest}
              onChange={(e) => setHottest(e.target.value)}
            />
          </div>
          <Field
            label="What else is known"
            value={told}
            maxLength={400}
            onChange={(e) => setTold(e.target.value)}
            placeholder="horse manure and chip, built in one day"
          />
          {adoptProblem && (
            <p role="alert" className="marked font-semibold">
              {adoptProblem}
            </p>
          )}
          <p className="hint">
            Before now nothing is recorded here, and the record says so. Readings on paper can be
            brought in under Bring in, with their own times.
          </p>
        </section>
      )}
      {stage === 'closed' && (
        <Field
          label="When the last raw load went in"
          type="datetime-local"
          value={builtAt}
          max={site.nowLocal}
          onChange={(e) => setBuiltAt(e.target.value)}
          hint="Nothing before this counts"
        />
      )}
      <fieldset>
        <legend className="label">What goes in? It decides which rules are proposed</legend>
        <div className="grid grid-cols-[repeat(auto-fit,minmax(210px,1fr))]">
          {INPUT_WORDS.map(([input, word]) => (
            <label key={input} className="flex gap-3 items-center min-h-[44px]">
              <input
                type="checkbox"
                className="size-5"
                checked={inputs.includes(input)}
                onChange={(e) =>
                  setInputs((all) =>
                    e.target.checked ? [...all, input] : all.filter((x) => x !== input),
                  )
                }
              />
              {word}
            </label>
          ))}
        </div>
      </fieldset>
      <RulesToProve
        offered={offered}
        chosen={chosen}
        why={proposedFor}
        keeping={keeping}
        inputs={inputs}
        timeZone={timeZone}
        template={template ?? null}
        siteVersion={siteTerms?.version ?? null}
        onTick={(id, on) => setByHand((h) => ({ ...h, [id]: on }))}
        onLead={setLeads}
      />
      <Field
        label="Who"
        value={entry.by}
        onChange={(e) => entry.setBy(e.target.value)}
        maxLength={60}
        autoComplete="name"
      />
      <KeepBar
        entry={entry}
        label={`Open ${name.trim() || code.trim() || 'the heap'}`}
        missing={missing}
        onKeep={() => void keep()}
      />
    </div>
  );
}
