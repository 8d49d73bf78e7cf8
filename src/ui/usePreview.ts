'use client';
import { say } from '@/messages/say';
import { useEffect, useState } from 'react';
import type { EntryPreview } from './Effects';

const PAUSE_MS = 250;
const CANNOT_SAY: EntryPreview = {
  effects: null,
  problems: [
    {
      path: '(form)',
      get message() {
        return say('controls.theServerDoesNotAnswer2');
      },
    },
  ],
};

/** What something would do, asked a moment after its last change. @param text what is asked about, as JSON; null: nothing. @returns null: not known yet */
export function usePreview(
  text: string | null,
  ask: (text: string) => Promise<EntryPreview>,
): EntryPreview | null {
  const [preview, setPreview] = useState<EntryPreview | null>(null);
  useEffect(() => {
    let current = true;
    const timer = setTimeout(() => {
      if (text === null) {
        setPreview(null);
        return;
      }
      ask(text).then(
        (p) => {
          if (current) setPreview(p);
        },
        () => {
          if (current) setPreview(CANNOT_SAY);
        },
      );
    }, PAUSE_MS);
    return () => {
      current = false;
      clearTimeout(timer);
    };
  }, [text, ask]);
  return preview;
}
