'use client';
import { useSubmit, type SubmitResult } from '@/ui/useSubmit';

type Kind = 'site-terms' | 'rule' | 'terms';
/** The one door of the log, handed in by the page. */
export type Keep = (form: {
  id: string;
  batch: string | null;
  kind: Kind;
  at: null;
  by: string;
  data: Record<string, unknown>;
}) => Promise<SubmitResult>;

/** Keeps one entry about rules, once; what was typed stays until it is taken. */
export function useSubmitTerms(keep: Keep, device: string) {
  const { id, by, setBy, problems, busy, keep: once } = useSubmit(device);
  const save = (
    kind: Kind,
    batch: string | null,
    data: Record<string, unknown>,
    onDone: () => void,
  ): void => once(() => keep({ id, batch, kind, at: null, by, data }), onDone);
  return { by, setBy, problems, busy, save };
}
