import { dayFrom, zoneOf, type Zone } from '../quantity/calendar';
import type { Instant } from '../quantity/instant';
import { harvestAfter } from '../release/raw-route';
import { standHeated } from '../release/assess-release';
import type { LotBook } from './book';
import type { LotsState } from './fold';

/** A bed that got compost of which not all was heated, and from which nothing is to be eaten before a day. */
export type HarvestWait = {
  /** The entry by which it got there. */ readonly out: string;
  readonly lot: string;
  readonly bed: string;
  /** The first local day of harvest, `YYYY-MM-DD`. */ readonly harvestFrom: string;
  readonly spreadAt: Instant;
};

const localDate = (zone: Zone, at: Instant): string => dayFrom(zone, at).date;

/**
 * Beds on which unheated compost was spread, with the day from which may be harvested there. Where nobody said what grows there,
 * the longer interval holds; where nothing is eaten that grows there, none does.
 */
export function harvestWaits(
  { outs }: Pick<LotsState, 'outs'>,
  book: LotBook,
  timeZone: string,
): HarvestWait[] {
  const zone = zoneOf(timeZone);
  return outs.flatMap(({ id, at, data }): HarvestWait[] => {
    const { bed, how, lot } = data;
    if (how !== 'bed' || !bed || bed.eaten === 'none' || at > book.now) return [];
    if (standHeated({ empty: false, ...book.carriedBy(id) }) === 'met') return [];
    const harvestFrom = harvestAfter(localDate(zone, at), bed.eaten !== 'apart');
    return [{ out: id, lot, bed: bed.name, harvestFrom, spreadAt: at }];
  });
}

/** Those whose day has not come. */
export const openHarvestWaits = (
  waits: readonly HarvestWait[],
  { now }: Pick<LotBook, 'now'>,
  timeZone: string,
): HarvestWait[] => {
  const today = localDate(zoneOf(timeZone), now);
  return waits.filter((w) => w.harvestFrom > today);
};
