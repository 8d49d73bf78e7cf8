'use client';
import { say } from '@/messages/say';
import Link from 'next/link';
import { useState } from 'react';
import { plateOf } from '@/charts/ember';
import { Mark } from '@/charts/marks';
import { Mound } from '@/charts/Mound';
import { Schematic } from '@/charts/Schematic';
import { soonText } from '@/core/quantity/format';
import { toCelsius, type TempUnit } from '@/core/units/units';
import { localInput } from '@/core/quantity/calendar';
import { readingText, surenessText } from '@/core/words/reading';
import { routeWhyText } from '@/telling/status/route';
import { Effects } from '@/ui/Effects';
import { Field } from '@/ui/Field';
import { useKeys } from '@/ui/useKeys';
import { askEntry } from '@/entry/ui/ask-entry';
import { usePreview } from '@/ui/usePreview';
import type { RoundHeap, RoundInstrument, OfflineRoundData } from '../offline-round-data';
import { numberIn, rangeIn } from '../pad';
import {
  entriesOf,
  finishHeap,
  isDone,
  keepAir,
  keepReading,
  leavePlace,
  markReading,
  leaveHeap,
  nextPlace,
  readSoFar,
  setFeel,
  standing,
  type HeapDraft,
  type Out,
  type RoundWalk,
} from '../round-walk';
import { changeText, FeelFields, figure, Marks, SkipChoice, type MarksHandle } from './parts';
import { Question } from './Question';
import { PhotoButton } from './PhotoButton';
import { Resume, stopText } from './Resume';
import { partOfDay } from './Start';
import { airNow, leftTyped, useReading } from './useReading';
import { serverNow, createId, type WalkHandle } from './useRoundWalk';
import { firstOf, itemAt } from '@/core/quantity/present';

type Props = {
  readonly handle: WalkHandle;
  readonly sheet: OfflineRoundData;
  readonly walk: RoundWalk;
  readonly onHeap: (id: string | null) => void;
  readonly onDone: (after: RoundWalk, out: readonly Out[]) => void;
};

/** The round at a laptop: the walk as a line of heaps, one of them open as a table, and what its round will do. */
export function Desk({ heapId, ...props }: Props & { heapId: string | null }) {
  const { sheet: data, walk, onHeap } = props;
  const heap = data.heaps.find((h) => h.id === heapId) ?? null;
  return (
    <div className="flex-1 flex flex-col min-w-0">
      {!walk.single && <Route sheet={data} walk={walk} current={heapId} onHeap={onHeap} />}
      {heap && walk.heaps[heap.id] ? (
        <DeskHeap key={walk.heaps[heap.id]!.ids.round} {...props} heap={heap} />
      ) : (
        <Resume handle={props.handle} sheet={data} walk={walk} onHeap={onHeap} />
      )}
    </div>
  );
}

