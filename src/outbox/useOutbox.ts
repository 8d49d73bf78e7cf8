'use client';
import { useEffect, useState } from 'react';
import type { OutboxItem } from './item';
import {
  isServerReachable,
  isSignedOut,
  listOutbox,
  noteAnswer,
  subscribeToOutbox,
  sendWaiting,
} from './store';

const TRY_AGAIN_MS = 20_000;
export type Outbox = {
  readonly items: readonly OutboxItem[];
  /** Whether the device’s memory was read yet: until then no items says nothing. */ readonly looked: boolean;
  readonly online: boolean;
  /** Nobody has signed in here any more: what waits stays until somebody has. */ readonly signedOut: boolean;
};

/** What waits on this device and whether the hub can be reached, kept up to date; tries to send whenever that may have changed. */
export function useOutbox(onTaken?: () => void): Outbox {
  const [state, setState] = useState<Outbox>({
    ...{ items: [], looked: false, online: true, signedOut: false },
  });
  useEffect(() => {
    let current = true;
    let asked = false;
    const online = (): boolean => navigator.onLine && isServerReachable();
    const look = (): void => {
      void listOutbox().then(
        (list) => {
          if (current)
            setState({ items: list, looked: true, online: online(), signedOut: isSignedOut() });
        },
        () => undefined,
      );
    };
    const attempt = async (): Promise<void> => {
      const waits = (await listOutbox().catch(() => [])).some((i) => i.state === 'waiting');
      if (navigator.onLine && waits && (await sendWaiting()).taken > 0 && current) onTaken?.();
      // With nothing to send, only asking shows that this page came out of the cache, or that a hub that was away is back.
      else if (navigator.onLine && !waits && (!asked || !isServerReachable()))
        noteAnswer(
          await fetch('/api/health', { cache: 'no-store' }).then(
            (r) => r.ok,
            () => false,
          ),
        );
      asked = true;
      look();
    };
    const go = (): void => {
      void attempt();
    };
    const off = subscribeToOutbox(look);
    const timer = setInterval(go, TRY_AGAIN_MS);
    const visible = (): void => {
      if (document.visibilityState === 'visible') go();
    };
    window.addEventListener('online', go);
    window.addEventListener('offline', go);
    document.addEventListener('visibilitychange', visible);
    look();
    go();
    return () => {
      current = false;
      off();
      clearInterval(timer);
      window.removeEventListener('online', go);
      window.removeEventListener('offline', go);
      document.removeEventListener('visibilitychange', visible);
    };
  }, [onTaken]);
  return state;
}
