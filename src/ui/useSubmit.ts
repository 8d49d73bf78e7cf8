'use client';
import { say } from '@/messages/say';
import { useRouter } from 'next/navigation';
import { useState, useTransition } from 'react';
import { v7 } from 'uuid';
import { useDraftSaved } from './draft';
import { remember } from './remember';

export type FormProblem = { readonly path: string; readonly message: string };
/** What the one door of the log answers; `waiting`: it is kept on this device until there is a signal. */
export type SubmitResult =
  | { readonly ok: true; readonly already?: boolean; readonly waiting?: boolean }
  | { readonly ok: false; readonly problems: readonly FormProblem[] };

const NO_ANSWER: FormProblem = {
  path: '(form)',
  get message() {
    return say('controls.theServerDoesNotAnswer');
  },
};
/** For a door that did not answer at all. */
const unanswered = (): SubmitResult => ({ ok: false, problems: [NO_ANSWER] });

/** Keeps one entry under one id until it is acknowledged, so that a second tap or a lost answer writes it once. */
export function useSubmit(device: string) {
  const router = useRouter();
  const [id, setId] = useState(() => v7());
  const [by, setBy] = useState(device);
  const [problems, setProblems] = useState<readonly FormProblem[]>([]);
  const [busy, start] = useTransition();
  const forgetDraft = useDraftSaved();
  const keep = (write: () => Promise<SubmitResult>, onDone: () => void | Promise<void>): void =>
    start(async () => {
      const answer = await write().catch(unanswered);
      if (!answer.ok) {
        setProblems(answer.problems);
        return;
      }
      remember('zh_by', by);
      setProblems([]);
      forgetDraft();
      setId(v7());
      // What belongs with it is written before the page is made anew.
      await onDone();
      if (!answer.waiting) router.refresh();
    });
  return { id, by, setBy, problems, setProblems, busy, keep };
}
