import { readPrefs } from '@/platform/prefs';

/** Sun or Shed as chosen on this device; null: the system's setting. */
export const chosenLight = async (): Promise<'sun' | 'shed' | null> => (await readPrefs()).light;
