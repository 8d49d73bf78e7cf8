'use client';
import { useEffect, useRef, useState } from 'react';
import { currentSpeech } from '@/messages/say';
import { speechCode } from '@/messages/speech-code';
import type { Brought, BroughtPreview } from '@/core/formats/bring';
import type { BringResult, BringTask } from '@/workers/bring.worker';

/** Asks the worker for a preview a moment after the last change; the newest answer wins. */
export function useBroughtPreview(
  brought: Brought | null,
  unit: 'C' | 'F',
): { preview: BroughtPreview | null; busy: boolean } {
  const worker = useRef<Worker | null>(null);
  const [answer, setAnswer] = useState<{ of: Brought; preview: BroughtPreview } | null>(null);
  const asked = useRef({ id: 0, of: null as Brought | null });
  useEffect(() => {
    const w = new Worker(new URL('../../../workers/bring.worker.ts', import.meta.url), {
      type: 'module',
      name: speechCode(currentSpeech()),
    });
    w.onmessage = ({ data }: MessageEvent<BringResult>) => {
      if (data.id === asked.current.id && asked.current.of)
        setAnswer({ of: asked.current.of, preview: data.preview });
    };
    worker.current = w;
    return () => w.terminate();
  }, []);
  useEffect(() => {
    if (!brought) return;
    const timer = setTimeout(() => {
      asked.current = { id: asked.current.id + 1, of: brought };
      worker.current?.postMessage({ id: asked.current.id, brought, unit } satisfies BringTask);
    }, 200);
    return () => clearTimeout(timer);
  }, [brought, unit]);
  return {
    preview: brought && answer?.of === brought ? answer.preview : null,
    busy: brought !== null && answer?.of !== brought,
  };
}
