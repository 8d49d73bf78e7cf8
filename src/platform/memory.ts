/**
 * What a process remembers of a site, as of the entry that its log ended with. The hash of that entry tells whether it still
 * holds: it covers every entry before it, so that a log that has grown, here or in another process, is read anew. What changes
 * with time alone is remembered under the hash and the minute.
 */
export type Remembered<T> = { readonly hash: string; readonly value: T };

/** Sites that are remembered at most; the one that was asked for longest ago goes first. */
const MAX_SITES = 8;

export function createMemory<T>() {
  const held = new Map<string, Remembered<T>>();
  return {
    /** What is remembered of a site as of an entry; undefined: nothing that still holds. */
    recall(site: string, hash: string): T | undefined {
      const found = held.get(site);
      return found?.hash === hash ? found.value : undefined;
    },
    keep(site: string, hash: string, value: T): T {
      held.delete(site);
      held.set(site, { hash, value });
      const [oldest] = held.keys();
      if (held.size > MAX_SITES && oldest !== undefined) held.delete(oldest);
      return value;
    },
    /** Lets a value go, unless another has taken its place. */
    forget(site: string, value: T): void {
      if (held.get(site)?.value === value) held.delete(site);
    },
  };
}

/** Work that is done once for all who ask for it while its state holds, also while it is under way; what failed is tried again. */
export function createSharedWork<T>() {
  const memory = createMemory<Promise<T>>();
  return (site: string, hash: string, work: () => Promise<T>): Promise<T> => {
    const known = memory.recall(site, hash);
    if (known) return known;
    const begun = memory.keep(site, hash, work());
    begun.catch(() => memory.forget(site, begun));
    return begun;
  };
}
