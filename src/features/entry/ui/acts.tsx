'use client';
import { useId, useState } from 'react';
import { useTyped } from '@/ui/draft';
import { v7 } from 'uuid';
import {
  END_REASONS,
  FIXES,
  TRANSFERS,
  TRANSFER_KINDS,
  type ReleaseDoubt,
  type EndReason,
  type Fix,
  type TransferKind,
} from '@/core/log/entry';
import { shortScheduleTexts } from '@/core/advice/schedule';
import { FIX_WORDS, SCHOOL_WORDS } from '@/core/advice/words';
import { END_WORDS } from '@/core/words/acts';
import { isShape, volumeOf } from '@/core/heap/size';
import { positionText } from '@/core/words/position';
import { CAUTION } from '@/core/words/caution';
import { SHAPE_WORDS } from '@/core/words/shape';
import { TRANSFER_WORDS } from '@/core/words/transfer';
import { Choices } from '@/ui/Choices';
import { Effects } from '@/ui/Effects';
import { upperFirst, volumeText } from '@/core/quantity/format';
import { Field } from '@/ui/Field';
import { DangerFirst, KeepBar, WhenAndWho } from './parts';
import { typed } from '@/core/quantity/typed-number';
import type { PlacedHeap } from '../placed';
import { StandingFields, useStanding } from './Standing';
import { useEntry, useEntryPreview, type HeapRef } from './useEntry';

/** Acts that change what a heap is, or that two heaps share: moved, joined, split, stacked, something carried over. */
type FormProps = { readonly heap: HeapRef; readonly onDone: () => void };
const others = (heap: HeapRef): readonly PlacedHeap[] =>
  (heap.placed ?? []).filter((h) => h.id !== heap.id);

function OtherHeap({
  label,
  heap,
  value,
  onChange,
  elsewhere,
}: {
  label: string;
  heap: HeapRef;
  value: string;
  onChange: (id: string) => void;
  /** What else may be chosen: a heap that is not kept here. */ elsewhere?: {
    readonly value: string;
    readonly label: string;
  };
}) {
  const id = useId();
  return (
    <div>
      <label className="label" htmlFor={id}>
        {label}
      </label>
      <select id={id} className="field" value={value} onChange={(e) => onChange(e.target.value)}>
        <option value="">Choose a heap</option>
        {others(heap).map((h) => (
          <option key={h.id} value={h.id}>
            {[h.name, positionText(h.position), h.m3 === null ? '' : volumeText(h.m3, 'm3')]
              .filter(Boolean)
              .join(', ')}
          </option>
        ))}
        {elsewhere && <option value={elsewhere.value}>{elsewhere.label}</option>}
      </select>
    </div>
  );
}

/** A heap lifted to another place as it is; forked over on the way it is a turning too. */
export function MoveForm({ heap, onDone }: FormProps) {
  const standing = useStanding(heap, heap.placed ?? []);
  const [how, setHow] = useTyped<'forked' | 'lifted' | ''>('how', '');
  const turn = useEntry('turn', heap, onDone);
  const move = useEntry('move', heap, onDone);
  const entry = how === 'forked' ? turn : move;
  const data =
    how === 'forked'
      ? {
          full: true,
          words: `moved${standing.position ? ` to ${positionText(standing.position)}` : ''}`,
        }
      : { ...(standing.position ? { words: `to ${positionText(standing.position)}` } : {}) };
  const preview = useEntryPreview(entry, how === '' ? null : data);
  const keep = (): void =>
    entry.save(data, async () => {
      const wrong = await standing.keep(entry.by, entry.at);
      if (wrong.length > 0) entry.setProblems(wrong);
      else onDone();
    });
  return (
    <>
      <DangerFirst heap={heap} />
      <p className="caution">
        {CAUTION.steam} {CAUTION.lift}
      </p>
      <StandingFields standing={standing} />
      <Choices
        label="How was it moved?"
        value={how}
        onChange={setHow}
        options={[
          { value: 'forked', label: 'Forked over whole', hint: 'counts as a full turning' },
          { value: 'lifted', label: 'Lifted as it was', hint: 'no turning' },
        ]}
      />
      <WhenAndWho entry={entry} heap={heap} />
      {how !== '' && <Effects preview={preview} />}
      <p className="hint">It loses heat on the way: read it the same afternoon and the next day.</p>
      <KeepBar
        entry={entry}
        label="Keep this move"
        missing={
          !standing.changed
            ? 'Say where it stands now.'
            : standing.effect.overlaps.length > 0
              ? `It would lie over ${standing.effect.overlaps[0]}.`
              : how === ''
                ? 'Choose how it was moved.'
                : null
        }
        onKeep={keep}
      />
    </>
  );
}

