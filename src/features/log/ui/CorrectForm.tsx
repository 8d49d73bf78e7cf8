'use client';
import { say } from '@/messages/say';
import { shownQuantity, signOf, typedQuantity } from '@/core/quantity/typed-quantity';
import { Choices } from '@/ui/Choices';
import { useTyped } from '@/ui/draft';
import { Effects } from '@/ui/Effects';
import { Field } from '@/ui/Field';
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
        litres: parts.litres === null ? '' : shownQuantity('litres', parts.litres),
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
      const litres = typedQuantity('litres', r.litres);
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
        label={say('log.itHappened')}
        type="datetime-local"
        value={right.at}
        max={max}
        onChange={(e) => set({ at: e.target.value })}
      />
      {parts.kind === 'turn' && (
        <Choices
          label={say('log.how')}
          value={right.full}
          onChange={(full) => set({ full })}
          options={[
            { value: 'full', label: say('log.fullTurn2') },
            { value: 'stir', label: say('log.partialTurn') },
          ]}
        />
      )}
      {parts.kind === 'water' && (
        <Choices
          label={say('log.whatWater')}
          value={right.clean}
          onChange={(clean) => set({ clean })}
          options={[
            { value: 'clean', label: say('log.clean') },
            { value: 'unclean', label: say('log.notCleanOrIDont') },
          ]}
        />
      )}
      {parts.kind === 'water' && (
        <Field
          label={say('log.howMuch')}
          unit={signOf('litres')}
          inputMode="decimal"
          value={right.litres}
          onChange={(e) => set({ litres: e.target.value })}
          hint={say('log.leaveEmptyIfWasNot')}
        />
      )}
      {parts.kind === 'addition' && (
        <Field
          label={say('log.whatWentIn')}
          value={right.what}
          maxLength={200}
          onChange={(e) => set({ what: e.target.value })}
        />
      )}
      {parts.kind === 'addition' && (
        <Choices
          label={say('log.isItRaw')}
          value={right.raw}
          onChange={(raw) => set({ raw })}
          options={[
            { value: 'raw', label: say('log.rawOrIDontKnow') },
            { value: 'clean', label: say('log.clean') },
          ]}
        />
      )}
      {parts.kind === 'addition' && (
        <Choices
          optional
          label={say('log.liveWeedSeedsIn')}
          value={right.seeds}
          onChange={(seeds) => set({ seeds })}
          options={[
            { value: 'yes', label: say('log.yesOrIDontKnow') },
            { value: 'no', label: say('log.no') },
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
      ? say('instruments.typeTemperatureAsNumber')
      : undefined;
  const instead = how === 'parts' && parts ? insteadOf(parts, right) : null;
  const missing =
    how === 'value' && value === ''
      ? say('log.typeTheRightValue')
      : (problem ??
        (how === 'parts' && instead === null
          ? say('bench.typeWaterAsLitersOr')
          : how === 'parts' && right.at === ''
            ? say('waiting.sayWhenItHappened')
            : reason.trim().length < 3
              ? say('log.sayWhyInFewWords')
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
            {say('log.whichReading')}
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
            <option value="">{say('log.theWholeCheck')}</option>
          </select>
        </div>
      )}
      {reading !== '' && (
        <Choices
          label={say('log.whatIsRight')}
          value={how}
          onChange={setHow}
          options={[
            { value: 'value', label: say('log.anotherValue') },
            { value: 'strike', label: say('log.voidIt'), hint: say('log.noValueInPlace') },
          ]}
        />
      )}
      {parts && (
        <Choices
          label={say('log.whatIsRight')}
          value={how}
          onChange={setHow}
          options={[
            {
              value: 'parts',
              label: say('log.timeAmountOrKind'),
              hint: say('log.itHappenedButDifferently'),
            },
            { value: 'strike', label: say('log.voidIt'), hint: say('log.itDidNotHappen') },
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
          label={say('log.rightValue')}
          unit={`°${heap.unit}`}
          inputMode="decimal"
          value={value}
          onChange={(e) => setValue(e.target.value)}
          problem={problem}
        />
      )}
      <Field
        label={say('log.why2')}
        value={reason}
        onChange={(e) => setReason(e.target.value)}
        maxLength={500}
        hint={say('log.aFewWordsShownIn')}
      />
      <Field
        label={say('log.who')}
        value={entry.by}
        onChange={(e) => entry.setBy(e.target.value)}
        maxLength={60}
      />
      {data && <Effects preview={preview} />}
      <KeepBar
        entry={entry}
        label={how === 'strike' ? say('log.voidIt') : say('log.correctIt')}
        missing={missing}
        onKeep={() => data && entry.save(data)}
      />
    </>
  );
}
