import { say } from '@/messages/say';
import Link from 'next/link';
import type { LoadLine, StockView } from '../view';
import { StoreNav } from './StoreNav';

const Line = ({ l }: { l: LoadLine }) => (
  <li
    className="border-b border-rule py-1.5 grid grid-cols-[minmax(0,1fr)_auto] gap-x-3"
    data-testid="load"
  >
    <p className="min-w-0 leading-[1.3]">
      <Link
        prefetch={false}
        href={`/store/${l.id}`}
        className="link block w-fit pointer-coarse:py-2.5"
      >
        {l.name}
      </Link>
      <span className="q text-hint">
        {[
          l.state,
          say('store.old', { age: l.age }),
          l.where,
          l.from && say('store.from3', { from: l.from }),
        ]
          .filter(Boolean)
          .join(', ')}
      </span>
      {l.notes.map((n) => (
        <span key={n.text} className={`block text-hint ${n.urgent ? 'marked w-fit' : 'q'}`}>
          {n.text}
        </span>
      ))}
    </p>
    <p className="text-right">
      <b>{l.left}</b>
      {l.share !== null && (
        <span
          className="block w-[90px] h-[7px] border border-ink mt-1 ml-auto"
          title={say('store.ofItIsLeft', { share: Math.round(l.share * 100) })}
        >
          <span
            className="block h-full bg-humus"
            style={{ width: `${Math.max(0, Math.min(100, l.share * 100))}%` }}
          />
        </span>
      )}
    </p>
  </li>
);

/** The loads of one role in a mix, under its name and total. */
const RoleLoads = ({ r }: { r: StockView['roles'][number] }) => (
  <section data-testid={`role-${r.role}`}>
    <h2 className="!text-says flex flex-wrap gap-x-3 items-baseline border-b-[1.6px] border-ink pb-1">
      {r.name}
      <span className="font-normal text-hint text-ink-2">
        {r.means}; {r.total}
      </span>
    </h2>
    <ul>
      {r.loads.map((l) => (
        <Line key={l.id} l={l} />
      ))}
    </ul>
  </section>
);

/** What lies in the store, by what it does in a heap, the oldest first. */
export function Stock({ view }: { view: StockView }) {
  return (
    <div className="grid lg:grid-cols-[minmax(0,1fr)_360px] flex-1">
      <div className="px-5 max-sm:px-4 py-4 flex flex-col gap-4">
        <h1>{say('store.materialsInStock')}</h1>
        <StoreNav here="store" />
        {view.warning && (
          <p className="marked font-semibold max-w-[760px]" data-testid="short">
            {view.warning}
          </p>
        )}
        {view.empty && <p className="max-w-[640px]">{say('store.nothingInStockYetLog')}</p>}
        <div className="grid xl:grid-cols-2 gap-x-8 gap-y-5">
          {view.roles.map((r) => (
            <RoleLoads key={r.role} r={r} />
          ))}
        </div>
      </div>
      <aside className="bg-sheet border-l-[1.6px] border-ink max-lg:border-l-0 max-lg:border-t-[1.6px] px-5 max-sm:px-4 py-4 flex flex-col gap-4">
        {view.held.length > 0 && (
          <section data-testid="held">
            <h2 className="!text-says">{say('store.onHoldUntilAnswered')}</h2>
            <ul>
              {view.held.map((l) => (
                <Line key={l.id} l={l} />
              ))}
            </ul>
          </section>
        )}
        <section>
          <h2 className="!text-says">{say('store.recentLoads')}</h2>
          <ul className="text-small">
            {view.lately.map((x) => (
              <li key={x.id} className="border-b border-rule py-1">
                <Link prefetch={false} className="underline" href={`/store/${x.id}`}>
                  {x.text}
                </Link>
              </li>
            ))}
          </ul>
          {view.lately.length === 0 && <p className="q">{say('store.nothingYet')}</p>}
        </section>
        <p>
          <Link prefetch={false} className="link" href="/store/suppliers">
            {view.diverted}
          </Link>
        </p>
      </aside>
    </div>
  );
}
