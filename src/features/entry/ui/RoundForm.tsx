'use client';
import { Delete } from 'lucide-react';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { celsiusToFahrenheit, toCelsius } from '@/core/quantity/units';
import { ember } from '@/charts/ember';
import { Section } from '@/charts/Section';
import { Problems } from '@/ui/Field';
import { Effects, WhenAndWho } from './parts';
import { useEntry, usePreview, type HeapRef } from './useEntry';

export type RoundPlace = { readonly id: string; readonly label: string; readonly depth: number; readonly last: number | null; readonly lastWhen: string | null };
type Kept = { readonly text: string; readonly at: number };

const PAD = ['7', '8', '9', '4', '5', '6', '1', '2', '3', '.', '0', 'back'] as const;
/** Outside of this a compost thermometer reads the wrong unit, is broken, or there is a fire. */
const [LEAST_C, MOST_C] = [-25, 90];

const numberOf = (text: string): number => Number(text.replace(',', '.'));
const isNumber = (text: string): boolean => text.trim() !== '' && Number.isFinite(numberOf(text));

/** What is odd about a value, asked and never mended silently. */
function doubt(text: string, unit: 'C' | 'F'): string | null {
  if (!isNumber(text)) return text.trim() === '' ? null : `‘${text}’ is not a number. Type the temperature, such as 57.2.`;
  const value = numberOf(text);
  const c = toCelsius(value, unit);
  if (c >= LEAST_C && c <= MOST_C) return null;
  const tenth = value / 10;
  const slip = toCelsius(tenth, unit) >= 20 && toCelsius(tenth, unit) <= MOST_C ? ` Did you mean ${tenth}?` : unit === 'C' && value >= 100 && value <= 180 ? ' Is the thermometer in °F?' : '';
  return `That reads ${value} °${unit}.${slip} If it is truly that hot, keep people back and do not open the heap: check for smoke and call the fire service.`;
}