const STEP = 142;
function Route({
  sheet: data,
  walk,
  current,
  onHeap,
}: {
  sheet: OfflineRoundData;
  walk: RoundWalk;
  current: string | null;
  onHeap: (id: string) => void;
}) {
  const heaps = walk.order.flatMap((id) => {
    const h = data.heaps.find((x) => x.id === id);
    return h ? [h] : [];
  });
  const largest = Math.max(...heaps.map((h) => h.picture.volume), 1);
  return (
    <section aria-labelledby="walk-title" className="border-b-[1.6px] border-ink">
      <div className="px-5 pt-3 flex items-baseline gap-4 flex-wrap">
        <h2 id="walk-title" className="!text-title">
          {partOfDay(data)}
        </h2>
        <span className="q text-hint">
          {data.manualOrder ? say('round.inOrderSetByHand2') : routeWhyText()}
        </span>
      </div>
      <ol className="flex overflow-x-auto px-5" data-testid="route">
        {heaps.map((h, i) => {
          const [on, done] = [h.id === current, isDone(walk, data, h.id)];
          return (
            <li key={h.id} className="flex-none" style={{ width: STEP }}>
              <button
                type="button"
                onClick={() => onHeap(h.id)}
                aria-current={on ? 'step' : undefined}
                className="block w-full text-center cursor-pointer pb-2"
              >
                <svg viewBox={`0 0 ${STEP} 124`} className="block w-full" aria-hidden="true">
                  <rect x={0} y={84} width={STEP} height={40} fill="var(--color-soil)" />
                  <rect x={0} y={84} width={STEP} height={40} fill="url(#stones)" />
                  <g className={on ? 'lift' : undefined}>
                    <Mound
                      heap={h.picture}
                      place={{
                        x: STEP / 2,
                        base: on ? 78 : 84,
                        maxW: 112,
                        maxH: 50,
                        largest,
                        small: true,
                        chosen: on,
                      }}
                    />
                  </g>
                  <path d={`M0 84H${STEP}`} stroke="var(--color-ink)" strokeWidth={1.8} />
                  {i > 0 && (
                    <path
                      d={`M0 104H${STEP / 2 - 15}`}
                      stroke="var(--color-soil-text)"
                      strokeWidth={1.4}
                      strokeDasharray={done ? undefined : '2 4'}
                    />
                  )}
                  {i < heaps.length - 1 && (
                    <path
                      d={`M${STEP / 2 + 15} 104H${STEP}`}
                      stroke="var(--color-soil-text)"
                      strokeWidth={1.4}
                      strokeDasharray={done ? undefined : '2 4'}
                    />
                  )}
                  <circle
                    cx={STEP / 2}
                    cy={104}
                    r={12}
                    fill={done || on ? 'var(--color-soil-text)' : 'none'}
                    stroke="var(--color-soil-text)"
                    strokeWidth={1.4}
                  />
                  {done ? (
                    <path
                      d="M64.500 104l4.500 4.500 9-10"
                      fill="none"
                      stroke="var(--color-soil)"
                      strokeWidth={2.4}
                    />
                  ) : (
                    <text
                      x={STEP / 2}
                      y={109.5}
                      textAnchor="middle"
                      className="disp"
                      fontSize={14}
                      fontWeight={700}
                      fill={on ? 'var(--color-soil)' : 'var(--color-soil-text)'}
                    >
                      {i + 1}
                    </text>
                  )}
                </svg>
                <span className="disp block text-lead font-[650] mt-1">{h.name}</span>
                <span className="q block text-note px-1 leading-[1.25]">
                  {stopText(walk, data, h)}
                </span>
              </button>
            </li>
          );
        })}
      </ol>
    </section>
  );
}

type Open = Props & { readonly heap: RoundHeap };

