import { randomBytes } from 'node:crypto';
import { sha256 } from './hash';

/** A word that nobody can guess, and what is kept of it. */
export function createToken(): { readonly token: string; readonly tokenHash: string } {
  const token = randomBytes(32).toString('base64url');
  return { token, tokenHash: sha256(token) };
}
