import { z } from 'zod';
import { isTimeZone } from '@/core/quantity/calendar';

export const SiteInput = z.object({
  name: z
    .string()
    .trim()
    .min(1, 'Give the site a name.')
    .max(80, 'A shorter name, please: 80 letters at most.'),
  timeZone: z
    .string()
    .refine(isTimeZone, 'Not a time zone we know. Choose one such as Europe/London.'),
  unit: z.enum(['C', 'F']),
});
