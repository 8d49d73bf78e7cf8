'use client';
import { confirmKept } from './confirm';
import { say } from '@/messages/say';
import Link from 'next/link';
import { useState } from 'react';
import { Mound } from '@/charts/Mound';
import { plateOf } from '@/charts/ember';
import { Schematic } from '@/charts/Schematic';
import { localInput } from '@/core/quantity/calendar';
import { tempText, soonText } from '@/core/quantity/format';
import { readingText } from '@/core/words/reading';
import { toCelsius, type TempUnit } from '@/core/units/units';
import type { SkipReason } from '@/core/words/skip';
import { Field } from '@/ui/Field';
import type { RoundHeap, OfflineRoundData } from '../offline-round-data';
import { numberIn, appendKey } from '../pad';
import {
  entriesOf,
  finishHeap,
  keepAir,
  keepReading,
  leaveHeap,
  leavePlace,
  nextPlace,
  readSoFar,
  setFeel,
  standing,
  takeBack,
  type HeapDraft,
  type Out,
  type RoundWalk,
} from '../round-walk';
import { Pad } from './Pad';
import { changeText, FeelFields, figure, Marks, otherUnitText, Settle, SkipChoice } from './parts';
import { Question } from './Question';
import { PhotoButton } from './PhotoButton';
import { airNow, useReading } from './useReading';
import { serverNow, createId, type WalkHandle } from './useRoundWalk';
import { firstOf, itemAt } from '@/core/quantity/present';

const UNDO_MS = 10_000;
const short = (label: string): string => firstOf(label.split(' ')).slice(0, 4);
const rest = (label: string): string => label.slice(label.indexOf(' ') + 1);

/** Name, place and progress of the heap in hand, and the one way out. */
function Head({
  heap,
  line,
  button,
  onButton,
}: {
  heap: RoundHeap;
  line: string;
  button: string;
  onButton: () => void;
}) {
  return (
    <header className="flex items-end gap-3 px-4 pt-2">
      <svg width={66} height={54} viewBox="0 0 74 58" aria-hidden="true" className="flex-none">
        <Mound
          heap={heap.picture}
          place={{ x: 34, base: 54, maxW: 68, maxH: 34, largest: heap.picture.volume, small: true }}
        />
        <path d="M0 54H74" stroke="var(--color-ink)" strokeWidth={1.8} />
      </svg>
      <div className="min-w-0 flex-1 pb-0.5">
        <h1 className="!text-[25px] truncate">
          {heap.name} <span className="font-text font-normal text-control q">{heap.place}</span>
        </h1>
        <p className="q text-control mt-1 truncate">{line}</p>
      </div>
      <button type="button" className="btn !min-h-key !px-3.5" onClick={onButton}>
        {button}
      </button>
    </header>
  );
}

type Props = {
  readonly handle: WalkHandle;
  readonly sheet: OfflineRoundData;
  readonly walk: RoundWalk;
  /** The heap is done with: what the walk has become, and what the hub is to be told. */ readonly onDone: (
    after: RoundWalk,
    out: readonly Out[],
  ) => void;
};

/** One heap at a time: its places, then what it is like. */
export function PhoneHeap({
  handle,
  sheet: data,
  walk,
  onDone,
  heap,
  next,
}: Props & { readonly heap: RoundHeap; readonly next: RoundHeap | null }) {
  const draft = walk.heaps[heap.id]!;
  const [feeling, setFeeling] = useState(nextPlace(heap, draft) === null);
  const back = (): void => setFeeling(false);
  if (feeling)
    return (
      <FeelStep
        handle={handle}
        sheet={data}
        walk={walk}
        onDone={onDone}
        heap={heap}
        draft={draft}
        next={next}
        onBack={back}
      />
    );
  return (
    <ReadStep
      handle={handle}
      sheet={data}
      walk={walk}
      onDone={onDone}
      heap={heap}
      draft={draft}
      next={next}
      onRead={() => setFeeling(true)}
    />
  );
}