/** One walk round one heap: a place after the other, by keyboard or by a pad that takes gloves. */
export function RoundForm({ heap, places, probes, minPoints }: { heap: HeapRef; places: readonly RoundPlace[]; probes: readonly string[]; minPoints: number }) {
  const router = useRouter();
  const home = `/batch/${heap.id}`;
  const entry = useEntry('round', heap, () => router.push(home));
  const [kept, setKept] = useState<Record<string, Kept>>({});
  const [at, setAt] = useState(0);
  const [sure, setSure] = useState(false);
  const [probe, setProbe] = useState('');
  const place = places[Math.min(at, places.length - 1)]!;
  const text = kept[place.id]?.text ?? '';
  const set = (id: string, value: string): void => { setSure(false); setKept((k) => ({ ...k, [id]: { text: value, at: Date.now() } })); };
  const tap = (key: (typeof PAD)[number]): void => set(place.id, key === 'back' ? text.slice(0, -1) : key === '.' && text.includes('.') ? text : (text + key).slice(0, 6));
  const filled = places.filter((p) => (kept[p.id]?.text ?? '').trim() !== '');
  const doubts = filled.flatMap((p) => { const d = doubt(kept[p.id]!.text, heap.unit); return d ? [{ place: p, text: d, hard: !isNumber(kept[p.id]!.text) }] : []; });
  const ready = filled.length > 0 && doubts.every((d) => !d.hard && sure);
  const data = filled.length > 0 && doubts.every((d) => !d.hard) ? {
    source: 'hand',
    readings: filled.map((p) => ({ id: `${entry.id}.${p.id}`, point: p.id, value: numberOf(kept[p.id]!.text), unit: heap.unit, round: entry.id, ...(probe ? { probe } : {}), ...(entry.at === null ? { at: new Date(kept[p.id]!.at).toISOString() } : {}) })),
  } : null;
  const preview = usePreview(entry, data);
  const coldest = filled.filter((p) => isNumber(kept[p.id]!.text)).reduce<{ label: string; value: number } | null>((a, p) => { const v = numberOf(kept[p.id]!.text); return a === null || v < a.value ? { label: p.label, value: v } : a; }, null);
  const next = (): void => { if (at < places.length - 1) setAt(at + 1); };
  const other = isNumber(text) ? (heap.unit === 'C' ? `${celsiusToFahrenheit(numberOf(text)).toFixed(0)} °F` : `${toCelsius(numberOf(text), 'F').toFixed(1)} °C`) : '';
  return (
    <div className="flex-1 grid lg:grid-cols-[minmax(0,1fr)_minmax(300px,392px)]">
      <section className="min-w-0 px-5 py-4 max-sm:px-4" aria-labelledby="round-title">
        <div className="flex justify-between items-start gap-3">
          <div><h1 id="round-title">{heap.name}, a round</h1><p className="q mt-1.5">Needs at least {minPoints} places. Push the probe all the way in and wait half a minute until it stands still.</p></div>
          <Link href={home} className="btn">Stop</Link>
        </div>
        <table className="mt-4 w-full border-collapse max-sm:hidden">
          <thead><tr className="text-left text-[13px] q border-b-[1.6px] border-ink"><th className="py-1 font-medium">Place</th><th className="font-medium">Last time</th><th className="font-medium">Now, °{heap.unit}</th><th className="font-medium">Change</th></tr></thead>
          <tbody>{places.map((p, i) => {
            const typed = kept[p.id]?.text ?? '';
            return (
              <tr key={p.id} className={`border-b border-rule ${i === at ? 'bg-sheet' : ''}`}>
                <th className="text-left font-[650] py-1.5 pr-3">{p.label}</th>
                <td className="pr-3 q whitespace-nowrap">{p.last === null ? 'not read yet' : `${p.last} °${heap.unit}, ${p.lastWhen}`}</td>
                <td className="pr-3"><input aria-label={`${p.label}, now, °${heap.unit}`} className="field !w-[110px] disp !text-[20px] font-bold" inputMode="decimal" value={typed} onFocus={() => setAt(i)} onChange={(e) => set(p.id, e.target.value)}
                  onKeyDown={(e) => { if (e.key === 'Enter') { e.preventDefault(); e.currentTarget.closest('tr')?.nextElementSibling?.querySelector('input')?.focus(); } }} /></td>
                <td className="whitespace-nowrap"><Change now={typed} last={p.last} unit={heap.unit} /></td>
              </tr>
            );
          })}</tbody>
        </table>
        <div className="mt-6 max-sm:hidden max-w-[420px]">
          <Section says="Where the places are" points={places.map((p) => {
            const typed = kept[p.id]?.text ?? '';
            const c = isNumber(typed) ? toCelsius(numberOf(typed), heap.unit) : null;
            return { id: p.id, label: p.label.split(' ')[0]!.slice(0, 4), c, figure: c === null ? '–' : typed, depth: p.depth, coldest: coldest?.label === p.label };
          })} />
        </div>
        <div className="sm:hidden mt-3" data-testid="pad">
          <div className="flex gap-1.5 overflow-x-auto pb-2">{places.map((p, i) => (
            <button key={p.id} type="button" aria-pressed={i === at} onClick={() => setAt(i)} className={`flex-none border-[1.5px] border-ink rounded-plate px-2.5 min-h-[48px] text-[14px] font-semibold ${i === at ? 'bg-ink text-sheet' : 'bg-sheet'}`}>{p.label.split(' ')[0]} {kept[p.id]?.text || '–'}</button>
          ))}</div>
          <p className="text-[16px] leading-[1.3]"><b className="disp text-[20px]">{place.label}</b><br /><span className="q">{place.last === null ? 'Not read yet' : `${place.last} °${heap.unit} last time, ${place.lastWhen}`}</span></p>
          <output aria-label={`${place.label}, typed`} className="mt-2 border-2 border-ink rounded-[5px] bg-sheet h-[74px] flex items-center justify-between px-3.5">
            <span className="disp font-bold text-[58px] leading-none">{text || '–'}<span className="text-[22px] font-medium ml-1">°{heap.unit}</span></span>
            <span className="text-[15px] text-right"><Change now={text} last={place.last} unit={heap.unit} /><br /><span className="q">{other}</span></span>
          </output>
          <div className="grid grid-cols-3 gap-[7px] mt-2">{PAD.map((k) => <button key={k} type="button" aria-label={k === 'back' ? 'Delete the last digit' : k === '.' ? 'Point' : k} className="min-h-[72px] border-[1.5px] border-ink rounded-glove bg-sheet disp font-[650] text-[32px] flex items-center justify-center" onClick={() => tap(k)}>{k === 'back' ? <Delete size={30} aria-hidden="true" /> : k}</button>)}</div>
          <div className="grid grid-cols-[84px_1fr] gap-2 mt-2.5">
            <button type="button" className="btn !min-h-[76px] !px-1" onClick={next} disabled={at >= places.length - 1}>Skip place</button>
            <button type="button" className="btn key !min-h-[76px] !text-[20px]" disabled={!isNumber(text)} onClick={next}>{at < places.length - 1 ? `Keep ${text || '–'}, go to ${places[at + 1]!.label.split(' ')[0]}` : `Kept ${text || '–'}: all places done`}</button>
          </div>
        </div>
      </section>
      <aside className="bg-sheet border-l-[1.6px] border-ink max-lg:border-l-0 max-lg:border-t-[1.6px] px-5 py-4 flex flex-col gap-4" aria-label="What this round will do">
        <h2>What this round will do</h2>
        {coldest ? <p className="text-[17px] leading-[1.32] flex items-start gap-2"><span className="inline-block size-4 mt-1 border border-ink rounded-plate flex-none" style={{ background: ember(toCelsius(coldest.value, heap.unit)) }} aria-hidden="true" /><span><b>{coldest.value} °{heap.unit} at {coldest.label}</b> is the coldest so far, and the coldest decides.</span></p> : <p className="q">Nothing read yet.</p>}
        {filled.length > 0 && filled.length < minPoints && <p className="font-semibold">{filled.length} of {minPoints} places: a thin round. It can show that the heap is cold, but earns nothing.</p>}
        {data && <Effects preview={preview} />}
        {doubts.map((d) => <div key={d.place.id} role="alert" className="border-[1.6px] border-ink bg-marker px-3 py-2"><b>{d.place.label}:</b> {d.text}</div>)}
        {doubts.length > 0 && doubts.every((d) => !d.hard) && <label className="flex items-center gap-3 min-h-[48px] font-semibold"><input type="checkbox" className="size-6" checked={sure} onChange={(e) => setSure(e.target.checked)} />It is what the thermometer said</label>}
        {probes.length > 0 && <div><label className="label" htmlFor="probe">Thermometer</label><select id="probe" className="field" value={probe} onChange={(e) => setProbe(e.target.value)}><option value="">Not noted</option>{probes.map((p) => <option key={p} value={p}>{p}</option>)}</select></div>}
        <WhenAndWho entry={entry} heap={heap} />
        <Problems list={entry.problems} />
        <button type="button" className="btn key !min-h-[76px] !text-[19px] w-full" disabled={!ready || entry.busy} onClick={() => data && entry.save(data)}>{entry.busy ? 'Keeping…' : `Keep this round of ${filled.length}`}</button>
      </aside>
    </div>
  );
}

function Change({ now, last, unit }: { now: string; last: number | null; unit: string }) {
  if (!isNumber(now) || last === null) return null;
  const by = numberOf(now) - last;
  return <b className="disp font-semibold">{by > 0 ? '+' : by < 0 ? '−' : ''}{Math.abs(by).toFixed(1)} °{unit}</b>;
}
