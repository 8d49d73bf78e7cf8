'use client';
import { useState } from 'react';
import { fromCelsius, toCelsius } from '@/core/quantity/units';
import { Field } from '@/ui/Field';
import { KeepBar, WhenAndWho } from './parts';
import { useEntry, type HeapRef } from './useEntry';

type Probe = { readonly id: string; readonly checks: readonly { when: string; ageDays: number; referenceC: number; readC: number }[] };
const DUE_DAYS = 180;

/** Thermometers and their checks, and the air: what belongs to the site and not to one heap. */
export function Instruments({ probes, site }: { probes: readonly Probe[]; site: HeapRef }) {
  const show = (c: number): string => `${fromCelsius(c, site.unit).toFixed(1)} °${site.unit}`;
  return (
    <div className="flex-1 grid lg:grid-cols-[minmax(0,1fr)_minmax(300px,392px)]">
      <section className="px-5 py-4 min-w-0" aria-labelledby="probes-title">
        <h1 id="probes-title">Thermometers</h1>
        <p className="q mt-2 max-w-[640px]">A checked thermometer’s offset is taken off every reading from the check on. Check it in crushed ice and water twice a year, and at the hot end if you can.</p>
        {probes.length === 0 && <p className="mt-5">None checked yet. Log the first ice-water check beside this.</p>}
        <ul className="mt-4">{probes.map((p) => {
          const last = p.checks[0]!;
          return (
            <li key={p.id} className="border-t-[1.6px] border-ink py-2.5">
              <h2>{p.id}</h2>
              <p>{last.ageDays > DUE_DAYS ? <b className="marked">Check it again: the last check was {Math.floor(last.ageDays)} days ago.</b> : <>Reads {show(last.readC)} at {show(last.referenceC)}, checked {Math.floor(last.ageDays)} days ago.</>}</p>
              <ul className="q text-[13.5px]">{p.checks.map((c) => <li key={c.when}>{c.when}: read {show(c.readC)} at {show(c.referenceC)}</li>)}</ul>
            </li>
          );
        })}</ul>
      </section>
      <aside className="bg-sheet border-l-[1.6px] border-ink max-lg:border-l-0 max-lg:border-t-[1.6px] px-5 py-4 flex flex-col gap-7" aria-label="Log a check or the air">
        <CheckForm site={site} known={probes.map((p) => p.id)} />
        <AirForm site={site} />
      </aside>
    </div>
  );
}

const number = (text: string): number => (text.trim() === '' ? NaN : Number(text.replace(',', '.')));

function CheckForm({ site, known }: { site: HeapRef; known: readonly string[] }) {
  const [probe, setProbe] = useState('');
  const [reference, setReference] = useState(site.unit === 'C' ? '0' : '32');
  const [read, setRead] = useState('');
  const [done, setDone] = useState('');
  const entry = useEntry('probe-check', { ...site, id: '' }, () => { setDone(`${probe} is checked.`); setRead(''); });
  const ready = probe.trim() !== '' && Number.isFinite(number(read)) && Number.isFinite(number(reference));
  return (
    <section className="flex flex-col gap-3" aria-labelledby="check-title">
      <h2 id="check-title">Check a thermometer</h2>
      <Field label="Which" value={probe} onChange={(e) => setProbe(e.target.value)} list="known-probes" maxLength={40} hint="The name on it, such as T1" />
      <datalist id="known-probes">{known.map((k) => <option key={k} value={k} />)}</datalist>
      <div className="grid grid-cols-2 gap-3">
        <Field label="Held at" unit={`°${site.unit}`} inputMode="decimal" value={reference} onChange={(e) => setReference(e.target.value)} hint="Ice water" />
        <Field label="It read" unit={`°${site.unit}`} inputMode="decimal" value={read} onChange={(e) => setRead(e.target.value)} />
      </div>
      <WhenAndWho entry={entry} heap={site} />
      <p role="status" className="hint">{done}</p>
      <KeepBar entry={entry} label="Keep this check" ready={ready} onKeep={() => entry.save({ probe: probe.trim(), referenceC: toCelsius(number(reference), site.unit), readC: toCelsius(number(read), site.unit) })} />
    </section>
  );
}

function AirForm({ site }: { site: HeapRef }) {
  const [value, setValue] = useState('');
  const [done, setDone] = useState('');
  const entry = useEntry('ambient', { ...site, id: '' }, () => { setDone('The air is noted.'); setValue(''); });
  return (
    <section className="flex flex-col gap-3 border-t-[1.6px] border-ink pt-3" aria-labelledby="air-title">
      <h2 id="air-title">Read the air</h2>
      <Field label="In the shade" unit={`°${site.unit}`} inputMode="decimal" value={value} onChange={(e) => setValue(e.target.value)} />
      <p role="status" className="hint">{done}</p>
      <KeepBar entry={entry} label="Keep the air" ready={Number.isFinite(number(value))} onKeep={() => entry.save({ value: number(value), unit: site.unit })} />
    </section>
  );
}
