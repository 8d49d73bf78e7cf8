import fc from 'fast-check';
import { entryId } from '../../../tests/support/ids';
import { sha256 } from '../../../tests/support/sha256';
import { ChainChecker, type ChainFault } from './chain';
import { chainText, GENESIS, sequenceOf, type Entry } from './entry';

/** Logs of several batches, the site and its store, as the server would write them; and what somebody does to them afterwards. */
const SITE = 'site-1';
const DAY0 = Date.UTC(2026, 4, 18);
const sign = (hash: string): string => sha256(`key of this installation ${hash}`);

type Planned = { readonly batch: string | null; readonly kind: string; readonly value: number };
const planned: fc.Arbitrary<readonly Planned[]> = fc.array(
  fc.oneof(
    fc.record({
      batch: fc.constantFrom('batch-a', 'batch-b', 'batch-c'),
      kind: fc.constantFrom('ambient', 'squeeze'),
      value: fc.integer({ min: -20, max: 80 }),
    }),
    fc.record({
      batch: fc.constant(null),
      kind: fc.constantFrom('ambient', 'load'),
      value: fc.integer({ min: -20, max: 80 }),
    }),
  ),
  { minLength: 4, maxLength: 40 },
);

type Link = Pick<Entry, 'id' | 'batch' | 'at' | 'recordedAt' | 'by' | 'kind' | 'data'>;
/** Hashes and numbers entries in their order, signing each with whatever key is at hand. */
function chain(links: readonly Link[], withKey: (hash: string) => string | null): Entry[] {
  const ends = new Map<string, { n: number; hash: string }>();
  let prev = GENESIS;
  return links.map((link, i) => {
    const end = ends.get(sequenceOf(link)) ?? { n: 0, hash: GENESIS };
    const own = { n: end.n + 1, prev: end.hash };
    const entry = { ...link, own, seq: i + 1 } as Entry;
    const hash = sha256(prev + chainText(SITE, entry));
    ends.set(sequenceOf(link), { n: own.n, hash });
    prev = hash;
    return { ...entry, hash, signature: withKey(hash) };
  });
}
const written = (plan: readonly Planned[]): Entry[] =>
  chain(
    plan.map(({ batch, kind, value }, i) => {
      const at = DAY0 + i * 60_000;
      const id = entryId(`entry-${i + 1}`);
      const data = { value, unit: 'C' };
      return { id, batch, at, recordedAt: at, by: 'Jo', kind, data } as unknown as Link;
    }),
    sign,
  );

/** @param knowsKey whether this installation has its key, or can say nothing of signatures */
function faultsOf(log: readonly Entry[], knowsKey = true): readonly ChainFault[] {
  const checker = new ChainChecker({
    hashOf: (previous, entry) => sha256(previous + chainText(SITE, entry)),
    isSigned: knowsKey ? (hash, signature) => sign(hash) === signature : null,
  });
  for (const entry of log) checker.take(entry);
  return checker.faults;
}
const codes = (log: readonly Entry[], knowsKey = true): Set<ChainFault['code']> =>
  new Set(faultsOf(log, knowsKey).map((f) => f.code));

/** A log, and a place in it that is not its end. */
const logAndPlace = planned.chain((plan) =>
  fc.record({ log: fc.constant(written(plan)), i: fc.nat({ max: plan.length - 2 }) }),
);
const check = (property: (log: Entry[], i: number) => void): void =>
  fc.assert(
    fc.property(logAndPlace, ({ log, i }) => property(log, i)),
    { numRuns: 150, seed: 20261130 },
  );

test('a log as it was written has no fault, and neither has its start', () =>
  check((log, i) => {
    expect(faultsOf(log)).toEqual([]);
    expect(faultsOf(log.slice(0, i + 1))).toEqual([]);
  }));

test.each<[string, (e: Entry) => Entry]>([
  ['its value', (e) => ({ ...e, data: { value: 99, unit: 'C' } }) as Entry],
  ['its time', (e) => ({ ...e, at: e.at + 1 })],
  ['when it was logged', (e) => ({ ...e, recordedAt: e.recordedAt - 1 })],
  ['who logged it', (e) => ({ ...e, by: 'Mo' })],
  ['its kind', (e) => ({ ...e, kind: 'turn' }) as unknown as Entry],
  ['its batch', (e) => ({ ...e, batch: 'batch-z' }) as unknown as Entry],
  ['its id', (e) => ({ ...e, id: entryId('another') })],
])('one entry is changed: %s. The fault names it', (_what, change) =>
  check((log, i) => {
    const edited = log.with(i, change(log[i]!));
    expect(faultsOf(edited)).toContainEqual(
      expect.objectContaining({ code: 'CHANGED', seq: log[i]!.seq }),
    );
  }),
);

test('an entry is taken out, put in twice, or changes places with the next', () =>
  check((log, i) => {
    const [here, next] = [log[i]!, log[i + 1]!];
    expect(codes(log.toSpliced(i, 1))).toContain('CHANGED');
    expect(codes(log.toSpliced(i, 0, here))).toContain('CHANGED');
    expect(codes(log.with(i, next).with(i + 1, here))).toContain('CHANGED');
  }));

test('the rest is joined up again after an entry was taken out: hashes fit, signatures do not', () =>
  check((log, i) => {
    const rest = log.toSpliced(i, 1).map((e) => ({ ...e }));
    const known = new Map(log.map((e) => [e.hash, e.signature]));
    // Whoever has the database and not the key keeps the signatures that still fit.
    const joined = chain(rest, (hash) => known.get(hash) ?? sha256(`a guess ${hash}`));
    expect(codes(joined)).toEqual(new Set(['OTHER_KEY']));
    expect(Math.min(...faultsOf(joined).map((f) => f.seq))).toBe(i + 1);
    // With no key at hand that cannot be seen: hashes alone are made anew by anybody.
    expect(codes(joined, false)).toEqual(new Set());
  }));

test('signatures are taken off: from the first signed entry on all must be', () =>
  check((log, i) => {
    const bare = log.map((e, n) => (n > i ? { ...e, signature: null } : e));
    expect(codes(bare)).toEqual(new Set(['UNSIGNED']));
    // Entries from before there was a key bear none, and that is no fault.
    expect(codes(log.map((e, n) => (n <= i ? { ...e, signature: null } : e)))).toEqual(new Set());
  }));

test('an entry is numbered again, or said to have been logged before the one in front of it', () =>
  check((log, i) => {
    const { own, recordedAt } = log[i + 1]!;
    const numbered = { ...log[i + 1]!, own: { n: own!.n + 1, prev: own!.prev } };
    expect(codes(log.with(i + 1, numbered))).toContain('OUT_OF_SEQUENCE');
    const early = { ...log[i + 1]!, recordedAt: recordedAt - 120_000 };
    expect(codes(log.with(i + 1, early))).toContain('TIME_RUNS_BACK');
  }));

test('the end is cut off: the chain cannot see that, which is why its ends are witnessed', () =>
  check((log, i) => {
    const cut = log.slice(0, i + 1);
    expect(faultsOf(cut)).toEqual([]);
    expect(cut.at(-1)!.hash).not.toBe(log.at(-1)!.hash);
  }));
