import { logOf } from '../../../tests/support/log';
import { createBatchSnapshot, toComparableBatch } from '@/core/snapshot/batch-snapshot';
import { assessBatch } from '@/core/snapshot/assess-batch';
import { foldBatch, foldSite } from '@/core/log/fold';
import { compareView, type ComparedBatch } from './view';

const H = 3_600_000;
const NOW = Date.UTC(2026, 4, 18, 12);
const LOCALE = { timeZone: 'UTC', unit: 'C' as const, now: NOW };
function told(
  name: string,
  ageH: number,
  c: (h: number) => number,
  turnedAt: number[] = [],
): ComparedBatch {
  const log = logOf(NOW - (ageH + 2) * H, {
    code: name,
    name,
    rules: ['us-503-pfrp-static'],
    method: 'static',
    volumeM3: 4,
  });
  log.put('built', {}, { at: NOW - ageH * H });
  for (let h = 12; h <= ageH; h += 12) log.round(NOW - (ageH - h) * H, c(h), c(h), c(h) + 2);
  for (const h of turnedAt) log.put('turn', { full: true }, { at: NOW - (ageH - h) * H });
  return compared(log.entries);
}
const SITE = { name: 'T', timeZone: 'UTC', unit: 'C' } as const;
function compared(entries: Parameters<typeof foldBatch>[0]): ComparedBatch {
  const state = foldBatch(entries);
  return { state, assessment: assessBatch(state, SITE, foldSite([]), NOW) };
}
/** The page's view of some heaps of several, as their snapshots hold them against each other. */
function viewOf(chosen: readonly ComparedBatch[], all: readonly ComparedBatch[]) {
  const comparables = all.map(({ state }) =>
    toComparableBatch(createBatchSnapshot(state, SITE, foldSite([]), NOW)),
  );
  return compareView(
    chosen,
    comparables.find((c) => c.id === chosen[0]?.state.id),
    comparables,
    LOCALE,
  );
}
const warm = (h: number): number => Math.min(62, 10 + h);

test('heaps by age with what was done to them; the one most alike and how it went on', () => {
  const [own, older, cold] = [
    told('Own', 96, warm, [60]),
    told('Older', 400, warm, [70, 200]),
    told('Cold', 300, () => 15),
  ];
  const view = viewOf([own, older], [own, older, cold]);
  expect(view.curves.map((c) => [c.name, c.points.length])).toEqual([
    ['Own', 8],
    ['Older', 33],
  ]);
  expect(view.curves[0]!.points[0]).toEqual({ day: 0.5, c: 24 });
  expect(view.curves[0]!.marks).toEqual([{ day: 2.5, kind: 'turn', says: 'turned' }]);
  expect(view.curves[1]!.marks.map((m) => m.kind)).toContain('proven');
  expect(view.alike).toHaveLength(1);
  expect(view.alike[0]!.name).toBe('Older');
  expect(view.alike[0]!.text).toMatch(
    /^0\.0 °C apart over \d days\. It met its rule on day \d+.*A week later it was at 64 °C\.$/,
  );
  expect(view.table[0]).toEqual({ day: 0, cells: ['24 °C', '24 °C'] });
});
test('nothing chosen, a heap still being built: an empty chart, no guess', () => {
  const log = logOf(NOW - 5 * H, { code: 'B', name: 'B' });
  const building = compared(log.entries);
  expect(viewOf([], [building])).toMatchObject({ curves: [], alike: [] });
  expect(viewOf([building], [building])).toMatchObject({ curves: [], alike: [] });
});