/** Another heap joined to this one: the whole is only as proven as its weakest part, and the other one is at its end. */
export function JoinForm({ heap, onDone }: FormProps) {
  const entry = useEntry('merge', heap, onDone);
  const [from, setFrom] = useTyped('from', '');
  const [seeds, setSeeds] = useTyped<'yes' | 'no' | 'unknown' | ''>('seeds', '');
  const [proven, setProven] = useTyped<'yes' | 'no' | ''>('proven', '');
  const [what, setWhat] = useTyped('what', '');
  const own = heap.placed?.find((h) => h.id === heap.id);
  const other = others(heap).find((h) => h.id === from);
  const met = (rules: readonly string[]): boolean =>
    other !== undefined && rules.length > 0 && rules.every((r) => other.met.includes(r));
  const foreign = from === 'foreign';
  const data = other
    ? {
        from: other.id,
        withProven: met(own?.germRules ?? []),
        seeds: !met(own?.seedRules ?? []),
        what: `${other.name}, the whole of it`,
        ...(other.m3 === null ? {} : { volumeM3: other.m3 }),
      }
    : foreign && proven !== ''
      ? {
          withProven: proven === 'yes',
          ...(seeds === '' ? {} : { seeds: seeds !== 'no' }),
          ...(what.trim() ? { what: what.trim() } : {}),
        }
      : null;
  const preview = useEntryPreview(entry, data);
  const costs = preview?.effects?.some((e) => e.costs) ?? false;
  return (
    <>
      <OtherHeap
        label="Which heap was joined to it?"
        heap={heap}
        value={from}
        onChange={setFrom}
        elsewhere={{ value: 'foreign', label: 'One that is not kept here' }}
      />
      {other && (
        <p>
          {data?.withProven
            ? `${other.name} has met ${heap.name}’s rules, so nothing starts again.`
            : `${other.name} has not met ${heap.name}’s rules: the joined heap is only as proven as its weakest part.`}{' '}
          {other.name} is at its end; its log and record stay.
        </p>
      )}
      {foreign && (
        <>
          <Field
            label="What was it?"
            value={what}
            onChange={(e) => setWhat(e.target.value)}
            maxLength={200}
            placeholder="half a trailer from the neighbour"
          />
          <Choices
            label="Was that heap proven?"
            value={proven}
            onChange={setProven}
            options={[
              { value: 'yes', label: 'Yes, proven', hint: 'and nothing raw in it since' },
              { value: 'no', label: 'No, or I don’t know', hint: 'the clock starts again' },
            ]}
          />
          <Choices
            optional
            label="Live seeds in it?"
            value={seeds}
            onChange={setSeeds}
            columns={3}
            options={[
              { value: 'yes', label: 'Yes' },
              { value: 'no', label: 'No' },
              { value: 'unknown', label: 'Don’t know' },
            ]}
          />
        </>
      )}
      <WhenAndWho entry={entry} heap={heap} />
      {data && !data.withProven && <p className="caution">{CAUTION.raw}</p>}
      {data && <Effects preview={preview} />}
      <KeepBar
        entry={entry}
        label={costs ? 'Log it, and start the clock again' : 'Keep this joining'}
        missing={
          data !== null
            ? null
            : from === ''
              ? 'Choose the other heap.'
              : 'Choose whether it was proven.'
        }
        onKeep={() => data && entry.save(data)}
      />
    </>
  );
}

