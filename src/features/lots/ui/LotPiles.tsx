import { say } from '@/messages/say';
import Link from 'next/link';
import type { lotReadings, LotPile } from '../view';

/** A flat pile, by how much lies there; hatched where some of it was never heated, dashed where nobody knows how much. */
function PileDrawing({ pile, largest }: { pile: LotPile; largest: number }) {
  const share = pile.litres === null ? 0.5 : Math.sqrt(pile.litres / largest);
  const [w, h] = [12 + 30 * share, 6 + 18 * share];
  const path = `M${28 - w / 2} 28Q28 ${28 - h * 2} ${28 + w / 2} 28Z`;
  return (
    <svg width="56" height="30" viewBox="0 0 56 30" aria-hidden="true" className="flex-none">
      <path d={path} fill="var(--color-humus)" />
      {pile.raw && <path d={path} fill="url(#hatch-small)" />}
      <path
        d={path}
        fill="none"
        stroke="var(--color-ink)"
        strokeWidth="1.6"
        strokeDasharray={pile.litres === null ? '3 3' : undefined}
      />
      <path d="M2 28H54" stroke="var(--color-ink)" strokeWidth="1.6" />
    </svg>
  );
}

/** What cures and lies ready, below the batches: how much, how old, how much of it was never heated. */
export function LotPiles({ piles }: { piles: readonly LotPile[] }) {
  if (piles.length === 0) return null;
  const largest = Math.max(1, ...piles.map((p) => p.litres ?? 0));
  return (
    <section className="px-3.5 py-2" data-testid="lot-piles">
      <h2 className="!text-lead">
        <Link prefetch={false} href="/lots" className="link">
          {say('lots.title')}
        </Link>
      </h2>
      <ul className="grid grid-cols-[repeat(auto-fill,minmax(260px,1fr))] gap-x-4">
        {piles.map((p) => (
          <li key={p.id} className="flex gap-2 items-center border-b border-rule py-1.5">
            <PileDrawing pile={p} largest={largest} />
            <span className="min-w-0 text-hint leading-[1.3]">
              <Link
                prefetch={false}
                href={`/lots/${p.id}`}
                className="link font-semibold pointer-coarse:py-2.5 inline-block"
              >
                {p.title}
              </Link>{' '}
              <span className="q">{[p.amount, p.age].join(', ')}</span>
              <span className="block">{p.unheated}</span>
              {p.due && <span className="marked w-fit">{p.due}</span>}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** Lots that are read on the way round, for tests that go on. */
export const LotReadings = ({ due }: { due: ReturnType<typeof lotReadings> }) =>
  due.length === 0 ? null : (
    <section className="px-4 sm:px-5 pt-3" data-testid="lot-readings">
      <h2 className="!text-lead">{say('lots.alsoOnTheWay')}</h2>
      <ul>
        {due.map((d) => (
          <li key={d.id} className="border-b border-rule py-1.5">
            <Link
              prefetch={false}
              href={`/lots/${d.id}`}
              className="link font-semibold pointer-coarse:py-2.5 inline-block"
            >
              {d.name}
            </Link>{' '}
            <span className="q">{[d.where, d.says].filter(Boolean).join(': ')}</span>
          </li>
        ))}
      </ul>
    </section>
  );
