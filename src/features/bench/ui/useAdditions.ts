'use client';
import { useEffect, useState } from 'react';
import type { Addition, Carried } from '@/core/mix/additions';
import type { Mix } from '@/core/mix/mix';
import { additionStock } from '../addition';
import type { BenchView } from '../view';
import type { BenchHandle } from './useBench';
import type { useSolver } from './useSolver';

export type Additions = {
  readonly additions: readonly Addition[];
  /** Of the library, where nothing of the store helps. */ readonly elsewhere: Addition | null;
  readonly working: boolean;
};
type Answer = Omit<Additions, 'working'> & { readonly of: Mix | null };

/** Asked so long after the last change, ms. */
const PAUSE_MS = 120;

/** What of the store, in whole measures, makes the mix better: asked a moment after the last change, answered by the worker. */
export function useAdditions(
  bench: BenchHandle,
  view: BenchView,
  ask: ReturnType<typeof useSolver>,
): Additions {
  const [answer, setAnswer] = useState<Answer>({ additions: [], elsewhere: null, of: null });
  const { mix, parts, waterL, lines } = bench;
  useEffect(() => {
    if (!mix || parts.length === 0) return undefined;
    let current = true;
    const { ofStore, ofLibrary } = additionStock(view, parts, lines);
    const additionsOf = async (stock: readonly Carried[]): Promise<readonly Addition[]> => {
      const a = await ask({ do: 'add', parts, waterL, stock });
      return a?.did === 'add' ? a.additions : [];
    };
    const find = async (): Promise<void> => {
      const additions = await additionsOf(ofStore);
      const others = additions.length > 0 ? [] : await additionsOf(ofLibrary);
      const elsewhere = others.find((a) => a.costs.length === 0) ?? null;
      if (current) setAnswer({ additions, elsewhere, of: mix });
    };
    const timer = setTimeout(() => void find(), PAUSE_MS);
    return () => {
      current = false;
      clearTimeout(timer);
    };
  }, [mix, parts, waterL, lines, view, ask]);
  // The last answer stays in its place while the next one is worked out, so that nothing moves under the finger.
  const there = mix !== null && parts.length > 0;
  return {
    additions: there ? answer.additions : [],
    elsewhere: there ? answer.elsewhere : null,
    working: answer.of !== mix,
  };
}
