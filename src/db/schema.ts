import type { BatchId, EntryId } from '@/core/log/ids';
import type { ColumnType, Generated, JSONColumnType } from 'kysely';
import type { ChainFault } from '@/core/log/chain';
import type { BatchSnapshot } from '@/core/snapshot/batch-snapshot';

type Stamp = ColumnType<Date, Date, never>;

type SiteTable = {
  id: string;
  name: string;
  time_zone: string;
  language: Generated<string>;
  unit: 'C' | 'F';
  units: Generated<string>;
  demo_until: Date | null;
  /** The installation's signature over what the site calls itself. */ sealed: string | null;
};

export type LogEntryTable = {
  seq: Generated<string>;
  id: EntryId;
  site: string;
  batch: BatchId | null;
  at: Stamp;
  recorded_at: Stamp;
  by: string;
  kind: string;
  data: JSONColumnType<Record<string, unknown>>;
  hash: string;
  own_n: number | null;
  own_prev: string | null;
  signature: string | null;
};

type ChainCheckTable = {
  site: string;
  at: Stamp;
  faults: JSONColumnType<readonly ChainFault[]>;
  entries: number;
};

type BatchSnapshotTable = {
  batch: BatchId;
  site: string;
  digest: JSONColumnType<BatchSnapshot>;
  recheck_at: Date | null;
  /** Thermometers that it was read with. */ probes: string[];
  /** Core at the last round, °C; null: never read. */ core_c: number | null;
};

type PhotoTable = {
  sha256: string;
  site: string;
  bytes: Buffer;
  small: Buffer;
  width: number;
  height: number;
  recorded_at: Stamp;
};

type RateCountTable = {
  door: string;
  address: string;
  since: Stamp;
  n: number;
};

/** Number and hash of the last entry of each batch. */
export type BatchEnds = Readonly<Record<string, { readonly n: number; readonly hash: string }>>;
type InspectorVisitTable = {
  link: string;
  at: Stamp;
  ends: JSONColumnType<BatchEnds>;
};

export type Database = {
  site: SiteTable;
  log_entry: LogEntryTable;
  batch_snapshot: BatchSnapshotTable;
  photo: PhotoTable;
  rate_count: RateCountTable;
  chain_check: ChainCheckTable;
  inspector_visit: InspectorVisitTable;
};
