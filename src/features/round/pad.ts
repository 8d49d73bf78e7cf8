/** What the keys of the pad make of a text. */

export type Key = '0' | '1' | '2' | '3' | '4' | '5' | '6' | '7' | '8' | '9' | '.' | '-' | 'back';
const MAX_DIGITS = 6;

/** The text after a key: one point, one sign in front, at most six signs. */
export function appendKey(text: string, key: Key): string {
  if (key === 'back') return text.slice(0, -1);
  if (key === '-') return text.startsWith('-') ? text.slice(1) : `-${text}`;
  if (key === '.' && (text.includes('.') || text.includes(','))) return text;
  return text.length >= MAX_DIGITS ? text : text + key;
}

/** The number that a text says; null: none. A comma is a point. */
export function numberIn(text: string): number | null {
  const plain = text.trim().replace(',', '.').replace('−', '-');
  if (!/^-?(\d+\.?\d*|\.\d+)$/.test(plain)) return null;
  return Number(plain);
}

/** Two ends of a range in one text: `55-59`, `55 to 59`; null: it is none. */
export function rangeIn(text: string): { low: number; high: number } | null {
  const m = /^\s*(-?[\d.,]+)\s*(?:-|–|to|…)\s*(-?[\d.,]+)\s*$/i.exec(text);
  const [low, high] = [numberIn(m?.[1] ?? ''), numberIn(m?.[2] ?? '')];
  return low !== null && high !== null && high > low ? { low, high } : null;
}
