'use client';
import { say } from '@/messages/say';
import type { PublicLotView } from '../public-view';

/** A label to print: the lot, its date, what it may be used for, and a code that opens its page. */
export function LotLabel({
  view,
  code,
  address,
  date,
}: {
  view: PublicLotView;
  code: string;
  address: string;
  date: string;
}) {
  return (
    <div className="px-5 py-5 flex flex-col gap-4">
      <div className="border-[1.6px] border-ink p-4 w-[420px] max-w-full grid grid-cols-[1fr_auto] gap-4 bg-sheet">
        <div>
          <p className="disp font-bold text-says">{view.title}</p>
          <p>{view.site}</p>
          <p className="text-hint">{view.firstSold ?? date}</p>
          {view.text && <p className="mt-1">{view.text}</p>}
          {view.uses && (
            <p className="text-hint mt-1">{say('lots.releasedFor', { uses: view.uses })}</p>
          )}
          {view.marks.map((mark) => (
            <p key={mark} className="text-hint mt-1 font-semibold">
              {mark}
            </p>
          ))}
          <p className="text-hint mt-1">{say('lots.cautionHands')}</p>
        </div>
        <img src={code} alt={address} width={132} height={132} />
      </div>
      <p className="hint break-all">{address}</p>
      <button type="button" className="btn w-fit print:hidden" onClick={() => window.print()}>
        {say('labels.print')}
      </button>
    </div>
  );
}
