import { createPublicKey, generateKeyPairSync, sign, type KeyObject } from 'node:crypto';
import fc from 'fast-check';
import { sha256 } from '../../../tests/support/sha256';
import { GENESIS } from '../log/entry';
import { checkSeal, keyName, sealText, type Seal } from './seal';

/** A sealed file and what somebody does to it. Keys and signatures are Node's; the check is by another package. */
const SITE = { id: 'site-1', name: 'Hopyard Corner', timeZone: 'Europe/London' };
const [mine, other] = [generateKeyPairSync('ed25519'), generateKeyPairSync('ed25519')];
const publicHex = (key: KeyObject): string =>
  createPublicKey(key).export({ format: 'der', type: 'spki' }).subarray(-32).toString('hex');

type Placed = Parameters<typeof checkSeal>[1][number];
/** A sequence of so many entries; the first ones may be from before there were numbers. */
function sequence(batch: string | null, n: number, unnumbered: number): Placed[] {
  let prev = GENESIS;
  return Array.from({ length: n }, (_, i) => {
    const hash = sha256(`${batch} ${i} ${prev}`);
    const own = i < unnumbered ? {} : { own: { n: i + 1, prev } };
    prev = hash;
    return { batch, kind: 'ambient', hash, ...own };
  });
}
const endOf = (entries: readonly Placed[]) => ({
  n: entries.length,
  hash: entries.at(-1)?.hash ?? GENESIS,
});
function seal(own: readonly Placed[], ofSite: readonly Placed[], key = mine.privateKey): Seal {
  const log = { seq: 99, hash: sha256('end'), at: '2026-05-21T07:40:00.000Z' };
  const text = { batch: 'batch-a', site: SITE, own: endOf(own), ofSite: endOf(ofSite), log };
  const signature = sign(null, Buffer.from(sealText(text)), key).toString('hex');
  return { ...text, key: publicHex(key), signature };
}

const files = fc
  .record({
    own: fc.integer({ min: 1, max: 12 }),
    ofSite: fc.integer({ min: 0, max: 6 }),
    unnumbered: fc.integer({ min: 0, max: 4 }),
  })
  .map(({ own, ofSite, unnumbered }) => {
    const [batch, site] = [
      sequence('batch-a', own, Math.min(unnumbered, own)),
      sequence(null, ofSite, Math.min(unnumbered, ofSite)),
    ];
    return { batch, site, seal: seal(batch, site) };
  });
const check = (property: (file: { batch: Placed[]; site: Placed[]; seal: Seal }) => void): void =>
  fc.assert(fc.property(files, property), { numRuns: 60, seed: 20261130 });
const pathOf = (result: ReturnType<typeof checkSeal>): string =>
  'problems' in result ? result.problems[0]!.path : 'whole';

test('all that was sealed is there: whole, in whatever order batch and site are mixed', () =>
  check(({ batch, site, seal: sealed }) => {
    const found = checkSeal(sealed, [...batch, ...site], SITE);
    expect(found).toEqual({
      check: {
        ...{ is: 'whole', entries: batch.length + site.length },
        ...{ key: publicHex(mine.privateKey), log: sealed.log, notice: null },
      },
    });
    expect(pathOf(checkSeal(sealed, [...site, ...batch], SITE))).toBe('whole');
    // Entries of a batch that it was split from are not of its sequence.
    const inherited = sequence('batch-z', 3, 0);
    expect(pathOf(checkSeal(sealed, [...inherited, ...batch, ...site], SITE))).toBe('whole');
  }));

test('whichever entry is left out, it is missed, and where', () =>
  check(({ batch, site, seal: sealed }) => {
    for (const i of batch.keys())
      expect(pathOf(checkSeal(sealed, [...batch.toSpliced(i, 1), ...site], SITE))).toBe(
        'trail.seal.own',
      );
    for (const i of site.keys())
      expect(pathOf(checkSeal(sealed, [...batch, ...site.toSpliced(i, 1)], SITE))).toBe(
        'trail.seal.ofSite',
      );
  }));

test('the count is mended as well: then the signature does not fit', () =>
  check(({ batch, site, seal: sealed }) => {
    const less = batch.slice(0, -1);
    const mended = { ...sealed, own: endOf(less) };
    expect(pathOf(checkSeal(mended, [...less, ...site], SITE))).toBe('trail.seal.signature');
  }));

test('another site, another key, no key', () => {
  const [batch, site] = [sequence('batch-a', 3, 0), sequence(null, 2, 0)];
  const [entries, sealed] = [[...batch, ...site], seal(batch, site)];
  expect(pathOf(checkSeal(sealed, entries, { ...SITE, name: 'Mill Lane' }))).toBe(
    'trail.seal.site',
  );
  expect(pathOf(checkSeal({ ...sealed, key: publicHex(other.privateKey) }, entries, SITE))).toBe(
    'trail.seal.signature',
  );
  expect(pathOf(checkSeal({ ...sealed, signature: null }, entries, SITE))).toBe(
    'trail.seal.signature',
  );
  // Signed by somebody else, it is whole, and says by which key: people compare that with the printed one.
  expect(checkSeal(seal(batch, site, other.privateKey), entries, SITE)).toMatchObject({
    check: { is: 'whole', key: publicHex(other.privateKey) },
  });
  expect(checkSeal({ ...sealed, key: null, signature: null }, entries, SITE)).toMatchObject({
    check: { is: 'whole', key: null },
  });
});

test('keys that nobody has a private half of, and signatures that are none, are refused', () => {
  const batch = sequence('batch-a', 1, 0);
  // Points of small order, as RFC 8032 encodes them: 1, 0, and -1 of the curve's field; with them zeros would do for anything.
  const weak = [`01${'0'.repeat(62)}`, '0'.repeat(64), `ec${'f'.repeat(60)}7f`];
  for (const key of [...weak, 'f'.repeat(64), publicHex(mine.privateKey)])
    for (const signature of ['0'.repeat(128), `01${'0'.repeat(126)}`, 'f'.repeat(128)])
      expect(pathOf(checkSeal({ ...seal(batch, []), key, signature }, batch, SITE))).toBe(
        'trail.seal.signature',
      );
});

test('a key is called by the start of its hash, in groups of four', () => {
  const name = keyName('ab'.repeat(32), sha256);
  expect(name).toMatch(/^([0-9A-F]{4} ){3}[0-9A-F]{4}$/);
  expect(sha256('ab'.repeat(32)).toUpperCase().startsWith(name.replaceAll(' ', ''))).toBe(true);
});
