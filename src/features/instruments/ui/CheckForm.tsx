'use client';
import { say } from '@/messages/say';
import { useEffect, useState } from 'react';
import { toCelsius } from '@/core/units/units';
import { boilingPointC } from '@/core/quantity/water';
import { Choices } from '@/ui/Choices';
import { ConfirmBox } from '@/ui/ConfirmBox';
import { useTyped } from '@/ui/draft';
import { Field } from '@/ui/Field';
import { askServer } from '@/ui/ask-server';
import type { CheckEffect, CheckPreview } from '../check-preview';
import { isImplausibleCheck } from '@/core/evidence/drift';
import { implausibleCheckText } from '@/telling/status/thermometer';
import { KeepBar, WhenAndWho } from '@/entry/ui/parts';
import { useEntry, type HeapRef } from '@/entry/ui/useEntry';
import { type InstrumentLine, number, temp } from './instrumentParts';

const STEPS = {
  get ice() {
    return [
      say('instruments.fillCupWithCrushedIce'),
      say('instruments.stirWaitTwoMinutesPut'),
      say('instruments.waitUntilSteadyRead'),
    ];
  },
  get boil() {
    return [
      say('instruments.bringCleanWaterRollingBoil'),
      say('instruments.holdProbeInWaterBy'),
      say('instruments.waitUntilSteadyRead'),
    ];
  },
  get reference() {
    return [
      say('instruments.tieThermometerYouTrustProbe'),
      say('instruments.putBothIntoWarmWater'),
      say('instruments.readBoth'),
    ];
  },
} as const;

/** Held against a reference, step by step; what it does to verdicts is said before it is kept. */
export function CheckForm({
  line,
  altitudeM,
  site,
  onDone,
}: {
  line: InstrumentLine;
  altitudeM: number;
  site: HeapRef;
  onDone: () => void;
}) {
  const unit = line.known?.unit ?? site.unit;
  const [how, setHow] = useTyped<'ice' | 'boil' | 'reference'>('how', 'ice');
  const [reference, setReference] = useTyped('reference', '');
  const [read, setRead] = useTyped('read', '');
  const [certain, setCertain] = useState(false);
  const referenceC =
    how === 'ice'
      ? 0
      : how === 'boil'
        ? boilingPointC(altitudeM)
        : (() => {
            const v = number(reference);
            return v === null ? null : toCelsius(v, unit);
          })();
  const value = number(read);
  const readC = value === null || !Number.isFinite(value) ? null : toCelsius(value, unit);
  const entry = useEntry('probe-check', { ...site, id: '', name: line.name }, onDone);
  const ready = referenceC !== null && Number.isFinite(referenceC) && readC !== null;
  const doubted = ready && isImplausibleCheck({ referenceC, readC });
  const data = ready
    ? {
        ...{ probe: line.name, referenceC, readC, how },
        ...(how === 'boil' ? { altitudeM } : {}),
        ...(doubted && certain ? { certain } : {}),
      }
    : null;
  const preview = useCheckPreview(data, entry.at);
  const off = ready ? readC - referenceC : 0;
  const accuracy = line.known?.accuracyK ?? 1;
  return (
    <>
      <Choices
        label={say('instruments.reference')}
        value={how}
        onChange={(v) => {
          if (v) setHow(v);
        }}
        columns={3}
        options={[
          { value: 'ice', label: say('instruments.iceWater'), hint: temp(0, unit) },
          {
            value: 'boil',
            label: say('instruments.boilingWater'),
            hint: say('instruments.atM', {
              boils: temp(boilingPointC(altitudeM), unit),
              altitudeM,
            }),
          },
          { value: 'reference', label: say('instruments.anotherOne') },
        ]}
      />
      <ol className="list-decimal pl-5 text-control leading-[1.4]">
        {STEPS[how].map((s) => (
          <li key={s}>{s}</li>
        ))}
      </ol>
      <div className="grid grid-cols-2 gap-3">
        {how === 'reference' ? (
          <Field
            label={say('instruments.theTrustedOneRead')}
            unit={`°${unit}`}
            inputMode="decimal"
            value={reference}
            onChange={(e) => setReference(e.target.value)}
          />
        ) : (
          <div>
            <span className="label">{say('instruments.itShouldRead')}</span>
            <p className="disp text-number font-bold min-h-target flex items-center">
              {temp(referenceC!, unit)}
            </p>
          </div>
        )}
        <Field
          label={say('instruments.itRead')}
          unit={`°${unit}`}
          inputMode="decimal"
          value={read}
          onChange={(e) => {
            setRead(e.target.value);
            setCertain(false);
          }}
          problem={
            read !== '' && readC === null ? say('instruments.typeTemperatureAsNumber') : undefined
          }
        />
      </div>
      {ready && (
        <p role="status" className={Math.abs(off) > accuracy + 1e-9 ? 'marked font-semibold' : ''}>
          {Math.abs(off) < 0.05
            ? say('instruments.itReadsRight')
            : say('instruments.itReadsTooHighOther', {
                off: Math.abs(unit === 'F' ? off * 1.8 : off).toFixed(1),
                unit: `°${unit}`,
                off2: off > 0 ? 'high' : 'other',
              })}
          {Math.abs(off) >= 0.05
            ? Math.abs(off) > accuracy + 1e-9
              ? say('instruments.moreThanAccuracyKCheck', { accuracy })
              : say('instruments.withinAccuracyK', { accuracy })
            : ''}
        </p>
      )}
      {doubted && (
        <ConfirmBox
          legend={say('status.isThatRight')}
          text={implausibleCheckText({ referenceC, readC }, unit)}
          confirm={say('status.lookedTwice')}
          checked={certain}
          onChange={setCertain}
          testId="implausible"
        />
      )}
      <WhenAndWho entry={entry} heap={site} />
      {data && <CheckEffects preview={preview} />}
      <KeepBar
        entry={entry}
        label={say('instruments.saveThisCheck')}
        missing={
          !ready
            ? say('instruments.typeWhatReadReference')
            : doubted && !certain
              ? say('status.tickTheBox')
              : null
        }
        onKeep={() => data && entry.save(data)}
      />
    </>
  );
}

