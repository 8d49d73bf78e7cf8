import { z } from 'zod';

/** Roles that a person is given on a site. */
export const MEMBER_ROLES = ['manager', 'recorder', 'crew', 'trainee', 'partner'] as const;
export type MemberRole = (typeof MEMBER_ROLES)[number];

/**
 * Whose sign-in brought an entry, as the server saw it. It rides in the entry's data, so that it is hashed with it; entries that
 * were written before people signed in have none. Who did the work stands in `by`: a recorder writes down what others did.
 */
const EnteredBySchema = z.object({
  /** Id of the person's account. */
  person: z.string(),
  /** What the person was called then. */
  name: z.string(),
  role: z.enum(MEMBER_ROLES),
  /** By the policy of the site as it was then, what this trainee logged counts before anybody else has checked it. */
  countsAtOnce: z.literal(true).optional(),
  /** The shared phone that it was logged on; absent: the person had signed in. */
  device: z.object({ id: z.string(), name: z.string() }).optional(),
  /** Who logged it, where somebody else sent it: it had waited on the device, and was handed over. */
  loggedBy: z.object({ name: z.string(), role: z.enum(MEMBER_ROLES) }).optional(),
});
export type EnteredBy = z.output<typeof EnteredBySchema>;

/** Whether two names are the same where people are told apart by them: capitals and blanks around do not count. */
export const isSameName = (a: string, b: string): boolean => nameKey(a) === nameKey(b);
const nameKey = (name: string): string =>
  name.trim().replace(/\s+/g, ' ').normalize('NFC').toLowerCase();

/** Whether a trainee logged an entry, or sent it. */
export function isByTrainee(data: object): boolean {
  const { enteredBy } = data as { enteredBy?: { role?: unknown; loggedBy?: { role?: unknown } } };
  return [enteredBy?.role, enteredBy?.loggedBy?.role].includes('trainee');
}

/** Whether somebody else is to check an entry before it counts. */
export const isToBeChecked = (data: object): boolean =>
  isByTrainee(data) && enteredByOf(data)?.countsAtOnce !== true;

/** Whose sign-in brought an entry; null: it was written before people signed in. */
export const enteredByOf = (data: object): EnteredBy | null =>
  EnteredBySchema.safeParse((data as { enteredBy?: unknown }).enteredBy).data ?? null;
