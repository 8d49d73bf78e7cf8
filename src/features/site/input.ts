import { say } from '@/messages/say';
import { z } from 'zod';
import { LANGUAGES } from '@/messages/languages';
import { UNIT_SYSTEMS } from '@/core/units/units';
import { isTimeZone } from '@/core/quantity/calendar';

export const SiteInput = z.object({
  name: z
    .string()
    .trim()
    .min(1, { error: () => say('site.giveSiteName') })
    .max(80, { error: () => say('site.useShorterName80Letters') }),
  timeZone: z.string().refine(isTimeZone, { error: () => say('site.thatNotTimeZoneWe') }),
  units: z.enum(UNIT_SYSTEMS),
  language: z.enum(LANGUAGES),
});
/** What a site is called and reads in, as it was named. */
export type NamedSite = z.output<typeof SiteInput>;
