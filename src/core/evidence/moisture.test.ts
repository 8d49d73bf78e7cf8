import {
  at,
  codes,
  evidence,
  flat,
  holdRule,
  round,
  steady,
  turn,
  verdictOf,
} from '../../../tests/support/evidence';
import type { Hold } from './rule';
import { moistureOf } from './moisture';
import type { BatchEvent } from './types';

/** Worked by hand from section 4 of the contract, Moist rules. */

let serial = 0;
const moisture = (hours: number, state: 'dry' | 'moist' | 'wet'): BatchEvent => ({
  id: `m${(serial += 1)}`,
  at: at(hours),
  type: 'moisture',
  state,
});
const moist = (hold: Partial<Hold> = {}) =>
  holdRule({ hours: 168, floorC: 54.4, moist: true, ...hold }, { clock: 'seeds' });

test('a week at heat with every squeeze dry proves nothing, and says so at each check', () => {
  const v = verdictOf(
    evidence(steady(0, 192, 12, 60), [moisture(0, 'dry'), moisture(90, 'dry')]),
    moist(),
  );
  expect([v.status, v.creditedHours]).toEqual(['waiting', 0]);
  expect(codes(v).filter((c) => c === 'DRY_ROUND')).toHaveLength(17);
});

test('of a gap between two hot checks only the part that is not dry is credited', () => {
  const v = verdictOf(
    evidence([...flat(0, 60), ...flat(24, 60)], [moisture(6, 'dry'), moisture(16, 'moist')]),
    moist(),
  );
  expect([v.status, v.creditedHours]).toEqual(['running', 14]);
});

test('a dry check earns nothing but does not break: the next moist one goes on over it', () => {
  const v = verdictOf(
    evidence(
      [...flat(0, 60), ...flat(12, 60), ...flat(24, 60)],
      [moisture(10, 'dry'), moisture(14, 'wet')],
    ),
    moist(),
  );
  expect(v.creditedHours).toBe(20);
  expect(codes(v).filter((c) => c === 'DRY_ROUND')).toHaveLength(1);
});

test('cold and over stay what they are while it is dry, a thin one stays thin', () => {
  const cold = verdictOf(
    evidence([...flat(0, 60), ...flat(12, 40)], [moisture(10, 'dry')]),
    moist(),
  );
  const over = verdictOf(
    evidence([...flat(0, 60), ...flat(12, 72)], [moisture(10, 'dry')]),
    moist({ ceilingC: 70 }),
  );
  const thin = verdictOf(
    evidence([...flat(0, 60), ...round(12, 60)], [moisture(10, 'dry')]),
    moist(),
  );
  expect([codes(cold).includes('COLD'), codes(over).includes('OVER_CEILING')]).toEqual([
    true,
    true,
  ]);
  expect([codes(thin).includes('THIN_ROUND'), codes(thin).includes('DRY_ROUND')]).toEqual([
    true,
    false,
  ]);
});

test('the latest state holds whatever segment it was logged in; of several at one moment a dry one', () => {
  const restart: BatchEvent = { id: 'raw', at: at(20), type: 'add', raw: true };
  const v = verdictOf(evidence(steady(24, 60, 12, 60), [moisture(2, 'dry'), restart]), moist());
  expect(v.status).toBe('waiting');
  const tie = moistureOf([moisture(5, 'dry'), moisture(5, 'moist')], at(9));
  expect([tie.isDryAt(at(5)), tie.dryMs(at(5), at(8))]).toEqual([true, at(8) - at(5)]);
  expect(moistureOf([moisture(5, 'dry')], at(4)).known).toBe(false);
});

test('counting days, a day with any dry time in it is blank where it would be hot', () => {
  const v = verdictOf(
    evidence(steady(0, 96, 12, 60), [moisture(30, 'dry'), moisture(31, 'moist')], {
      counting: 'days',
    }),
    moist({ hours: 48, consecutive: true }),
  );
  // Days 1, 3 and 4 are hot, day 2 is blank: the run starts over on day 3.
  expect([v.status, v.creditedHours, v.run?.from]).toEqual(['proven', 48, at(48)]);
});

test('a rule that does not ask for moisture is not touched; with nothing logged credit stands and is noted', () => {
  const dry = evidence(steady(0, 72, 12, 60), [moisture(0, 'dry'), turn(30)]);
  expect(verdictOf(dry, holdRule()).status).toBe('proven');
  const unknown = verdictOf(
    evidence(steady(0, 168, 12, 60)),
    holdRule({ hours: 168, moist: true }),
  );
  expect([unknown.status, codes(unknown)]).toEqual(['proven', ['MOISTURE_UNKNOWN']]);
});
