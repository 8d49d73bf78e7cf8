'use client';
import { say } from '@/messages/say';
import type { PublicLotView as View } from '../public-view';

const Lines = ({ title, lines }: { title: string; lines: readonly string[] }) =>
  lines.length === 0 ? null : (
    <section>
      <h2 className="!text-says">{title}</h2>
      <ul className="list-disc pl-6">
        {lines.map((l) => (
          <li key={l}>{l}</li>
        ))}
      </ul>
    </section>
  );

/** A lot as whoever scans its label sees it. */
export function PublicLot({ view }: { view: View }) {
  return (
    <main className="p-5 max-w-[680px] mx-auto flex flex-col gap-4" id="main">
      <div>
        <h1>{view.title}</h1>
        <p className="q">{view.site}</p>
      </div>
      {view.text && <p>{view.text}</p>}
      {view.uses && <p className="font-semibold">{say('lots.releasedFor', { uses: view.uses })}</p>}
      <Lines title={say('lots.madeOf')} lines={view.made} />
      <Lines title={say('lots.howHeated')} lines={view.heated} />
      <Lines title={say('lots.maturityTests')} lines={view.tests} />
      <Lines title={say('record.cautions')} lines={[...view.marks, ...view.cautions]} />
      <p className="hint">{say('lots.checkAuthority')}</p>
    </main>
  );
}
