import { bookOf, F, SEASON } from '../../../tests/support/season';
import { entry, NOW } from '../../../tests/support/store';
import { MS } from '../quantity/instant';
import { LotBook } from './book';
import { harvestWaits, openHarvestWaits } from './harvest';

/** Spread on a bed, so many hours ago. */
const spread = (bed: object, hoursAgo: number) =>
  entry(
    'lot-out',
    { lot: F, how: 'bed', all: false, litres: 50, bed: { name: 'Bed 3', ...bed } },
    hoursAgo,
  );
const waitsOf = (bed: object, proven: boolean) => {
  const entries = [...SEASON, spread(bed, 24)];
  const { state, book } = proven ? bookOf(entries) : bookOf(entries, []);
  return harvestWaits(state, book, 'UTC').filter((w) => w.bed === 'Bed 3');
};
const dayAfter = (days: number): string =>
  new Date(NOW - MS.day + days * MS.day).toISOString().slice(0, 10);

describe('unheated compost on a bed', () => {
  test('is harvested from after 120 days, or 90 where nothing eaten touches the soil (7 CFR 205.203(c)(1))', () => {
    expect(waitsOf({ eaten: 'touching' }, false)[0]?.harvestFrom).toBe(dayAfter(120));
    expect(waitsOf({ eaten: 'apart' }, false)[0]?.harvestFrom).toBe(dayAfter(90));
    // Nobody said: the longer one.
    expect(waitsOf({}, false)[0]?.harvestFrom).toBe(dayAfter(120));
  });
  test('asks for no wait where nothing is eaten, or where all of it was heated', () => {
    expect(waitsOf({ eaten: 'none' }, false)).toEqual([]);
    expect(waitsOf({ eaten: 'touching' }, true)).toEqual([]);
  });
  test('is no longer named once its day has come', () => {
    const waits = waitsOf({ eaten: 'touching' }, false);
    const at = (days: number) => ({ now: NOW + days * MS.day }) as LotBook;
    expect(openHarvestWaits(waits, at(118), 'UTC')).toHaveLength(1);
    expect(openHarvestWaits(waits, at(119), 'UTC')).toEqual([]);
  });
});
