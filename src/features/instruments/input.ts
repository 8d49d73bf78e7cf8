import { z } from 'zod';

/** A check as its form holds it: its time by the site's clock; null: now. */
export const AskedCheck = z.object({
  probe: z.string().max(60),
  referenceC: z.number(),
  readC: z.number(),
  at: z.string().max(40).nullable(),
});
export type AskedCheck = z.output<typeof AskedCheck>;
