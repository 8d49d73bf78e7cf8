/** A number as people type it, with a point or a comma; undefined: nothing typed; null: no such number. */
export function typed(text: string, least = 0): number | null | undefined {
  const t = text.trim().replace(',', '.');
  if (t === '') return undefined;
  const value = Number(t);
  return Number.isFinite(value) && value >= least ? value : null;
}