function DeskHeap({ handle, sheet: data, walk, onDone, heap }: Open) {
  const draft = walk.heaps[heap.id]!;
  const [at, setAt] = useState(() => nextPlace(heap, draft) ?? 0);
  const [when, setWhen] = useState<string | null>(null);
  const [leaving, setLeaving] = useState(false);
  const instrument = data.instruments.find((i) => i.name === walk.probe) ?? null;
  const unit: TempUnit = instrument?.unit ?? data.unit;
  const says = readSoFar(heap, draft);
  const out = entriesOf(walk, heap, when ?? 0);
  const round = out.find((o) => o.form.kind === 'round')?.form;
  const effects = usePreview(
    round ? JSON.stringify({ ...round, by: walk.by || '?' }) : null,
    askEntry,
  );
  const coldest = says.length > 0 ? says.reduce((a, b) => (b.c < a.c ? b : a)) : null;
  const [pending, setPending] = useState<Record<string, string>>(() => leftTyped(heap, draft));
  const unsaved = heap.places.filter((p) => (pending[p.id] ?? '').trim() !== '');
  const open = unsaved.length;
  const [nudged, setNudged] = useState(false);
  const ready = (open > 0 || out.length > 0) && walk.by.trim() !== '';
  // On the way to this button the field in hand was left, and its value kept; what is still open waits for an answer.
  const keep = (): void => {
    const first = unsaved[0];
    if (first === undefined) {
      onDone(finishHeap(walk, heap.id), entriesOf(walk, heap, when ?? serverNow()));
      return;
    }
    setNudged(true);
    // Its row opens, with the question where there is one.
    document.getElementById(fieldId(heap, first.id))?.focus();
  };
  const notIn = data.heaps.filter((h) => !walk.order.includes(h.id) && h.notNow);
  useKeys((k) => {
    if (k === 'k' && ready) keep();
  });
  const nextName = data.heaps.find(
    (h) => h.id === walk.order.find((id) => id !== heap.id && !isDone(walk, data, id)),
  )?.name;
  return (
    <div className="flex-1 grid lg:grid-cols-[minmax(0,1fr)_minmax(300px,392px)]">
      <section className="min-w-0 px-5 py-4 flex flex-col gap-5" aria-labelledby="round-title">
        <div className="flex justify-between items-start gap-3">
          <div>
            <h1 id="round-title">
              {heap.name}
              {walk.single ? say('round.temperatures') : ''}
            </h1>
            <p className="q mt-1.5">
              {[
                heap.place,
                say('round.needsAtLeastPointsYou', {
                  minPoints: heap.minPoints,
                  says: says.length,
                }),
                instrument
                  ? instrument.checked
                    ? say('round.thermometerChecked', {
                        name: instrument.name,
                        checked: instrument.checked,
                      })
                    : say('round.thermometerNeverChecked', { name: instrument.name })
                  : say('round.noThermometerNamed'),
              ]
                .filter(Boolean)
                .join(' · ')}
            </p>
          </div>
          <Link href={walk.single ? `/batch/${heap.id}` : '/'} className="btn">
            {say('round.stop')}
          </Link>
        </div>
        {heap.doubts.map((d) => (
          <p key={d} className="caution -mt-2">
            {d}
          </p>
        ))}
        <div className="grid xl:grid-cols-[minmax(260px,380px)_minmax(0,1fr)] gap-5 items-start">
          <div className="max-w-[400px]">
            <Schematic
              shape={heap.shape}
              current={heap.places[at]?.id ?? null}
              says={say('round.wherePoints', { name: heap.name })}
              places={heap.places.slice(0, 12).map((p) => {
                const s = standing(draft, p.id);
                return {
                  id: p.id,
                  zone: p.zone,
                  side: p.side,
                  short: firstOf((p.label ?? p.id).split(' ')).slice(0, 4),
                  read: s ? { figure: String(s.value), c: toCelsius(s.value, s.unit) } : null,
                  left: draft.left[p.id] !== undefined,
                };
              })}
            />
          </div>
          <table className="w-full border-collapse">
            <thead>
              <tr className="text-left text-note q border-b-[1.6px] border-ink">
                <th className="py-1 font-medium">{say('round.point')}</th>
                <th className="font-medium">{say('round.lastTime')}</th>
                <th className="font-medium">{say('round.now', { unit })}</th>
                <th className="font-medium">{say('round.change')}</th>
              </tr>
            </thead>
            <tbody>
              {heap.places.map((p, i) => (
                <Row
                  key={p.id}
                  {...{ handle, sheet: data, walk, heap, draft, instrument, unit }}
                  index={i}
                  current={i === at}
                  onFocus={() => setAt(i)}
                  onPending={(text) => setPending((all) => ({ ...all, [p.id]: text }))}
                />
              ))}
            </tbody>
          </table>
        </div>
        <p className="hint -mt-3">{say('round.pushProbeAllWayIn')}</p>
        <div className="grid md:grid-cols-2 gap-5">
          <FeelFields
            feel={draft.feel}
            places={heap.places.map((p) => p.label ?? p.id)}
            coldest={coldest?.label ?? null}
            onChange={(feel) => void handle.step(setFeel(walk, heap.id, feel))}
          />
        </div>
      </section>
      <aside
        className="bg-sheet border-l-[1.6px] border-ink max-lg:border-l-0 max-lg:border-t-[1.6px] px-5 py-4 flex flex-col gap-4"
        aria-label={say('round.whatThisCheckWillDo')}
      >
        <h2>{say('round.whatThisCheckWillDo')}</h2>
        {coldest ? (
          <p className="text-subhead leading-[1.32] flex items-start gap-2">
            <span
              className="inline-block size-4 mt-1 border border-ink rounded-plate flex-none"
              style={{ background: plateOf(coldest.c).fill }}
              aria-hidden="true"
            />
            <span>
              <b>
                {say('round.at', {
                  reading: readingText(coldest.kept, unit),
                  label: coldest.label,
                })}
              </b>{' '}
              {say('round.isColdestSoFarColdest')}
            </span>
          </p>
        ) : (
          <p className="q">{say('round.nothingReadYet')}</p>
        )}
        {says.length > 0 && says.length < heap.minPoints && (
          <p className="font-semibold">
            {say('round.ofPointsTooFewThis', { says: says.length, minPoints: heap.minPoints })}
          </p>
        )}
        {round && <Effects preview={effects} />}
        {!walk.airAsked && <AirField handle={handle} walk={walk} unit={unit} />}
        <div>
          <label className="label" htmlFor="desk-probe">
            {say('round.thermometer')}
          </label>
          <select
            id="desk-probe"
            className="field"
            value={walk.probe ?? ''}
            onChange={(e) => void handle.step({ ...walk, probe: e.target.value || null })}
          >
            <option value="">{say('round.notNamed')}</option>
            {data.instruments.map((i) => (
              <option key={i.name} value={i.name} disabled={i.out !== undefined}>
                {i.name}, °{i.unit}
                {i.out ? say('round.outOfService2') : ''}
              </option>
            ))}
          </select>
        </div>
        <div className="grid grid-cols-[repeat(auto-fit,minmax(160px,1fr))] gap-3">
          <Field
            label={say('round.when')}
            type="datetime-local"
            value={when ?? localInput(data.site.timeZone, serverNow())}
            max={localInput(data.site.timeZone, serverNow())}
            onChange={(e) => setWhen(e.target.value || null)}
            hint={
              when === null ? say('round.asEachValueTyped') : say('round.laterEntryLogShowsBoth')
            }
          />
          <Field
            label={say('round.who')}
            value={walk.by}
            onChange={(e) => void handle.step({ ...walk, by: e.target.value })}
            autoComplete="name"
            maxLength={60}
            hint={say('entry.yourNameSavedWith')}
          />
        </div>
        <PhotoButton
          heap={heap.id}
          name={heap.name}
          by={walk.by}
          walk={walk.single ? null : walk.id}
        />
        {nudged && open > 0 && (
          <p role="alert" className="marked font-semibold">
            {unsaved.slice(0, 1).map((p) =>
              say('round.aValueTypedButNot', {
                label: p.label ?? p.id,
                text: (pending[p.id] ?? '').trim(),
              }),
            )}
          </p>
        )}
        <button
          type="button"
          className="btn key !min-h-[76px] !text-figure w-full"
          disabled={!ready}
          onClick={keep}
        >
          {walk.single
            ? say('round.saveTheseTemperatures', {
                says: Math.max(
                  says.length,
                  heap.places.filter(
                    (p) => standing(draft, p.id) !== null || isTemperature(pending[p.id] ?? ''),
                  ).length,
                ),
              })
            : nextName
              ? say('round.saveTheseTemperaturesOn', { nextName })
              : say('round.saveTheseTemperatures2')}
        </button>
        {!ready && (
          <p role="status" className="hint font-semibold" data-testid="missing">
            {walk.by.trim() === ''
              ? say('round.typeYourNameSavedWith')
              : say('round.typeValueFirstOrMoisture')}
          </p>
        )}
        {!walk.single &&
          (leaving ? (
            <SkipChoice
              title={say('round.skipWhy', { name: heap.name })}
              onBack={() => setLeaving(false)}
              onChoose={(reason) => {
                const left = leaveHeap(walk, heap, reason, serverNow(), createId);
                onDone(left.walk, [left.out]);
              }}
            />
          ) : (
            <button type="button" className="btn" onClick={() => setLeaving(true)}>
              <Mark name="walk" />
              {say('round.skip', { name: heap.name })}
            </button>
          ))}
        {!walk.single && notIn.length > 0 && (
          <div>
            <h2 className="!text-lead">{say('round.notInThisWalk')}</h2>
            <p className="q text-hint mt-1">
              {notIn.map((h, i) => (
                <span key={h.id}>
                  {i > 0 ? ' · ' : ''}
                  <b>{h.name}</b> {h.notNow}
                </span>
              ))}
            </p>
          </div>
        )}
      </aside>
    </div>
  );
}

