/**
 * How much each address takes, bytes. The one list: the guard before every address refuses by it, the server buffers as much, and each
 * door reads no more.
 */
export const BODY_LIMITS = {
  /** Half a million readings are about this large. */ '/api/bring': 80_000_000,
  /** A phone sends pictures that it has made smaller already. */ '/api/photo': 12_000_000,
  '/api/log': 4_000_000,
} as const;
export const MOST_BODY_BYTES = Math.max(...Object.values(BODY_LIMITS));
/** What a form asks before it is sent: an entry with all that is typed. */
export const MOST_QUESTION_BYTES = 100_000;
/** A form that anybody may send, and every other address. */
export const MOST_FORM_BYTES = 16_000;

/** How much an address takes, bytes; null: its door says so itself, in words that fit what it takes. */
export function bodyLimitOf(pathname: string): number | null {
  if (pathname in BODY_LIMITS) return null;
  return pathname.startsWith('/api/ask/') ? MOST_QUESTION_BYTES : MOST_FORM_BYTES;
}
