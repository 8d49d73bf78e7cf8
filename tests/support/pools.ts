/** The pools that the application opened in this process. */
const NAMES = ['zealousDb', 'zealousWriter', 'zealousHealth'] as const;
type Pool = { destroy(): Promise<void> };

/** Ends them; the next database gets pools of its own. */
export async function closePools(): Promise<void> {
  const held = globalThis as unknown as Partial<Record<(typeof NAMES)[number], Pool>>;
  for (const name of NAMES) {
    await held[name]?.destroy().catch(() => undefined);
    delete held[name];
  }
}