function ReadStep({
  handle,
  sheet: data,
  walk,
  onDone,
  heap,
  draft,
  next,
  onRead,
}: Props & { heap: RoundHeap; draft: HeapDraft; next: RoundHeap | null; onRead: () => void }) {
  const [at, setAt] = useState(() => nextPlace(heap, draft) ?? 0);
  const [asking, setAsking] = useState<'place' | 'stop' | 'heap' | 'list' | null>(null);
  const [again, setAgain] = useState<string | null>(null);
  const [undo, setUndo] = useState<{ place: string; label: string; at: number } | null>(null);
  const instrument = data.instruments.find((i) => i.name === walk.probe) ?? null;
  const unit: TempUnit = instrument?.unit ?? data.unit;
  const place = itemAt(heap.places, at);
  const label = place.label ?? place.id;
  const go = (from: HeapDraft): void => {
    const i = nextPlace(heap, from, at);
    setAgain(null);
    setAsking(null);
    if (i === null) onRead();
    else setAt(i);
  };
  const reading = useReading({
    unit,
    instrument,
    airC: airNow(data, walk.air),
    heap,
    draft,
    placeIndex: at,
    onKeep: (r) => {
      const after = keepReading(walk, heap.id, place.id, r, again);
      void handle.step(after);
      confirmKept(`${short(label)}: ${tempText(toCelsius(r.value, r.unit), r.unit)}`);
      const stamp = serverNow();
      setUndo({ place: place.id, label: short(label), at: stamp });
      setTimeout(() => setUndo((u) => (u?.at === stamp ? null : u)), UNDO_MS);
      if (!r.faulty) go(after.heaps[heap.id]!);
    },
  });
  const valueC = reading.value === null ? null : toCelsius(reading.value, reading.unit);
  const nextIndex = nextPlace(heap, { ...draft, left: { ...draft.left, [place.id]: 'other' } }, at);
  const i = walk.order.indexOf(heap.id) + 1;
  const leave = (reason: SkipReason): void => {
    const after = leavePlace(walk, heap.id, place.id, reason);
    void handle.step(after);
    go(after.heaps[heap.id]!);
  };
  const shown = reading.low === null ? reading.text || '–' : `${reading.low}–${reading.text}`;
  return (
    <div className="flex-1 flex flex-col">
      <Head
        heap={heap}
        line={
          walk.single
            ? say('round.points', { places: heap.places.length })
            : next
              ? say('round.ofThen', { i: ordinal(i), order: walk.order.length, name: next.name })
              : say('round.ofTheLast', { i: ordinal(i), order: walk.order.length })
        }
        button={say('round.stop')}
        onButton={() => setAsking('stop')}
      />
      <div className="relative h-[132px] mt-1.5">
        <Schematic
          shape={heap.shape}
          current={place.id}
          says={say('round.ofPointsReadNow', {
            name: heap.name,
            heap: readSoFar(heap, draft).length,
            places: heap.places.length,
            label,
          })}
          places={stretchOf(heap, at).map((p) => {
            const s = standing(draft, p.id);
            return {
              id: p.id,
              zone: p.zone,
              side: p.side,
              short: short(p.label ?? p.id),
              read: s ? { figure: String(s.value), c: toCelsius(s.value, s.unit) } : null,
              left: draft.left[p.id] !== undefined,
            };
          })}
        />
        <button
          type="button"
          className="absolute right-3 top-0 btn !min-h-choice !px-3 !text-small"
          onClick={() => setAsking('list')}
        >
          {say('round.of', { heap: readSoFar(heap, draft).length, places: heap.places.length })}
        </button>
        {undo && serverNow() - undo.at < UNDO_MS && (
          <button
            type="button"
            className="absolute left-3 top-0 btn !min-h-choice !px-3 !text-small"
            onClick={() => {
              void handle.step(takeBack(walk, heap.id, undo.place));
              setAt(heap.places.findIndex((p) => p.id === undo.place));
              setAgain(say('round.undoneAtOnce'));
              setUndo(null);
            }}
          >
            {say('round.undo', { label: undo.label })}
          </button>
        )}
      </div>
      <div className="px-4 pb-3.5 pt-1 flex-1 flex flex-col gap-[7px]">
        {asking === 'place' ? (
          <SkipChoice
            title={say('round.skipWhy2', { label: short(label) })}
            onChoose={leave}
            onBack={() => setAsking(null)}
          />
        ) : asking === 'heap' ? (
          <SkipChoice
            title={say('round.skipWhy', { name: heap.name })}
            onBack={() => setAsking(null)}
            onChoose={(reason) => {
              const { walk: w, out } = leaveHeap(walk, heap, reason, serverNow(), createId);
              onDone(w, [out]);
            }}
          />
        ) : asking === 'stop' ? (
          <div className="flex flex-col gap-2.5">
            <h2>{say('round.stopHere')}</h2>
            <p className="q text-control">{say('round.whatYouSavedStaysOn')}</p>
            <Link href={walk.single ? `/batch/${heap.id}` : '/'} className="btn key !min-h-[72px]">
              {say('round.stopGoOnLater')}
            </Link>
            {!walk.single && (
              <button type="button" className="btn !min-h-row" onClick={() => setAsking('heap')}>
                {say('round.skip', { name: heap.name })}
              </button>
            )}
            <button type="button" className="btn !min-h-row" onClick={onRead}>
              {say('round.noMorePointsMoistureSmell')}
            </button>
            <button type="button" className="btn !min-h-glove" onClick={() => setAsking(null)}>
              {say('round.backTo', { label: short(label) })}
            </button>
          </div>
        ) : asking === 'list' ? (
          <div className="flex flex-col gap-2">
            <h2>{say('round.pointsOf', { name: heap.name })}</h2>
            {heap.doubts.map((d) => (
              <p key={d} className="caution">
                {d}
              </p>
            ))}
            <ul className="flex flex-col gap-1.5">
              {heap.places.map((p, n) => {
                const s = standing(draft, p.id);
                return (
                  <li key={p.id}>
                    <button
                      type="button"
                      className="btn w-full !min-h-glove !justify-between"
                      onClick={() => {
                        setAt(n);
                        setAgain(s ? say('round.readAgain') : null);
                        setAsking(null);
                      }}
                    >
                      <span className="truncate">{p.label ?? p.id}</span>
                      <span className="disp font-bold whitespace-nowrap">
                        {s
                          ? say('round.readAgain2', { s: readingText(s, s.unit) })
                          : draft.left[p.id]
                            ? say('round.skipped')
                            : say('round.notRead')}
                      </span>
                    </button>
                  </li>
                );
              })}
            </ul>
            <button type="button" className="btn !min-h-glove" onClick={() => setAsking(null)}>
              {say('round.backTo', { label: short(label) })}
            </button>
          </div>
        ) : (
          <>
            <div className="flex justify-between items-center gap-2 min-h-[58px]">
              <p className="text-lead leading-[1.3] min-w-0">
                <b className="disp text-head">{short(label)}</b> {rest(label)}
                {place.depthM === undefined
                  ? ''
                  : say('round.cm3', { depthM: Math.round(place.depthM * 100) })}
                <br />
                <span className="q">
                  {place.last === null
                    ? say('round.notReadYet2')
                    : say('round.lastTime2', {
                        last: readingText(place.last, unit),
                        at: soonText(data.site.timeZone, place.last.at, serverNow()),
                      })}
                </span>
              </p>
              {!reading.asking && !reading.fire && (
                <Settle since={reading.since} seconds={instrument?.settleS ?? 30} />
              )}
            </div>
            {again !== null && <AgainReason value={again} onChange={setAgain} />}
            <output
              aria-label={say('round.typed', { label })}
              className="border-2 border-ink rounded-[5px] bg-sheet h-[70px] flex-none flex items-center justify-between gap-2 px-3.5"
            >
              <span
                className={`disp font-bold leading-none whitespace-nowrap ${shown.length > 6 ? 'text-[36px]' : 'text-[54px]'}`}
              >
                {shown}
                <span className="text-number font-medium ml-1">°{reading.unit}</span>
              </span>
              <span className="text-body leading-[1.3] text-right">
                {valueC !== null && place.last && (
                  <>
                    <b className="disp text-lead">{changeText(valueC - place.last.c, unit)}</b>{' '}
                    {say('round.sinceThen')}
                    <br />
                  </>
                )}
                {valueC !== null && (
                  <span className="q">
                    <Pip c={valueC} />
                    {otherUnitText(reading.value!, reading.unit)} ·{' '}
                    {wordFor(valueC, heap.floorC, unit)}
                  </span>
                )}
              </span>
            </output>
            {reading.asking || reading.fire ? (
              <Question reading={reading} />
            ) : (
              <>
                <Marks reading={reading} height="min-h-[50px]" />
                <Pad onKey={reading.press} />
                <div className="grid grid-cols-[84px_1fr] gap-2">
                  <button
                    type="button"
                    className="btn !min-h-[74px] !px-1"
                    onClick={() => setAsking('place')}
                  >
                    {say('round.skipPoint')}
                  </button>
                  <button
                    type="button"
                    className="btn key !min-h-[74px] !text-head !px-2"
                    disabled={reading.value === null}
                    onClick={reading.keep}
                  >
                    {reading.value === null
                      ? say('round.type', { label: short(label) })
                      : nextIndex === null
                        ? say('round.saveThenMoisture', { shown })
                        : say('round.saveGoTo', {
                            shown,
                            label: short(
                              itemAt(heap.places, nextIndex).label ??
                                itemAt(heap.places, nextIndex).id,
                            ),
                          })}
                  </button>
                </div>
              </>
            )}
          </>
        )}
      </div>
    </div>
  );
}

