import type { EntryId } from './ids';
import { GENESIS, sequenceOf, type Entry } from './entry';

/** What does not fit in a log, with the entry that it stands in. */
export type ChainFault = {
  readonly code:
    | 'CHANGED'
    | 'OUT_OF_SEQUENCE'
    | 'TIME_RUNS_BACK'
    | 'UNSIGNED'
    | 'OTHER_KEY'
    | 'PHOTO_CHANGED'
    | 'PHOTO_MISSING'
    | 'SNAPSHOT_DIFFERS'
    | 'SITE_CHANGED';
  readonly seq: number;
  readonly id: string;
};

/** What a check of the chain needs to know beside the entries. */
type Checking = {
  /** Hash of an entry behind the one before it. */ hashOf(previous: string, entry: Entry): string;
  /** Whether this installation signed a hash; null: it has no key, and nothing can be said. */
  readonly isSigned: ((hash: string, signature: string) => boolean) | null;
};

/** Walks a log entry by entry and names what does not fit. Entries from before there were numbers and signatures bear none. */
export class ChainChecker {
  readonly faults: ChainFault[] = [];
  entries = 0;
  private previous = GENESIS;
  private recordedAt = -Infinity;
  private isSigned = false;
  private readonly ends = new Map<string, { n: number; hash: string; numbered: boolean }>();

  constructor(private readonly checking: Checking) {}

  take(entry: Entry): void {
    this.entries += 1;
    if (this.checking.hashOf(this.previous, entry) !== entry.hash) this.fault('CHANGED', entry);
    if (entry.recordedAt < this.recordedAt && entry.own !== undefined)
      this.fault('TIME_RUNS_BACK', entry);
    this.checkSequence(entry);
    this.checkSignature(entry);
    this.previous = entry.hash;
    this.recordedAt = Math.max(this.recordedAt, entry.recordedAt);
  }

  private fault(code: ChainFault['code'], { seq, id }: { seq: number; id: EntryId }): void {
    this.faults.push({ code, seq, id });
  }

  private checkSequence(entry: Entry): void {
    const key = sequenceOf(entry);
    const end = this.ends.get(key) ?? { n: 0, hash: GENESIS, numbered: false };
    const { own } = entry;
    const fits = own === undefined ? !end.numbered : own.n === end.n + 1 && own.prev === end.hash;
    if (!fits) this.fault('OUT_OF_SEQUENCE', entry);
    this.ends.set(key, { n: end.n + 1, hash: entry.hash, numbered: own !== undefined });
  }

  /** From the first signed entry on all are. */
  private checkSignature(entry: Entry): void {
    const { signature } = entry;
    if (this.checking.isSigned === null) return;
    if (signature === null || signature === undefined) {
      if (this.isSigned) this.fault('UNSIGNED', entry);
      return;
    }
    this.isSigned = true;
    if (!this.checking.isSigned(entry.hash, signature)) this.fault('OTHER_KEY', entry);
  }
}
