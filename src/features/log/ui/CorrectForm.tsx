'use client';
import { Choices } from '@/ui/Choices';
import { useTyped } from '@/ui/draft';
import { Effects } from '@/ui/Effects';
import { Field } from '@/ui/Field';
import { typed } from '@/core/quantity/typed-number';
import type { CorrectableParts } from '../view';
import { KeepBar } from '@/entry/ui/parts';
import { useEntry, useEntryPreview, type HeapRef } from '@/entry/ui/useEntry';

export type ReadingRef = { readonly id: string; readonly place: string; readonly value: string };
type Props = {
  readonly heap: HeapRef;
  readonly onDone: () => void;
  readonly entryId: string;
  readonly title: string;
  readonly readings: readonly ReadingRef[];
  readonly parts: CorrectableParts | null;
};
type How = 'value' | 'parts' | 'strike' | '';

/** What stands right in a turning, a watering, an addition or the closing of a heap. */
type Right = {
  readonly at: string;
  readonly full: 'full' | 'stir' | '';
  readonly clean: 'clean' | 'unclean' | '';
  readonly litres: string;
  readonly raw: 'raw' | 'clean' | '';
  readonly seeds: 'yes' | 'no' | '';
  readonly what: string;
};

function rightOf(parts: CorrectableParts | null): Right {
  const empty: Right = {
    at: parts?.at ?? '',
    full: '',
    clean: '',
    litres: '',
    raw: '',
    seeds: '',
    what: '',
  };
  switch (parts?.kind) {
    case 'turn':
      return { ...empty, full: parts.full ? 'full' : 'stir' };
    case 'water':
      return {
        ...empty,
        clean: parts.clean ? 'clean' : 'unclean',
        litres: parts.litres === null ? '' : String(parts.litres),
      };
    case 'addition':
      return {
        ...empty,
        raw: parts.raw ? 'raw' : 'clean',
        seeds: parts.seeds === null ? '' : parts.seeds ? 'yes' : 'no',
        what: parts.what,
      };
    default:
      return empty;
  }
}

/** The data that the corrected entry takes; null: a figure cannot be read. */
function insteadOf(parts: CorrectableParts, r: Right): Record<string, unknown> | null {
  switch (parts.kind) {
    case 'turn':
      return { full: r.full === 'full' };
    case 'water': {
      const litres = typed(r.litres);
      return litres === null ? null : { clean: r.clean === 'clean', litres };
    }
    case 'addition':
      return {
        raw: r.raw === 'raw',
        seeds: r.seeds === '' ? undefined : r.seeds === 'yes',
        what: r.what.trim() || undefined,
      };
    case 'built':
      return {};
  }
}

function PartFields({
  parts,
  right,
  set,
  max,
}: {
  parts: CorrectableParts;
  right: Right;
  set: (change: Partial<Right>) => void;
  max: string;
}) {
  return (
    <>
      <Field
        label="It happened"
        type="datetime-local"
        value={right.at}
        max={max}
        onChange={(e) => set({ at: e.target.value })}
      />
      {parts.kind === 'turn' && (
        <Choices
          label="How"
          value={right.full}
          onChange={(full) => set({ full })}
          options={[
            { value: 'full', label: 'Full turning' },
            { value: 'stir', label: 'Only stirred' },
          ]}
        />
      )}
      {parts.kind === 'water' && (
        <Choices
          label="What water?"
          value={right.clean}
          onChange={(clean) => set({ clean })}
          options={[
            { value: 'clean', label: 'Clean' },
            { value: 'unclean', label: 'Not clean, or I don’t know' },
          ]}
        />
      )}
      {parts.kind === 'water' && (
        <Field
          label="How much"
          unit="litres"
          inputMode="decimal"
          value={right.litres}
          onChange={(e) => set({ litres: e.target.value })}
          hint="Leave empty if it was not measured"
        />
      )}
      {parts.kind === 'addition' && (
        <Field
          label="What went in"
          value={right.what}
          maxLength={200}
          onChange={(e) => set({ what: e.target.value })}
        />
      )}
      {parts.kind === 'addition' && (
        <Choices
          label="Is it raw?"
          value={right.raw}
          onChange={(raw) => set({ raw })}
          options={[
            { value: 'raw', label: 'Raw, or I don’t know' },
            { value: 'clean', label: 'Clean' },
          ]}
        />
      )}
      {parts.kind === 'addition' && (
        <Choices
          optional
          label="Live seeds in it?"
          value={right.seeds}
          onChange={(seeds) => set({ seeds })}
          options={[
            { value: 'yes', label: 'Yes, or I don’t know' },
            { value: 'no', label: 'No' },
          ]}
        />
      )}
    </>
  );
}

