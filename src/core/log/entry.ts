import { z } from 'zod';
import type { BatchId, EntryId } from './ids';
import { UNIT_SYSTEMS } from '../units/units';
import { isoOf, MS, type Instant } from '../quantity/instant';
import { ENTRY_KIND_REGISTRY } from './kinds';
import type {
  EntryKindDescription,
  EntryMark,
  FileEventType,
  LogContext,
  LogText,
  RecordContext,
} from './kinds/kind';
import { firstOf } from '../quantity/present';

export * from './kinds/vocabulary';

/**
 * What happened to a heap or on a site, one typed record each. An entry is never changed: see `correction`. What the core knows
 * of each kind stands in `kinds/`; the lists here are derived from it.
 */
type Registry = typeof ENTRY_KIND_REGISTRY;
export type EntryKind = keyof Registry;
export type DataOf<K extends EntryKind> = z.output<Registry[K]['schema']>;
/** Kinds of whose description a field has one of these values. */
type KindsWith<F extends keyof EntryKindDescription, V> = {
  [K in EntryKind]: Registry[K][F] extends V ? K : never;
}[EntryKind];

export const ENTRY_KINDS = Object.keys(ENTRY_KIND_REGISTRY) as [EntryKind, ...EntryKind[]];
/** What is known of a kind: the one that its data fit. */
export const getKindDescription = (kind: EntryKind): EntryKindDescription =>
  ENTRY_KIND_REGISTRY[kind];
const kindsThat = (test: (d: EntryKindDescription) => boolean): readonly EntryKind[] =>
  ENTRY_KINDS.filter((kind) => test(getKindDescription(kind)));

/** Kinds that speak of one batch. */
export type BatchKind = KindsWith<'scope', 'batch'>;
/** Kinds whose time, amount and kind can be put right; the others are struck and logged anew. */
export type InPlaceKind = KindsWith<'correction', 'in-place'>;
/** Whether an entry of a kind can be put right in its parts. */
export const isCorrectedInPlace = (kind: EntryKind): kind is InPlaceKind =>
  getKindDescription(kind).correction === 'in-place';
/** Kinds that can be struck out. */
export const isCorrectable = (kind: EntryKind): boolean =>
  getKindDescription(kind).correction !== 'none';
/** Kinds that speak of the whole site, not of one batch. */
export const SITE_KINDS = kindsThat((d) => d.scope !== 'batch');
/** Those of the site's kinds that no verdict and no advice about a heap looks at. */
export const STORE_KINDS = kindsThat((d) => d.scope === 'store' || d.scope === 'lots');
/** What the store is folded from: its own kinds, and what went out of it into heaps. */
export const STORE_LOG = kindsThat((d) => d.scope === 'store' || d.drawsOnStore === true);
/** What lots, the flows between them and their totals are read from: their own kinds, the store's, what moves matter of batches, and work. */
export const LOT_LOG = kindsThat(
  (d) =>
    d.scope === 'store' ||
    d.scope === 'lots' ||
    [d.drawsOnStore, d.movesMatter, d.bearsWork].includes(true),
);
/** Kinds that a batch file carries as events. */
export type FileEventKind = Exclude<EntryKind, KindsWith<'fileEvent', null>>;
/** Whether a batch file carries a kind as an event. */
export const isFileEvent = (kind: EntryKind): kind is FileEventKind =>
  getKindDescription(kind).fileEvent !== null;

/** The kind that an event of a batch file stands for. @param was what a note says that it was here */
export function kindOfFileEvent(type: FileEventType, was?: unknown): FileEventKind {
  const kinds = ENTRY_KINDS.filter(isFileEvent).filter(
    (k) => getKindDescription(k).fileEvent === type,
  );
  return kinds.find((k) => k === was) ?? kinds.find((k) => k === type) ?? firstOf(kinds);
}

/** How an entry is told in a log. */
export const tellEntry = (e: NewEntry, context: LogContext): LogText & { mark: EntryMark } => ({
  mark: getKindDescription(e.kind).mark,
  ...getKindDescription(e.kind).tell(e.data, context),
});
/** How the printed record tells an entry among the works; null: it stands elsewhere there. */
export const recordEntry = (e: NewEntry, context: RecordContext): string | null =>
  getKindDescription(e.kind).record(e.data, context);

