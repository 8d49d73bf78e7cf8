import type { ReactNode } from 'react';

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
