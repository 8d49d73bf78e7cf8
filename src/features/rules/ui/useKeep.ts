'use client';
import { useRouter } from 'next/navigation';
import { useState, useTransition } from 'react';
import { v7 } from 'uuid';
import { remember } from '@/ui/remember';

/** The one door of the log, handed in by the page. */
export type Keep = (form: { id: string; batch: string | null; kind: 'site-terms' | 'rule' | 'terms'; at: null; by: string; data: Record<string, unknown> }) =>
  Promise<{ readonly ok: true; readonly already: boolean } | { readonly ok: false; readonly problems: readonly { path: string; message: string }[] }>;

/** Keeps one entry, once; what was typed stays until it is taken. */
export function useKeep(keep: Keep, device: string) {
  const router = useRouter();
  const [id, setId] = useState(() => v7());
  const [by, setBy] = useState(device);
  const [problems, setProblems] = useState<readonly { path: string; message: string }[]>([]);
  const [busy, start] = useTransition();
  const save = (kind: 'site-terms' | 'rule' | 'terms', batch: string | null, data: Record<string, unknown>, onDone: () => void): void => start(async () => {
    const answer = await keep({ id, batch, kind, at: null, by, data }).catch(() => ({ ok: false as const, problems: [{ path: '(form)', message: 'The hub does not answer. What you typed is still here; try again when there is signal.' }] }));
    if (!answer.ok) { setProblems(answer.problems); return; }
    remember('zh_by', by);
    setProblems([]);
    setId(v7());
    onDone();
    router.refresh();
  });
  return { by, setBy, problems, busy, save };
}
