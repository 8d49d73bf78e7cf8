import { say } from '@/messages/say';
import Link from 'next/link';
import type { BuildView } from '../view';

/** What a heap holds, and what goes in next, in short: on its own page. */
export function FeedstockAddedList({ view }: { view: BuildView }) {
  const next = view.layers.find((l) => l.n === view.next);
  return (
    <section className="flex flex-col gap-1.5 max-w-[720px]" data-testid="went-in">
      {!view.closed && <h2 className="!text-figure ruled pt-2">{say('build.whatIsInIt')}</h2>}
      <p>
        <b>{view.total}</b> {view.figures} {view.says}
      </p>
      {!view.closed && next && (
        <p>
          {say('build.nextLayerOf', {
            n: next.n,
            layers: view.layers.length,
            title: next.title,
            waterL: next.waterL > 0 ? say('build.andLOfWater', { waterL: next.waterL }) : '',
          })}
        </p>
      )}
      {view.went.length > 0 && (
        <ul className="text-small">
          {view.went.slice(0, 8).map((w) => (
            <li key={w.id} className="border-t border-rule py-1">
              <span className="q">
                {w.when}, {w.by}:{' '}
              </span>
              {w.text}
            </li>
          ))}
        </ul>
      )}
      <p>
        <Link
          prefetch={false}
          className="link inline-flex items-center min-h-target"
          href={`/batch/${view.id}/build`}
        >
          {view.closed ? say('build.howItWasBuilt') : say('build.buildLayerByLayer')}
        </Link>{' '}
        <Link
          prefetch={false}
          className="link inline-flex items-center min-h-target ml-4"
          href={`/bench?heap=${view.id}`}
        >
          {view.closed ? say('build.whatAddNow') : say('build.inTheMixCalculator')}
        </Link>
      </p>
    </section>
  );
}
