import { z } from 'zod';

declare const brand: unique symbol;
type Branded<Name extends string> = string & { readonly [brand]: Name };

/** Id of an entry of the log: a UUID v7 that its writer made. */
export type EntryId = Branded<'entry'>;
/** Id of a batch, which is that of the entry that opened it. */
export type BatchId = Branded<'batch'>;
/** Id of a load, which is that of the entry that took it in. */
export type LoadId = Branded<'load'>;

/** Id of a lot that is no load and no batch: compost that cures, fines, overs, product. It is that of the entry that began it. */
export type LotId = Branded<'lot'>;

const UUID = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/i;
const isUuid = (text: string): boolean => UUID.test(text);

/** The batch that an address or a form names; null: no id at all. */
export const parseBatchId = (text: string): BatchId | null =>
  isUuid(text) ? (text as BatchId) : null;
/** The load that an address or a form names; null: no id at all. */
export const parseLoadId = (text: string): LoadId | null =>
  isUuid(text) ? (text as LoadId) : null;

/** The entry that a form or a program names; null: no id at all. */
export const parseEntryId = (text: string): EntryId | null =>
  isUuid(text) ? (text as EntryId) : null;
/** An id that a program made. @throws {RangeError} where it is none. */
export function requireEntryId(text: string): EntryId {
  const id = parseEntryId(text);
  if (id === null) throw new RangeError(`‘${text}’ is no id of an entry`);
  return id;
}

/** The id that an entry gives to what it begins. */
export const batchIdOf = (opened: { readonly id: EntryId }): BatchId =>
  opened.id as string as BatchId;
/** The same of a load. */
export const loadIdOf = (taken: { readonly id: EntryId }): LoadId => taken.id as string as LoadId;
/** The same of a lot. */
export const lotIdOf = (begun: { readonly id: EntryId }): LotId => begun.id as string as LotId;

// The same check as ever; only the type is narrower.
const idSchema = <Id extends string>() => z.uuid() as unknown as z.ZodType<Id, string>;
export const EntryIdSchema = idSchema<EntryId>();
export const BatchIdSchema = idSchema<BatchId>();
export const LoadIdSchema = idSchema<LoadId>();
export const LotIdSchema = idSchema<LotId>();
