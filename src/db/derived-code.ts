import { createHmac } from 'node:crypto';
import { siteKey } from '@/platform/site-key';

/**
 * The code over a text, by a key derived from the installation's for one purpose (HMAC-SHA-256, RFC 2104), in small hexadecimal
 * figures. Null: there is no key.
 */
export function codeOver(purpose: 'derived' | 'audit', text: string): string | null {
  const secret = siteKey()?.deriveSecret(`zealous-heap/${purpose}`);
  if (secret === undefined) return null;
  return createHmac('sha256', Buffer.from(secret, 'hex')).update(text).digest('hex');
}
