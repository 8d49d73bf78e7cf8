/** Deeper than this nothing is nested that the application writes. */
const MOST_DEEP = 64;
const [OPEN_ARRAY, OPEN_OBJECT, CLOSE_ARRAY, CLOSE_OBJECT] = [0x5b, 0x7b, 0x5d, 0x7d];
const [QUOTE, BACKSLASH] = [0x22, 0x5c];

/** How deep brackets are nested outside of texts; the text need not be JSON. */
function depthOf(text: string): number {
  let [depth, most, inText] = [0, 0, false];
  for (let i = 0; i < text.length; i += 1) {
    const c = text.charCodeAt(i);
    if (inText) {
      if (c === BACKSLASH) i += 1;
      else if (c === QUOTE) inText = false;
    } else if (c === QUOTE) inText = true;
    else if (c === OPEN_ARRAY || c === OPEN_OBJECT) most = Math.max(most, (depth += 1));
    else if (c === CLOSE_ARRAY || c === CLOSE_OBJECT) depth -= 1;
  }
  return most;
}

/** What a request brought as JSON; `deep`: it is nested so deep that nothing which walks through it is safe. */
export type ParsedJson =
  | { readonly ok: true; readonly value: unknown }
  | { readonly ok: false; readonly why: 'syntax' | 'deep' };

/** Parses JSON from outside: how deep it is nested is known before it is parsed. */
export function parseJson(text: string): ParsedJson {
  if (depthOf(text) > MOST_DEEP) return { ok: false, why: 'deep' };
  try {
    return { ok: true, value: JSON.parse(text) as unknown };
  } catch {
    return { ok: false, why: 'syntax' };
  }
}
