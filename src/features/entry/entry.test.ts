import { logOf } from '../../../tests/support/log';
import { assessBatch } from '@/core/snapshot/assess-batch';
import { foldBatch, foldSite } from '@/core/log/fold';
import { parseEntryForm } from './input';
import { proposal } from './proposal';
import { effectsOf, logLines } from './view';

const NOW = Date.UTC(2026, 9, 25, 12);
const ID = '01a1ab24-d440-7388-a1d8-5bef6f1bf167';
const form = (more: object) => ({
  id: ID,
  batch: ID,
  kind: 'note' as const,
  at: null,
  by: 'Mo',
  data: { words: 'x' },
  ...more,
});
const parse = (more: object) => parseEntryForm(form(more), 'Europe/London', NOW);

describe('what a form sends', () => {
  test('no time is this moment; a typed time is by the site’s clock', () => {
    expect(parse({})).toMatchObject({ ok: true, entry: { at: NOW } });
    expect(parse({ at: '2026-07-01T07:30' })).toMatchObject({
      ok: true,
      entry: { at: Date.UTC(2026, 6, 1, 6, 30) },
    });
  });
  test('a time that is still to come, that never was, or that is none is refused with what to do', () => {
    expect(parse({ at: '2026-10-25T14:00' })).toMatchObject({
      ok: false,
      problems: [{ path: 'at', message: expect.stringMatching(/still to come/) }],
    });
    expect(parse({ at: '2026-03-29T01:30' })).toMatchObject({
      ok: false,
      problems: [{ message: expect.stringMatching(/never showed 2026-03-29 01:30/) }],
    });
    expect(parse({ at: 'yesterday' }).ok).toBe(false);
  });
  test('a phone whose clock is a little ahead is not refused, nor is the future kept', () =>
    expect(parse({ at: '2026-10-25T12:04' })).toMatchObject({ ok: true, entry: { at: NOW } }));
  test('a name is asked for; a wrong field is named', () => {
    expect(parse({ by: ' ' })).toMatchObject({
      ok: false,
      problems: [{ path: 'by', message: 'Say who did it.' }],
    });
    expect(parse({ kind: 'turn', data: { full: 1 } })).toMatchObject({
      ok: false,
      problems: [{ path: 'full' }],
    });
    expect(parse({ kind: 'dance' }).ok).toBe(false);
  });
  test('readings of a round take the round’s time where they have none of their own', () => {
    const readings = [
      { id: 'a', point: 'P1', value: 60, unit: 'C' },
      { id: 'b', at: '2026-10-25T06:00Z', point: 'P2', value: 60, unit: 'C' },
    ];
    const parsed = parse({
      kind: 'round',
      at: '2026-10-25T07:30',
      data: { source: 'hand', readings },
    });
    expect(parsed).toMatchObject({
      ok: true,
      entry: {
        data: { readings: [{ at: '2026-10-25T07:30:00.000Z' }, { at: '2026-10-25T06:00Z' }] },
      },
    });
  });
  test('readings stamped by a phone a little ahead are taken now, far ahead they are refused', () => {
    const taken = (at: string) =>
      parse({
        kind: 'round',
        data: { source: 'hand', readings: [{ id: 'a', at, point: 'P1', value: 60, unit: 'C' }] },
      });
    expect(taken('2026-10-25T12:03Z')).toMatchObject({
      ok: true,
      entry: { data: { readings: [{ at: '2026-10-25T12:00:00.000Z' }] } },
    });
    expect(taken('2026-10-25T13:00Z')).toMatchObject({
      ok: false,
      problems: [{ message: expect.stringMatching(/clock runs ahead/) }],
    });
  });
});

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
      text: '1 d 12 h would be lost: 0 h remain, and the clock starts again.',
      costs: true,
      none: false,
    }));
  test('dated back, what was earned since remains', () =>
    expect(after((l) => l.put('addition', { raw: true }, { at: NOW - 30 * H })).text).toMatch(
      /^1 d 0 h would be lost: 12 h remain, and the clock starts again/,
    ));
  test('a clean one changes nothing', () =>
    expect(after((l) => l.put('addition', { raw: false }, { at: NOW }))).toMatchObject({
      text: 'nothing changes.',
      costs: false,
    }));
  test('a round earns, a cold one costs, a turning may count', () => {
    expect(after((l) => l.round(NOW, 60, 60, 60))).toMatchObject({
      text: '12 h are earned: 2 d 0 h in all.',
      costs: false,
    });
    expect(after((l) => l.round(NOW, 50, 60, 60))).toMatchObject({ costs: true });
    expect(after((l) => l.put('turn', { full: true }, { at: NOW - 20 * H }))).toMatchObject({
      text: '1 turning counts instead of 0.',
      costs: false,
    });
  });
});

describe('the log as people read it', () => {
  const lines = (log: ReturnType<typeof logOf>, unit: 'C' | 'F' = 'C') =>
    logLines(foldBatch(log.entries), { timeZone: 'Europe/London', unit, now: NOW });
  test('newest first, in the unit that was chosen', () => {
    const l = lines(hotLog(), 'F');
    expect(l[0]).toMatchObject({
      title: 'Round of 3',
      detail: '140–144 °F',
      by: 'Mo',
      correctable: true,
    });
    expect(l.at(-1)).toMatchObject({ title: 'Opened', correctable: false });
  });
  test('a late entry shows both times; a struck one its reason', () => {
    const log = hotLog();
    const turn = log.put(
      'turn',
      { full: true, rim: 'partly' },
      { at: NOW - 40 * H, recordedAt: NOW - 2 * H },
    );
    expect(lines(log).find((l) => l.id === turn)).toMatchObject({
      title: 'Turned',
      detail: 'the rim went in partly',
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
        '40 L, not clean: starts the clock again',
        'litter, starts the clock again, with live seeds',
        'squeezed: runs out: too wet, smell: none',
      ]),
    );
  });
});

describe('what is proposed for a new heap', () => {
  const heap = (code: string, bay: string | null, state = 'running') => ({ code, bay, state });
  test('the next bird and the first free bay', () => {
    expect(proposal([])).toEqual({ code: 'A', name: 'Avocet', bay: '1' });
    expect(proposal([heap('A', '1'), heap('b', '2'), heap('C', '3', 'released')])).toEqual({
      code: 'D',
      name: 'Dunnock',
      bay: '3',
    });
  });
  test('after the alphabet it begins anew, with a figure', () => {
    expect(proposal([...'ABCDEFGHIJKLMNOPQRSTUVWXYZ'].map((c) => heap(c, null)))).toEqual({
      code: 'A2',
      name: 'Avocet 2',
      bay: '1',
    });
  });
});
