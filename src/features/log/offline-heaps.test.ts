import { logOf } from '../../../tests/support/log';
import { createBatchSnapshot } from '@/core/snapshot/batch-snapshot';
import { foldBatch, foldSite } from '@/core/log/fold';
import { createOfflineHeaps } from './offline-heaps';

const H = 3_600_000;
const NOW = Date.UTC(2026, 4, 18, 12);
const ago = (hours: number): number => NOW - hours * H;
const LOCALE = { timeZone: 'Europe/London', unit: 'C' as const, now: NOW };
const SITE = { name: 'Hopyard Corner', timeZone: 'Europe/London', unit: 'C' } as const;

function snapshot(name: string, fill: (log: ReturnType<typeof logOf>) => void) {
  const log = logOf(ago(100), { code: name.slice(0, 1), name });
  log.put('built', {}, { at: ago(100) });
  fill(log);
  return createBatchSnapshot(foldBatch(log.entries), SITE, foldSite([]), NOW);
}
const kept = (...board: ReturnType<typeof snapshot>[]) =>
  createOfflineHeaps(board, foldSite([]), 'Mo', LOCALE);

test('a device keeps how a heap stands, what each place read last, and from where on it is too hot', () => {
  const [heap] = kept(snapshot('Egret', (l) => l.round(ago(5), 61, 58, 60))).heaps;
  expect(heap).toMatchObject({ picture: { name: 'Egret' }, building: false, hot: null });
  expect(heap!.standing).toMatch(/coldest 58 °C, 5 h ago$/);
  expect(heap!.places.map((p) => p.last)).toEqual(
    expect.arrayContaining([expect.stringMatching(/^61\.0 °C, /)]),
  );
  expect(heap!.limits).toMatch(/cool it from 70 °C\. From 77 °C it is dangerous/);
  expect(heap!.loggedAt).toBeGreaterThanOrEqual(ago(5));
});
test('danger is told with what to do, and in front of the forms', () => {
  const [heap] = kept(snapshot('Goshawk', (l) => l.round(ago(1), 79, 80, 81))).heaps;
  expect(heap!.hot).toMatchObject({ urgent: true });
  expect(heap!.danger).toMatch(/Stand back and check it now/);
});
test('what has gone out is not kept; rules and methods stand in the document once', () => {
  const document = kept(
    snapshot('Egret', (l) => l.round(ago(5), 61, 58, 60)),
    snapshot('Curlew', (l) => l.round(ago(5), 61, 58, 60)),
    snapshot('Finch', (l) => l.put('ended', { reason: 'discarded' }, { at: ago(2) })),
  );
  expect(document.heaps.map((h) => h.picture.name)).toEqual(['Egret', 'Curlew']);
  expect(new Set(document.rules.map((r) => r.id)).size).toBe(document.rules.length);
  for (const h of document.heaps)
    for (const rule of h.rules) expect(document.rules.map((r) => r.id)).toContain(rule);
});
