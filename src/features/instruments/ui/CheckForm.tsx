'use client';
import { say } from '@/messages/say';
import { useState } from 'react';
import { toCelsius } from '@/core/units/units';
import { boilingPointC } from '@/core/quantity/water';
import { Choices } from '@/ui/Choices';
import { ConfirmBox } from '@/ui/ConfirmBox';
import { useTyped } from '@/ui/draft';
import { Field } from '@/ui/Field';
import { isImplausibleCheck } from '@/core/evidence/drift';
import { implausibleCheckText } from '@/telling/status/thermometer';
import { KeepBar, WhenAndWho } from '@/entry/ui/parts';
import { useEntry, type HeapRef } from '@/entry/ui/useEntry';
import { CheckEffects, useCheckPreview } from './CheckEffects';
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
  const preview = useCheckPreview(
    ready ? { probe: line.name, referenceC, readC, at: entry.at } : null,
  );
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
