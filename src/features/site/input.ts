import { say } from '@/messages/say';
import { z } from 'zod';
import { isTimeZone } from '@/core/quantity/calendar';

export const SiteInput = z.object({
  name: z
    .string()
    .trim()
    .min(1, { error: () => say('site.giveTheSiteAName') })
    .max(80, { error: () => say('site.aShorterNamePlease80LettersAt') }),
  timeZone: z.string().refine(isTimeZone, { error: () => say('site.notATimeZoneWeKnowChoose') }),
  unit: z.enum(['C', 'F']),
});
