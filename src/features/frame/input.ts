import { z } from 'zod';

/** The list of commands has nothing to add to its question. */
export const AskedBatches = z.object({});
