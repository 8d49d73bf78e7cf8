import { newId } from '@/platform/ids';
import {
  bookOf,
  C,
  DUNG,
  F,
  H,
  lot,
  opened,
  SEASON,
  V,
  withId,
} from '../../../tests/support/season';
import { entry, idOf, NOW } from '../../../tests/support/store';
import { at, DAY0 } from '../../../tests/support/evidence';
import { logOf } from '../../../tests/support/log';
import { batchSnapshot } from '../../../tests/support/snapshot';
import type { Entry, NewEntry } from '../log/entry';
import { foldBatch, foldSite } from '../log/fold';
import { MS } from '../quantity/instant';
import { createBatchSnapshot, type BatchSnapshot } from '../snapshot/batch-snapshot';
import { outDoubtOf } from './lot-decision';
import { isAbout, isOpen, mayHaveQuestions, siteQuestionsOf } from './open-questions';

/** What speaks against evidence: found by what the log says, and open until somebody settles it. */
const BOARD = [batchSnapshot({ id: H })];
const questionsOf = (entries: readonly Entry[], board: readonly BatchSnapshot[] = BOARD) =>
  siteQuestionsOf(board, foldSite(entries), bookOf(entries));
const OUT = SEASON.at(-1)!;
const weeds = withId(
  idOf(960) as string,
  entry('lot-outcome', { out: OUT.id, found: 'weeds' }, 2 * 24),
);
const closed = (question: string, by = 'Kit'): Entry =>
  ({ ...entry('question-closed', { question, reason: 'they blew in' }, 1), by }) as Entry;

describe('weeds that came up', () => {
  const [question, ...others] = questionsOf([...SEASON, weeds]);
  test('speak of the lot and of the batch that it came of, whatever became of both', () => {
    expect(others).toEqual([]);
    expect(question).toMatchObject({ cause: { code: 'weeds', lot: F }, closed: null });
    expect(question!.lots).toContain(F);
    expect(question!.batches).toEqual([H]);
    expect(question!.lots).not.toContain(V);
  });
  test('speak of whatever holds any share of it since, and not of what left before', () => {
    const mixed = [
      ...[...SEASON, weeds, lot(idOf(961) as string, 'product', 'P2', 3 * 24)],
      entry('lot-move', { from: F, to: idOf(961), litres: 10, all: false }, 3 * 24),
    ];
    expect(questionsOf(mixed)[0]!.lots).toContain(idOf(961));
    const before = [
      ...[...SEASON, weeds, lot(idOf(962) as string, 'product', 'P3', 6 * 24)],
      entry('lot-move', { from: F, to: idOf(962), litres: 10, all: false }, 6 * 24),
    ];
    expect(questionsOf(before)[0]!.lots).not.toContain(idOf(962));
  });
  test('put a released lot in question', () => {
    const released = entry('lot-decision', {
      ...{ lot: F, decision: 'released', uses: [], reasons: [], from: null },
    });
    const doubtWith = (more: readonly Entry[]) => {
      const entries = [...SEASON, weeds, released, ...more];
      const { state, book } = bookOf(entries);
      return outDoubtOf(state, book, questionsOf(entries), F, null);
    };
    expect(doubtWith([])).toBe('in-question');
    expect(doubtWith([closed(question!.id)])).toBeNull();
  });
  test('are settled by a named person, with the reason, and gone where the entry was struck', () => {
    const [settled] = questionsOf([...SEASON, weeds, closed(question!.id)]);
    expect(isOpen(settled!)).toBe(false);
    expect(settled!.closed).toMatchObject({ by: 'Kit', reason: 'they blew in' });
    const struck = entry('correction', { target: weeds.id, reason: 'another bed' });
    expect(questionsOf([...SEASON, weeds, struck])).toEqual([]);
  });
  test('one that was settled is open again where the settling was struck', () => {
    const settling = closed(question!.id);
    const struck = entry('correction', { target: settling.id, reason: 'too soon' });
    expect(isOpen(questionsOf([...SEASON, weeds, settling, struck])[0]!)).toBe(true);
  });
});

describe('tests and laboratories', () => {
  const sprout = (seedlings: number) =>
    entry(
      'maturity-test',
      { lot: C, ended: true, values: { kind: 'sprout', litres: 2, seedlings, kept: true } },
      15 * 24,
    );
  test('a failed sprout test passes on to all that holds any share of the pile', () => {
    const [question] = questionsOf([...SEASON, sprout(3)]);
    expect(question).toMatchObject({ cause: { code: 'test', kind: 'sprout', lot: C } });
    for (const id of [C, F, V, H]) expect(isAbout(question!, id)).toBe(true);
    expect(isAbout(question!, DUNG.id)).toBe(false);
    expect(questionsOf([...SEASON, sprout(0)])).toEqual([]);
  });
  test('a result over a limit of a use that asks for it names the analyte and the use', () => {
    const sample = withId(idOf(963) as string, entry('lab-sample', { lot: F }, 40));
    const lead = (n: number): Entry[] => [
      ...SEASON,
      sample,
      entry('lab-report', {
        sample: sample.id,
        results: [
          { analyte: 'Pb', value: { is: 'figure', n, mark: null }, unit: 'mg/kg', basis: 'dry' },
        ],
      }),
    ];
    // The EU's limit on lead in compost, (EU) 2019/1009, is 120 mg/kg of dry matter (from memory).
    const [question] = questionsOf(lead(5000));
    expect(question!.cause).toMatchObject({ code: 'laboratory', lot: F, analytes: ['Pb'] });
    expect(questionsOf(lead(1))).toEqual([]);
  });
});

