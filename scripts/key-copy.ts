import fs from 'node:fs';
import { z } from 'zod';
import { copyMemory, hasSignedLogs, joinMemory, keepMemoryVersion } from '@/db/site-heads';
import { env } from '@/platform/env';
import { exportSiteKey, importSiteKey, publicKeyOf, siteKey } from '@/platform/site-key';

/** The key of an installation with what it remembers of its logs: one without the other vouches for nothing. */
const CopySchema = z.strictObject({
  format: z.literal('zealous-heap/key'),
  version: z.literal(1),
  key: z.string(),
  heads: z.string(),
});

const keyFile = (): string => {
  const file = env.keyFile();
  if (file === null) throw new Error('ZEALOUS_KEY is not set: run this with ./zealous key');
  return file;
};

/** Writes both into a file that only its owner reads. @param passphrase encrypts the key; null: it lies there open */
export function exportKey(to: string, passphrase: string | null): void {
  if (siteKey() === null)
    throw new Error('This installation has no key yet. Start it once: ./zealous start');
  const copy = {
    ...{ format: 'zealous-heap/key', version: 1 },
    key: exportSiteKey(keyFile(), passphrase),
    heads: copyMemory(),
  };
  fs.writeFileSync(to, `${JSON.stringify(copy, null, 1)}\n`, { mode: 0o600 });
}

/** Puts both in place; what is remembered here already is joined. @throws Error where another key has signed a log here */
export function importKey(from: string, passphrase: string | null): void {
  const copy = CopySchema.safeParse(JSON.parse(fs.readFileSync(from, 'utf8')));
  if (!copy.success) throw new Error(`${from} is no key that ./zealous key export wrote.`);
  const { key, heads } = copy.data;
  const isSame = siteKey()?.publicKey === publicKeyOf(key, passphrase);
  if (!isSame && hasSignedLogs())
    throw new Error('Another key has signed a log here already; it is not replaced.');
  if (!isSame) importSiteKey(keyFile(), key, passphrase);
  joinMemory(heads);
  keepMemoryVersion();
}
