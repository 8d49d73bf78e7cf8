'use client';
import { submitNow } from '@/outbox/store';
import { useSubmit } from '@/ui/useSubmit';

type Kind = 'site-terms' | 'rule' | 'terms';

/** Keeps one entry about rules, once; what was typed stays until it is taken. */
export function useSubmitTerms(device: string) {
  const { id, by, setBy, problems, busy, keep: once } = useSubmit(device);
  const save = (
    kind: Kind,
    batch: string | null,
    data: Record<string, unknown>,
    onDone: () => void,
  ): void => once(() => submitNow({ id, batch, kind, at: null, by, data }), onDone);
  return { by, setBy, problems, busy, save };
}
