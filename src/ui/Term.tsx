import { useId, type ReactNode } from 'react';

/** A word of the trade that is explained where it stands: dotted, and pressed to read what it means. No script is needed for it. */
export function Term({
  name,
  meaning,
  children,
}: {
  name: string;
  meaning: string;
  /** As it stands in its sentence; absent: the name. */ children?: ReactNode;
}) {
  const id = useId();
  return (
    <>
      <button type="button" popoverTarget={id} className="term" aria-details={id}>
        {children ?? name}
      </button>
      <span
        id={id}
        popover="auto"
        role="note"
        className="lift m-auto max-w-[min(440px,calc(100vw-24px))] bg-sheet text-ink border-[1.6px] border-ink p-4 text-body font-normal leading-[1.35]"
      >
        <b className="disp block">{name}</b>
        {meaning}
      </span>
    </>
  );
}
