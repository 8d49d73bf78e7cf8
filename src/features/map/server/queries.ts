import type { BatchSnapshot } from '@/core/snapshot/batch-snapshot';
import type { Locale } from '@/core/words/note';
import { theDb } from '@/db/context';
import { storeRepo } from '@/db/repositories/store';
import { mapView, type MapLot, type MapView } from '../view';

/** The map of the site as it stands. */
export const mapOf = async (
  site: string,
  board: readonly BatchSnapshot[],
  locale: Locale,
  lots: readonly MapLot[],
): Promise<MapView> => mapView(await storeRepo(theDb()).state(site), board, locale, lots);
