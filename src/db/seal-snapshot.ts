import { timingSafeEqual } from 'node:crypto';
import { canonicalJson } from '@/core/log/entry';
import { codeOver } from './derived-code';

/** A row of a snapshot as far as it is sealed. */
export type SnapshotRow = {
  readonly site: string;
  readonly batch: string;
  /** Its text, as it was written. */ readonly digest: string;
  readonly recheck_at: Date | null;
  readonly probes: readonly string[];
  readonly core_c: number | null;
  /** Hash of the batch's last entry when it was folded; null: it was folded before this was kept. */
  readonly last_hash: string | null;
};

/** Another form of snapshots gets another number: older ones are folded anew. */
const VERSION = 1;

/** The code over a row, by a key derived from the installation's; null: there is no key. */
export function sealSnapshot({ digest, ...row }: SnapshotRow): string | null {
  const facts = { ...row, recheck_at: row.recheck_at?.toISOString() ?? null, version: VERSION };
  return codeOver('derived', `${canonicalJson(facts)}\n${digest}`);
}

/** Whether a row is as this installation wrote it, at the entry that its batch ends with now. @param lastHash of that entry */
export function isAsSealed(row: SnapshotRow, mac: string | null, lastHash: string | null): boolean {
  const sealed = sealSnapshot(row);
  if (sealed === null) return true;
  return (
    mac?.length === sealed.length &&
    timingSafeEqual(Buffer.from(mac), Buffer.from(sealed)) &&
    row.last_hash === lastHash
  );
}
