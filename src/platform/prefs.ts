import { cookies } from 'next/headers';

/** What a person has chosen on this device. Null: not chosen, the site's or the system's setting holds. */
export type Prefs = {
  readonly unit: 'C' | 'F' | null;
  readonly volume: 'm3' | 'yd3';
  readonly light: 'sun' | 'shed' | null;
  readonly by: string;
};

const oneOf = <T extends string>(value: string | undefined, allowed: readonly T[]): T | null =>
  allowed.find((a) => a === value) ?? null;

export async function readPrefs(): Promise<Prefs> {
  const jar = await cookies();
  const get = (name: string): string | undefined => jar.get(name)?.value;
  return {
    unit: oneOf(get('zh_unit'), ['C', 'F']),
    volume: oneOf(get('zh_volume'), ['m3', 'yd3']) ?? 'm3',
    light: oneOf(get('zh_light'), ['sun', 'shed']),
    by: (get('zh_by') ?? '').slice(0, 60), // decoded already
  };
}
