import { z } from 'zod';

/** A check as its form holds it, its time by the site's clock, null: now; or one that stands in the log, by its entry, and would be voided. */
export const AskedCheck = z.union([
  z.object({
    probe: z.string().max(60),
    referenceC: z.number(),
    readC: z.number(),
    at: z.string().max(40).nullable(),
  }),
  z.object({ voids: z.string().max(40) }),
]);
export type AskedCheck = z.output<typeof AskedCheck>;
