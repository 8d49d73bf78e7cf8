import type { ChainFault } from '@/core/log/chain';

/**
 * What this process itself found wrong with a log. The table of checks lies in the same database as the log: whoever empties it takes
 * none of this away.
 */
const KNOWN = Symbol.for('zealous-heap.known-faults');
const held = globalThis as { [KNOWN]?: Map<string, readonly ChainFault[]> };
const known = (): Map<string, readonly ChainFault[]> =>
  (held[KNOWN] ??= new Map<string, readonly ChainFault[]>());

/** Remembers what a whole check found; it takes the place of what the check before found. */
export const rememberFaults = (site: string, faults: readonly ChainFault[]): void =>
  void known().set(site, faults);
export const recallFaults = (site: string): readonly ChainFault[] => known().get(site) ?? [];
