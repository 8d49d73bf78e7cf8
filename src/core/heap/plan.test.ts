import fc from 'fast-check';
import { deepestOf } from './places';
import { depthInZone, freshPlaceId, planDoubts, proposePlan, rowStretchesOf } from './plan';
import { bordersOf, movedBorders, neighboursOf, rowOf } from './row';
import { positionText } from '../words/position';
import type { Position } from '../log/shapes';

const known = {
  coreDepthM: 0.9,
  stemM: 0.9,
  minPoints: 3,
  borders: [] as { name: string; atM: number }[],
  borderM: 0.5,
};

describe('a plan that is proposed', () => {
  test('five places, core to edge, as deep as their zone', () => {
    const plan = proposePlan({ shape: 'dome', coreDepthM: 0.9, lengthM: null }, 5, null);
    expect(plan.map((p) => [p.label, p.depthM])).toEqual([
      ['P1 core, top', 0.9],
      ['P2 middle, left', 0.6],
      ['P3 middle, right', 0.6],
      ['P4 edge, front', 0.3],
      ['P5 edge, back', 0.3],
    ]);
  });
  test('in a bay the base by the floor is read', () =>
    expect(
      proposePlan({ shape: 'cube', coreDepthM: null, lengthM: null }, 5, null).map((p) => p.side),
    ).toContain('base'));
  test('no further than the thermometer reaches', () =>
    expect(deepestOf(proposePlan({ shape: 'dome', coreDepthM: 1.5, lengthM: null }, 5, 0.75))).toBe(
      0.75,
    ));
  test.each([
    [4, 1, 5],
    [5, 1, 5],
    [5.1, 2, 6],
    [23, 5, 15],
    [100, 20, 60],
  ])('%d m of row, 5 m each: %d sets, %d points', (lengthM, sets, places) => {
    expect(rowStretchesOf(lengthM, 5)).toBe(sets);
    expect(proposePlan({ shape: 'windrow', coreDepthM: 0.8, lengthM }, 5, null)).toHaveLength(
      places,
    );
  });
  test('along any row: every stretch has a core and a edge, none is read outside of it, ids are its own', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 5.5, max: 300, noNaN: true }),
        fc.integer({ min: 2, max: 30 }),
        (lengthM, stretchM) => {
          const plan = proposePlan({ shape: 'windrow', coreDepthM: null, lengthM }, stretchM, null);
          expect(new Set(plan.map((p) => p.id)).size).toBe(plan.length);
          if (plan[0]!.alongM === undefined) return;
          expect(plan.every((p) => p.alongM! >= 0 && p.alongM! <= lengthM)).toBe(true);
          for (let from = 0; from + stretchM <= lengthM; from += stretchM) {
            const zones = plan
              .filter((p) => Math.abs(p.alongM! - (from + stretchM / 2)) <= stretchM)
              .map((p) => p.zone);
            expect(zones).toEqual(expect.arrayContaining(['core', 'edge']));
          }
        },
      ),
    );
  });
  test('a depth that is not known stays so', () =>
    expect(depthInZone('core', null, 0.9)).toBeUndefined());
  test('a new place never takes an id that another had', () =>
    expect(freshPlaceId(['P1', 'P2', 'P4'])).toBe('P3'));
});

