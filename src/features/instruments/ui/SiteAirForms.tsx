'use client';
import { say } from '@/messages/say';
import { shownQuantity, signOf } from '@/core/quantity/typed-quantity';
import { useState } from 'react';
import { boilingPointC } from '@/core/quantity/water';
import { Field } from '@/ui/Field';
import { KeepBar, WhoField } from '@/entry/ui/parts';
import { useEntry, type HeapRef } from '@/entry/ui/useEntry';
import { type Props, number, readQuantity, temp } from './instrumentParts';

export function AltitudeForm({ settings, site }: { settings: Props['settings']; site: HeapRef }) {
  const [text, setText] = useState(shownQuantity('length', settings.altitudeM));
  const entry = useEntry(
    'round-settings',
    { ...site, id: '', name: say('instruments.altitude') },
    () => undefined,
  );
  const metres = readQuantity('length', text);
  const ok = metres !== null && metres >= -430 && metres <= 6000;
  return (
    <section className="flex flex-col gap-3" aria-labelledby="altitude-title">
      <h2 id="altitude-title">{say('instruments.altitudeAndBoilingPoint')}</h2>
      <Field
        label={say('instruments.altitudeOfTheSite')}
        unit={signOf('length')}
        inputMode="decimal"
        value={text}
        onChange={(e) => setText(e.target.value)}
        problem={
          ok ? undefined : say('instruments.metersAboveSeaLevel430', { least: -430, most: 6000 })
        }
        hint={
          ok
            ? say('instruments.waterBoilsAtThereGive', {
                boils: temp(boilingPointC(metres), site.unit),
                spread: 1,
              })
            : undefined
        }
      />
      <WhoField entry={entry} label={say('instruments.whoSetsIt')} />
      <KeepBar
        entry={entry}
        label={say('instruments.saveTheAltitude')}
        missing={
          !ok
            ? say('instruments.typeMetersAsNumber')
            : metres === settings.altitudeM
              ? say('instruments.thatAltitudeAlreadySet')
              : null
        }
        onKeep={() => entry.save({ ...settings, altitudeM: metres })}
      />
    </section>
  );
}

export function AirForm({ site }: { site: HeapRef }) {
  const [value, setValue] = useState('');
  const [done, setDone] = useState('');
  const entry = useEntry('ambient', { ...site, id: '', name: say('instruments.air') }, () => {
    setDone(say('instruments.airTemperatureSaved'));
    setValue('');
  });
  const read = number(value);
  return (
    <section className="flex flex-col gap-3 ruled pt-3" aria-labelledby="air-title">
      <h2 id="air-title">{say('instruments.logAirTemperature')}</h2>
      <Field
        label={say('instruments.inTheShade')}
        unit={`°${site.unit}`}
        inputMode="decimal"
        value={value}
        onChange={(e) => setValue(e.target.value)}
      />
      <WhoField entry={entry} label={say('instruments.whoReadIt')} />
      <p role="status" className="hint">
        {done}
      </p>
      <KeepBar
        entry={entry}
        label={say('instruments.saveTheAirTemperature')}
        missing={
          read !== null && Number.isFinite(read) ? null : say('instruments.typeTemperatureAsNumber')
        }
        onKeep={() => entry.save({ value: read, unit: site.unit })}
      />
    </section>
  );
}
