import type { ReactNode } from 'react';

/** A page for whoever is not in yet: a title and what there is to do, and nothing of any site. */
export const DoorPage = ({ title, children }: { title: string; children: ReactNode }) => (
  <main id="main" className="max-w-[560px] mx-auto px-5 py-10 flex flex-col gap-5">
    <h1>{title}</h1>
    {children}
  </main>
);

/** What went wrong with what was sent. */
export const ProblemNote = ({ text }: { text: string | null }) =>
  text !== null && (
    <p role="alert" className="border-[1.6px] border-ink bg-marker px-3 py-2 font-semibold">
      {text}
    </p>
  );