/** A part carried off: a heap of its own with this one's past. */
export function SplitForm({ heap, onDone }: FormProps) {
  const entry = useEntry('split', heap, onDone);
  const [child] = useState(() => v7());
  const [code, setCode] = useTyped('code', '');
  const [name, setName] = useTyped('name', '');
  const [bay, setBay] = useTyped('bay', '');
  const [volume, setVolume] = useTyped('volume', '');
  const m3 = typed(volume, 0.01);
  const own = heap.placed?.find((h) => h.id === heap.id)?.m3 ?? null;
  const problem =
    m3 === null
      ? 'Type the volume as a number.'
      : m3 !== undefined && own !== null && m3 >= own
        ? `Less than the ${volumeText(own, 'm3')} that it has: something must stay.`
        : undefined;
  const data =
    code.trim() !== '' && typeof m3 === 'number' && !problem
      ? {
          to: child,
          volumeM3: m3,
          code: code.trim(),
          ...(name.trim() ? { name: name.trim() } : {}),
          ...(bay.trim() ? { bay: bay.trim() } : {}),
        }
      : null;
  const preview = useEntryPreview(entry, data);
  return (
    <>
      <DangerFirst heap={heap} />
      <p className="caution">
        {CAUTION.split} {CAUTION.lift}
      </p>
      <Field
        label="How much was carried off"
        unit="m³"
        inputMode="decimal"
        value={volume}
        onChange={(e) => setVolume(e.target.value)}
        problem={problem}
        hint={own === null ? undefined : `It has about ${volumeText(own, 'm3')} now`}
      />
      <div className="grid grid-cols-[96px_1fr_96px] gap-3">
        <Field
          label="New code"
          value={code}
          maxLength={24}
          onChange={(e) => setCode(e.target.value)}
        />
        <Field
          label="New name"
          value={name}
          maxLength={60}
          onChange={(e) => setName(e.target.value)}
        />
        <Field label="Bay" value={bay} maxLength={40} onChange={(e) => setBay(e.target.value)} />
      </div>
      <WhenAndWho entry={entry} heap={heap} />
      <p className="hint">
        Both heaps keep what was read until now. From now on each earns its proof by its own
        readings: read both.
      </p>
      {data && <Effects preview={preview} />}
      <KeepBar
        entry={entry}
        label="Keep this split"
        missing={
          data !== null
            ? null
            : (problem ??
              (typeof m3 !== 'number'
                ? 'Type how much was carried off.'
                : 'Give the new heap a code.'))
        }
        onKeep={() => data && entry.save(data)}
      />
    </>
  );
}

/** One heap on top of another in the same place: two histories, told apart by depth. */
export function StackForm({ heap, onDone }: FormProps) {
  const entry = useEntry('stack', heap, onDone);
  const [other, setOther] = useTyped('other', '');
  const [layer, setLayer] = useTyped<'upper' | 'lower' | ''>('layer', '');
  const data = other !== '' && layer !== '' ? { with: other, layer } : null;
  return (
    <>
      <OtherHeap label="Which other heap?" heap={heap} value={other} onChange={setOther} />
      <Choices
        label={`${heap.name} lies`}
        value={layer}
        onChange={setLayer}
        options={[
          { value: 'upper', label: 'On top' },
          { value: 'lower', label: 'Below' },
        ]}
      />
      <p className="hint">
        Put cardboard between them, and set the places of each so that a reading says which one it
        is of.
      </p>
      <WhenAndWho entry={entry} heap={heap} />
      <KeepBar
        entry={entry}
        label="Keep it"
        missing={
          data !== null
            ? null
            : other === ''
              ? 'Choose the other heap.'
              : 'Choose whether it lies on top or below.'
        }
        onKeep={() => data && entry.save(data)}
      />
    </>
  );
}

