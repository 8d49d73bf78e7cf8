import fc from 'fast-check';
import { batchId, entryId } from '../../../tests/support/ids';
import { isoOf } from '../quantity/instant';
import { canonicalJson, type Entry } from './entry';
import { foldBatch, type BatchState } from './fold';
import type { BatchId } from './ids';
import { findTouched, inheritedFrom, splitFromOf, type Heir } from './lineage';

/**
 * Which batches an entry changes, compared with folding all of them with and without it. Random acts at several batches, of which parts
 * are carried off; rounds that come late; what is put right or checked long afterwards.
 */
const H = 3_600_000;
const START = Date.UTC(2026, 4, 18);
type Act =
  | {
      readonly kind: 'round';
      readonly on: number;
      readonly hour: number;
      readonly isTrainee: boolean;
    }
  | {
      readonly kind: 'turn' | 'note' | 'position' | 'terms';
      readonly on: number;
      readonly hour: number;
    }
  | { readonly kind: 'split'; readonly on: number; readonly hour: number }
  | { readonly kind: 'correction' | 'entry-check'; readonly of: number };

const act: fc.Arbitrary<Act> = fc.oneof(
  {
    weight: 4,
    arbitrary: fc.record({
      kind: fc.constant('round' as const),
      on: fc.nat(5),
      hour: fc.integer({ min: 0, max: 60 }),
      isTrainee: fc.boolean(),
    }),
  },
  {
    weight: 3,
    arbitrary: fc.record({
      kind: fc.constantFrom('turn', 'note', 'position', 'terms'),
      on: fc.nat(5),
      hour: fc.integer({ min: 0, max: 60 }),
    }),
  },
  {
    weight: 2,
    arbitrary: fc.record({
      kind: fc.constant('split' as const),
      on: fc.nat(5),
      hour: fc.integer({ min: 0, max: 60 }),
    }),
  },
  {
    weight: 2,
    arbitrary: fc.record({
      kind: fc.constantFrom('correction', 'entry-check'),
      of: fc.nat(30),
    }),
  },
);

/** A log in the making: batches, and entries in the order in which the server took them. */
class Site {
  readonly entries: Entry[] = [];
  readonly batches: BatchId[] = [];
  private n = 0;

  constructor() {
    this.open(START, {});
    this.open(START, {});
  }
  private open(at: number, more: object): void {
    const id = `batch-${this.batches.length + 1}`;
    this.batches.push(batchId(id));
    const points = [{ id: 'P1' }, { id: 'P2' }];
    const data = {
      code: id,
      method: 'turned',
      points,
      policy: {},
      rules: [],
      ownRules: [],
      ...more,
    };
    this.put('opened', batchId(id), at, data, id);
  }
  private put(kind: string, batch: BatchId, at: number, data: object, id?: string): void {
    this.n += 1;
    const taken = { seq: this.n, recordedAt: START + (100 + this.n) * H, hash: '' };
    const entry = { id: entryId(id ?? `e${this.n}`), batch, at, by: 'Jo', kind, data, ...taken };
    this.entries.push(entry as unknown as Entry);
  }
  /** Logs an act. @returns the entry that can change something; null: the act says nothing here */
  log(a: Act): Entry | null {
    const before = this.entries.length;
    if ('of' in a) this.speakOf(a.kind, this.entries[a.of % this.entries.length]!);
    else this.work(a);
    return this.entries.length > before ? this.entries.at(-1)! : null;
  }
  private speakOf(kind: string, target: Entry): void {
    if (target.kind === 'opened' || target.batch === null) return;
    this.put(kind, target.batch, START + 99 * H, { target: target.id, reason: 'a slip' });
  }
  private work(a: Exclude<Act, { of: number }>): void {
    const batch = this.batches[a.on % this.batches.length]!;
    const at = START + a.hour * H;
    if (a.kind === 'split') this.open(at, { splitFrom: { batch, at } });
    else this.put(a.kind, batch, at, this.dataOf(a, at));
  }
  private dataOf(a: Exclude<Act, { of: number }>, at: number): object {
    switch (a.kind) {
      case 'round': {
        const readings = ['P1', 'P2'].map((point, i) => {
          const reading = { id: `r${this.n}.${i}`, at: isoOf(at + i * H), point };
          return { ...reading, value: 50 + i, unit: 'C' };
        });
        const enteredBy = { person: 'p', name: 'Jo', role: 'trainee' };
        return { source: 'hand', readings, ...(a.isTrainee ? { enteredBy } : {}) };
      }
      case 'turn':
        return { full: true };
      case 'position':
        return { position: { bay: String(a.hour) } };
      case 'terms':
        return { policy: {}, rules: [], ownRules: [] };
      default:
        return { words: 'words' };
    }
  }
  private ofBatch(batch: BatchId): Entry[] {
    const own = this.entries.filter((e) => e.batch === batch);
    const from = splitFromOf(own, batch);
    return from === null
      ? own
      : [...inheritedFrom(this.ofBatch(from.batch), from.at), ...own].sort((a, b) => a.seq - b.seq);
  }
  /** What each batch folds to, before a moment or in all. */
  folded(): Map<BatchId, BatchState> {
    return new Map(this.batches.map((b) => [b, foldBatch(this.ofBatch(b))]));
  }
  heirsOf = (batch: BatchId): Promise<readonly Heir[]> =>
    Promise.resolve(
      this.entries.flatMap((e) =>
        e.kind === 'opened' && e.data.splitFrom?.batch === batch
          ? [{ batch: e.batch!, at: e.data.splitFrom.at }]
          : [],
      ),
    );
}