test('nothing is followed on a site where nothing can have been found', () => {
  expect(mayHaveQuestions(BOARD, bookOf(SEASON).state)).toBe(false);
  expect(mayHaveQuestions(BOARD, bookOf([...SEASON, weeds]).state)).toBe(true);
});

describe('a thermometer that was found off', () => {
  const SITE = { name: 'Hopyard Corner', timeZone: 'Europe/London', unit: 'C' as const };
  /** Four days at 57 °C by one thermometer, which is checked in ice afterwards. */
  const read = (valueC: number, probe = 'T1') => {
    const log = logOf(DAY0, { method: 'static', rules: ['us-503-pfrp-static'] });
    log.put('built', {}, { at: DAY0 });
    for (let h = 1; h <= 100; h += 11)
      log.put(
        'round',
        {
          source: 'hand',
          readings: ['P1', 'P2', 'P3'].map((point) => ({
            ...{ id: newId(), at: new Date(at(h)).toISOString(), point, value: valueC },
            ...{ unit: 'C' as const, probe, round: `r${h}` },
          })),
        } as Extract<NewEntry, { kind: 'round' }>['data'],
        { at: at(h) },
      );
    return log;
  };
  const check = (hour: number, readC: number, probe = 'T1'): Entry =>
    ({
      ...entry('probe-check', { probe, referenceC: 0, readC, how: 'ice' }),
      at: at(hour),
    }) as Entry;
  const snapshotOf = (log: ReturnType<typeof read>, checks: readonly Entry[]) =>
    createBatchSnapshot(foldBatch(log.entries), SITE, foldSite(checks), at(120));
  const found = (valueC: number, checks: readonly Entry[]) =>
    snapshotOf(read(valueC), checks).checkDoubts;

  test('too high puts in doubt what would not be met: 57 read by one 4.2 too high is 52.8', () => {
    const [doubt, ...more] = found(57, [check(110, 4.2)]);
    expect(more).toEqual([]);
    expect(doubt).toMatchObject({ probe: 'T1', at: at(110), offK: 4.2, since: null });
    expect(doubt!.rules).toMatchObject([
      { rule: 'us-503-pfrp-static', wasMet: true, isMet: false },
    ]);
  });
  test('the verdict itself stays as it is: a check corrects what is read from then on', () => {
    const [before, after] = [
      snapshotOf(read(57), []).rules[0]!,
      snapshotOf(read(57), [check(110, 4.2)]).rules[0]!,
    ];
    expect(after.provenAt).toBe(before.provenAt);
    expect(after.provenAt).not.toBeNull();
  });
  test.each([
    ['hot enough all the same', 62, [check(110, 4.2)]],
    ['too low: it was hotter than it read', 57, [check(110, -4.2)]],
    ['within what is promised of a dial', 57, [check(110, 0.9)]],
    ['of another thermometer', 57, [check(110, 4.2, 'T9')]],
    ['before anything was read with it', 57, [check(-2, 4.2)]],
  ])('no doubt: %s', (_why, valueC, checks) => expect(found(valueC, checks)).toEqual([]));
  test('only what was read since the check before is in doubt', () => {
    const [doubt] = found(57, [check(60, 0), check(110, 4.2)]);
    expect(doubt).toMatchObject({ since: at(60) });
    // Met by hour 78 on readings of which those up to hour 60 stand.
    expect(doubt!.rules[0]!.wasMet).toBe(true);
    expect(found(57, [check(107, 0), check(110, 4.2)])).toEqual([]);
  });
  test('is one question for all batches that were read with it, and names what they have not met', () => {
    const [one, other, fine] = [read(57), read(57.5), read(63)].map((log) =>
      snapshotOf(log, [check(110, 4.2)]),
    );
    const [question, ...more] = questionsOf([], [one!, other!, fine!]);
    expect(more).toEqual([]);
    expect(question!.batches).toEqual([one!.id, other!.id]);
    expect(question!.cause).toMatchObject({
      code: 'thermometer',
      unmet: [{ batch: one!.id }, { batch: other!.id }],
    });
    expect(question!.since).toBe(at(110));
  });
  test('passes on to the lots that came of the batch', () => {
    const doubted = batchSnapshot({
      id: H,
      checkDoubts: [
        {
          ...{ probe: 'T1', at: NOW - MS.day, offK: 4.2, since: null },
          rules: [{ rule: 'eu-55-15d', wasMet: true, isMet: false, lostHours: 0 }],
        },
      ],
    });
    const [question] = questionsOf(SEASON, [doubted]);
    expect([...question!.lots].sort()).toEqual([C, F, V].sort());
  });
});

test('batches that nothing speaks of have no question', () => {
  const U = idOf(970) as string;
  const entries = [...SEASON, weeds, opened(U, 'U', 10 * 24)];
  const [question] = questionsOf(entries, [...BOARD, batchSnapshot({ id: U })]);
  expect(isAbout(question!, U)).toBe(false);
});
