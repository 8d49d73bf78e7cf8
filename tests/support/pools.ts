/** The pools that the application opened in this process. */
const NAMES = ['zealousDb', 'zealousWriter', 'zealousHealth', 'zealousAccounts'] as const;
type Pool = { destroy(): Promise<void> };

/** From now on the application's pools of this process are on a database. */
export function pointPoolsAt(t: { readonly appUrl: string; readonly accountsUrl: string }): void {
  process.env.DATABASE_URL = t.appUrl;
  process.env.DATABASE_ACCOUNTS_URL = t.accountsUrl;
}

/** Ends them; the next database gets pools of its own. */
export async function closePools(): Promise<void> {
  const held = globalThis as unknown as Partial<Record<(typeof NAMES)[number], Pool>>;
  for (const name of NAMES) {
    await held[name]?.destroy().catch(() => undefined);
    delete held[name];
  }
}
