import {
  carriedBy,
  concernsOfLoad,
  concernsOfLoads,
  isRaw,
  seedsIn,
  type LoadFacts,
} from './concerns';
import { MATERIAL_LIBRARY } from './library';

const of = (id: string, load: Partial<LoadFacts['load']> = {}): LoadFacts => ({
  material: MATERIAL_LIBRARY.find((m) => m.id === id)!,
  load: { sprayed: 'no', ...load },
});

describe('what came in with a load', () => {
  test('by-products, sludge and dust are known by their material', () => {
    expect(concernsOfLoad(of('slaughter-waste'))).toEqual(['by-product']);
    expect(concernsOfLoad(of('biosolids'))).toEqual(['sludge']);
    expect(concernsOfLoad(of('straw'))).toContain('dust');
    expect(concernsOfLoad(of('vegetable-waste'))).toEqual([]);
  });
  test('sprays and diseased plants are known by what was said at the gate', () => {
    expect(concernsOfLoad(of('vegetable-waste', { sprayed: 'yes' }))).toEqual(['sprayed']);
    expect(concernsOfLoad(of('vegetable-waste', { sprayed: 'unknown' }))).toEqual([
      'spray-unknown',
    ]);
    expect(concernsOfLoad(of('vegetable-waste', { diseased: 'alliums' }))).toEqual(['diseased']);
  });
  test('compost from elsewhere is of unknown origin, and raw, until its papers are there', () => {
    const bought = of('finished-compost');
    const papers = of('finished-compost', { certificate: 'batch 12, PFRP' });
    expect(concernsOfLoad(bought)).toEqual(['unknown-origin']);
    expect(concernsOfLoad(papers)).toEqual([]);
    expect(carriedBy(bought.material, bought.load).raw).toBe(true);
    expect(carriedBy(papers.material, papers.load).raw).toBe(false);
    // Of no load nobody has said what it is.
    expect(carriedBy(bought.material, null).raw).toBeNull();
  });
});

test('what a load says of seeds goes before what its material may bring in', () => {
  expect(seedsIn(of('soil'))).toBeNull();
  expect(seedsIn(of('soil', { seeds: false }))).toBe(false);
  expect(seedsIn(of('straw', { seeds: true }))).toBe(true);
  expect(seedsIn(of('straw', { seeds: 'unknown' }))).toBeNull();
  expect(seedsIn(of('vegetable-waste'))).toBe(false);
});

test('diseased plants make a load raw, whatever its material', () => {
  expect(carriedBy(of('straw').material, { sprayed: 'no', diseased: 'beets' }).raw).toBe(true);
  expect(isRaw(of('straw').material.risks)).toBe(false);
});

test('of several loads each concern is named once, with the loads that brought it', () => {
  const loads = [
    { id: 'a', ...of('straw', { diseased: 'beets' }) },
    { id: 'b', ...of('biosolids') },
    { id: 'c', ...of('straw', { diseased: 'alliums' }) },
  ];
  expect(concernsOfLoads(loads).map((c) => [c.concern, c.loads])).toEqual([
    ['sludge', ['b']],
    ['diseased', ['a', 'c']],
    ['dust', ['a', 'c']],
  ]);
  expect(concernsOfLoads(loads).find((c) => c.concern === 'diseased')!.families).toEqual([
    'beets',
    'alliums',
  ]);
});
