import { RULE_LIBRARY, rulesForMethod } from '@/core/rules/library';
import type { Hold } from '@/core/evidence/rule';

/**
 * The numbers of the library against the published texts, each named beside its row. Written down from memory:
 * the machine this was written on reaches no document. Whoever has one: check, and say so here.
 */
const HOLDS: readonly [string, string, number, number | undefined, number, boolean, number][] = [
  // id, source, floor °C, ceiling °C, days, in a row, turnings
  ['us-503-pfrp-turned', '40 CFR 503 App. B (B)(1), from memory', 55, undefined, 15, true, 5],
  ['us-503-pfrp-static', '40 CFR 503 App. B (B)(1), from memory', 55, undefined, 3, true, 0],
  [
    'us-organic-turned',
    '7 CFR 205.203(c)(2): 131 to 170 °F, from memory',
    55,
    (170 - 32) / 1.8,
    15,
    true,
    5,
  ],
  [
    'us-organic-static',
    '7 CFR 205.203(c)(2): 131 to 170 °F, from memory',
    55,
    (170 - 32) / 1.8,
    3,
    true,
    0,
  ],
  ['us-produce-turned', '21 CFR 112.54(b), from memory', 55, undefined, 15, false, 5],
  ['us-produce-static', '21 CFR 112.54(b), from memory', 55, undefined, 3, true, 0],
  [
    'ca-ccme-2005-turned',
    'CCME Guidelines for Compost Quality, 2005, from memory',
    55,
    undefined,
    15,
    true,
    5,
  ],
  [
    'ca-ccme-2005-static',
    'CCME Guidelines for Compost Quality, 2005, from memory',
    55,
    undefined,
    3,
    true,
    0,
  ],
  [
    'ca-ccme-2005-vessel',
    'CCME Guidelines for Compost Quality, 2005, from memory',
    55,
    undefined,
    3,
    true,
    0,
  ],
  ['au-4454-turned-high-risk', 'AS 4454, from memory', 55, undefined, 15, true, 5],
  ['uk-pas100-default', 'BSI PAS 100, from memory', 65, undefined, 7, false, 2],
  ['practice-weed-seed-week', 'common practice: 130 °F for a week', 54.4, undefined, 7, true, 0],
];

test.each(HOLDS)('%s (%s)', (id, _source, floorC, ceilingC, days, consecutive, turnings) => {
  const hold = RULE_LIBRARY.find((r) => r.id === id)!.requirement as Hold;
  expect(hold).toMatchObject({ kind: 'hold', floorC, hours: days * 24, consecutive, turnings });
  if (ceilingC === undefined) expect(hold.ceilingC).toBeUndefined();
  else expect(hold.ceilingC).toBeCloseTo(ceilingC, 10);
});

test('the rest of the library is there as data', () => {
  const kinds = Object.fromEntries(
    RULE_LIBRARY.filter((r) => r.requirement.kind !== 'hold').map((r) => [
      r.id,
      r.requirement.kind,
    ]),
  );
  expect(kinds).toEqual({
    'us-503-psrp': 'within',
    'us-503-var': 'meanAbove',
    'eu-2019-1009-cmc3': 'anyOf',
    'au-4454-turned': 'staged',
  });
  expect(RULE_LIBRARY).toHaveLength(16);
});

test('methods', () => {
  const ids = (m: Parameters<typeof rulesForMethod>[0]) => rulesForMethod(m).map((r) => r.id);
  expect(ids('turned')).toEqual(
    expect.arrayContaining([
      'us-503-pfrp-turned',
      'au-4454-turned',
      'us-503-psrp',
      'eu-2019-1009-cmc3',
      'uk-pas100-default',
      'practice-weed-seed-week',
    ]),
  );
  expect(ids('static')).toEqual(
    expect.arrayContaining(['us-503-pfrp-static', 'ca-ccme-2005-static']),
  );
  expect(ids('static')).not.toContain('ca-ccme-2005-vessel');
  expect(ids('vessel')).toEqual(
    expect.arrayContaining(['us-produce-static', 'ca-ccme-2005-vessel']),
  );
  expect(RULE_LIBRARY.filter((r) => r.clock === 'seeds').map((r) => r.id)).toEqual([
    'practice-weed-seed-week',
  ]);
});
