import { ENTRY_KINDS } from '../log/entry';
import { MEMBER_ROLES } from '../log/entered-by';
import { DEMO_PEOPLE } from './demo-people';
import { DUTIES } from './duties';
import { ACCESS_ROLES, ACTIONS, logsInOwnName, may, roleOnSharedDevice } from './roles';

describe('what a role may do', () => {
  test('nobody, an inspector and a partner log nothing and see no batch', () => {
    for (const role of [null, 'inspector', 'partner'] as const) {
      expect(may(role, 'see-site')).toBe(false);
      for (const kind of ENTRY_KINDS)
        expect([kind, may(role, 'log', { kind })]).toEqual([kind, false]);
    }
  });
  test('a manager may do all that anybody on the site may', () => {
    for (const action of ACTIONS)
      if (ACCESS_ROLES.some((role) => role !== 'partner' && may(role, action)))
        expect([action, may('manager', action)]).toEqual([action, true]);
    for (const kind of ENTRY_KINDS)
      expect([kind, may('manager', 'log', { kind })]).toEqual([
        kind,
        DUTIES[kind] !== 'installation',
      ]);
  });
  test('each role of the crew may do what the one below it may', () => {
    const order = ['trainee', 'crew', 'recorder', 'manager'] as const;
    for (const [i, below] of order.slice(0, -1).entries())
      for (const kind of ENTRY_KINDS)
        if (may(below, 'log', { kind }))
          expect(may(order[i + 1] ?? null, 'log', { kind })).toBe(true);
  });
  test('rules, policy and release are the manager’s alone', () => {
    for (const kind of [
      'site-terms',
      'rule',
      'terms',
      'release',
      'lot-decision',
      'inspection',
    ] as const)
      expect(ACCESS_ROLES.filter((role) => may(role, 'log', { kind }))).toEqual(['manager']);
  });
  test('rounds, turnings, water and building are the work of all who work', () => {
    for (const kind of ['round', 'turn', 'water', 'charge', 'built'] as const)
      expect(ACCESS_ROLES.filter((role) => may(role, 'log', { kind }))).toEqual([
        'manager',
        'recorder',
        'crew',
        'trainee',
      ]);
  });
  test('crew correct what they logged themselves, on the same day', () => {
    const corrects = (isOwn: boolean, isOfToday: boolean) =>
      may('crew', 'log', { kind: 'correction', corrects: { isOwn, isOfToday } });
    expect([corrects(true, true), corrects(true, false), corrects(false, true)]).toEqual([
      true,
      false,
      false,
    ]);
    expect(may('crew', 'log', { kind: 'correction' })).toBe(false);
    expect(may('recorder', 'log', { kind: 'correction' })).toBe(true);
    expect(
      may('partner', 'log', { kind: 'correction', corrects: { isOwn: true, isOfToday: true } }),
    ).toBe(false);
  });
  test('an entry that is not named may be logged by nobody', () =>
    expect(ACCESS_ROLES.filter((role) => may(role, 'log'))).toEqual([]));
  test('a link for inspectors and what is public are open to anybody', () => {
    for (const role of [null, ...ACCESS_ROLES])
      expect([may(role, 'see-public'), may(role, 'see-inspection')]).toEqual([true, true]);
  });
});

test('every kind of entry has its duty', () =>
  expect(Object.keys(DUTIES).sort()).toEqual([...ENTRY_KINDS].sort()));

test('who works at the batches logs in their own name; who keeps the record may write down what others did', () =>
  expect(MEMBER_ROLES.filter(logsInOwnName)).toEqual(['crew', 'trainee', 'partner']));

test('a shared phone gives nobody more than crew may', () => {
  expect(MEMBER_ROLES.map(roleOnSharedDevice)).toEqual([
    'crew',
    'crew',
    'crew',
    'trainee',
    'partner',
  ]);
});

test('the demo has somebody of each role', () =>
  expect(DEMO_PEOPLE.map((p) => p.role)).toEqual(MEMBER_ROLES));
