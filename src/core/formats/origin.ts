import { say } from '../../messages/say';
import { keyName } from './seal';
import type { BatchHistory, Sha256 } from './trail';

/** Who vouches for a file: the key that its seal bears; or nobody. */
export type Origin =
  | { readonly is: 'signed'; /** Public half, hexadecimal. */ readonly key: string }
  | { readonly is: 'not-shown'; readonly why: 'no-entries' | 'no-seal' | 'no-signature' };

/** @param told what a file's trail tells; null: it carries none */
export function originOf(told: BatchHistory | null): Origin {
  if (told === null) return { is: 'not-shown', why: 'no-entries' };
  const { seal } = told;
  if (seal.is === 'none') return { is: 'not-shown', why: 'no-seal' };
  return seal.key === null
    ? { is: 'not-shown', why: 'no-signature' }
    : { is: 'signed', key: seal.key };
}

/** The first line of what is said of a file. */
export function originText(origin: Origin, sha256: Sha256): string {
  if (origin.is === 'signed')
    return say('formats.originSigned', { key: keyName(origin.key, sha256) });
  switch (origin.why) {
    case 'no-entries':
      return say('formats.originNoEntries');
    case 'no-seal':
      return say('formats.originNoSeal');
    case 'no-signature':
      return say('formats.originNoSignature');
  }
}

const hexOf = (word: string): string => word.replace(/[^0-9a-f]/gi, '').toLowerCase();
/** Whether somebody typed a key, or its name as records print it. */
export const isKeyWord = (word: string): boolean =>
  /^[0-9a-fA-F\s]+$/.test(word) && [16, 64].includes(hexOf(word).length);

/** Whether a key is the one that somebody named: by its name of 16 figures, or by its 64. */
const isKeyNamed = (key: string, word: string, sha256: Sha256): boolean =>
  hexOf(word).length === 64 ? hexOf(word) === key : hexOf(word) === hexOf(keyName(key, sha256));

/** What whoever checks asks of a file's origin. */
export type AskedOrigin = {
  /** The key that must have signed it, as `isKeyNamed` takes it; absent: any. */
  readonly key?: string | undefined;
  /** It must be sealed and signed. */ readonly sealed?: boolean | undefined;
};

/** Why a file's origin is not what is asked, as a sentence; null: it is. */
export function originProblem(
  origin: Origin,
  { key, sealed }: AskedOrigin,
  sha256: Sha256,
): string | null {
  if (key === undefined && sealed !== true) return null;
  if (origin.is !== 'signed') return originText(origin, sha256);
  return key === undefined || isKeyNamed(origin.key, key, sha256)
    ? null
    : say('formats.originOtherKey', {
        key: keyName(origin.key, sha256),
        asked: key.trim().toUpperCase(),
      });
}
