import { cookies } from 'next/headers';

/** What a person has chosen on this device. Language and units are those of the request. Null: not chosen, the system's setting holds. */
export type Prefs = {
  readonly light: 'sun' | 'shed' | null;
  readonly by: string;
  /** Which batches are shown, as an address says it. */ readonly yard: string;
};

const oneOf = <T extends string>(value: string | undefined, allowed: readonly T[]): T | null =>
  allowed.find((a) => a === value) ?? null;

export async function readPrefs(): Promise<Prefs> {
  const jar = await cookies();
  const get = (name: string): string | undefined => jar.get(name)?.value;
  return {
    light: oneOf(get('zh_light'), ['sun', 'shed']),
    yard: (get('zh_yard') ?? '').slice(0, 200),
    by: (get('zh_by') ?? '').slice(0, 60), // decoded already
  };
}
