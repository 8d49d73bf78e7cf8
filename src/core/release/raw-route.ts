import { MS } from '../quantity/instant';

/**
 * What may be done with compost that never met a rule. The interval between raw manure and harvest: 90 days, 120 where the
 * edible part touches the soil (7 CFR 205.203(c)(1), from memory), in calendar days from the day it is spread.
 */
const HARVEST_DAYS = { apart: 90, touching: 120 } as const;

/** The earliest day of harvest. @param spreadOn the local day of spreading, `YYYY-MM-DD` @param touchesSoil the part that is eaten lies on the soil or in it */
export const harvestAfter = (spreadOn: string, touchesSoil: boolean): string =>
  new Date(
    Date.parse(`${spreadOn}T00:00:00Z`) +
      (touchesSoil ? HARVEST_DAYS.touching : HARVEST_DAYS.apart) * MS.day,
  )
    .toISOString()
    .slice(0, 10);
