'use client';
import { useSyncExternalStore } from 'react';
import { MS } from '@/core/quantity/instant';

/**
 * Whether the page in hand came out of the device's memory. The worker writes when it was made onto a page that it takes from
 * there (`data-kept-at`, ms); a page from the server bears none.
 */
const listeners = new Set<() => void>();
const LOOK_EVERY_MS = MS.minute / 2;
function subscribe(listener: () => void): () => void {
  listeners.add(listener);
  const timer = setInterval(listener, LOOK_EVERY_MS);
  return () => {
    listeners.delete(listener);
    clearInterval(timer);
  };
}

/** Whole minutes since the page was made; null: it came from the server, or within this minute. */
function minutesKept(): number | null {
  const at = Number(document.documentElement.dataset.keptAt);
  const minutes = at > 0 ? Math.floor((Date.now() - at) / MS.minute) : 0;
  return minutes > 0 ? minutes : null;
}

/** How old the page is, h, where it is an old one out of the device's memory; null: it is not. */
export function useKeptHours(): number | null {
  const minutes = useSyncExternalStore(subscribe, minutesKept, () => null);
  return minutes === null ? null : minutes / 60;
}

/** The page was made anew in the meantime. */
export function notePageIsFresh(): void {
  delete document.documentElement.dataset.keptAt;
  for (const listener of listeners) listener();
}