/** Something that left this heap: into another one, or for good. Logged once, it stands in both logs. */
export function TransferForm({ heap, onDone }: FormProps) {
  const entry = useEntry('transfer', heap, onDone);
  const [what, setWhat] = useTyped<TransferKind | ''>('what', '');
  const [to, setTo] = useTyped('to', '');
  const [litres, setLitres] = useTyped('litres', '');
  const [raw, setRaw] = useTyped<'raw' | 'clean' | ''>('raw', '');
  const amount = typed(litres, 0.1);
  const usual = what === '' ? null : TRANSFERS[what];
  const isRaw = raw === '' ? (usual?.raw ?? true) : raw === 'raw';
  const data =
    what !== '' && amount !== null
      ? {
          what,
          raw: isRaw,
          seeds: isRaw ? (usual?.seeds ?? true) : false,
          ...(to === '' ? {} : { to }),
          ...(amount === undefined ? {} : { litres: amount }),
        }
      : null;
  const preview = useEntryPreview(entry, data);
  const costs = preview?.effects?.some((e) => e.costs) ?? false;
  return (
    <>
      <Choices
        label="What was taken off?"
        value={what}
        onChange={(v) => {
          setWhat(v);
          setRaw('');
        }}
        columns={2}
        options={TRANSFER_KINDS.map((value) => ({
          value,
          label: TRANSFER_WORDS[value].name,
          hint: TRANSFER_WORDS[value].hint,
        }))}
      />
      <Field
        label="How much"
        unit="litres"
        inputMode="decimal"
        value={litres}
        onChange={(e) => setLitres(e.target.value)}
        problem={amount === null ? 'Type litres as a number, or leave it empty.' : undefined}
        hint="A bucket holds about 10"
      />
      <OtherHeap
        label="Into which heap? Leave empty if into none"
        heap={heap}
        value={to}
        onChange={setTo}
      />
      {what !== '' && to !== '' && (
        <Choices
          label="Is it raw?"
          value={raw === '' ? (usual!.raw ? 'raw' : 'clean') : raw}
          onChange={setRaw}
          options={[
            { value: 'raw', label: 'Raw, or I don’t know' },
            { value: 'clean', label: 'Clean', hint: 'it met the rules itself, or was never raw' },
          ]}
        />
      )}
      <WhenAndWho entry={entry} heap={heap} />
      {isRaw && what !== '' && (
        <p className="caution">
          {CAUTION.raw} Not into drains or a watercourse: check with your local authority.
        </p>
      )}
      {data && to !== '' && <Effects preview={preview} />}
      <KeepBar
        entry={entry}
        label={costs ? 'Log it, and start that clock again' : 'Keep it in both logs'}
        missing={
          data !== null
            ? null
            : what === ''
              ? 'Choose what was taken off.'
              : 'Type litres as a number, or leave it empty.'
        }
        onKeep={() => data && entry.save(data)}
      />
    </>
  );
}

/** How big it is now, by tape or by eye. */
export function SizeForm({ heap, onDone }: FormProps) {
  const entry = useEntry('size', heap, onDone);
  const [length, setLength] = useTyped('length', '');
  const [width, setWidth] = useTyped('width', '');
  const [height, setHeight] = useTyped('height', '');
  const [volume, setVolume] = useTyped('volume', '');
  const form = isShape(heap.shape) ? heap.shape : 'dome';
  const [l, w, h, v] = [length, width, height, volume].map((t) => typed(t, 0.01));
  const measures =
    typeof l === 'number' && typeof w === 'number' && typeof h === 'number'
      ? { lengthM: l, widthM: w, heightM: h }
      : null;
  const m3 = measures ? volumeOf(form, measures) : typeof v === 'number' ? v : null;
  const wrong = [l, w, h, v].includes(null);
  return (
    <>
      <p className="hint">
        {isShape(heap.shape)
          ? SHAPE_WORDS[form]
          : `Its shape was not said, so it is taken as a ${SHAPE_WORDS[form].toLowerCase()}`}
        : longest, widest and highest, from ground to top. Or its volume as you judge it.
      </p>
      <div className="grid grid-cols-3 gap-3">
        <Field
          label="Length"
          unit="m"
          inputMode="decimal"
          value={length}
          onChange={(e) => setLength(e.target.value)}
        />
        <Field
          label="Width"
          unit="m"
          inputMode="decimal"
          value={width}
          onChange={(e) => setWidth(e.target.value)}
        />
        <Field
          label="Height"
          unit="m"
          inputMode="decimal"
          value={height}
          onChange={(e) => setHeight(e.target.value)}
        />
      </div>
      {!measures && (
        <Field
          label="Or its volume"
          unit="m³"
          inputMode="decimal"
          value={volume}
          onChange={(e) => setVolume(e.target.value)}
        />
      )}
      {wrong && (
        <p role="alert" className="marked font-semibold">
          Type each as a number above nought, in metres.
        </p>
      )}
      {m3 !== null && (
        <p className="text-[17px]">
          {measures ? 'That makes' : 'Judged by eye:'} <b>{volumeText(m3, 'm3')}</b>.
          {m3 < 1 ? ' Under about one cubic metre a heap rarely stays hot.' : ''}
        </p>
      )}
      <WhenAndWho entry={entry} heap={heap} />
      <KeepBar
        entry={entry}
        label="Keep this size"
        missing={
          wrong
            ? 'Put the figures right first.'
            : m3 === null
              ? 'Type length, width and height, or the volume.'
              : null
        }
        onKeep={() => entry.save(measures ? { measures } : { volumeM3: m3 })}
      />
    </>
  );
}

