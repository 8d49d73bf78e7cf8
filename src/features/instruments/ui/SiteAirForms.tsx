'use client';
import { useState } from 'react';
import { boilingPointC } from '@/core/quantity/water';
import { Field } from '@/ui/Field';
import { KeepBar, WhoField } from '@/entry/ui/parts';
import { useEntry, type HeapRef } from '@/entry/ui/useEntry';
import { type Props, number, temp } from './instrumentParts';

export function AltitudeForm({ settings, site }: { settings: Props['settings']; site: HeapRef }) {
  const [text, setText] = useState(String(settings.altitudeM));
  const entry = useEntry('round-settings', { ...site, id: '', name: 'Altitude' }, () => undefined);
  const metres = number(text);
  const ok = metres !== null && metres >= -430 && metres <= 6000;
  return (
    <section className="flex flex-col gap-3" aria-labelledby="altitude-title">
      <h2 id="altitude-title">Where water boils here</h2>
      <Field
        label="Altitude of the site"
        unit="m"
        inputMode="decimal"
        value={text}
        onChange={(e) => setText(e.target.value)}
        problem={ok ? undefined : 'Metres above the sea, −430 to 6000.'}
        hint={
          ok
            ? `Water boils at ${temp(boilingPointC(metres), site.unit)} there, give or take 1 K with the weather`
            : undefined
        }
      />
      <WhoField entry={entry} label="Who sets it" />
      <KeepBar
        entry={entry}
        label="Keep the altitude"
        missing={
          !ok
            ? 'Type metres as a number.'
            : metres === settings.altitudeM
              ? 'That is the altitude it has.'
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
  const entry = useEntry('ambient', { ...site, id: '', name: 'Air' }, () => {
    setDone('The air is noted.');
    setValue('');
  });
  const read = number(value);
  return (
    <section className="flex flex-col gap-3 ruled pt-3" aria-labelledby="air-title">
      <h2 id="air-title">Read the air</h2>
      <Field
        label="In the shade"
        unit={`°${site.unit}`}
        inputMode="decimal"
        value={value}
        onChange={(e) => setValue(e.target.value)}
      />
      <WhoField entry={entry} label="Who read the air" />
      <p role="status" className="hint">
        {done}
      </p>
      <KeepBar
        entry={entry}
        label="Keep the air"
        missing={
          read !== null && Number.isFinite(read) ? null : 'Type the temperature as a number.'
        }
        onKeep={() => entry.save({ value: read, unit: site.unit })}
      />
    </section>
  );
}
