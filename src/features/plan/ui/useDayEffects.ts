'use client';
import { useState } from 'react';
import type { DayEffects, PlanJob } from '../view';

/** What is known of a turning on other days: asked for once somebody takes hold of it. `failed`: the hub did not tell. */
export type KnownEffects = DayEffects | 'asked' | 'failed';

/** Effects of turnings by key, and how to ask for those of one. */
export function useDayEffects(): {
  of: (job: PlanJob) => KnownEffects | null;
  ask: (job: PlanJob) => Promise<DayEffects | null>;
} {
  const [known, setKnown] = useState<Readonly<Record<string, KnownEffects>>>({});
  const put = (key: string, effects: KnownEffects): void =>
    setKnown((all) => ({ ...all, [key]: effects }));
  const ask = async ({ key }: PlanJob): Promise<DayEffects | null> => {
    const held = known[key];
    if (held !== undefined && held !== 'asked' && held !== 'failed') return held;
    put(key, 'asked');
    try {
      const response = await fetch(`/api/plan/effects?turning=${encodeURIComponent(key)}`);
      if (!response.ok) throw new Error(`answered ${response.status}`);
      const effects = (await response.json()) as DayEffects;
      put(key, effects);
      return effects;
    } catch {
      put(key, 'failed');
      return null;
    }
  };
  return { of: ({ key }) => known[key] ?? null, ask };
}
