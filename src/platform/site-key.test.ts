import { execFileSync, spawnSync } from 'node:child_process';
import { generateKeyPairSync } from 'node:crypto';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { createSiteKey, nameCookie, sessionSecret, siteKey } from './site-key';

/** The installation's key beside what OpenSSL makes of the same file. */
let folder: string;
const fileOf = (name: string): string => path.join(folder, name);
const openssl = (...args: string[]): Buffer => execFileSync('openssl', args, { stdio: 'pipe' });

beforeAll(() => {
  folder = fs.mkdtempSync(path.join(os.tmpdir(), 'site-key-'));
  process.env.ZEALOUS_KEY = fileOf('key.pem');
});
afterAll(() => {
  delete process.env.ZEALOUS_KEY;
  fs.rmSync(folder, { recursive: true, force: true });
});

test('it is made once, for its user alone, and is never written over', () => {
  expect(siteKey()).toBeNull();
  expect(createSiteKey(fileOf('key.pem'))).toBe(true);
  expect(fs.statSync(fileOf('key.pem')).mode & 0o777).toBe(0o600);
  const before = fs.readFileSync(fileOf('key.pem'));
  expect(createSiteKey(fileOf('key.pem'))).toBe(false);
  expect(fs.readFileSync(fileOf('key.pem'))).toEqual(before);
});

test('its public half is the one that OpenSSL reads, and OpenSSL verifies what it signs', () => {
  const key = siteKey()!;
  const der = openssl('pkey', '-in', fileOf('key.pem'), '-pubout', '-outform', 'DER');
  expect(key.publicKey).toBe(der.subarray(-32).toString('hex'));
  for (const text of ['the end of the log', 'Zoë 100 %']) {
    fs.writeFileSync(fileOf('text'), text);
    fs.writeFileSync(fileOf('sig'), Buffer.from(key.sign(text), 'hex'));
    const how = ['pkeyutl', '-verify', '-inkey', fileOf('key.pem'), '-rawin'];
    const files = ['-in', fileOf('text'), '-sigfile', fileOf('sig')];
    const { stdout } = spawnSync('openssl', [...how, ...files], { encoding: 'utf8' });
    expect(stdout).toMatch(/Verified Successfully/);
  }
  // The same text is signed alike each time: what was signed is known again by signing it.
  expect(key.sign('once')).toBe(key.sign('once'));
});

test('secrets for other purposes are those of RFC 5869, one for each purpose', () => {
  const key = siteKey()!;
  const secret = key.deriveSecret('zealous-heap/sessions');
  const der = openssl('pkey', '-in', fileOf('key.pem'), '-outform', 'DER');
  const kdf = ['kdf', '-keylen', '32', '-kdfopt', 'digest:SHA256'];
  const from = ['-kdfopt', `hexkey:${der.toString('hex')}`, '-kdfopt', 'hexsalt:'];
  const purpose = ['-kdfopt', 'info:zealous-heap/sessions', '-binary', 'HKDF'];
  expect(secret).toBe(openssl(...kdf, ...from, ...purpose).toString('hex'));
  expect(key.deriveSecret('something else')).not.toBe(secret);
  expect(sessionSecret()).toBe(secret);
});

test('another kind of key is refused, with what to do', () => {
  const { privateKey } = generateKeyPairSync('ec', { namedCurve: 'P-256' });
  process.env.ZEALOUS_KEY = fileOf('ec.pem');
  fs.writeFileSync(fileOf('ec.pem'), privateKey.export({ format: 'pem', type: 'pkcs8' }));
  try {
    expect(() => siteKey()).toThrow(/must be an Ed25519 key, this is ec\. Restore it/);
  } finally {
    process.env.ZEALOUS_KEY = fileOf('key.pem');
  }
});

test('cookies of two installations on one host have two names; without a key there is one', () => {
  const named = (file: string): string => {
    process.env.ZEALOUS_KEY = fileOf(file);
    return nameCookie('zh_session');
  };
  createSiteKey(fileOf('other.pem'));
  const [one, other] = [named('key.pem'), named('other.pem')];
  expect(one).not.toBe(other);
  expect(named('key.pem')).toBe(one);
  for (const name of [one, other]) expect(name).toMatch(/^zh_session_[0-9a-f]{8}$/);
  expect(named('no-key.pem')).toBe('zh_session');
  process.env.ZEALOUS_KEY = fileOf('key.pem');
});
