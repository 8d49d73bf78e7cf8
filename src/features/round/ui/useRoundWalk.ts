'use client';
import { useCallback, useEffect, useRef, useState } from 'react';
import { v7 } from 'uuid';
import { enqueue } from '@/outbox/keep';
import {
  deviceClock,
  serverNow,
  deviceStore,
  noteAnswer,
  recallClock,
  sendWaiting,
} from '@/outbox/store';
import { remember } from '@/ui/remember';
import type { OfflineRoundData } from '../offline-round-data';
import type { Out, RoundWalk } from '../round-walk';

const ENDED_KEPT = 20;
const FRESH_MS = 60_000;
const SETTLED_MS = 300;
/** A hub that takes longer is as good as none for whoever stands at a heap. */
const PATIENCE_MS = 4000;
export type WalkHandle = {
  readonly sheet: OfflineRoundData | null;
  readonly walk: RoundWalk | null;
  readonly ended: readonly string[];
  /** Puts the next state of the walk in its place, and gives what it has to tell the hub to the outbox. Ends when the hub has it, or it is known to wait. */
  readonly step: (next: RoundWalk | null, out?: readonly Out[]) => Promise<void>;
  readonly refresh: () => void;
};

/** The sheet and the walk as this device keeps them: there at once without a network, made anew when there is one. */
export function useRoundWalk(initial: OfflineRoundData | null): WalkHandle {
  const [data, setSheet] = useState<OfflineRoundData | null>(null);
  const [walk, setWalk] = useState<RoundWalk | null>(null);
  const [ended, setEnded] = useState<readonly string[]>([]);
  const asked = useRef(0);
  const fetchSheet = useCallback(async (): Promise<void> => {
    asked.current = Date.now();
    const before = Date.now();
    const response = await fetch('/api/field', {
      cache: 'no-store',
      signal: AbortSignal.timeout(10_000),
    });
    if (!response.ok || !response.headers.get('content-type')?.startsWith('application/json'))
      return;
    const fresh = (await response.json()) as OfflineRoundData;
    await deviceClock.learn((before + Date.now()) / 2 - fresh.now);
    await deviceStore.set('sheet', fresh);
    setSheet(fresh);
  }, []);
  const refresh = useCallback((): void => {
    void fetchSheet().then(
      () => noteAnswer(true),
      () => noteAnswer(false),
    );
  }, [fetchSheet]);
  useEffect(() => {
    let current = true;
    void (async () => {
      const [old, going, over] = await Promise.all([
        deviceStore.get<OfflineRoundData>('sheet'),
        deviceStore.get<RoundWalk>('walk'),
        deviceStore.get<string[]>('ended'),
        recallClock(),
      ]).catch(() => [undefined, undefined, undefined] as const);
      // The effect may have ended while the device was asked.
      // eslint-disable-next-line @typescript-eslint/no-unnecessary-condition
      if (!current) return;
      // The page out of the cache may be older than what the device holds.
      setSheet(old && (!initial || old.now >= initial.now) ? old : initial);
      setWalk(going ?? null);
      setEnded(over ?? []);
      // First what can be tapped, then what is new.
      setTimeout(refresh, SETTLED_MS);
    })();
    const look = (): void => {
      if (document.visibilityState === 'visible' && Date.now() - asked.current > FRESH_MS)
        refresh();
    };
    document.addEventListener('visibilitychange', look);
    window.addEventListener('online', refresh);
    return () => {
      current = false;
      document.removeEventListener('visibilitychange', look);
      window.removeEventListener('online', refresh);
    };
  }, [initial, refresh]);
  const latest = useRef<RoundWalk | null>(null);
  useEffect(() => {
    latest.current = walk;
  }, [walk]);
  const step = useCallback(
    async (next: RoundWalk | null, out: readonly Out[] = []): Promise<void> => {
      const before = latest.current;
      latest.current = next;
      setWalk(next);
      const over =
        next === null && before && !before.single
          ? [before.id, ...((await deviceStore.get<string[]>('ended')) ?? [])].slice(0, ENDED_KEPT)
          : null;
      await enqueue(out, {
        keep: [
          ...(next ? [['walk', next] as const] : []),
          ...(over ? [['ended', over] as const] : []),
        ],
        drop: next ? [] : ['walk'],
      });
      if (next) remember('zh_by', next.by);
      if (over) setEnded(over);
      if (out.length === 0) return;
      const patience = new Promise<null>((resolve) => {
        setTimeout(() => resolve(null), PATIENCE_MS);
      });
      if (((await Promise.race([sendWaiting(), patience]))?.taken ?? 0) > 0) refresh();
    },
    [refresh],
  );
  return { sheet: data, walk, ended, step, refresh };
}

export const createId = (): string => v7();
export { serverNow };
