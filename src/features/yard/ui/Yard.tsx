import Link from 'next/link';
import { ember } from '@/charts/ember';
import { Mark } from '@/charts/marks';
import type { Agenda } from '../view';
import { HeapPlot, type YardHeap } from './HeapPlot';

const WORDS: readonly [number, string][] = [[25, 'cold'], [40, 'waking'], [55, 'proving'], [65, 'hot'], [70, 'too hot'], [77, 'danger']];

const LIST = new Intl.ListFormat('en-GB', { type: 'conjunction' });

/** Home: the heaps on their ground, and the day's work beside them. */
export function Yard({ heaps, agenda, day, clock, figures }: { heaps: readonly YardHeap[]; agenda: readonly Agenda[]; day: string; clock: string; figures: readonly string[] }) {
  const largest = Math.max(...heaps.map((h) => h.picture.volume), 1);
  const urgent = agenda.find((g) => g.title === 'Cannot wait')?.tasks ?? [];
  return (
    <div className="flex-1 grid lg:grid-cols-[minmax(0,1fr)_minmax(300px,392px)]">
      <section aria-labelledby="yard-title" className="min-w-0 flex flex-col">
        <h1 id="yard-title" className="sr-only">Yard</h1>
        <ul className="grid grid-cols-[repeat(auto-fill,minmax(136px,1fr))] max-sm:grid-cols-2">{heaps.map((h) => <HeapPlot key={h.plot.id} heap={h} largest={largest} />)}</ul>
        <p className="mt-auto px-3.5 py-3 flex flex-wrap gap-x-6 gap-y-1 text-[12.5px] text-ink-2">
          <span className="flex items-center gap-1.5"><svg width="92" height="14" aria-hidden="true">{WORDS.map(([t], i) => <g key={t}><rect x={i * 15.3 + 0.5} y="1" width="15" height="12" style={{ fill: ember(t) }} stroke="var(--color-ink)" strokeWidth=".8" />{t === 77 && <rect x={i * 15.3} y="1" width="15" height="12" fill="url(#danger-small)" />}</g>)}</svg>
            {WORDS.map(([, word], i) => (i === 0 ? word : `${figures[i]} ${word}`)).join(' · ')}</span>
          <span className="flex items-center gap-1.5"><svg width="26" height="14" aria-hidden="true"><rect x=".5" y=".5" width="25" height="12" fill="url(#hatch-small)" stroke="var(--color-ink)" strokeWidth=".8" /></svg>time not credited</span>
          <span className="flex items-center gap-1.5"><svg width="26" height="14" aria-hidden="true"><path d="M1 12Q13-6 25 12" fill="none" stroke="var(--color-ink)" strokeDasharray="2 2.5" /></svg>turning still owed</span>
        </p>
      </section>
      <section aria-labelledby="today" className="bg-sheet border-l-[1.6px] border-ink max-lg:border-l-0 max-lg:border-b-[1.6px] max-lg:order-first px-5 pt-3.5 pb-4 flex flex-col">
        <header className="flex justify-between items-baseline"><h2 id="today" className="!text-[23px]">{day}</h2><span className="text-ink-3">{clock}</span></header>
        <p className="text-[15px] mt-0.5 mb-1">{urgent.length > 0 ? <><b>{LIST.format(urgent.map((t) => t.name))}</b> can’t wait.</> : 'Nothing that cannot wait.'}</p>
        {agenda.map((g) => (
          <div key={g.title}>
            <h3 className="!text-[14px] !font-semibold font-text text-ink-2 border-b-[1.6px] border-ink pb-0.5 mt-2">{g.title}</h3>
            <ol>{g.tasks.map((t) => (
              <li key={t.id} className="grid grid-cols-[92px_22px_1fr] gap-x-1.5 py-1.5 border-b border-rule last:border-b-0">
                <span className="disp font-semibold text-[14px] leading-[1.3]"><span className={t.advice.urgent ? 'marked' : ''}>{t.when}</span></span>
                <Mark name={t.advice.mark} size={20} />
                <div><Link prefetch={false} href={`/batch/${t.id}`} className="font-[650] leading-tight inline-block">{t.name}: {t.advice.act.charAt(0).toLowerCase() + t.advice.act.slice(1)}</Link><p className="q text-[13px] leading-[1.3]">{t.advice.why}</p></div>
              </li>
            ))}</ol>
          </div>
        ))}
        {agenda.length === 0 && <p className="q mt-2">Nothing due before tomorrow.</p>}
      </section>
    </div>
  );
}

/** What to do first on an empty site. */
export function EmptyYard() {
  return (
    <section className="max-w-[620px] px-5 py-10 flex flex-col gap-4">
      <h1>No heap yet</h1>
      <p className="text-[16px]">Open one that you are building or that is already hot, or bring in the readings of a batch that was kept elsewhere.</p>
      <p className="flex gap-3 flex-wrap"><Link href="/open" className="btn key"><Mark name="flag" />Open a heap</Link><Link href="/bring" className="btn">Bring in a file</Link></p>
    </section>
  );
}