/** One thing that was changed to mend it. */
export function FixForm({ heap, onDone }: FormProps) {
  const entry = useEntry('fix', heap, onDone);
  const [fix, setFix] = useTyped<Fix | ''>('fix', '');
  const [words, setWords] = useTyped('words', '');
  return (
    <>
      <p className="hint">
        One change at a time, then read it for some days: two at once, and nobody knows which
        helped. Water, a turning or an addition are logged under their own buttons.
      </p>
      <Choices
        label="What was changed?"
        value={fix}
        onChange={setFix}
        columns={2}
        options={FIXES.filter(
          (f) => !['water', 'turn', 'nitrogen', 'carbon', 'thermometer'].includes(f),
        ).map((value) => ({ value, label: FIX_WORDS[value] }))}
      />
      <Field
        label="A few words"
        value={words}
        maxLength={300}
        onChange={(e) => setWords(e.target.value)}
      />
      <WhenAndWho entry={entry} heap={heap} />
      <KeepBar
        entry={entry}
        label="Keep this change"
        missing={fix === '' ? 'Choose what was changed.' : null}
        onKeep={() => entry.save({ fix, ...(words.trim() ? { words: words.trim() } : {}) })}
      />
    </>
  );
}

/** The method that it is kept by, from now on. */
export function MethodForm({ heap, onDone }: FormProps) {
  const entry = useEntry('method', heap, onDone);
  const list = heap.templates ?? [];
  const [id, setId] = useTyped('id', heap.template ?? '');
  const chosen = list.find((t) => t.id === id);
  return (
    <>
      <div className="flex flex-col gap-2" role="radiogroup" aria-label="Kept by which method?">
        {list.map((t) => (
          <button
            key={t.id}
            type="button"
            role="radio"
            aria-checked={t.id === id}
            data-state={t.id === id ? 'on' : 'off'}
            className="choice !items-start !text-left flex-col"
            onClick={() => setId(t.id)}
          >
            <span>{t.name}</span>
            <span className="text-[13px] font-normal">
              Turned {SCHOOL_WORDS[t.trigger]}. {t.words}
            </span>
          </button>
        ))}
      </div>
      {chosen &&
        id !== heap.template &&
        shortScheduleTexts(chosen, heap.rules ?? []).map((text) => (
          <p key={text} role="alert" className="caution">
            {text}
          </p>
        ))}
      <p className="hint">
        It changes what is advised and expected from now on, not what is proven.
      </p>
      <WhenAndWho entry={entry} heap={heap} />
      <KeepBar
        entry={entry}
        label={chosen ? `Keep it as ‘${chosen.name}’` : 'Keep it'}
        missing={
          chosen === undefined || id === heap.template ? 'Choose another method than it has.' : null
        }
        onKeep={() => chosen && entry.save({ template: chosen })}
      />
    </>
  );
}

/** What is doubtful about letting it go, each to be ticked by whoever does. */
function DoubtTicks({
  heap,
  known,
  onChange,
}: {
  heap: HeapRef;
  known: readonly ReleaseDoubt[];
  onChange: (known: readonly ReleaseDoubt[]) => void;
}) {
  return (
    <fieldset className="border-[1.6px] border-ink bg-marker px-3 py-2" data-testid="doubts">
      <legend className="px-1 font-semibold">Before it goes out</legend>
      {heap.doubts!.map(({ doubt, text }) => (
        <label key={doubt} className="flex gap-3 items-start py-1.5 min-h-[44px]">
          <input
            type="checkbox"
            className="size-5 mt-0.5 flex-none"
            checked={known.includes(doubt)}
            onChange={(e) =>
              onChange(e.target.checked ? [...known, doubt] : known.filter((d) => d !== doubt))
            }
          />
          <span>
            {text} <b className="font-semibold">I know that.</b>
          </span>
        </label>
      ))}
      {heap.doubts!.some((d) => d.doubt === 'unproven') && (
        <p className="caution mt-1">{heap.rawIn === false ? CAUTION.unproven : CAUTION.rawOut}</p>
      )}
      {heap.doubts!.some((d) => d.doubt === 'warm') && (
        <p className="caution mt-1">{CAUTION.warmOut}</p>
      )}
    </fieldset>
  );
}