describe('what is doubtful about a plan', () => {
  const five = proposePlan({ shape: 'dome', coreDepthM: 0.9, lengthM: null }, 5, null);
  const codes = (plan: typeof five, more: Partial<typeof known> = {}): string[] =>
    planDoubts(plan, { ...known, ...more }).map((d) => d.code);
  test('five places with a long enough thermometer: nothing', () =>
    expect(codes(five)).toEqual([]));
  test('a thermometer that is shorter than the way to the core', () =>
    expect(codes(five, { stemM: 0.75 })).toEqual(['TOO_SHORT']));
  test('places deeper than it reaches, where the core is not known', () =>
    expect(codes(five, { stemM: 0.75, coreDepthM: null as never })).toEqual(['DEEPER_THAN_STEM']));
  test('only the reachable spot', () =>
    expect(codes(five.slice(3, 4))).toEqual(['ONE_SPOT', 'FEW']));
  test('toes only, core only', () => {
    expect(codes(five.slice(3), { minPoints: 2 })).toEqual(['NO_CORE']);
    expect(codes(five.slice(0, 3))).toEqual(['NO_EDGE']);
  });
  test('near a neighbour’s border', () => {
    const row = proposePlan({ shape: 'windrow', coreDepthM: null, lengthM: 12 }, 6, null);
    expect(codes(row, { borders: [{ name: 'Knot', atM: 12 }] })).toEqual([]);
    expect(codes(five, { borders: [{ name: 'Knot', atM: 4 }] })).toEqual(['BORDERS']);
    expect(
      planDoubts([{ ...row[0]!, alongM: 11.7 }, ...row.slice(1)], {
        ...known,
        borders: [{ name: 'Knot', atM: 12 }],
      }),
    ).toEqual([{ code: 'NEAR_BORDER', place: row[0]!.label, neighbour: 'Knot', distanceM: 0.3 }]);
  });
});

describe('heaps along a row', () => {
  const at = (
    id: string,
    fromM: number,
    toM: number,
  ): { id: string; name: string; position: Position } => ({
    id,
    name: id.toUpperCase(),
    position: { row: 'S', fromM, toM },
  });
  const row = [
    at('b', 6, 10),
    at('a', 0, 6),
    at('c', 10.4, 14),
    { id: 'd', name: 'D', position: { bay: '3' } as Position },
    { id: 'e', name: 'E', position: null },
  ];
  test('neighbours touch, from the start on', () => {
    expect(rowOf(row, 'S').map((h) => h.id)).toEqual(['a', 'b', 'c']);
    expect(neighboursOf(row, 'b')).toMatchObject({ before: { id: 'a' }, after: { id: 'c' } });
    expect(neighboursOf(row, 'd')).toEqual({ before: null, after: null });
    expect(bordersOf(row, 'b')).toEqual([
      { name: 'A', atM: 0 },
      { name: 'C', atM: 4 },
    ]);
  });
  test('a border that moves is the neighbour’s too', () => {
    expect(movedBorders(row, 'b', { row: 'S', fromM: 5.5, toM: 10.4 })).toEqual({
      moved: [{ id: 'a', name: 'A', position: { row: 'S', fromM: 0, toM: 5.5 } }],
      overlaps: [],
    });
  });
  test('a neighbour left without length is told', () =>
    expect(movedBorders(row, 'b', { row: 'S', fromM: 0, toM: 10.4 }).overlaps).toEqual(['A']));
  test('words', () =>
    expect([
      positionText(row[0]!.position),
      positionText({ bay: '3' }),
      positionText(null),
    ]).toEqual(['row S, 6 m–10 m', 'bay 3', '']));
  test('whatever moves, no two lie over each other unless it is said', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 1, max: 9 }), { minLength: 2, maxLength: 7 }),
        fc.nat(),
        fc.integer({ min: -3, max: 3 }),
        fc.integer({ min: -3, max: 3 }),
        (lengths, pick, a, b) => {
          let from = 5;
          const heaps = lengths.map((l, i) => {
            const h = at(String(i), from, from + l);
            from += l;
            return h;
          });
          const own = heaps[pick % heaps.length]!;
          const old = own.position as { row: string; fromM: number; toM: number };
          const to = { row: 'S', fromM: old.fromM + a, toM: old.toM + b };
          if (to.toM <= to.fromM || to.fromM < 0) return;
          const { moved, overlaps } = movedBorders(heaps, own.id, to);
          if (overlaps.length > 0) return;
          const after = heaps.map((h) =>
            h.id === own.id ? { ...h, position: to } : (moved.find((m) => m.id === h.id) ?? h),
          );
          const line = rowOf(after, 'S');
          for (let i = 1; i < line.length; i += 1)
            expect(line[i]!.fromM).toBeGreaterThanOrEqual(line[i - 1]!.toM);
        },
      ),
    );
  });
});
