'use client';
import { say } from '@/messages/say';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { Ages } from '@/charts/Ages';
import { Disclosure } from '@/ui/Disclosure';
import type { CompareView } from '../view';
import { firstOf } from '@/core/quantity/present';

/** Heaps side by side by their age: what was different about the good one? */
export function Compare({
  heaps,
  chosen,
  view,
  unit,
}: {
  heaps: readonly { readonly id: string; readonly name: string; readonly gone: boolean }[];
  chosen: readonly string[];
  view: CompareView;
  unit: string;
}) {
  const router = useRouter();
  const go = (ids: readonly string[]): void =>
    router.replace(`/compare?${ids.map((id) => `h=${id}`).join('&')}`, { scroll: false });
  return (
    <div className="px-5 py-4 flex flex-col gap-4 max-w-[1180px]">
      <h1>{say('compare.batchesByAge')}</h1>
      <fieldset>
        <legend className="label">{say('compare.whichBatchesUpSixOthers')}</legend>
        <div className="flex flex-wrap gap-2">
          {heaps.map((h) => {
            const at = chosen.indexOf(h.id);
            return (
              <button
                key={h.id}
                type="button"
                aria-pressed={at >= 0}
                data-state={at >= 0 ? 'on' : 'off'}
                className="choice !min-h-target !px-3"
                disabled={at < 0 && chosen.length >= 6}
                onClick={() => go(at >= 0 ? chosen.filter((x) => x !== h.id) : [...chosen, h.id])}
              >
                {at === 0 ? `1. ${h.name}` : h.name}
                {h.gone ? say('compare.finished') : ''}
              </button>
            );
          })}
        </div>
      </fieldset>
      {view.curves.length === 0 ? (
        <p>{say('compare.chooseBatchesHaveTemperatures')}</p>
      ) : (
        <>
          <p className="q text-hint">{say('compare.hottestPointEachCheckCounted')}</p>
          <Ages curves={view.curves} days={view.days} ticks={view.ticks} unit={unit} />
          <section aria-labelledby="alike">
            <h2 id="alike" className="!text-figure">
              {say('compare.mostLikeAtAge', { name: firstOf(view.curves).name })}
            </h2>
            {view.alike.length === 0 ? (
              <p className="q">{say('compare.noOlderBatchWasSimilar')}</p>
            ) : (
              <ul data-testid="alike">
                {view.alike.map((a) => (
                  <li key={a.id} className="border-t border-rule py-2">
                    <Link prefetch={false} className="link" href={`/batch/${a.id}`}>
                      {a.name}
                    </Link>
                    : {a.text}{' '}
                    {!chosen.includes(a.id) && chosen.length < 6 && (
                      <button
                        type="button"
                        className="link min-h-target"
                        onClick={() => go([...chosen, a.id])}
                      >
                        {say('compare.showItToo')}
                      </button>
                    )}
                  </li>
                ))}
              </ul>
            )}
          </section>
          <Disclosure summary={say('compare.sameAsATable')}>
            <div className="relative overflow-x-auto">
              <table className="text-small">
                <thead>
                  <tr>
                    <th scope="col" className="text-left pr-4">
                      {say('compare.day')}
                    </th>
                    {view.curves.map((c) => (
                      <th key={c.id} scope="col" className="text-left pr-4">
                        {c.name}
                      </th>
                    ))}
                  </tr>
                </thead>
                <tbody>
                  {view.table.map((r) => (
                    <tr key={r.day}>
                      <th scope="row" className="text-left font-normal pr-4">
                        {r.day + 1}
                      </th>
                      {r.cells.map((c, i) => (
                        <td key={i} className="pr-4">
                          {c}
                        </td>
                      ))}
                    </tr>
                  ))}
                </tbody>
              </table>
            </div>
          </Disclosure>
        </>
      )}
    </div>
  );
}
