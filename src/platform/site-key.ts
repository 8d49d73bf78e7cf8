import {
  createPrivateKey,
  createPublicKey,
  generateKeyPairSync,
  hkdfSync,
  randomBytes,
  sign,
  type KeyObject,
} from 'node:crypto';
import fs from 'node:fs';
import { env } from './env';

/** The installation's key: what it signs was written by it, and by nobody who has the database alone. It lies outside of that. */
export type SiteKey = {
  /** The public half, 32 bytes in hexadecimal. */ readonly publicKey: string;
  /** Signs a text. @returns 64 bytes in hexadecimal */ sign(text: string): string;
  /** A secret for another purpose, always the same for it (RFC 5869). @returns 32 bytes in hexadecimal */
  deriveSecret(purpose: string): string;
};

/** The last 32 bytes of the standard form are the key itself (RFC 8410). */
const rawOf = (key: KeyObject): string =>
  createPublicKey(key).export({ format: 'der', type: 'spki' }).subarray(-32).toString('hex');

const held = new Map<string, SiteKey | null>();

function readKey(file: string): SiteKey | null {
  if (!fs.existsSync(file)) return null;
  const key = createPrivateKey(fs.readFileSync(file));
  if (key.asymmetricKeyType !== 'ed25519')
    throw new TypeError(
      `The site key in ZEALOUS_KEY must be an Ed25519 key, this is ${key.asymmetricKeyType ?? 'none'}. Restore it from a backup.`,
    );
  return {
    publicKey: rawOf(key),
    sign: (text) => sign(null, Buffer.from(text), key).toString('hex'),
    deriveSecret: (purpose) =>
      Buffer.from(
        hkdfSync('sha256', key.export({ format: 'der', type: 'pkcs8' }), '', purpose, 32),
      ).toString('hex'),
  };
}

/** The key of this installation; null: it has none, and signs nothing. */
export function siteKey(): SiteKey | null {
  const file = env.keyFile();
  if (file === null) return null;
  const known = held.get(file);
  if (known) return known;
  const key = readKey(file);
  held.set(file, key);
  return key;
}

/**
 * Names a cookie after this installation. Browsers send a cookie to every port of a host: two installations beside each other
 * would sign each other's people out. Without a key there is no name to tell them apart by.
 */
export function nameCookie(name: string): string {
  const key = siteKey();
  return key === null ? name : `${name}_${key.publicKey.slice(0, 8)}`;
}

const SECRET = Symbol.for('zealous-heap.session-secret');
const process_ = globalThis as { [SECRET]?: string };
/** What sessions are signed with: a secret of its own, one of the installation's key, or, with neither, one that ends with this process. */
export const sessionSecret = (): string =>
  env.sessionSecret() ??
  siteKey()?.deriveSecret('zealous-heap/sessions') ??
  (process_[SECRET] ??= randomBytes(32).toString('hex'));

/** Makes the key at the first run; one that is there stays. @returns whether it was made */
export function createSiteKey(file: string): boolean {
  if (fs.existsSync(file)) return false;
  const { privateKey } = generateKeyPairSync('ed25519');
  fs.writeFileSync(file, privateKey.export({ format: 'pem', type: 'pkcs8' }), {
    mode: 0o600,
    flag: 'wx',
  });
  return true;
}

/** The whole key as text, for another machine or a backup. @param passphrase encrypts it (PKCS #8); null: whoever has the text has the key */
export function exportSiteKey(file: string, passphrase: string | null): string {
  const key = createPrivateKey(fs.readFileSync(file));
  const cipher = passphrase === null ? {} : { cipher: 'aes-256-cbc', passphrase };
  return key.export({ format: 'pem', type: 'pkcs8', ...cipher }).toString();
}

/** Puts a key that was exported where this installation looks for it. @throws Error where the passphrase does not open it */
export function importSiteKey(file: string, pem: string, passphrase: string | null): void {
  const key = openKey(pem, passphrase);
  fs.writeFileSync(file, key.export({ format: 'pem', type: 'pkcs8' }), { mode: 0o600 });
  held.delete(file);
}

/** The public half of an exported key, in hexadecimal. @throws Error where the passphrase does not open it */
export const publicKeyOf = (pem: string, passphrase: string | null): string =>
  rawOf(openKey(pem, passphrase));

function openKey(pem: string, passphrase: string | null): KeyObject {
  if (pem.includes('ENCRYPTED') && passphrase === null)
    throw new Error('The key is encrypted. Give its passphrase: --passphrase-file FILE');
  try {
    return createPrivateKey({ key: pem, ...(passphrase === null ? {} : { passphrase }) });
  } catch {
    throw new Error('The key cannot be opened: the passphrase is another one, or it is no key.');
  }
}
