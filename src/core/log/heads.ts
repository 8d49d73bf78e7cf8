import { z } from 'zod';
import { instantOf, isoOf, type Instant } from '../quantity/instant';
import { canonicalJson } from './entry';
import { Time } from './shapes';

/**
 * Heads: ends of a site's log, each signed by the installation and kept outside the database. A log that was written anew holds
 * other hashes at their numbers, whoever made it.
 */
export type Head = {
  readonly site: string;
  readonly seq: number;
  readonly hash: string;
  /** When it was laid. */ readonly at: Instant;
};
/** From which entry of a site's log on all are signed: 0 where it began so. */
export type SigningMark = { readonly site: string; readonly from: number; readonly at: Instant };

/** What an installation remembers of one site's log outside the database. */
export type LogMemory = {
  /** From which entry on all are signed; null: nothing is remembered of this log. */
  readonly signedFrom: number | null;
  /** Laid over a log that was walked up to there; by their numbers. */ readonly heads: readonly Head[];
  /** Where it ended after the last commit, whether or not it was walked; null: it is not known. */
  readonly end: Head | null;
};

const HeadSchema = z.strictObject({
  format: z.literal('zealous-heap/head'),
  site: z.string(),
  seq: z.int().min(0),
  hash: z.string(),
  at: Time,
});
const MarkSchema = z.strictObject({
  format: z.literal('zealous-heap/signing-mark'),
  site: z.string(),
  from: z.int().min(0),
  at: Time,
});
/** What a text says, if it is of that format; null: it is of another. */
function parseText<T>(schema: z.ZodType<T>, text: string): T | null {
  return schema.safeParse(JSON.parse(text)).data ?? null;
}

/** The text that a head's signature is taken over. */
export const headText = ({ site, seq, hash, at }: Head): string =>
  canonicalJson({ format: 'zealous-heap/head', site, seq, hash, at: isoOf(at) });
/** The text that a mark's signature is taken over. */
export const markText = ({ site, from, at }: SigningMark): string =>
  canonicalJson({ format: 'zealous-heap/signing-mark', site, from, at: isoOf(at) });

/** The head that a text says; null: it says something else. */
export function parseHeadText(text: string): Head | null {
  const head = parseText(HeadSchema, text);
  return head && { site: head.site, seq: head.seq, hash: head.hash, at: instantOf(head.at) };
}
/** The mark that a text says; null: it says something else. */
export function parseMarkText(text: string): SigningMark | null {
  const mark = parseText(MarkSchema, text);
  return mark && { site: mark.site, from: mark.from, at: instantOf(mark.at) };
}

/** Numbers that were given up when a backup was brought back: entries after one and up to another, as the log itself says. */
export type GivenUp = { readonly after: number; readonly upTo: number; readonly at: Instant };

/** Whether a restore gave up what a head was laid for: it was laid before that, and for a number that was given up. */
const isGivenUp = (head: Head, restores: readonly GivenUp[]): boolean =>
  restores.some((r) => r.after < head.seq && head.seq <= r.upTo && head.at <= r.at);

/** Heads that a log does not bear out: it holds nothing or something else at their numbers. @param hashAt hashes of the log by number */
export const findLostHeads = (
  heads: readonly Head[],
  hashAt: ReadonlyMap<number, string>,
  restores: readonly GivenUp[],
): readonly Head[] => heads.filter((h) => hashAt.get(h.seq) !== h.hash && !isGivenUp(h, restores));