/** What the phone that wrote an entry says of itself; it rides in the entry's data. */
export const DeviceSchema = z.looseObject({
  /** When it was typed in, by the phone's clock put right. */
  enteredAt: z.string(),
  /** How far that clock was ahead of the hub's when last compared, ms; the entry's times have it taken off. */
  clockAheadMs: z.number().optional(),
  /** What its forms were typed in, where that is not metric: the log holds metres, litres and kilograms, this gives back what was typed. */
  units: z.enum(UNIT_SYSTEMS).optional(),
  /** The site whose page it was typed on; absent: devices knew of one site alone. */
  site: z.string().optional(),
  /** Who had signed in on that page, or whose shared phone it was; absent: devices did not say. */
  person: z.looseObject({ id: z.string(), name: z.string() }).optional(),
  phone: z.looseObject({ id: z.string(), name: z.string() }).optional(),
  /** Somebody else sends what waits here, by a press that names both: the id of their account. */
  handedTo: z.string().optional(),
});
/** Clocks that differ by less are the same clock. */
export const CLOCK_TOLERANCE_MS = 2 * MS.minute;
/** What the phone that wrote an entry says of itself; null: nothing. */
export const deviceOf = (data: object): z.output<typeof DeviceSchema> | null =>
  DeviceSchema.safeParse((data as { device?: unknown }).device).data ?? null;

type EntryOf<K extends EntryKind> = {
  /** UUID v7, made by the writer: writing it twice is answered as done, once. */
  readonly id: EntryId;
  readonly batch: BatchId | null;
  /** When it happened. */
  readonly at: Instant;
  readonly by: string;
  readonly kind: K;
  readonly data: DataOf<K>;
};
export type NewEntry = { [K in EntryKind]: EntryOf<K> }[EntryKind];
/** An entry's place in the sequence of its own: its number, and the hash of the entry before it there. */
export type OwnLink = { readonly n: number; readonly prev: string };
/** An entry as the log holds it. */
export type Entry = NewEntry & {
  readonly seq: number;
  readonly recordedAt: Instant;
  readonly hash: string;
  /** Absent: it was written before entries had numbers of their own. */
  readonly own?: OwnLink | undefined;
  /** The installation's signature over its hash; null or absent: there was no key. */
  readonly signature?: string | null | undefined;
};

/** Whether an entry stands in the sequence of the site, which batch files rest on. */
export const isSiteSequence = (e: {
  readonly batch: string | null;
  readonly kind: string;
}): boolean => e.batch === null && !(STORE_KINDS as readonly string[]).includes(e.kind);
/** The sequence that an entry is numbered in: its batch's, the site's, or that of what lies in store and cures. */
export const sequenceOf = (e: { readonly batch: string | null; readonly kind: string }): string =>
  e.batch ?? (isSiteSequence(e) ? 'site' : 'store');

/** The canonical text of a JSON value: keys sorted by code unit at every level, no white space. What the log's hash is taken over. */
export function canonicalJson(value: unknown): string {
  if (Array.isArray(value)) return `[${value.map(canonicalJson).join(',')}]`;
  if (value !== null && typeof value === 'object') {
    const fields = Object.entries(value)
      .filter(([, v]) => v !== undefined)
      .sort(([a], [b]) => (a < b ? -1 : 1));
    return `{${fields.map(([k, v]) => `${JSON.stringify(k)}:${canonicalJson(v)}`).join(',')}}`;
  }
  return JSON.stringify(value ?? null);
}

/** What the chain's first entry is hashed with. */
export const GENESIS = '0'.repeat(64);

/** The text that an entry's hash is taken over, behind the hash of the entry before it. */
export const chainText = (
  site: string,
  {
    id,
    batch,
    at,
    recordedAt,
    by,
    kind,
    data,
    own,
  }: Pick<Entry, 'id' | 'batch' | 'at' | 'recordedAt' | 'by' | 'kind' | 'data' | 'own'>,
): string =>
  canonicalJson({
    ...{ id, site, batch, at: isoOf(at), recordedAt: isoOf(recordedAt), by, kind, data },
    ...(own === undefined ? {} : { own: { n: own.n, prev: own.prev } }),
  });
