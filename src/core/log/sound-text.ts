/**
 * Texts as they may stand in the log: what is hashed must be what is stored, and PostgreSQL keeps neither a NUL character nor
 * half of a pair that makes one character.
 */
export type TextFault = {
  readonly path: readonly (string | number)[];
  readonly fault: 'nul' | 'half';
};

const HALF = /[\uD800-\uDBFF](?![\uDC00-\uDFFF])|(?<![\uD800-\uDBFF])[\uDC00-\uDFFF]/;

const faultOf = (text: string): TextFault['fault'] | null =>
  text.includes('\u0000') ? 'nul' : HALF.test(text) ? 'half' : null;

/** The first text in a JSON value that cannot be kept, keys included; null: all can. */
export function textFault(
  value: unknown,
  path: readonly (string | number)[] = [],
): TextFault | null {
  if (typeof value === 'string') {
    const fault = faultOf(value);
    return fault ? { path, fault } : null;
  }
  if (Array.isArray(value)) {
    for (const [i, item] of value.entries()) {
      const found = textFault(item, [...path, i]);
      if (found) return found;
    }
    return null;
  }
  if (value === null || typeof value !== 'object') return null;
  for (const [key, item] of Object.entries(value)) {
    const found = textFault(key, path) ?? textFault(item, [...path, key]);
    if (found) return found;
  }
  return null;
}

/** Every text of a JSON value in the composed form (Unicode NFC): the same word typed on two phones is the same word. */
export function normalizeTexts<T>(value: T): T {
  if (typeof value === 'string') return value.normalize('NFC') as T;
  if (Array.isArray(value)) return value.map(normalizeTexts) as T;
  if (value === null || typeof value !== 'object') return value;
  return Object.fromEntries(
    Object.entries(value).map(([key, item]) => [key, normalizeTexts(item)]),
  ) as T;
}
