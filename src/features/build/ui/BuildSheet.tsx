'use client';
import { say } from '@/messages/say';
import { figureWithUnit } from '@/core/quantity/format';
import { Printer } from 'lucide-react';
import Link from 'next/link';
import { LayeredHeap } from '@/charts/LayeredHeap';
import type { BuildView } from '../view';

/** How a heap is laid up, on paper: ticked with a pencil at the heap, logged afterwards. */
export function BuildSheet({ view, site, day }: { view: BuildView; site: string; day: string }) {
  return (
    <div className="px-5 py-5 max-w-[820px] flex flex-col gap-4">
      <p className="flex justify-between gap-3 print:hidden">
        <Link prefetch={false} className="link" href={`/batch/${view.id}/build`}>
          {say('build.building', { name: view.name })}
        </Link>
        <button type="button" className="btn" onClick={() => window.print()}>
          <Printer size={18} />
          {say('build.printIt')}
        </button>
      </p>
      <div className="flex justify-between items-baseline gap-4">
        <h1>{say('build.buildSheet', { name: view.name })}</h1>
        <p className="q">{[site, view.place, day].filter(Boolean).join(', ')}</p>
      </div>
      {view.recipe && (
        <p>
          {say('build.with2', { recipe: view.recipe })} {view.planned}
        </p>
      )}
      {view.layers.length === 0 ? (
        <p>{say('build.noRecipeSetForThis2')}</p>
      ) : (
        <div className="grid grid-cols-[300px_1fr] max-sm:grid-cols-1 gap-5 items-start">
          <LayeredHeap
            layers={view.layers}
            high={view.high}
            wide={view.wide}
            label={say('build.theLayersFromGroundUp')}
          />
          <table className="w-full text-body" data-testid="sheet">
            <thead>
              <tr className="border-b-[1.6px] border-ink">
                {['', say('build.layerFromTheGround'), say('build.water'), say('build.in2')].map(
                  (h, i) => (
                    <th key={i} scope="col" className="text-left font-semibold py-1 pr-2">
                      {h || <span className="sr-only">{say('build.number')}</span>}
                    </th>
                  ),
                )}
              </tr>
            </thead>
            <tbody>
              {view.layers.map((l) => (
                <tr key={l.n} className="border-b border-rule align-top">
                  <th scope="row" className="disp text-left py-1.5 pr-2">
                    {l.n}
                  </th>
                  <td className="py-1.5 pr-3">
                    {l.title}
                    <span className="block q text-note">{l.says}</span>
                  </td>
                  <td className="py-1.5 pr-3 whitespace-nowrap">
                    {l.waterL > 0 ? figureWithUnit('litres', l.waterL) : '–'}
                  </td>
                  <td className="py-1.5">
                    {l.done ? (
                      '✓'
                    ) : (
                      <span
                        role="img"
                        className="inline-block w-5 h-5 border-[1.5px] border-ink"
                        aria-label={say('build.notInYet')}
                      />
                    )}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
      <section className="flex flex-col gap-1.5">
        {view.cautions.map((c) => (
          <p key={c} className="caution">
            {c}
          </p>
        ))}
        {view.materialCautions.map((c) => (
          <p key={c.name} className="caution">
            <b>{c.name}.</b> {c.says}
          </p>
        ))}
      </section>
      <p className="grid grid-cols-3 gap-6 mt-4 text-small">
        {[say('build.builtBy'), say('build.lastRawMaterialDayHour'), say('build.coveredWith')].map(
          (w) => (
            <span key={w} className="border-t-[1.4px] border-ink pt-1 mt-8">
              {w}
            </span>
          ),
        )}
      </p>
      <p className="hint">{say('build.theClockThisBatchStarts')}</p>
    </div>
  );
}
