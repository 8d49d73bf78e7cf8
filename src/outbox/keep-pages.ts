/** Pages are kept as they are at most this often. */
const KEEP_EVERY_MS = 20 * 60_000;

type PageGroup = 'places' | 'lots';
const keyOf = (group: PageGroup): string => `zh_kept_${group}`;

/** Pages are kept anew with the next one that is opened. */
export function forgetPages(): void {
  localStorage.removeItem(keyOf('places'));
  localStorage.removeItem(keyOf('lots'));
}

/**
 * Asks the worker to keep these pages as they are now, for when there is no signal: at most every twenty minutes.
 * @param group pages that are kept together
 */
export function keepPages(group: PageGroup, urls: readonly string[]): void {
  const key = keyOf(group);
  const last = Number(localStorage.getItem(key) ?? 0);
  if (!('serviceWorker' in navigator) || !navigator.onLine || Date.now() - last < KEEP_EVERY_MS)
    return;
  void navigator.serviceWorker.ready.then((r) => {
    r.active?.postMessage({ type: 'KEEP_PAGES', urls });
    localStorage.setItem(key, String(Date.now()));
  });
}
