import { EntryIdSchema } from '../ids';
import { z } from 'zod';
import { RELEASE_DOUBTS } from './vocabulary';

/** Fields that several kinds share. */

export const Words = z.string().trim().max(2000);
export const seeds = z.boolean().optional();

/** The id and fields that an entry had in the file it was brought in from. */
export const origin = {
  fileId: z.string().optional(),
  extra: z.record(z.string(), z.unknown()).optional(),
};

/** The walk over the site that it belongs to: two phones on one walk bear the same. */
export const walk = { walk: z.string().max(80).optional() };

/** A moment to come or gone by, ms: within this century and the next. */
export const Moment = z
  .int()
  .min(Date.UTC(2000, 0, 1))
  .max(Date.UTC(2200, 0, 1));

/** The single act that an entry is one end of: the id of the entry that a person made. */
export const act = { act: EntryIdSchema.optional() };

/** What whoever lets it go was told and said to know. */
export const knowing = {
  knowing: z.array(z.enum(RELEASE_DOUBTS)).max(RELEASE_DOUBTS.length).optional(),
};

/** Which version of the site's rules and policy stands behind a batch's own. */
export const siteVersion = z.int().min(1).optional();
