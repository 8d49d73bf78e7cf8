import {
  anotherPlace,
  draftOfPlan,
  moveToZone,
  proposePlaces,
  readPlaces,
  stretchesOf,
  type PlaceDraft,
  type PlacesScreen,
} from './places-draft';

const place = (id: string, change: Partial<PlacesScreen['plan'][number]> = {}) => ({
  id,
  label: `${id} core`,
  zone: 'core' as const,
  side: null,
  depthM: 0.6,
  alongM: null,
  ...change,
});
const SCREEN: PlacesScreen = {
  plan: [place('P1'), place('P2', { zone: 'edge', side: 'south', depthM: 0.2, label: 'P2 toe' })],
  taken: ['P1', 'P2', 'P3'],
  withReadings: ['P1', 'P2'],
  shape: 'dome',
  coreDepthM: 0.7,
  lengthM: null,
  minPoints: 3,
  stemM: 0.9,
  borders: [],
  settings: { stretchM: 5, borderM: 0.5, altitudeM: 0 },
};
const draft = draftOfPlan(SCREEN);
const change = (i: number, to: Partial<PlaceDraft>): PlaceDraft[] =>
  draft.map((p, k) => (k === i ? { ...p, ...to } : p));
let made = 0;
const propose = (screen: PlacesScreen): PlaceDraft[] =>
  proposePlaces(screen, () => `new ${(made += 1)}`);
const ids = (places: readonly PlaceDraft[], screen = SCREEN): string[] =>
  readPlaces(places, screen).points.map((p) => p.id);

describe('a place keeps its name as long as it is the same place', () => {
  test('unchanged, the plan is the plan, labels and all', () =>
    expect(readPlaces(draft, SCREEN).points).toEqual([
      { id: 'P1', label: 'P1 core', zone: 'core', depthM: 0.6 },
      { id: 'P2', label: 'P2 toe', zone: 'edge', side: 'south', depthM: 0.2 },
    ]));
  test('read at another depth or in another zone it is another, with a name that none ever had', () => {
    expect(ids(change(0, { depth: '0.3' }))).toEqual(['P4', 'P2']);
    expect(ids(change(0, { zone: 'middle' }))).toEqual(['P4', 'P2']);
    expect(readPlaces(change(0, { depth: '0.3' }), SCREEN).gone.map((p) => p.id)).toEqual(['P1']);
  });
  test('on another side it stays the place, and is called anew', () => {
    const [first] = readPlaces(change(0, { side: 'north' }), SCREEN).points;
    expect(first).toMatchObject({ id: 'P1', side: 'north' });
    expect(first?.label).not.toBe('P1 core');
  });
  test('never read, it may be moved and stays itself', () =>
    expect(ids(change(0, { depth: '0.3' }), { ...SCREEN, withReadings: [] })).toEqual([
      'P1',
      'P2',
    ]));
  test('two new ones do not share a name', () =>
    expect(ids([...draft, anotherPlace(SCREEN, 'a'), anotherPlace(SCREEN, 'b')])).toEqual([
      'P1',
      'P2',
      'P4',
      'P5',
    ]));
});

test('a place in another zone takes a depth of that zone, unless none was typed', () => {
  const deep = moveToZone(draft[1]!, 'core', SCREEN);
  expect(Number(deep.depth)).toBeGreaterThan(0.2);
  expect(moveToZone({ ...draft[1]!, depth: '' }, 'core', SCREEN).depth).toBe('');
});

test('what is no depth and no length is named at its row, and nothing is kept', () => {
  const { problems, ready } = readPlaces(change(0, { depth: 'deep' }), SCREEN);
  expect(problems).toEqual(['A depth in m, such as 0.6', null]);
  expect(ready).toBe(false);
  expect(readPlaces(change(1, { along: '-3' }), SCREEN).problems[1]).toBe(
    'How far along the windrow',
  );
  expect(readPlaces(change(0, { depth: '0,5' }), SCREEN).problems).toEqual([null, null]);
  expect(readPlaces([], SCREEN).ready).toBe(false);
});

describe('what is proposed', () => {
  test('five places for a dome; those that are there keep their names', () => {
    const proposed = propose(SCREEN);
    expect(proposed).toHaveLength(5);
    const once = readPlaces(proposed, SCREEN).points;
    const kept: PlacesScreen = {
      ...SCREEN,
      plan: once.map((p) => ({
        id: p.id,
        label: p.label,
        zone: p.zone,
        side: p.side ?? null,
        depthM: p.depthM ?? null,
        alongM: p.alongM ?? null,
      })),
    };
    expect(readPlaces(propose(kept), kept).points).toEqual(once);
  });
  test('a set for each stretch of a row', () => {
    const row: PlacesScreen = { ...SCREEN, shape: 'windrow', lengthM: 20, plan: [], taken: [] };
    expect(stretchesOf(row)).toBe(4);
    expect(propose(row).length).toBeGreaterThanOrEqual(4 * 3);
    expect(new Set(ids(propose(row), row)).size).toBe(propose(row).length);
    expect(stretchesOf(SCREEN)).toBe(1);
  });
});
