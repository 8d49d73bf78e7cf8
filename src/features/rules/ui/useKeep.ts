'use client';
import { useKept, type Kept } from '@/ui/useKept';

type Kind = 'site-terms' | 'rule' | 'terms';
/** The one door of the log, handed in by the page. */
export type Keep = (form: {
  id: string;
  batch: string | null;
  kind: Kind;
  at: null;
  by: string;
  data: Record<string, unknown>;
}) => Promise<Kept>;

/** Keeps one entry about rules, once; what was typed stays until it is taken. */
export function useKeep(keep: Keep, device: string) {
  const { id, by, setBy, problems, busy, keep: once } = useKept(device);
  const save = (
    kind: Kind,
    batch: string | null,
    data: Record<string, unknown>,
    onDone: () => void,
  ): void => once(() => keep({ id, batch, kind, at: null, by, data }), onDone);
  return { by, setBy, problems, busy, save };
}
