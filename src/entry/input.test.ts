import { parseEntryForm } from './input';

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
      problems: [{ path: 'at', message: expect.stringMatching(/in the future/) }],
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
      problems: [{ message: expect.stringMatching(/clock is ahead/) }],
    });
  });
});
