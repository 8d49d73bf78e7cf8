import { logOf } from '../../tests/support/log';
import { assessBatch } from '@/core/snapshot/assess-batch';
import { foldBatch, foldSite } from '@/core/log/fold';
import { effectsOf } from './effects';

const NOW = Date.UTC(2026, 9, 25, 12);
const H = 3_600_000;
const SITE = { name: 'Hopyard Corner', timeZone: 'Europe/London', unit: 'C' } as const;
function hotLog() {
  const log = logOf(NOW - 60 * H);
  log.put('built', {}, { at: NOW - 60 * H });
  for (let h = 48; h >= 12; h -= 12) log.round(NOW - h * H, 60, 61, 62);
  return log;
}
const judged = (log: ReturnType<typeof logOf>) =>
  assessBatch(foldBatch(log.entries), SITE, foldSite([]), NOW)!.rules;

describe('what an entry does, said before it is kept', () => {
  const after = (change: (log: ReturnType<typeof logOf>) => void) => {
    const log = hotLog();
    const before = judged(log);
    change(log);
    return effectsOf(before, judged(log), 'Egret')[0]!;
  };
  test('a raw addition costs what was earned', () =>
    expect(after((l) => l.put('addition', { raw: true }, { at: NOW }))).toEqual({
      rule: 'PFRP windrow',
      text: '1 d 12 h would be lost: 0 h left, and the clock starts over.',
      costs: true,
      none: false,
    }));
  test('dated back, what was earned since remains', () =>
    expect(after((l) => l.put('addition', { raw: true }, { at: NOW - 30 * H })).text).toMatch(
      /^1 d 0 h would be lost: 12 h left, and the clock starts over/,
    ));
  test('a clean one changes nothing', () =>
    expect(after((l) => l.put('addition', { raw: false }, { at: NOW }))).toMatchObject({
      text: 'nothing changes.',
      costs: false,
    }));
  test('a round earns, a cold one costs, a turning may count', () => {
    expect(after((l) => l.round(NOW, 60, 60, 60))).toMatchObject({
      text: '12 h more count: 2 d 0 h in all.',
      costs: false,
    });
    expect(after((l) => l.round(NOW, 50, 60, 60))).toMatchObject({ costs: true });
    expect(after((l) => l.put('turn', { full: true }, { at: NOW - 20 * H }))).toMatchObject({
      text: '1 turning counts instead of 0.',
      costs: false,
    });
  });
});