/** Puts a reading or an entry right, or strikes it. The old one stays readable in the log. */
export function CorrectForm({ heap, onDone, entryId, title, readings, parts }: Props) {
  const entry = useEntry('correction', heap, onDone);
  const [reading, setReading] = useTyped('reading', readings[0]?.id ?? '');
  const [how, setHow] = useTyped<How>(
    'how',
    readings.length > 0 ? 'value' : parts ? 'parts' : 'strike',
  );
  const [value, setValue] = useTyped('value', '');
  const [right, setRight] = useTyped('right', rightOf(parts));
  const [reason, setReason] = useTyped('reason', '');
  const number = Number(value.replace(',', '.'));
  const problem =
    how === 'value' && value !== '' && !Number.isFinite(number)
      ? 'Type the temperature as a number.'
      : undefined;
  const instead = how === 'parts' && parts ? insteadOf(parts, right) : null;
  const missing =
    how === 'value' && value === ''
      ? 'Type the right value.'
      : (problem ??
        (how === 'parts' && instead === null
          ? 'Type litres as a number, or leave it empty.'
          : how === 'parts' && right.at === ''
            ? 'Say when it happened.'
            : reason.trim().length < 3
              ? 'Say why in a few words.'
              : null));
  const data =
    missing !== null
      ? null
      : {
          target: entryId,
          ...(reading ? { reading } : {}),
          ...(how === 'value' ? { value: number, unit: heap.unit } : {}),
          ...(instead && parts
            ? { instead: { ...(right.at === parts.at ? {} : { at: right.at }), data: instead } }
            : {}),
          reason: reason.trim(),
        };
  const preview = useEntryPreview(entry, data);
  return (
    <>
      <p className="hint">{title}</p>
      {readings.length > 0 && (
        <div>
          <label className="label" htmlFor="which">
            Which reading
          </label>
          <select
            id="which"
            className="field"
            value={reading}
            onChange={(e) => {
              setReading(e.target.value);
              if (e.target.value === '') setHow('strike');
            }}
          >
            {readings.map((r) => (
              <option key={r.id} value={r.id}>
                {r.place}: {r.value}
              </option>
            ))}
            <option value="">The whole round</option>
          </select>
        </div>
      )}
      {reading !== '' && (
        <Choices
          label="What is right?"
          value={how}
          onChange={setHow}
          options={[
            { value: 'value', label: 'Another value' },
            { value: 'strike', label: 'Strike it out', hint: 'no value in its place' },
          ]}
        />
      )}
      {parts && (
        <Choices
          label="What is right?"
          value={how}
          onChange={setHow}
          options={[
            { value: 'parts', label: 'Time, amount or kind', hint: 'it happened, but otherwise' },
            { value: 'strike', label: 'Strike it out', hint: 'it did not happen' },
          ]}
        />
      )}
      {parts && how === 'parts' && (
        <PartFields
          parts={parts}
          right={right}
          set={(change) => setRight((r) => ({ ...r, ...change }))}
          max={heap.nowLocal}
        />
      )}
      {how === 'value' && reading !== '' && (
        <Field
          label="Right value"
          unit={`°${heap.unit}`}
          inputMode="decimal"
          value={value}
          onChange={(e) => setValue(e.target.value)}
          problem={problem}
        />
      )}
      <Field
        label="Why"
        value={reason}
        onChange={(e) => setReason(e.target.value)}
        maxLength={500}
        hint="A few words; they stand in the log beside both"
      />
      <Field
        label="Who"
        value={entry.by}
        onChange={(e) => entry.setBy(e.target.value)}
        maxLength={60}
      />
      {data && <Effects preview={preview} />}
      <KeepBar
        entry={entry}
        label={how === 'strike' ? 'Strike it out' : 'Correct it'}
        missing={missing}
        onKeep={() => data && entry.save(data)}
      />
    </>
  );
}
