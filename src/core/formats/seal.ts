import { ed25519 } from '@noble/curves/ed25519.js';
import { hexToBytes, utf8ToBytes } from '@noble/hashes/utils.js';
import { z } from 'zod';
import { canonicalJson, GENESIS, isSiteSequence, type OwnLink } from '../log/entry';
import { FILE_PROBLEM } from '../words/file-problem';
import type { Problem } from '../words/problem';

/**
 * What shows that nothing of a batch was left out of its file: how many entries its own sequence and the site's have, where each
 * ends, and the installation's signature over that, over what the site calls itself, and over the end of the whole log.
 */
const Hash = z.string().regex(/^[0-9a-f]{64}$/);
const EndSchema = z.strictObject({ n: z.int().min(0), hash: Hash });
export const SealSchema = z.strictObject({
  batch: z.string(),
  site: z.strictObject({ id: z.string(), name: z.string(), timeZone: z.string() }),
  /** The ends of the batch's sequence and of the site's. */ own: EndSchema,
  ofSite: EndSchema,
  /** The end of the whole log: a later log must hold this hash at this number. */
  log: z.strictObject({ seq: z.int().min(0), hash: Hash, at: z.string() }),
  /** What the installation itself knew not to fit in the log that it sealed from; absent: nothing. */
  notice: z.string().optional(),
  /** Public half of the key, hexadecimal; null: it was not signed. */
  key: z
    .string()
    .regex(/^[0-9a-f]{64}$/)
    .nullable(),
  signature: z
    .string()
    .regex(/^[0-9a-f]{128}$/)
    .nullable(),
});
export type Seal = z.output<typeof SealSchema>;

/** The text that a seal's signature is taken over. */
export const sealText = ({
  batch,
  site,
  own,
  ofSite,
  log,
  notice,
}: Omit<Seal, 'signature' | 'key'>): string =>
  canonicalJson({ format: 'zealous-heap/seal', batch, site, own, ofSite, log, notice });

/**
 * Whether a signature was made with the private half of a key (Ed25519, RFC 8032). Strictly: there are keys of small order, which
 * nobody has a private half of and which otherwise let anything through. @param publicKey and signature in hexadecimal
 */
function verifies(publicKey: string, text: string, signature: string): boolean {
  try {
    return ed25519.verify(hexToBytes(signature), utf8ToBytes(text), hexToBytes(publicKey), {
      zip215: false,
    });
  } catch {
    return false;
  }
}

/** How a key is called where people compare it: the start of the hash of its hexadecimal text, in groups of four. */
export const keyName = (publicKey: string, sha256: (text: string) => string): string =>
  (sha256(publicKey).slice(0, 16).toUpperCase().match(/.{4}/g) ?? []).join(' ');

/** What a seal shows. */
export type SealCheck =
  /** A file from before there were seals, or whose seal was taken off. */
  | { readonly is: 'none' }
  | {
      readonly is: 'whole';
      readonly entries: number;
      /** Public half of the key that signed it; null: it is not signed. */ readonly key:
        string | null;
      /** The end of the whole log then. */ readonly log: Seal['log'];
      /** What the installation knew not to fit when it sealed; null: nothing. */ readonly notice:
        string | null;
    };

/** An entry as far as its place in a sequence goes. */
type Placed = {
  readonly batch: string | null;
  readonly kind: string;
  readonly hash: string;
  readonly own?: OwnLink | undefined;
};

/** What is missing in one sequence: entries in between, at its start, or at its end. */
function isWhole(
  entries: readonly Placed[],
  end: { readonly n: number; readonly hash: string },
): boolean {
  let before: Placed | null = null;
  for (const [i, e] of entries.entries()) {
    // Entries from before there were numbers stand at the start, and are counted.
    if (e.own === undefined) {
      if (before?.own !== undefined) return false;
    } else if (e.own.n !== i + 1 || e.own.prev !== (before?.hash ?? GENESIS)) return false;
    before = e;
  }
  return entries.length === end.n && (before?.hash ?? GENESIS) === end.hash;
}

/** What is wrong with a sequence that is not what was sealed: it is shorter or longer, or as long and another. */
const lackOf = (have: number, of: number): string =>
  have === of ? FILE_PROBLEM.sealChanged(of) : FILE_PROBLEM.sealMissing(have, of);

type Site = { readonly id: string; readonly name: string; readonly timeZone: string };

/**
 * Checks that a file holds all entries of its batch and of the site up to the seal, and that the seal is signed.
 * @param entries those of the file, in the order of the log
 * @returns problems where something is missing or changed
 */
export function checkSeal(
  seal: Seal,
  entries: readonly Placed[],
  site: Site,
): { readonly check: SealCheck } | { readonly problems: readonly Problem[] } {
  const wrong = (path: string, message: string) => ({
    problems: [{ path: `trail.seal${path}`, message }],
  });
  if (canonicalJson(seal.site) !== canonicalJson(site))
    return wrong('.site', FILE_PROBLEM.sealOtherSite());
  if ((seal.key === null) !== (seal.signature === null))
    return wrong('.signature', FILE_PROBLEM.sealForged());
  if (
    seal.key !== null &&
    seal.signature !== null &&
    !verifies(seal.key, sealText(seal), seal.signature)
  )
    return wrong('.signature', FILE_PROBLEM.sealForged());
  const own = entries.filter((e) => e.batch === seal.batch);
  const ofSite = entries.filter((e) => isSiteSequence(e));
  if (!isWhole(own, seal.own)) return wrong('.own', lackOf(own.length, seal.own.n));
  if (!isWhole(ofSite, seal.ofSite)) return wrong('.ofSite', lackOf(ofSite.length, seal.ofSite.n));
  return {
    check: {
      ...{ is: 'whole', entries: own.length + ofSite.length, key: seal.key, log: seal.log },
      notice: seal.notice ?? null,
    },
  };
}
