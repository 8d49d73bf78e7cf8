import fc from 'fast-check';
import type { BatchSnapshot } from '@/core/snapshot/batch-snapshot';
import { NOW } from '../../../tests/support/situation';
import { batchSnapshot } from '../../../tests/support/snapshot';
import { bayKeysOf, MOST_ON_SKYLINE, skylineOf } from './skyline';

/** As much of a heap as the skyline looks at. */
const heapIn = (bay: string | null, stage: 'hot' | 'released' = 'hot'): BatchSnapshot =>
  batchSnapshot({
    id: `heap-${bay}`,
    bay,
    situation: { stage: { code: stage, since: NOW, reason: null, by: null, held: null } },
  });
const row = (n: number): BatchSnapshot[] =>
  Array.from({ length: n }, (_, i) => heapIn(String(i + 1)));

describe('the skyline', () => {
  test('shows all heaps of a small site, and none that are gone but the one in view', () => {
    const board = [...row(3), heapIn('9', 'released')];
    expect(skylineOf(board, NOW).shown).toHaveLength(3);
    expect(skylineOf(board, NOW, 'heap-9').shown).toHaveLength(4);
  });
  test('of many shows those round the one in view, in their order, and says how many it leaves out', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 300 }), fc.nat(), (n, pick) => {
        const board = row(n);
        const active = board[pick % n]!;
        const { shown, others } = skylineOf(board, NOW, active.id);
        expect(shown).toContain(active);
        expect(shown.length).toBe(Math.min(n, MOST_ON_SKYLINE));
        expect(shown.length + others).toBe(n);
        const at = shown.map((d) => board.indexOf(d));
        expect(at).toEqual(at.map((_, i) => at[0]! + i));
      }),
    );
  });
  test('the keys 1 to 9 and 0 lead to bays 1 to 10', () => {
    const keys = bayKeysOf([...row(12), heapIn(null), heapIn('Dark')], NOW);
    expect(Object.keys(keys)).toHaveLength(10);
    expect([keys['1'], keys['9'], keys['0']]).toEqual(['heap-1', 'heap-9', 'heap-10']);
  });
});
