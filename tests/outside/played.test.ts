import { play } from '../../bench/play';

/** Heaps of the demo's model, played through the advice and by a fixed calendar. The figures of a larger run are in docs/performance.md. */
test('following the advice proves more heaps than a fixed calendar, with fewer turnings', () => {
  const seeds = Array.from({ length: 30 }, (_, i) => i + 1);
  const [advice, calendar] = (['advice', 'calendar'] as const).map((school) =>
    seeds.map((seed) => play(seed, school)),
  );
  const proven = (list: typeof advice): number => list!.filter((o) => o.proven).length;
  const turns = (list: typeof advice): number => list!.reduce((sum, o) => sum + o.turns, 0);
  expect(proven(advice)).toBeGreaterThan(proven(calendar));
  expect(turns(advice)).toBeLessThan(turns(calendar));
  // Nobody turned twice within a day, in any of them.
  for (const o of [...advice!, ...calendar!])
    o.digest.situation.turns.forEach((t, i, all) => {
      if (i > 0) expect(t - all[i - 1]!).toBeGreaterThanOrEqual(86_400_000 - 1);
    });
}, 120_000);
