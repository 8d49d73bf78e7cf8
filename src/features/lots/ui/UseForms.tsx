'use client';
import { say } from '@/messages/say';
import { signOf } from '@/core/quantity/typed-quantity';
import { typed } from '@/core/quantity/typed-number';
import type { LimitSet } from '@/core/release/limit-sets';
import type { Force, ReleaseItem } from '@/core/release/uses';
import { LOT_WAITING_NAMES } from '@/core/log/kinds/waiting-lots';
import { KeepBar, WhenAndWho } from '@/entry/ui/parts';
import { useNamedEntry, type HeapRef } from '@/entry/ui/useEntry';
import { useTyped } from '@/ui/draft';
import { Field } from '@/ui/Field';
import {
  draftOfLimits,
  draftOfUse,
  EMPTY_LIMIT,
  LIMIT_KINDS,
  limitOf,
  useDataOf,
  type LimitDraft,
  type LimitKind,
  type UseDraft,
} from '../uses-draft';
import type { UsesLabels, UsesView } from '../uses-view';
import { BasisSelect, NoteField, wordsIn } from './parts';

type FieldProps = {
  readonly d: UseDraft;
  readonly set: (change: Partial<UseDraft>) => void;
  readonly view: UsesView;
};

/** For each item whether it is required, recommended or not asked. */
function ItemSelects({ d, set, view }: FieldProps) {
  const change = (item: ReleaseItem, force: Force | ''): void => {
    const { [item]: _was, ...others } = d.asks;
    set({ asks: force === '' ? others : { ...others, [item]: force } });
  };
  return (
    <div className="grid grid-cols-2 gap-3 max-sm:grid-cols-1">
      {view.items.map((item) => (
        <label key={item.id} className="label">
          {item.name}
          <select
            className="field mt-1"
            value={d.asks[item.id] ?? ''}
            onChange={(e) => change(item.id, e.target.value as Force | '')}
          >
            <option value="">{view.labels.notAsked}</option>
            <option value="must">{view.labels.must}</option>
            <option value="should">{view.labels.should}</option>
          </select>
        </label>
      ))}
    </div>
  );
}

/** Some of several, as boxes to tick. */
function Ticks<T extends string>({
  legend,
  of,
  ticked,
  onChange,
}: {
  legend: string;
  of: readonly { readonly id: T; readonly name: string }[];
  ticked: readonly T[];
  onChange: (ticked: readonly T[]) => void;
}) {
  return (
    <fieldset className="flex flex-col">
      <legend className="label">{legend}</legend>
      {of.map(({ id, name }) => (
        <label key={id} className="flex gap-2 items-center min-h-target">
          <input
            type="checkbox"
            className="size-6"
            checked={ticked.includes(id)}
            onChange={(e) =>
              onChange(e.target.checked ? [...ticked, id] : ticked.filter((t) => t !== id))
            }
          />
          {name}
        </label>
      ))}
    </fieldset>
  );
}

function NumberFields({ d, set, view }: FieldProps) {
  const number = (
    key: 'leastDays' | 'atLeast' | 'germinationPct',
    label: string,
    unit?: string,
  ) => (
    <Field
      label={label}
      {...(unit ? { unit } : {})}
      inputMode="decimal"
      value={d[key]}
      onChange={(e) => set({ [key]: e.target.value })}
      problem={typeof typed(d[key]) === 'number' ? undefined : say('lots.typeNumbers')}
    />
  );
  return (
    <div className="grid grid-cols-2 gap-3">
      {number('leastDays', view.labels.leastDays)}
      {number('atLeast', view.labels.testsAtLeast)}
      {number('germinationPct', view.labels.germinationLeast, '%')}
      <label className="label">
        {view.labels.flaskLeast}
        <select
          className="field mt-1"
          value={d.flaskClass}
          onChange={(e) => set({ flaskClass: e.target.value })}
        >
          {['I', 'II', 'III', 'IV', 'V'].map((name, i) => (
            <option key={name} value={i + 1}>
              {name}
            </option>
          ))}
        </select>
      </label>
      <Field
        label={view.labels.coarsestMesh}
        unit={signOf('mm')}
        inputMode="decimal"
        value={d.mesh}
        onChange={(e) => set({ mesh: e.target.value })}
      />
    </div>
  );
}

/** What a use asks on this site. */
export function UseForm({
  use,
  view,
  site,
  onDone,
}: {
  use: UsesView['uses'][number];
  view: UsesView;
  site: HeapRef;
  onDone: () => void;
}) {
  const entry = useNamedEntry('lot-use', LOT_WAITING_NAMES['lot-use'], site, onDone);
  const [d, setDraft] = useTyped<UseDraft>('use', draftOfUse(use.use));
  const [words, setWords] = useTyped('words', '');
  const set = (change: Partial<UseDraft>): void => setDraft({ ...d, ...change });
  const data = useDataOf(d);
  return (
    <>
      <ItemSelects d={d} set={set} view={view} />
      <NumberFields d={d} set={set} view={view} />
      <Ticks
        legend={view.labels.ofTheseTests}
        of={view.tests}
        ticked={d.tests}
        onChange={(tests) => set({ tests })}
      />
      <Ticks
        legend={view.labels.limitsAsked}
        of={view.limitSets}
        ticked={d.limitSets}
        onChange={(limitSets) => set({ limitSets })}
      />
      <NoteField value={words} onChange={setWords} />
      <WhenAndWho entry={entry} heap={site} />
      <KeepBar
        entry={entry}
        label={view.labels.saveUse}
        missing={data === null ? say('lots.typeNumbers') : null}
        onKeep={() => entry.save({ use: use.use.id, ...data, from: use.from, ...wordsIn(words) })}
      />
    </>
  );
}