/** Of a row only the stretch in hand is drawn: its set of places. */
function stretchOf(heap: RoundHeap, at: number): RoundHeap['places'] {
  const along = itemAt(heap.places, at).alongM;
  return along === undefined
    ? heap.places.slice(0, 9)
    : heap.places.filter((p) => p.alongM === along);
}

const listAgainReasons = () =>
  [
    say('round.typingMistake'),
    say('round.itWasStillRising'),
    say('round.theProbeHadMoved'),
  ] as const;
function AgainReason({ value, onChange }: { value: string; onChange: (v: string) => void }) {
  return (
    <div className="grid grid-cols-3 gap-[7px]" role="group" aria-label={say('round.whyReadAgain')}>
      {listAgainReasons().map((r) => (
        <button
          key={r}
          type="button"
          aria-pressed={value === `${r}.`}
          onClick={() => onChange(`${r}.`)}
          className={`border-[1.5px] border-ink rounded-glove min-h-[50px] px-1 text-small leading-[1.1] font-semibold ${value === `${r}.` ? 'bg-ink text-sheet' : 'bg-paper'}`}
        >
          {r}
        </button>
      ))}
    </div>
  );
}

const Pip = ({ c }: { c: number }) => (
  <span
    className="inline-block size-3.5 align-[-2px] mr-1 border border-ink rounded-plate"
    style={{ background: plateOf(c).fill }}
    aria-hidden="true"
  />
);
/** How a value stands to the floor of the heap's leading rule. */
function wordFor(c: number, floorC: number, unit: TempUnit): string {
  const by = Math.abs(c - floorC) * (unit === 'F' ? 1.8 : 1);
  return c >= 77
    ? 'danger'
    : c >= 70
      ? say('round.tooHot')
      : c >= floorC
        ? say('round.aboveTheLimit', { by: by.toFixed(1) })
        : say('round.short', { by: by.toFixed(1) });
}
const ordinal = (n: number): string =>
  `${n}${n % 100 > 10 && n % 100 < 14 ? 'th' : (['th', 'st', 'nd', 'rd'][n % 10] ?? 'th')}`;

