import { sql } from 'kysely';
import type { Db } from './client';
import type { CodeOf } from './site-dialect';

/**
 * Codes of sites, by which a connection of the application's role is let see the one that it was taken for. Each is asked for once.
 * @param accounts a pool of the role that may ask for them
 */
export function siteCodes(accounts: Db): CodeOf {
  const known = new Map<string, string>();
  return async (site) => {
    const code = known.get(site) ?? (await askForCode(accounts, site));
    known.set(site, code);
    return code;
  };
}

async function askForCode(accounts: Db, site: string): Promise<string> {
  const { rows } = await sql<{ code: string }>`select code_of_site(${site}::uuid) as code`.execute(
    accounts,
  );
  return rows[0]?.code ?? '';
}
