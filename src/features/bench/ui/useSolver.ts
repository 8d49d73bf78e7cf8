'use client';
import { useCallback, useEffect, useRef } from 'react';
import { currentSpeech } from '@/messages/say';
import { speechCode } from '@/messages/speech-code';
import type { BenchAnswer, BenchTask } from '@/workers/bench.worker';

type Ask = { [K in BenchTask['do']]: Omit<Extract<BenchTask, { do: K }>, 'id'> }[BenchTask['do']];

/** Asks the worker; one that fails answers null. */
export function useSolver(): (task: Ask) => Promise<BenchAnswer | null> {
  const worker = useRef<Worker | null>(null);
  const waiting = useRef(new Map<number, (a: BenchAnswer | null) => void>());
  const count = useRef(0);
  useEffect(() => {
    const w = new Worker(new URL('../../../workers/bench.worker.ts', import.meta.url), {
      type: 'module',
      name: speechCode(currentSpeech()),
    });
    const asked = waiting.current;
    w.onmessage = ({ data }: MessageEvent<BenchAnswer>) => {
      asked.get(data.id)?.(data);
      asked.delete(data.id);
    };
    w.onerror = () => {
      for (const done of asked.values()) done(null);
      asked.clear();
    };
    worker.current = w;
    return () => {
      w.terminate();
      worker.current = null;
    };
  }, []);
  return useCallback(
    (task) =>
      new Promise((resolve) => {
        if (!worker.current) {
          resolve(null);
          return;
        }
        count.current += 1;
        waiting.current.set(count.current, resolve);
        worker.current.postMessage({ ...task, id: count.current });
      }),
    [],
  );
}