/** Held, taken up again, called ready, or at its end: by decision of somebody. */
export function StandingInLife({ heap, onDone }: FormProps) {
  const [what, setWhat] = useTyped<'hold' | 'ready' | 'ended' | ''>('what', '');
  const [reason, setReason] = useTyped<EndReason | ''>('reason', '');
  const [words, setWords] = useTyped('words', '');
  const [known, setKnown] = useState<readonly ReleaseDoubt[]>([]);
  const [hold, ready, ended] = [
    useEntry('hold', heap, onDone),
    useEntry('ready', heap, onDone),
    useEntry('ended', heap, onDone),
  ];
  const entry = what === 'ready' ? ready : what === 'ended' ? ended : hold;
  const goesOut =
    what === 'ready' || (what === 'ended' && (reason === 'matured' || reason === 'used-raw'));
  const doubts = goesOut ? (heap.doubts ?? []) : [];
  const said = {
    ...(words.trim() ? { words: words.trim() } : {}),
    ...(goesOut && known.length > 0 ? { knowing: known } : {}),
  };
  const save = (): void =>
    what === 'hold'
      ? hold.save({ on: !heap.onHold, ...(words.trim() ? { reason: words.trim() } : {}) })
      : what === 'ready'
        ? ready.save(said)
        : ended.save({ reason, ...said });
  const missing =
    what === ''
      ? 'Choose what it is.'
      : what === 'ended' && reason === ''
        ? 'Choose why it is at its end.'
        : doubts.some((d) => !known.includes(d.doubt))
          ? 'Tick what stands in the box above, so that nobody lets it go unknowing.'
          : null;
  return (
    <>
      <Choices
        label="What is it?"
        value={what}
        onChange={setWhat}
        columns={3}
        options={[
          {
            value: 'hold',
            label: heap.onHold ? 'Taken up again' : 'Put on hold',
            hint: heap.onHold ? 'its work goes on' : 'no work is asked for',
          },
          { value: 'ready', label: 'Ready', hint: 'by your word' },
          { value: 'ended', label: 'At its end' },
        ]}
      />
      {what === 'ended' && (
        <Choices
          label="Why?"
          value={reason}
          onChange={setReason}
          columns={2}
          options={END_REASONS.filter((r) => r !== 'merged').map((value) => ({
            value,
            label: upperFirst(END_WORDS[value]),
          }))}
        />
      )}
      {doubts.length > 0 && <DoubtTicks heap={heap} known={known} onChange={setKnown} />}
      {what === 'ready' && (
        <p className="hint">
          This is your word, and your name stands beside it. It proves nothing and tests no
          maturity.
        </p>
      )}
      <Field
        label="Why, in a few words"
        value={words}
        maxLength={300}
        onChange={(e) => setWords(e.target.value)}
      />
      <WhenAndWho entry={entry} heap={heap} />
      <KeepBar entry={entry} label="Keep it" missing={missing} onKeep={save} />
    </>
  );
}

/** Its bay is wanted for another heap. */
export function BayForm({ heap, onDone }: FormProps) {
  const entry = useEntry('bay-wanted', heap, onDone);
  const [day, setDay] = useTyped('day', '');
  const by = day === '' ? null : Date.parse(`${day}T12:00:00Z`);
  return (
    <>
      <Field
        label="By which day is its bay wanted?"
        type="date"
        min={heap.nowLocal.slice(0, 10)}
        value={day}
        onChange={(e) => setDay(e.target.value)}
        hint="Leave empty if it is no longer wanted"
      />
      <WhenAndWho entry={entry} heap={heap} />
      <KeepBar
        entry={entry}
        label={by === null ? 'It is no longer wanted' : 'Keep it'}
        onKeep={() => entry.save({ by })}
      />
    </>
  );
}
