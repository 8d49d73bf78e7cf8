import { logOf } from '../../../tests/support/log';
import { foldBatch } from '@/core/log/fold';
import { logLines } from './view';

const NOW = Date.UTC(2026, 9, 25, 12);
const H = 3_600_000;
function hotLog() {
  const log = logOf(NOW - 60 * H);
  log.put('built', {}, { at: NOW - 60 * H });
  for (let h = 48; h >= 12; h -= 12) log.round(NOW - h * H, 60, 61, 62);
  return log;
}
describe('the log as people read it', () => {
  const lines = (log: ReturnType<typeof logOf>, unit: 'C' | 'F' = 'C') =>
    logLines(foldBatch(log.entries), { timeZone: 'Europe/London', unit, now: NOW });
  test('newest first, in the unit that was chosen', () => {
    const l = lines(hotLog(), 'F');
    expect(l[0]).toMatchObject({
      title: 'Temperature check of 3 points',
      detail: '140–144 °F',
      by: 'Mo',
      correctable: true,
    });
    expect(l.at(-1)).toMatchObject({ title: 'Started', correctable: false });
  });
  test('a late entry shows both times; a struck one its reason', () => {
    const log = hotLog();
    const turn = log.put(
      'turn',
      { full: true, rim: 'partly' },
      { at: NOW - 40 * H, recordedAt: NOW - 2 * H },
    );
    expect(lines(log).find((l) => l.id === turn)).toMatchObject({
      title: 'Full turn',
      detail: 'part of the edge went in',
      late: expect.stringMatching(/^entered 1 d 14 h later/),
    });
    log.put('correction', { target: turn, reason: 'that was Heron' }, { at: NOW });
    expect(lines(log).find((l) => l.id === turn)).toMatchObject({
      struck: 'that was Heron',
      correctable: false,
    });
  });
  test('every kind has words', () => {
    const log = hotLog();
    log.put('water', { clean: false, litres: 40 }, { at: NOW });
    log.put('addition', { raw: true, seeds: true, what: 'litter' }, { at: NOW });
    log.put('observation', { squeeze: 'runs', smell: 'none' }, { at: NOW });
    for (const kind of ['move', 'cover', 'screen', 'cure', 'release'] as const)
      log.put(kind, {}, { at: NOW });
    log.put('merge', { withProven: false }, { at: NOW });
    log.put('moisture', { state: 'moist' }, { at: NOW });
    for (const l of lines(log))
      expect(`${l.title} ${l.detail}`).not.toMatch(/undefined|null|\[object/);
    expect(lines(log).map((l) => l.detail)).toEqual(
      expect.arrayContaining([
        '40 L, not clean: starts the clock over',
        'litter, starts the clock over, with live weed seeds',
        'squeeze test: runs: too wet, smell: none',
      ]),
    );
  });
});
