import type { FaultCode } from '../words/log-fault';
import type { EntryId } from './ids';
import { GENESIS, sequenceOf, type Entry } from './entry';

/** What does not fit in a log, with the entry that it stands in. */
export type ChainFault = {
  readonly code: FaultCode;
  readonly seq: number;
  readonly id: string;
};
/** Whether two faults are the same one. */
export const isSameFault = (a: ChainFault, b: ChainFault): boolean =>
  a.code === b.code && a.seq === b.seq && a.id === b.id;

/** What a check of the chain needs to know beside the entries. */
type Checking = {
  /** Hash of an entry behind the one before it. */ hashOf(previous: string, entry: Entry): string;
  /** Whether this installation signed a hash; null: it has no key, and nothing can be said. */
  readonly isSigned: ((hash: string, signature: string) => boolean) | null;
  /** From which entry on all must be signed, as is remembered outside the database; absent: from the first signed one on. */
  readonly signedFrom?: number | null;
};
/** Where a walk begins: behind an entry that is known to be as it was. */
type WalkStart = { readonly hash: string };

/**
 * Walks a log entry by entry and names what does not fit. Entries from before there were numbers and signatures bear none. A walk
 * that begins in the middle checks hashes, times and signatures; numbers in sequences are counted from the start alone.
 */
export class ChainChecker {
  readonly faults: ChainFault[] = [];
  entries = 0;
  private previous: string;
  private recordedAt = -Infinity;
  private isSigned = false;
  private readonly ends = new Map<string, { n: number; hash: string; numbered: boolean }>();

  constructor(
    private readonly checking: Checking,
    private readonly start: WalkStart | null = null,
  ) {
    this.previous = start?.hash ?? GENESIS;
  }

  take(entry: Entry): void {
    this.entries += 1;
    if (this.checking.hashOf(this.previous, entry) !== entry.hash) this.fault('CHANGED', entry);
    if (entry.recordedAt < this.recordedAt && entry.own !== undefined)
      this.fault('TIME_RUNS_BACK', entry);
    if (this.start === null) this.checkSequence(entry);
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

  /** Whether an entry must be signed: from the mark on, or from the first signed one on. */
  private mustBeSigned({ seq }: Entry): boolean {
    const { signedFrom = null } = this.checking;
    return signedFrom === null ? this.isSigned : seq >= signedFrom;
  }

  private checkSignature(entry: Entry): void {
    const { signature } = entry;
    if (this.checking.isSigned === null) return;
    if (signature === null || signature === undefined) {
      if (this.mustBeSigned(entry)) this.fault('UNSIGNED', entry);
      return;
    }
    this.isSigned = true;
    if (!this.checking.isSigned(entry.hash, signature)) this.fault('OTHER_KEY', entry);
  }
}
