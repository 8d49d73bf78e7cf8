'use client';
import { say } from '@/messages/say';
import Link from 'next/link';

/** What went wrong on the way to a page: nothing that was logged is touched by it. */
export default function PageError({ reset }: { error: Error; reset: () => void }) {
  return (
    <main className="p-8 flex flex-col gap-4 max-w-[560px]">
      <h1>{say('app.thisPageDidNotLoad')}</h1>
      <p>{say('app.theServerOrDatabaseDid')}</p>
      <p className="flex gap-3">
        <button type="button" className="btn key" onClick={reset}>
          {say('app.tryAgain')}
        </button>
        <Link href="/" className="btn">
          {say('app.goToBatches')}
        </Link>
      </p>
    </main>
  );
}
