import { planGeometry, PLAN_WIDTH } from './plan-geometry';

const day = (hoursNumber: number, capHours: number) =>
  ({ hoursNumber, capHours }) as Parameters<typeof planGeometry>[0]['days'][number];
const row = {} as Parameters<typeof planGeometry>[0]['rows'][number];

test('days fill the width beside the names, rows stand one below the other above the soil', () => {
  const g = planGeometry({ days: Array(14).fill(day(2, 4)), rows: [row, row, row] });
  expect(g.x(14)).toBeCloseTo(PLAN_WIDTH, 9);
  expect(g.x(7) - g.x(6)).toBeCloseTo(g.dayWidth, 9);
  expect(g.base(1) - g.base(0)).toBe(g.base(2) - g.base(1));
  expect(g.base(2)).toBeLessThan(g.bottom);
});
test('the deepest day stays in the picture, and no work is a shallow pit, not none', () => {
  const g = planGeometry({ days: [day(30, 8), day(0, 8)], rows: [row] });
  expect(g.bottom + g.pit(30)).toBeLessThan(g.height);
  expect(g.pit(0)).toBeGreaterThan(0);
  expect(g.pit(30)).toBeGreaterThan(g.pit(8));
});
test('an empty site has a picture too', () => {
  const g = planGeometry({ days: [day(0, 0)], rows: [] });
  expect([g.bottom, g.height, g.pit(0)].every(Number.isFinite)).toBe(true);
});
