'use client';
import type { ReactNode } from 'react';
import { useOpened } from './useOpened';

/** Something to open: the summary says what is inside. */
export const Disclosure = ({
  summary,
  open,
  children,
}: {
  summary: ReactNode;
  open?: boolean;
  children: ReactNode;
}) => (
  <details className="ruled pt-1" {...(open ? { open } : {})}>
    <summary className="cursor-pointer min-h-target flex items-center">
      <h2 className="!text-lead">{summary}</h2>
    </summary>
    {children}
  </details>
);

/** One of several things to open under a common heading; it stays as it was left on this device. */
export function GroupedDisclosure({
  name,
  summary,
  initially,
  children,
}: {
  name: string;
  summary: ReactNode;
  initially?: boolean;
  children: ReactNode;
}) {
  const [open, setOpen] = useOpened(name, initially);
  return (
    <details
      className="border-b border-rule"
      open={open}
      onToggle={(e) => setOpen(e.currentTarget.open)}
    >
      <summary className="cursor-pointer min-h-target flex items-center">
        <h3 className="!text-body">{summary}</h3>
      </summary>
      <div className="pb-3">{children}</div>
    </details>
  );
}

/** Things to open that belong together. */
export const DisclosureGroup = ({
  id,
  title,
  children,
}: {
  id: string;
  title: string;
  children: ReactNode;
}) => (
  <section aria-labelledby={id} className="ruled pt-2 has-[details]:block hidden">
    <h2 id={id} className="!text-lead">
      {title}
    </h2>
    {children}
  </section>
);
