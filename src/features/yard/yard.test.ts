import { logOf } from '../../../tests/support/log';
import { createBatchSnapshot } from '@/core/snapshot/batch-snapshot';
import { foldBatch, foldSite } from '@/core/log/fold';
import { MOST_DRAWN, yardScreen } from './view';

const H = 3_600_000;
const NOW = Date.UTC(2026, 4, 18, 12);
const ago = (hours: number): number => NOW - hours * H;
const LOCALE = { timeZone: 'Europe/London', unit: 'C', now: NOW } as never;
type Log = ReturnType<typeof logOf>;
const heap = (fill: (log: Log) => void = () => undefined) => {
  const log = logOf(ago(490));
  log.put('built', {}, { at: ago(490) });
  fill(log);
  return createBatchSnapshot(
    foldBatch(log.entries),
    { name: 'Hopyard Corner', timeZone: 'Europe/London', unit: 'C' },
    foldSite([]),
    NOW,
  );
};
const proof = (l: Log): void => {
  for (let h = 480; h >= 24; h -= 12) l.round(ago(h), 60, 60, 60);
  for (let i = 0; i < 6; i += 1) l.put('turn', { full: true }, { at: ago(470 - i * 60) });
};
const plots = (...board: ReturnType<typeof heap>[]) =>
  yardScreen(board, LOCALE).heaps.map((h) => h.plot);

describe('the yard', () => {
  test('what has gone out or is at its end leaves it, and is counted', () => {
    const screen = yardScreen(
      [
        heap(proof),
        heap((l) => {
          proof(l);
          l.put('release', {}, { at: ago(9) });
        }),
        heap((l) => l.put('ended', { reason: 'discarded' }, { at: ago(9) })),
      ],
      LOCALE,
    );
    expect([screen.heaps.length, screen.gone]).toEqual([1, 2]);
  });
  test('of many heaps those that something is the matter with are drawn, and each other one is a row', () => {
    const quiet = heap(proof);
    const calm = Array.from({ length: 40 }, (_, i) => ({ ...quiet, id: `calm-${i}` as never }));
    const hot = heap((l) => l.round(ago(1), 79, 80, 81));
    const { heaps, rows } = yardScreen([...calm, { ...hot, id: 'hot' as never }], LOCALE);
    expect(heaps).toHaveLength(MOST_DRAWN);
    expect(rows).toHaveLength(41 - MOST_DRAWN);
    expect(heaps.at(-1)!.plot.id).toBe('hot');
    expect(new Set([...heaps.map((h) => h.plot.id), ...rows.map((r) => r.id)]).size).toBe(41);
  });
  test('a word says who said it, that nothing is proven, and that nobody read it', () => {
    const [plot] = plots(
      heap((l) => l.put('ready', { knowing: ['unproven', 'unread'] }, { at: ago(5), by: 'Ana' })),
    );
    expect(plot!.head).toBe('Marked ready');
    expect(plot!.sub).toMatch(
      /^Ana, [A-Z][a-z]{2} May 18 · PFRP windrow not met, .*no temperatures/,
    );
  });
  test('what is met is named; the knot stands for it alone', () => {
    const [said, met] = [
      heap((l) => l.put('cure', {}, { at: ago(5) })),
      heap((l) => {
        proof(l);
        l.put('cure', {}, { at: ago(5) });
      }),
    ];
    expect(plots(said)[0]!.sub).toMatch(/not met/);
    expect(plots(met)[0]!.sub).toMatch(/Met /);
  });
  test('danger is told apart from what is only urgent', () => {
    const hot = plots(heap((l) => l.round(ago(1), 60, 62, 73)))[0]!.advice;
    const urgent = plots(
      heap((l) => {
        for (let h = 60; h >= 32; h -= 7) l.round(ago(h), 60, 60, 60);
      }),
    )[0]!.advice;
    expect(hot.danger).toBe(true);
    expect(urgent.urgent).toBe(true);
    expect(urgent.danger ?? false).toBe(false);
  });
});
