import { say } from '@/messages/say';
import Link from 'next/link';
import type { SuppliersView } from '../view';
import { StoreNav } from './StoreNav';

/** Who brought what in a span, what came of it, and how much was kept from waste. */
export function Suppliers({ view, days }: { view: SuppliersView; days: number }) {
  return (
    <div className="px-5 max-sm:px-4 py-4 flex flex-col gap-4 max-w-[1080px]">
      <h1>{say('store.materialsInStock')}</h1>
      <StoreNav here="suppliers" />
      <p className="flex flex-wrap gap-x-4 gap-y-1 items-center">
        {say('store.since', { from: view.from })}
        {[30, 92, 365, 3650].map((d) => (
          <Link
            key={d}
            prefetch={false}
            aria-current={d === days ? 'true' : undefined}
            className={`inline-flex items-center min-h-target ${d === days ? 'font-bold border-b-[3px] border-ink' : 'link'}`}
            href={`/store/suppliers?days=${d}`}
          >
            {d === 30
              ? say('store.aMonth')
              : d === 92
                ? say('store.threeMonths')
                : d === 365
                  ? say('store.aYear')
                  : 'ever'}
          </Link>
        ))}
      </p>
      <section data-testid="diverted">
        <h2 className="!text-figure border-b-[1.6px] border-ink pb-1">
          {say('store.keptOutOfLandfill3', { total: view.diverted.total })}
        </h2>
        {view.diverted.by.length > 0 && (
          <table className="text-body mt-1">
            <tbody>
              {view.diverted.by.map((m) => (
                <tr key={m.name} className="border-b border-rule">
                  <th scope="row" className="text-left font-normal py-1 pr-6">
                    {m.name}
                  </th>
                  <td className="text-right pr-6">
                    {m.loads} {m.loads === 1 ? 'load' : 'loads'}
                  </td>
                  <td className="text-right font-semibold">{m.kg}</td>
                </tr>
              ))}
            </tbody>
          </table>
        )}
        {view.diverted.months.length > 1 && (
          <table className="text-body mt-2">
            <caption className="text-left font-semibold">{say('store.byMonth')}</caption>
            <tbody>
              {view.diverted.months.map((m) => (
                <tr key={m.name}>
                  <th scope="row" className="text-left font-normal pr-4 py-0.5">
                    {m.name}
                  </th>
                  <td>
                    <span
                      className="inline-block h-[12px] bg-humus align-middle"
                      style={{ width: `${Math.max(2, m.share * 260)}px` }}
                    />{' '}
                    <b>{m.kg}</b>
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        )}
        <p className="hint mt-1">{say('store.weightsAsLoggedOrFrom')}</p>
      </section>
      <section>
        <h2 className="!text-figure border-b-[1.6px] border-ink pb-1">
          {say('store.whoBroughtIt')}
        </h2>
        {view.lines.length === 0 && <p className="py-2">{say('store.noLoadsInThisPeriod')}</p>}
        <ul>
          {view.lines.map((s) => (
            <li key={s.name} className="border-b border-rule py-2" data-testid="supplier">
              <p>
                <b className="text-lead">{s.name}</b> <span className="q">{s.says}</span>
              </p>
              {s.heaps.length > 0 && (
                <p className="text-small">
                  {say('store.wentInto')}{' '}
                  {s.heaps.map((h, i) => (
                    <span key={h.id}>
                      {i > 0 ? '; ' : ''}
                      <Link prefetch={false} className="underline" href={`/batch/${h.id}`}>
                        {h.text}
                      </Link>
                    </span>
                  ))}
                  .
                </p>
              )}
              <details>
                <summary className="link min-h-[40px] flex items-center cursor-pointer text-small">
                  {say('store.itsLoads')}
                </summary>
                <ul>
                  {s.loads.map((l) => (
                    <li key={l.id} className="text-small">
                      <Link
                        prefetch={false}
                        className="underline inline-flex items-center min-h-[32px]"
                        href={`/store/${l.id}`}
                      >
                        {l.text}
                      </Link>
                    </li>
                  ))}
                </ul>
              </details>
            </li>
          ))}
        </ul>
      </section>
    </div>
  );
}
