import { entry } from '../../../tests/support/store';
import type { Entry } from './entry';
import { patternsOf } from './patterns';

const round = (by: string, readings: object[], lateH = 0): Entry => {
  const e = entry('round', { source: 'hand', readings }, 50, 'H');
  return { ...e, by, recordedAt: e.at + lateH * 3_600_000 };
};

test('late entries, corrections and questioned readings are counted for each person, the most first', () => {
  const wrong = round('Ana', [{ value: 56 }]);
  const list = [
    wrong,
    { ...entry('correction', { target: wrong.id, reason: 'slip' }, 1, 'H'), by: 'Mo' },
    round('Ana', [{ value: 71, doubts: [{ code: 'JUMP', answer: 'as-read' }] }], 30),
    round('Jo', [{ value: 7.1, typed: { value: 71, unit: 'C' } }, { value: 60 }]),
    round('Jo', [{ value: 99, doubts: [{ code: 'OVER_90', answer: 'faulty' }] }]),
  ] as Entry[];
  expect(patternsOf(list, (e) => e.by)).toEqual([
    { of: 'Ana', entries: 2, late: 1, corrected: 1, insisted: 1, retaken: 0 },
    { of: 'Jo', entries: 2, late: 0, corrected: 0, insisted: 0, retaken: 2 },
    { of: 'Mo', entries: 1, late: expect.any(Number), corrected: 0, insisted: 0, retaken: 0 },
  ]);
});

test('what counts for nobody is left out; an opening and a correction are never late', () => {
  const opened = entry('opened', { code: 'A' }, 100, 'H');
  const correction = entry('correction', { target: opened.id, reason: 'x' }, 100, 'H');
  expect(patternsOf([opened, correction], () => 'all')).toMatchObject([
    { entries: 2, late: 0, corrected: 1 },
  ]);
  expect(patternsOf([opened], () => null)).toEqual([]);
});
