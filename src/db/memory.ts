/**
 * What a process remembers of a site, as of the entry that its log ended with. The hash of that entry tells whether it still
 * holds: it covers every entry before it, so that a log that has grown, here or in another process, is read anew.
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
  };
}
