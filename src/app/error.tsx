'use client';
import Link from 'next/link';

/** What went wrong on the way to a page: nothing that was logged is touched by it. */
export default function PageError({ reset }: { error: Error; reset: () => void }) {
  return (
    <main className="p-8 flex flex-col gap-4 max-w-[560px]">
      <h1>This page did not come</h1>
      <p>
        The hub or its database did not answer. What was logged before is safe. Try again; if it
        stays, stop and start it with ./zealous.
      </p>
      <p className="flex gap-3">
        <button type="button" className="btn key" onClick={reset}>
          Try again
        </button>
        <Link href="/" className="btn">
          Go to the yard
        </Link>
      </p>
    </main>
  );
}