const PAUSE_MS = 350;

function useCheckPreview(
  data: { probe: string; referenceC: number; readC: number } | null,
  at: string | null,
): CheckPreview | 'asking' | null {
  const text =
    data === null
      ? null
      : JSON.stringify({ probe: data.probe, referenceC: data.referenceC, readC: data.readC, at });
  const [held, setHeld] = useState<{ text: string | null; answer: CheckPreview | null }>({
    text: null,
    answer: null,
  });
  useEffect(() => {
    let current = true;
    const timer = setTimeout(() => {
      if (text !== null)
        askServer<CheckPreview | null>('/api/ask/check', JSON.parse(text) as object).then(
          (answer) => {
            if (current) setHeld({ text, answer });
          },
          () => {
            if (current) setHeld({ text, answer: null });
          },
        );
    }, PAUSE_MS);
    return () => {
      current = false;
      clearTimeout(timer);
    };
  }, [text]);
  return held.text === text ? held.answer : 'asking';
}

const EffectList = ({ list }: { list: readonly CheckEffect[] }) => (
  <ul>
    {list.map((h) => (
      <li key={h.heap} className="text-small leading-[1.35]">
        <b className="font-semibold">{h.heap}</b>:{' '}
        {h.effects.map((e) => `${e.rule}: ${e.text}`).join(' ')}
      </li>
    ))}
  </ul>
);

/** What the check does from now on, and what it puts in doubt behind. */
function CheckEffects({ preview }: { preview: CheckPreview | 'asking' | null }) {
  if (preview === 'asking')
    return (
      <p className="hint" aria-live="polite">
        {say('instruments.workingOutEffectOnEvery')}
      </p>
    );
  if (preview === null)
    return (
      <p className="hint" aria-live="polite">
        {say('instruments.theServerDoesNotAnswer')}
      </p>
    );
  const { counts, doubts, since, heaps } = preview;
  return (
    <div
      aria-live="polite"
      data-testid="check-effects"
      className={`border-[1.6px] border-ink px-3 py-2 flex flex-col gap-2 ${counts.some((h) => h.effects.some((e) => e.costs)) ? 'bg-marker' : 'bg-paper'}`}
    >
      {counts.length === 0 ? (
        <p>
          {say('instruments.savedAsCorrectsReadingsFrom', {
            heaps: heaps === 0 ? 'noHeap' : 'other',
          })}
        </p>
      ) : (
        <>
          <p className="font-semibold">{say('instruments.savedAsChanges')}</p>
          <EffectList list={counts} />
        </>
      )}
      {doubts.length > 0 && (
        <>
          <p className="font-semibold">
            {say('instruments.ifWasAsFarOff', {
              since: since ?? say('instruments.itWasFirstUsed'),
            })}
          </p>
          <EffectList list={doubts} />
          <p className="text-hint">{say('instruments.thisChangesNothingByItself')}</p>
        </>
      )}
      {doubts.length === 0 && heaps > 0 && (
        <p className="text-hint">
          {say('instruments.evenIfWasAsFar', {
            since: since ?? say('instruments.itWasFirstUsed'),
            heaps,
          })}
        </p>
      )}
    </div>
  );
}