const textOf = (value: unknown): string =>
  canonicalJson(
    JSON.parse(
      JSON.stringify(value, (_key, v: unknown) =>
        v instanceof Map ? [...v.entries()] : v instanceof Set ? [...v] : v,
      ),
    ),
  );
/** Readings and events of a batch before a moment. */
const before = ({ readings, events, toCheck }: BatchState, from: number): string => {
  const early = readings.filter((r) => r.time < from);
  const ids = new Set(early.map((r) => r.entry));
  const doubted = [...toCheck].filter((id) => ids.has(id));
  return textOf([early, events.filter((e) => e.at < from), doubted]);
};

test('every batch that folds otherwise is among those touched, and not before the moment that is told', () =>
  fc.assert(
    fc.asyncProperty(fc.array(act, { minLength: 5, maxLength: 25 }), async (acts) => {
      const site = new Site();
      for (const a of acts) {
        const was = site.folded();
        const entry = site.log(a);
        if (!entry) continue;
        const touched = await findTouched({ ...entry, batch: entry.batch! }, site.heirsOf);
        const from = new Map(touched.map((t) => [t.batch, t.from]));
        for (const [batch, state] of site.folded()) {
          const old = was.get(batch);
          if (old && textOf(old) !== textOf(state)) expect([...from.keys()]).toContain(batch);
          if (old && from.has(batch))
            expect(before(state, from.get(batch)!)).toBe(before(old, from.get(batch)!));
        }
      }
    }),
    { numRuns: 120, seed: 20261201 },
  ));

test('a round of before the split that comes late folds the part as well, and parts of the part', async () => {
  const site = new Site();
  site.log({ kind: 'split', on: 0, hour: 20 });
  site.log({ kind: 'split', on: 2, hour: 30 });
  const early = site.log({ kind: 'round', on: 0, hour: 10, isTrainee: false })!;
  const batches = async (e: Entry): Promise<string[]> =>
    (await findTouched({ ...e, batch: e.batch! }, site.heirsOf)).map((t) => t.batch);
  expect(await batches(early)).toEqual(['batch-1', 'batch-3', 'batch-4']);
  const late = site.log({ kind: 'round', on: 0, hour: 25, isTrainee: false })!;
  expect(await batches(late)).toEqual(['batch-1']);
});