/** What the round came to, in a sentence: what decides, and whether it is whole. */
function roundSentence(
  heap: RoundHeap,
  draft: HeapDraft,
  unit: TempUnit,
): { head: string; text: string } {
  const read = readSoFar(heap, draft);
  if (read.length === 0)
    return { head: say('round.nothingRead'), text: say('round.onlyMoistureSmellWhatYou') };
  const coldest = read.reduce((a, b) => (b.c < a.c ? b : a));
  const cold = say('round.coldestAt', {
    reading: readingText(coldest.kept, unit),
    label: short(coldest.label),
  });
  if (read.length < heap.minPoints)
    return {
      head: say('round.tooFewPoints'),
      text: say('round.ofPointsCheckNeedsThis', {
        read: read.length,
        minPoints: heap.minPoints,
        cold,
      }),
    };
  const floor = `${figure(heap.floorC, unit)} °${unit}`;
  return coldest.c < heap.floorC
    ? { head: say('round.notHotAllThrough'), text: say('round.below', { cold, floor }) }
    : {
        head: say('round.thisCheckCounts'),
        text: say('round.aboveAtPoints', { cold, floor, read: read.length }),
      };
}

function FeelStep({
  handle,
  sheet: data,
  walk,
  onDone,
  heap,
  draft,
  next,
  onBack,
}: Props & { heap: RoundHeap; draft: HeapDraft; next: RoundHeap | null; onBack: () => void }) {
  const [noting, setNoting] = useState(draft.feel.words !== undefined);
  // A device that has no name yet is asked once, here, where both hands are free again.
  const [nameless] = useState(walk.by.trim() === '');
  const read = readSoFar(heap, draft);
  const coldest = read.length > 0 ? read.reduce((a, b) => (b.c < a.c ? b : a)).label : null;
  const unit = read[0]?.kept.unit ?? data.unit;
  const hottest = read.reduce<number | null>((a, r) => (a === null || r.c > a ? r.c : a), null);
  const says = roundSentence(heap, draft, unit);
  const nothing = read.length === 0 && Object.keys(draft.feel).length === 0;
  /** Null: as each value was typed. */
  const [when, setWhen] = useState<string | null>(null);
  const done = (): void =>
    onDone(finishHeap(walk, heap.id), entriesOf(walk, heap, when ?? serverNow()));
  return (
    <div className="flex-1 flex flex-col">
      <Head
        heap={heap}
        line={
          read.length > 0
            ? say('round.oneOtherReadTo', {
                read: read.length,
                figure: figure(Math.min(...read.map((r) => r.c)), unit),
                hottest: figure(hottest!, unit),
                unit,
              })
            : say('round.noPointRead')
        }
        button={say('round.back')}
        onButton={onBack}
      />
      <div className="px-4 pt-4 flex flex-col gap-4 pb-4">
        <FeelFields
          feel={draft.feel}
          places={heap.places.map((p) => p.label ?? p.id)}
          coldest={coldest}
          onChange={(feel) => void handle.step(setFeel(walk, heap.id, feel))}
        />
        <div className="grid grid-cols-3 gap-2 items-start">
          <PhotoButton
            heap={heap.id}
            name={heap.name}
            by={walk.by}
            walk={walk.single ? null : walk.id}
          />
          <button
            type="button"
            className="btn !min-h-glove"
            aria-expanded={noting}
            onClick={() => setNoting(!noting)}
          >
            {say('round.note')}
          </button>
          <button
            type="button"
            className="btn !min-h-glove !px-1"
            aria-expanded={when !== null}
            onClick={() =>
              setWhen(when === null ? localInput(data.site.timeZone, serverNow()) : null)
            }
          >
            {say('round.takenEarlier')}
          </button>
        </div>
        {when !== null && (
          <Field
            label={say('round.whenItWasRead')}
            type="datetime-local"
            value={when}
            max={localInput(data.site.timeZone, serverNow())}
            onChange={(e) => setWhen(e.target.value || null)}
            hint={say('round.laterEntryMarkedLate')}
          />
        )}
        {noting && (
          <div>
            <label className="label" htmlFor="feel-words">
              {say('round.note')}
            </label>
            <textarea
              id="feel-words"
              className="field"
              rows={3}
              maxLength={2000}
              value={draft.feel.words ?? ''}
              onChange={(e) => {
                const { words: _words, ...others } = draft.feel;
                void handle.step(
                  setFeel(
                    walk,
                    heap.id,
                    e.target.value === '' ? others : { ...draft.feel, words: e.target.value },
                  ),
                );
              }}
            />
          </div>
        )}
        {nameless && (
          <Field
            label={say('round.who')}
            value={walk.by}
            maxLength={60}
            autoComplete="name"
            hint={say('round.yourNameSavedWithReadings')}
            onChange={(e) => void handle.step({ ...walk, by: e.target.value })}
          />
        )}
        <p className="caution">{say('round.washYourHandsBeforeYou')}</p>
      </div>
      <div className="sticky bottom-0 bg-paper border-t-2 border-ink px-4 pt-2 pb-3.5 mt-auto">
        <p className="text-control leading-[1.3] mb-2" aria-live="polite">
          <b>{says.head}</b> {says.text}
        </p>
        <button
          type="button"
          className="btn key w-full !min-h-[74px] !text-head"
          disabled={nothing || walk.by.trim() === ''}
          onClick={done}
        >
          {walk.single
            ? say('round.saveTheseTemperatures2')
            : next
              ? say('round.doneOnTo', { name: next.name })
              : say('round.doneWasLast')}
        </button>
        {(nothing || walk.by.trim() === '') && (
          <p role="status" className="font-semibold text-control mt-1.5" data-testid="missing">
            {nothing ? say('round.nothingEnteredYetGoBack') : say('round.typeYourNameAboveSaved')}
          </p>
        )}
      </div>
    </div>
  );
}

