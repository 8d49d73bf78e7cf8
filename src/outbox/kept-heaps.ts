import { deviceStore } from './store';

/** Under this name the device keeps the heaps of the site. */
const NAME = 'heaps';
const PATIENCE_MS = 10_000;

/** As much of what is kept as its keeping looks at. */
type Kept = {
  readonly now: number;
  readonly heaps: readonly { readonly id: string; readonly loggedAt: number }[];
};

/** Asks the hub for the heaps as they are now, and keeps them. @throws where it does not answer */
export async function refreshKeptHeaps(): Promise<void> {
  const response = await fetch('/api/offline', {
    cache: 'no-store',
    signal: AbortSignal.timeout(PATIENCE_MS),
  });
  const isData = response.headers.get('content-type')?.startsWith('application/json');
  if (!response.ok || !isData) throw new Error(`answered ${response.status}`);
  await deviceStore.set(NAME, await response.json());
}

/** The heaps as this device keeps them. @param read them as what they were sent as */
export async function recallHeaps<T>(read: (kept: unknown) => T): Promise<T | null> {
  const kept = await deviceStore.get<unknown>(NAME);
  return kept === undefined ? null : read(kept);
}

/** When something was last logged of a heap, as far as this device knows; null: it knows no such heap. */
export async function lastLoggedOf(heap: string): Promise<number | null> {
  const kept = await recallHeaps((data) => data as Kept);
  return kept?.heaps.find((h) => h.id === heap)?.loggedAt ?? null;
}

/** Forgets the heaps: the next one who takes this device asks for them anew. */
export const forgetKeptHeaps = (): Promise<void> => deviceStore.set(NAME, undefined);
