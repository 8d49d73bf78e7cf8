import fc from 'fast-check';
import { batchId, entryId } from '../../../tests/support/ids';
import { getKindDescription, type Entry, type EntryKind } from './entry';
import { inheritedFrom, kinshipOf, splitFromOf } from './lineage';

/** What a part that was carried off has of the batch that it came from, and the ties that a batch tells of. */
const [PARENT, PART] = [batchId('parent'), batchId('part')];
let seq = 0;
function entry(kind: EntryKind, at: number, data: object = {}, batch = PARENT): Entry {
  seq += 1;
  const id = entryId(`e${seq}`);
  return { id, batch, at, recordedAt: at, by: 'Mo', kind, data, seq, hash: '' } as unknown as Entry;
}
const correctionOf = (target: Entry, at: number, more: object = {}): Entry =>
  entry('correction', at, { target: target.id, reason: 'a slip', ...more });

/** Some work at a batch; a part of it is put right later. */
const pasts: fc.Arbitrary<readonly Entry[]> = fc
  .array(
    fc.record({
      kind: fc.constantFrom<EntryKind>(
        'round',
        'turn',
        'water',
        'addition',
        'built',
        'photo',
        'defer',
      ),
      at: fc.integer({ min: 0, max: 100 }),
      isPutRight: fc.boolean(),
    }),
    { maxLength: 30 },
  )
  .map((list) => {
    const work = list.map(({ kind, at }) => entry(kind, at));
    const right = list.flatMap((w, i) =>
      w.isPutRight ? [correctionOf(work[i]!, w.at + 150)] : [],
    );
    return [...work, ...right];
  });

test('a part has what had happened to the matter until it was carried off, and no more', () =>
  fc.assert(
    fc.property(pasts, fc.integer({ min: 0, max: 100 }), (past, at) => {
      const part = inheritedFrom(past, at);
      for (const e of part.filter((e) => e.kind !== 'correction')) {
        expect(e.at).toBeLessThanOrEqual(at);
        expect(getKindDescription(e.kind).inherited).toBe(true);
      }
      // In the order of the log, and each once.
      expect(part).toEqual(past.filter((e) => part.includes(e)));
    }),
    { numRuns: 200, seed: 20261130 },
  ));

test('what is put right of that past is put right for the part, whenever that was; of the future it is not', () =>
  fc.assert(
    fc.property(pasts, fc.integer({ min: 0, max: 100 }), (past, at) => {
      const part = new Set(inheritedFrom(past, at).map((e) => e.id));
      for (const e of past)
        if (e.kind === 'correction') expect(part.has(e.id)).toBe(part.has(e.data.target));
    }),
    { numRuns: 200, seed: 20261130 },
  ));

test('the later a part is carried off, the more of the past it has', () =>
  fc.assert(
    fc.property(
      pasts,
      fc.integer({ min: 0, max: 100 }),
      fc.integer({ min: 0, max: 100 }),
      (past, a, b) => {
        const [early, late] = [Math.min(a, b), Math.max(a, b)].map((at) => inheritedFrom(past, at));
        expect(late).toEqual(expect.arrayContaining(early!.map((e) => e)));
      },
    ),
    { numRuns: 100, seed: 20261130 },
  ));

test('a batch is built, or it says from which and when it was carried off', () => {
  const from = { batch: PARENT, at: 40 };
  expect(splitFromOf([entry('opened', 0, {}, PART)], PART)).toBeNull();
  expect(splitFromOf([entry('opened', 40, { splitFrom: from }, PART)], PART)).toEqual(from);
  // What it inherited holds the opening of another.
  expect(splitFromOf([entry('opened', 0, {}, PARENT)], PART)).toBeNull();
});

describe('ties', () => {
  const split = entry('split', 40, { to: PART, volumeM3: 0.5 });
  const acts: readonly Entry[] = [
    split,
    entry('merge', 50, { from: PART, withProven: true }),
    entry('merge', 51, { withProven: false }),
    entry('transfer', 60, { what: 'core', to: PART }),
    entry('transfer', 61, { what: 'core' }),
    entry('stack', 70, { layer: 'upper', with: PART }),
    entry('stack', 71, { layer: 'lower', with: PART }),
  ];
  test('each act is told by the end that it left, and only where the other end is known', () =>
    expect(kinshipOf(acts, PARENT)).toEqual([
      { kind: 'split', from: PARENT, to: PART, at: 40, m3: 0.5 },
      { kind: 'merge', from: PART, to: PARENT, at: 50, proven: true, m3: null },
      { kind: 'transfer', from: PARENT, to: PART, at: 60, what: 'core', litres: null },
      { kind: 'stack', from: PARENT, to: PART, at: 70 },
    ]));
  test('what another batch did, and what was struck, are none', () => {
    expect(kinshipOf(acts, PART)).toEqual([]);
    const struck = [...acts, correctionOf(split, 80)];
    expect(kinshipOf(struck, PARENT).map((k) => k.kind)).toEqual(['merge', 'transfer', 'stack']);
    // One reading of an entry that is put right leaves the entry standing.
    const read = [...acts, correctionOf(split, 80, { reading: 'r1', value: 50, unit: 'C' })];
    expect(kinshipOf(read, PARENT)).toHaveLength(4);
  });
});