/** The air, once for each walk: a heap that reads below it is asked about. */
export function AirStep({
  handle,
  sheet: data,
  walk,
}: {
  handle: WalkHandle;
  sheet: OfflineRoundData;
  walk: RoundWalk;
}) {
  const [text, setText] = useState('');
  const unit = data.instruments.find((i) => i.name === walk.probe)?.unit ?? data.unit;
  const value = numberIn(text);
  const odd = value !== null && (toCelsius(value, unit) > 55 || toCelsius(value, unit) < -45);
  return (
    <div className="flex-1 flex flex-col px-4 pt-4 pb-3.5 gap-3">
      <h1>{say('round.airInTheShade')}</h1>
      <p className="q text-control">
        {say('round.onceForEachWalk2', {
          air: data.air
            ? say('round.lastReading', {
                c: figure(data.air.c, unit),
                unit,
                at: soonText(data.site.timeZone, data.air.at, serverNow()),
              })
            : '',
        })}
      </p>
      <output
        aria-label={say('round.airTyped')}
        className="border-2 border-ink rounded-[5px] bg-sheet h-[70px] flex items-center justify-between px-3.5"
      >
        <span className="disp font-bold text-[54px] leading-none">
          {text || '–'}
          <span className="text-number font-medium ml-1">°{unit}</span>
        </span>
        {value !== null && <span className="q">{otherUnitText(value, unit)}</span>}
      </output>
      {odd && (
        <p role="alert" className="marked font-semibold">
          {say('round.airNeverOtherUnitOr', { value, unit })}
        </p>
      )}
      <Pad onKey={(k) => setText(appendKey(text, k))} sign />
      <div className="grid grid-cols-[84px_1fr] gap-2 mt-auto">
        <button
          type="button"
          className="btn !min-h-[74px] !px-1"
          onClick={() => void handle.step({ ...walk, airAsked: true })}
        >
          {say('round.skipAir')}
        </button>
        <button
          type="button"
          className="btn key !min-h-[74px] !text-head"
          disabled={value === null || odd}
          onClick={() => {
            const { walk: w, out } = keepAir(walk, value!, unit, serverNow(), createId);
            void handle.step(w, [out]);
          }}
        >
          {value === null ? say('round.typeTheAirTemperature') : say('round.save2', { text, unit })}
        </button>
      </div>
    </div>
  );
}