/** Whether a text is a temperature, or a range of them. */
const isTemperature = (text: string): boolean => numberIn(text) !== null || rangeIn(text) !== null;

const MARKS_OF = 'data-marks-of';
/** Whether the focus goes to how sure a value is. */
const isOfMarks = (to: EventTarget | null): boolean =>
  to instanceof Element && to.closest(`[${MARKS_OF}]`) !== null;

/** The field of a place, by which the row is found again. */
const fieldId = (heap: RoundHeap, place: string): string => `now-${heap.id}-${place}`;

/** One place as a row: typed, asked about, kept with Enter or on leaving the field. */
function Row({
  handle,
  sheet: data,
  walk,
  heap,
  draft,
  instrument,
  unit,
  index,
  current,
  onFocus,
  onPending,
}: {
  handle: WalkHandle;
  sheet: OfflineRoundData;
  walk: RoundWalk;
  heap: RoundHeap;
  draft: HeapDraft;
  instrument: RoundInstrument | null;
  unit: TempUnit;
  index: number;
  current: boolean;
  onFocus: () => void;
  onPending: (text: string) => void;
}) {
  const place = itemAt(heap.places, index);
  const label = place.label ?? place.id;
  const kept = standing(draft, place.id);
  const [bad, setBad] = useState<string | null>(null);
  const reading = useReading({
    unit,
    instrument,
    airC: airNow(data, walk.air),
    heap,
    draft,
    placeIndex: index,
    onKeep: (r) => {
      void handle.step(
        keepReading(walk, heap.id, place.id, r, kept ? say('round.typedAgain') : null),
      );
      onPending('');
    },
  });
  const shown =
    reading.text !== '' || reading.low !== null
      ? reading.text
      : kept
        ? kept.high === undefined
          ? String(kept.value)
          : `${kept.value}-${kept.high}`
        : '';
  const keep = (text: string): void => {
    if (text.trim() === '' || reading.text === '') return;
    const range = rangeIn(text);
    if (range) {
      reading.keepRange(range.low, range.high);
      setBad(null);
      return;
    }
    if (numberIn(text) === null) {
      setBad(say('round.isNotNumberTypeTemperature', { text }));
      return;
    }
    setBad(null);
    reading.keep();
  };
  const field = fieldId(heap, place.id);
  // A value that stands, and was not sent yet, can still be said to be unsure.
  const marked: MarksHandle =
    kept && reading.text === '' && reading.low === null
      ? {
          ...{ marks: kept.marks, low: null, value: null, range: () => undefined },
          mark: (m) => void handle.step(markReading(walk, heap.id, place.id, m)),
        }
      : reading;
  const valueC =
    reading.value !== null && reading.text !== ''
      ? toCelsius(reading.value, reading.unit)
      : kept
        ? toCelsius(kept.value, kept.unit)
        : null;
  return (
    <>
      <tr className={`border-b border-rule ${current ? 'bg-sheet' : ''}`}>
        <th className="text-left font-[650] py-1.5 pr-3">
          {label}
          {place.depthM === undefined ? (
            ''
          ) : (
            <span className="q font-normal text-note">
              {' '}
              {say('round.cm2', { depthM: Math.round(place.depthM * 100) })}
            </span>
          )}
        </th>
        <td className="pr-3 q whitespace-nowrap text-hint">
          {place.last === null
            ? say('round.notReadYet')
            : `${readingText(place.last, unit)}, ${soonText(data.site.timeZone, place.last.at, serverNow())}`}
        </td>
        <td className="pr-3">
          <input
            id={fieldId(heap, place.id)}
            aria-label={say('round.now2', { label, unit })}
            className="field !w-[104px] disp !text-head font-bold"
            inputMode="decimal"
            value={shown}
            onFocus={(e) => {
              onFocus();
              // What is typed over a saved value takes its place: 67 and 77 are not 6777.
              e.currentTarget.select();
            }}
            onChange={(e) => {
              reading.type(e.target.value);
              onPending(e.target.value);
            }}
            // A press on a mark says how sure the value is: it is not yet saved.
            onBlur={(e) => {
              if (!isOfMarks(e.relatedTarget)) keep(e.target.value);
            }}
            onKeyDown={(e) => {
              if (e.key === 'Enter') {
                e.preventDefault();
                keep(e.currentTarget.value);
                const fields = [
                  ...(e.currentTarget.closest('tbody')?.querySelectorAll('input') ?? []),
                ];
                fields[fields.indexOf(e.currentTarget) + 1]?.focus();
              }
            }}
          />
        </td>
        <td className="whitespace-nowrap">
          {valueC !== null && place.last && (
            <b className="disp font-semibold">
              {changeText(valueC - place.last.c, unit)} °{unit}
            </b>
          )}
          {kept && <span className="q block text-note">{surenessText(kept, kept.unit)}</span>}
          {reading.low !== null && (
            <span className="q block text-note">
              {say('round.rangeFrom', { low: reading.low })}
            </span>
          )}
          {draft.left[place.id] && <span className="q text-note">{say('round.skipped')}</span>}
          {!kept && !draft.left[place.id] && current && (
            <button
              type="button"
              className="link text-note min-h-[28px]"
              onClick={() => void handle.step(leavePlace(walk, heap.id, place.id, 'other'))}
            >
              {say('round.skip2')}
            </button>
          )}
        </td>
      </tr>
      {current && (reading.text !== '' || reading.low !== null || kept) && !reading.asking && (
        <tr>
          <td
            colSpan={4}
            className="py-1.5"
            {...{ [MARKS_OF]: place.id }}
            onBlur={(e) => {
              const stays = isOfMarks(e.relatedTarget) || e.relatedTarget?.id === field;
              if (!stays && reading.text !== '') keep(reading.text);
            }}
          >
            <div className="max-w-[420px] ml-auto">
              <Marks reading={marked} height="min-h-[36px]" />
            </div>
          </td>
        </tr>
      )}
      {(reading.asking !== null || reading.fire) && (
        <tr>
          <td colSpan={4} className="py-2">
            <Question reading={reading} />
          </td>
        </tr>
      )}
      {bad && (
        <tr>
          <td colSpan={4} className="py-1">
            <p role="alert" className="marked font-semibold">
              {bad}
            </p>
          </td>
        </tr>
      )}
    </>
  );
}

function AirField({ handle, walk, unit }: { handle: WalkHandle; walk: RoundWalk; unit: TempUnit }) {
  const [text, setText] = useState('');
  const value = numberIn(text);
  const odd = value !== null && (toCelsius(value, unit) > 55 || toCelsius(value, unit) < -45);
  return (
    <div className="grid grid-cols-[1fr_auto] gap-2 items-end">
      <Field
        label={say('round.airInTheShade')}
        unit={`°${unit}`}
        inputMode="decimal"
        value={text}
        onChange={(e) => setText(e.target.value)}
        problem={
          odd
            ? say('round.airIsNever', { value: figure(toCelsius(value, unit), unit), unit })
            : undefined
        }
        hint={say('round.onceForEachWalk')}
      />
      <button
        type="button"
        className="btn mb-6"
        disabled={value === null || odd}
        onClick={() => {
          const { walk: w, out } = keepAir(walk, value!, unit, serverNow(), createId);
          void handle.step(w, [out]);
        }}
      >
        {say('instruments.saveTheAirTemperature')}
      </button>
    </div>
  );
}
