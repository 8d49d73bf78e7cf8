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
  <details className="border-t-[1.6px] border-ink pt-1" {...(open ? { open } : {})}>
    <summary className="cursor-pointer min-h-[44px] flex items-center">
      <h2 className="!text-[16px]">{summary}</h2>
    </summary>
    {children}
  </details>
);
