'use client';
import { useEffect, useState } from 'react';
import type { Item } from './item';
import { items, onOutbox, sendWaiting } from './store';

const TRY_AGAIN_MS = 20_000;
export type Outbox = { readonly items: readonly Item[]; readonly online: boolean };

/** What waits on this device and whether the hub can be reached, kept up to date; tries to send whenever that may have changed. */
export function useOutbox(onTaken?: () => void): Outbox {
  const [state, setState] = useState<Outbox>({ items: [], online: true });
  useEffect(() => {
    let current = true;
    const look = (): void => { void items().then((list) => { if (current) setState((s) => ({ ...s, items: list })); }, () => undefined); };
    const attempt = async (): Promise<void> => {
      const waiting = (await items().catch(() => [])).some((i) => i.state === 'waiting');
      if (!navigator.onLine) { setState((s) => ({ ...s, online: false })); return; }
      if (!waiting) { setState((s) => (s.online ? s : { ...s, online: true })); return; }
      const { reached, taken } = await sendWaiting();
      if (!current) return;
      setState((s) => (s.online === reached ? s : { ...s, online: reached }));
      if (taken > 0) onTaken?.();
    };
    const go = (): void => { void attempt(); };
    const off = onOutbox(look);
    const timer = setInterval(go, TRY_AGAIN_MS);
    const visible = (): void => { if (document.visibilityState === 'visible') go(); };
    window.addEventListener('online', go);
    window.addEventListener('offline', go);
    document.addEventListener('visibilitychange', visible);
    look();
    go();
    return () => { current = false; off(); clearInterval(timer); window.removeEventListener('online', go); window.removeEventListener('offline', go); document.removeEventListener('visibilitychange', visible); };
  }, [onTaken]);
  return state;
}
