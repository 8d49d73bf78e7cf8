import type { BatchId, EntryId } from '@/core/log/ids';
import type { ColumnType, Generated, JSONColumnType } from 'kysely';
import type { MemberRole } from '@/core/log/entered-by';
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
  /** Hash of the batch's last entry when it was folded. */ last_hash: string | null;
  /** What shows that it was written by this installation; null: by one without a key. */ mac:
    string | null;
};

type PhotoTable = {
  sha256: string;
  site: string;
  bytes: Buffer;
  small: Buffer;
  /** The code over the small picture; null: it is from before there was one, or there is no key. */
  small_code: string | null;
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
  site: string;
  at: Stamp;
  ends: JSONColumnType<BatchEnds>;
};

/** Accounts and sessions are written by the library that keeps them; what is read of them here. */
type UserTable = {
  id: string;
  name: string;
  email: string;
  username: string | null;
  emailVerified: boolean;
  twoFactorEnabled: Generated<boolean | null>;
  createdAt: ColumnType<Date, Date | undefined, never>;
  updatedAt: ColumnType<Date, Date | undefined, Date>;
};
type SessionTable = { id: string; userId: string; expiresAt: Date };

type MemberTable = {
  site: string;
  person: string;
  role: MemberRole;
  /** The supplier or receiver whose share a partner sees. */ partner: string | null;
  since: Stamp;
  ended: Date | null;
  /** What a name asks for on a shared phone, as its hash; null: nothing. */
  pin_hash: Generated<string | null>;
};

/** Whom an invitation lets in. */
export type LetsIn = 'first' | 'person' | 'device' | 'password';
type InvitationTable = {
  id: string;
  token_hash: string;
  site: string | null;
  lets_in: LetsIn;
  role: MemberRole | null;
  name: string | null;
  partner: string | null;
  /** Whose password it gives anew. */ person: Generated<string | null>;
  made_by: string | null;
  made_at: Stamp;
  expires_at: Stamp;
  used_at: Date | null;
  withdrawn_at: Date | null;
};

/** What a key is for: a phone that logs, or a calendar that reads what is to be done. */
export type DevicePurpose = 'logging' | 'calendar';
type DeviceTable = {
  id: string;
  purpose: Generated<DevicePurpose>;
  site: string;
  name: string;
  token_hash: string;
  enrolled_by: string;
  enrolled_at: Stamp;
  last_seen_at: Date | null;
  revoked_at: Date | null;
  revoked_by: string | null;
};

/** Who has said their PIN on a shared phone: from then on it logs in their name. */
type DeviceHandTable = { site: string; device: string; person: string; since: Stamp };

/** The public half of a passkey of an account. */
type PasskeyTable = {
  id: string;
  person: string;
  name: string;
  public_key: Buffer;
  counter: string;
  transports: JSONColumnType<readonly string[]>;
  made_at: Stamp;
  used_at: Date | null;
};

/** The end of a log at a moment, as a service vouched for it. */
type TimeStampTable = {
  site: string;
  seq: string;
  hash: string;
  at: Stamp;
  service: string;
  token: Buffer;
};

type AuditEventTable = {
  id: string;
  site: string | null;
  at: Stamp;
  event: string;
  who: string | null;
  about: JSONColumnType<Record<string, unknown>>;
  /** Number in the sequence of its site, and the code over both; null: it is from before there was one. */
  n: ColumnType<string | null, number, number | null>;
  code: string | null;
};

export type Database = {
  user: UserTable;
  session: SessionTable;
  member: MemberTable;
  invitation: InvitationTable;
  device: DeviceTable;
  device_hand: DeviceHandTable;
  audit_event: AuditEventTable;
  time_stamp: TimeStampTable;
  passkey: PasskeyTable;
  site: SiteTable;
  log_entry: LogEntryTable;
  batch_snapshot: BatchSnapshotTable;
  photo: PhotoTable;
  rate_count: RateCountTable;
  chain_check: ChainCheckTable;
  inspector_visit: InspectorVisitTable;
};
