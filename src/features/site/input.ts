import { say } from '@/messages/say';
import { z } from 'zod';
import { LANGUAGES } from '@/messages/languages';
import { isTimeZone } from '@/core/quantity/calendar';

export const SiteInput = z.object({
  name: z
    .string()
    .trim()
    .min(1, { error: () => say('site.giveSiteName') })
    .max(80, { error: () => say('site.useShorterName80Letters') }),
  timeZone: z.string().refine(isTimeZone, { error: () => say('site.thatNotTimeZoneWe') }),
  unit: z.enum(['C', 'F']),
  language: z.enum(LANGUAGES),
});
