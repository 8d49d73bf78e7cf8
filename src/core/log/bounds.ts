import { z } from 'zod';
import { BOUNDS, type Bound, type BoundedQuantity } from '../units/bounds';
import { canonicalJson, getKindDescription, type NewEntry } from './entry';

/**
 * What an entry may hold when it comes in: numbers within the bounds of their quantity, a size, and so much of what the product has no
 * name for. Entries that the log holds from before are read all the same.
 */

/** An entry at most, bytes of its JSON. */
export const MOST_ENTRY_BYTES = 64_000;
/** Fields of an entry that the product has no name for, bytes of their JSON. */
export const MOST_UNKNOWN_BYTES = 4000;

/** The unit ends a field's name; the longer ending stands first. */
const ENDINGS: readonly (readonly [RegExp, BoundedQuantity])[] = [
  [/M3$/, 'volume'],
  [/M2$/, 'area'],
  [/Mm$/, 'mm'],
  [/Cm$/, 'cm'],
  [/Pct$|^pct$/, 'percent'],
  [/Hours$|^hours$|hoursPer[A-Z]/, 'hours'],
  [/Minutes$|^minutes/, 'minutes'],
  [/Days$/, 'days'],
  [/Ms$/, 'milliseconds'],
  [/[Ll]itres/, 'litres'],
  [/[a-z]L$/, 'litres'],
  [/[a-z]C$|^c$/, 'celsius'],
  [/[a-z]K$/, 'kelvin'],
  [/[a-z]M$/, 'length'],
  [/[a-z]S$/, 'seconds'],
];
/** Figures of a reading or of the air: their unit stands beside them. */
const WITH_UNIT = new Set(['value', 'high']);

/** The quantity of a number, by its name and by the unit beside it. */
export function quantityOfField(name: string, unit: unknown): BoundedQuantity {
  if (WITH_UNIT.has(name) && (unit === 'C' || unit === 'F'))
    return unit === 'C' ? 'celsius' : 'fahrenheit';
  return ENDINGS.find(([ending]) => ending.test(name))?.[1] ?? 'number';
}

/** What of an entry is out of bounds. */
export type BoundsFault =
  | {
      readonly code: 'number';
      readonly path: readonly PropertyKey[];
      readonly value: number;
      readonly bound: Bound;
    }
  | { readonly code: 'entry' | 'unknown'; readonly bytes: number; readonly most: number };

function findNumber(
  value: unknown,
  path: readonly PropertyKey[],
  name: string,
  unit: unknown,
): BoundsFault | null {
  if (typeof value === 'number') {
    const bound = BOUNDS[quantityOfField(name, unit)];
    const isWithin = value >= bound.least && value <= bound.most;
    return isWithin ? null : { code: 'number', path, value, bound };
  }
  if (value === null || typeof value !== 'object') return null;
  const own = (value as { unit?: unknown }).unit;
  for (const [key, part] of Object.entries(value)) {
    // Items of a list are of the list's name.
    const isItem = Array.isArray(value);
    const found = findNumber(part, [...path, isItem ? Number(key) : key], isItem ? name : key, own);
    if (found) return found;
  }
  return null;
}

/** Bytes of a value's JSON in UTF-8. */
function bytesOf(value: unknown): number {
  let bytes = 0;
  for (const letter of canonicalJson(value)) {
    const code = letter.codePointAt(0) ?? 0;
    bytes += code < 0x80 ? 1 : code < 0x800 ? 2 : code < 0x10000 ? 3 : 4;
  }
  return bytes;
}

/** How many bytes of a value stand in fields that a shape has no name for. */
function unknownBytes(shape: z.ZodType, value: unknown): number {
  if (value === null || typeof value !== 'object') return 0;
  if (
    shape instanceof z.ZodOptional ||
    shape instanceof z.ZodNullable ||
    shape instanceof z.ZodDefault
  )
    return unknownBytes(shape.unwrap() as z.ZodType, value);
  if (shape instanceof z.ZodArray && Array.isArray(value))
    return sum((value as unknown[]).map((item) => unknownBytes(shape.element as z.ZodType, item)));
  if (shape instanceof z.ZodUnion)
    return Math.min(
      ...(shape.options as readonly z.ZodType[]).map((option) => unknownBytes(option, value)),
    );
  if (!(shape instanceof z.ZodObject)) return 0;
  const named = shape.shape as Readonly<Record<string, z.ZodType>>;
  return sum(
    Object.entries(value as Readonly<Record<string, unknown>>).map(([key, part]) => {
      const known = named[key];
      return known ? unknownBytes(known, part) : bytesOf({ [key]: part });
    }),
  );
}
const sum = (values: readonly number[]): number => values.reduce((a, b) => a + b, 0);

/** What the door adds itself, or lets ride along with an entry of any kind. */
const RIDING = ['device', 'enteredBy'];

/** A block of readings out of a file, or a batch that is imported with all that its file says. */
const isBlock = (entry: NewEntry): boolean =>
  (entry.kind === 'round' && entry.data.source === 'file') ||
  (entry.kind === 'opened' && entry.data.brought !== undefined);

/** What of an entry is out of bounds; null: nothing. */
export function findBoundsFault(entry: NewEntry): BoundsFault | null {
  const number = findNumber(entry.data, ['data'], '', undefined);
  if (number) return number;
  // Nothing that a file holds is dropped, and the door bounds the file.
  if (isBlock(entry)) return null;
  const bytes = bytesOf(entry);
  if (bytes > MOST_ENTRY_BYTES) return { code: 'entry', bytes, most: MOST_ENTRY_BYTES };
  const own = Object.fromEntries(
    Object.entries(entry.data as object).filter(([k]) => !RIDING.includes(k)),
  ) as Record<string, unknown>;
  const unknown = unknownBytes(getKindDescription(entry.kind).schema, own);
  return unknown > MOST_UNKNOWN_BYTES
    ? { code: 'unknown', bytes: unknown, most: MOST_UNKNOWN_BYTES }
    : null;
}
