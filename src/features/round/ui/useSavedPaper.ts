import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { nameForHeap } from '@/core/words/waiting';
import { say } from '@/messages/say';
import { submitAllOrQueue } from '@/outbox/keep';
import { useDraftSaved } from '@/ui/draft';
import { formOfRow, type ReadRow } from '../paper';

/** The rows of one batch as they were read from its sheet. */
type SheetRows = {
  readonly heap: { readonly id: string; readonly name: string };
  readonly rows: readonly ReadRow[];
};

/**
 * Saves the filled rows of all sheets in one act, and goes to `href`; what the server cannot take
 * now waits on this device.
 */
export function useSavedPaper(by: string, probe: string, href: string) {
  const [busy, setBusy] = useState(false);
  const [problems, setProblems] = useState<
    readonly { readonly path: string; readonly message: string }[]
  >([]);
  const saved = useDraftSaved();
  const router = useRouter();
  const keep = (sheets: readonly SheetRows[]): void => {
    setBusy(true);
    const forms = sheets.flatMap(({ heap, rows }) =>
      rows
        .filter((r) => r.values.length > 0)
        .map((r) => ({
          form: formOfRow(r, heap.id, by.trim(), probe || null),
          ...nameForHeap(heap.name, say('round.checkOf', { places: r.values.length })),
        })),
    );
    void submitAllOrQueue(forms).then((refused) => {
      setBusy(false);
      setProblems(refused);
      if (refused.length > 0) return;
      saved();
      router.push(href);
      router.refresh();
    });
  };
  return { busy, problems, keep };
}
