'use client';
import { say } from '@/messages/say';
import { useEffect, useState, type ReactNode } from 'react';
import { useOpened } from './useOpened';

/**
 * What an address of the hub gives; `failed`: it did not answer. Asked for again when the version changes, with the old kept in sight.
 * @param read the answer as what it is known to be
 */
export function useLoaded<T>(
  href: string,
  version: string,
  wanted: boolean,
  read: (answer: unknown) => T,
): { readonly data: T | null; readonly failed: boolean } {
  const [answer, setAnswer] = useState<unknown>(null);
  const [failed, setFailed] = useState(false);
  useEffect(() => {
    if (!wanted) return;
    const leave = new AbortController();
    void (async () => {
      try {
        const response = await fetch(href, { signal: leave.signal });
        if (!response.ok) throw new Error(`answered ${response.status}`);
        setAnswer(await response.json());
        setFailed(false);
      } catch {
        if (!leave.signal.aborted) setFailed(true);
      }
    })();
    return () => leave.abort();
  }, [href, version, wanted]);
  return { data: answer === null ? null : read(answer), failed };
}

/** Something to open whose inside is worked out when it is opened, and not for everybody who looks at the page. */
export function LoadedDisclosure<T>({
  summary,
  name,
  href,
  version,
  testId,
  read,
  children,
}: {
  summary: ReactNode;
  /** Under which a device remembers whether it is open. */ name: string;
  href: string;
  /** Changes when what stands inside may have changed. */ version: string;
  testId?: string;
  read: (answer: unknown) => T;
  children: (data: T) => ReactNode;
}) {
  const [open, setOpen] = useOpened(name);
  const { data, failed } = useLoaded(href, version, open, read);
  return (
    <details
      open={open}
      onToggle={(e) => setOpen(e.currentTarget.open)}
      className="border-b border-rule"
      data-testid={testId}
    >
      <summary className="cursor-pointer min-h-target flex items-center">
        <h3 className="!text-body">{summary}</h3>
      </summary>
      {data !== null && children(data)}
      {data === null && (
        <p className="q text-small" role="status">
          {failed ? say('controls.thisNeedsServerDidNot') : say('controls.oneMoment')}
        </p>
      )}
    </details>
  );
}