/** One limit: what is measured, how it is asked, the figure with its unit. */
function LimitLine({
  line,
  labels,
  onChange,
}: {
  line: LimitDraft;
  labels: UsesLabels;
  onChange: (line: LimitDraft) => void;
}) {
  const set = (change: Partial<LimitDraft>): void => onChange({ ...line, ...change });
  return (
    <div className="grid grid-cols-[2fr_1fr_1fr_1fr_1fr] gap-2 max-sm:grid-cols-2">
      <Field
        label={say('lots.analyte')}
        value={line.analyte}
        maxLength={80}
        onChange={(e) => set({ analyte: e.target.value })}
      />
      <label className="label">
        {labels.limit}
        <select
          className="field mt-1"
          value={line.kind}
          onChange={(e) => set({ kind: e.target.value as LimitKind })}
        >
          {LIMIT_KINDS.map((kind) => (
            <option key={kind} value={kind}>
              {labels.kinds[kind]}
            </option>
          ))}
        </select>
      </label>
      {line.kind !== 'absent' && (
        <Field
          label={say('lots.value')}
          inputMode="decimal"
          value={line.limit}
          onChange={(e) => set({ limit: e.target.value })}
        />
      )}
      <Field
        label={say('lots.unit')}
        value={line.unit}
        maxLength={40}
        onChange={(e) => set({ unit: e.target.value })}
      />
      <BasisSelect value={line.basis} onChange={(basis) => set({ basis })} />
    </div>
  );
}

/** What is typed of limits of one's own, and what it still lacks. */
function useLimits(set: LimitSet | null, labels: UsesLabels) {
  const [title, setTitle] = useTyped('title', set?.title ?? '');
  const [document, setDocument] = useTyped('document', set?.document ?? '');
  const [year, setYear] = useTyped('year', set?.year ? String(set.year) : '');
  const [lines, setLines] = useTyped<readonly LimitDraft[]>(
    'lines',
    set ? [...draftOfLimits(set), EMPTY_LIMIT] : [EMPTY_LIMIT],
  );
  const limits = lines.filter((l) => l.analyte.trim() !== '').map(limitOf);
  const yearN = typed(year);
  const missing =
    title.trim().length < 2 || document.trim().length < 2
      ? labels.nameLimits
      : limits.length === 0 || limits.includes(null)
        ? labels.limitsNeed
        : yearN === null
          ? say('lots.typeNumbers')
          : null;
  const setLine = (i: number, line: LimitDraft): void => {
    const next = lines.map((l, k) => (k === i ? line : l));
    setLines(i === lines.length - 1 && line.analyte !== '' ? [...next, EMPTY_LIMIT] : next);
  };
  const data = {
    ...(set ? { set: set.id } : {}),
    ...{ title: title.trim(), document: document.trim(), limits },
    ...(typeof yearN === 'number' ? { year: Math.round(yearN) } : {}),
  };
  return {
    ...{ title, setTitle, document, setDocument, year, setYear, lines, setLine },
    ...{ data, missing },
  };
}

/** A set of limits that the site writes down itself. */
export function LimitSetForm({
  set,
  site,
  labels,
  onDone,
}: {
  set: LimitSet | null;
  site: HeapRef;
  labels: UsesLabels;
  onDone: () => void;
}) {
  const entry = useNamedEntry('limit-set', LOT_WAITING_NAMES['limit-set'], site, onDone);
  const l = useLimits(set, labels);
  return (
    <>
      <Field
        label={labels.title}
        value={l.title}
        maxLength={80}
        onChange={(e) => l.setTitle(e.target.value)}
      />
      <div className="grid grid-cols-[2fr_1fr] gap-3">
        <Field
          label={labels.document}
          value={l.document}
          maxLength={120}
          onChange={(e) => l.setDocument(e.target.value)}
        />
        <Field
          label={labels.year}
          inputMode="numeric"
          value={l.year}
          onChange={(e) => l.setYear(e.target.value)}
        />
      </div>
      {l.lines.map((line, i) => (
        // Lines have nothing of their own but their place.
        <LimitLine
          key={String(i)}
          line={line}
          labels={labels}
          onChange={(next) => l.setLine(i, next)}
        />
      ))}
      <WhenAndWho entry={entry} heap={site} />
      <KeepBar
        entry={entry}
        label={labels.saveLimits}
        missing={l.missing}
        onKeep={() => entry.save(l.data)}
      />
    </>
  );
}
