import fc from 'fast-check';
import { barrows, entry, idOf, load, NOW } from '../../../tests/support/store';
import type { Entry } from '../log/entry';
import { MS } from '../quantity/instant';
import { contentsOf } from './contents';
import { resolveMaterialProperties } from './ingredient';
import { mixOf } from './mix';
import { foldStore } from './store';
import { estOf } from './window';
import { batchId } from '../../../tests/support/ids';

const [A, B, C] = [idOf(900_001), idOf(900_002), idOf(900_003)];
const opened = (id: string, name: string, more: object = {}, hoursAgo = 300): Entry =>
  entry('opened', { code: name, name, method: 'turned', points: [], ...more }, hoursAgo, id);
const built = (id: string, hoursAgo: number): Entry => entry('built', {}, hoursAgo, id);
const into = (
  id: string,
  material: string,
  n: number,
  hoursAgo: number,
  more: object = {},
): Entry => entry('charge', { parts: [{ material, amount: barrows(n) }], ...more }, hoursAgo, id);
const carried = (
  to: string,
  name: string,
  from: string,
  share: number | null,
  hoursAgo: number,
): Entry =>
  opened(
    to,
    name,
    {
      splitFrom: {
        batch: from,
        at: NOW - hoursAgo * MS.hour,
        ...(share === null ? {} : { share }),
      },
    },
    hoursAgo,
  );
const joined = (to: string, from: string | null, hoursAgo: number, more: object = {}): Entry =>
  entry('merge', { withProven: false, ...(from ? { from } : {}), ...more }, hoursAgo, to);
const inIt = (list: readonly Entry[], id: string) => contentsOf(foldStore(list), batchId(id));
const litres = (list: readonly Entry[], id: string) =>
  inIt(list, id).ingredients.map((i) => [
    i.material,
    i.litres === null ? null : Math.round(i.litres),
  ]);
const cn = (list: readonly Entry[], id: string): number | undefined => {
  const c = inIt(list, id);
  return estOf(mixOf(c.ingredients, c.waterL).cn)?.value;
};

describe('what a heap holds', () => {
  test('what went into it has the figures of its load on that day, also when the load is gone', () => {
    const grass = load('grass-clippings', barrows(10), { what: 'Cricket field' }, 200);
    const part = { parts: [{ material: 'grass-clippings', load: grass.id, amount: barrows(5) }] };
    const list = [
      opened(A, 'A'),
      grass,
      entry('charge', part, 190, A),
      entry('load-change', { load: grass.id, state: 'dried' }, 100),
      entry('charge', part, 50, A),
    ];
    const store = foldStore(list);
    expect(store.loads[0]!.gone).toMatchObject({ how: 'used' });
    const dried = resolveMaterialProperties(store.materials.get('grass-clippings')!, 'dried');
    expect(contentsOf(store, batchId(A)).ingredients).toMatchObject([
      { name: 'Cricket field', role: 'green', litres: 450 },
      { name: 'Cricket field', role: 'brown', litres: 450, moisture: dried.moisture },
    ]);
  });
  test('closed with nothing logged it is not known, and what is added later does not stand for it', () => {
    expect(inIt([opened(A, 'Heron')], A)).toMatchObject({ ingredients: [], unlogged: [] });
    const list = [
      opened(A, 'Heron'),
      built(A, 100),
      entry('addition', { raw: false, parts: [{ material: 'straw', amount: barrows(2) }] }, 20, A),
    ];
    expect(inIt(list, A)).toMatchObject({
      unlogged: ['what Heron was built of'],
      ingredients: [
        { litres: null, kg: null },
        { material: 'straw', litres: 180 },
      ],
    });
    expect(mixOf(inIt(list, A).ingredients).cn).toMatchObject({
      ok: false,
      missing: ['what Heron was built of'],
    });
    expect(
      inIt(
        [
          opened(A, 'Heron', { adopted: { from: NOW - 50 * MS.hour, rawAt: 'unknown' } }),
          into(A, 'straw', 2, 10),
        ],
        A,
      ).unlogged,
    ).toEqual(['what Heron was built of']);
    expect(inIt([opened(A, 'Heron'), into(A, 'straw', 2, 110), built(A, 100)], A).unlogged).toEqual(
      [],
    );
  });
  test('something added in words alone stands in the way by those words; rinse water brings its litres', () => {
    const first = [opened(A, 'A'), into(A, 'straw', 2, 110), built(A, 100)];
    expect(
      inIt([...first, entry('addition', { raw: true, what: 'six barrows of litter' }, 50, A)], A)
        .unlogged,
    ).toEqual(['six barrows of litter']);
    expect(
      inIt(
        [
          ...first,
          entry(
            'addition',
            { raw: true, what: 'Leachate from B', from: B, stuff: 'leachate', litres: 40 },
            50,
            A,
          ),
        ],
        A,
      ),
    ).toMatchObject({ unlogged: [], waterL: 40 });
    const wrong = entry('addition', { raw: true, what: 'never was' }, 50, A);
    expect(
      inIt(
        [
          ...first,
          wrong,
          entry('correction', { target: wrong.id, reason: 'another batch' }, 40, A),
        ],
        A,
      ).unlogged,
    ).toEqual([]);
  });
  test('all of a heap that was joined to it, as that one was then', () => {
    const list = [
      opened(A, 'A'),
      opened(B, 'B'),
      into(A, 'straw', 4, 200, { waterL: 50 }),
      into(B, 'horse-manure', 6, 200, { waterL: 30 }),
      built(A, 190),
      built(B, 190),
      joined(A, B, 100),
      into(B, 'leaves', 9, 20),
    ];
    expect(litres(list, A)).toEqual([
      ['straw', 360],
      ['horse-manure', 540],
    ]);
    expect(inIt(list, A).waterL).toBe(80);
    expect(
      inIt([...list, joined(A, null, 50, { what: 'half of the old row' })], A).unlogged,
    ).toEqual(['half of the old row']);
    expect(
      inIt(
        [
          opened(A, 'A'),
          opened(B, 'B'),
          into(A, 'straw', 4, 200),
          built(B, 190),
          joined(A, B, 100),
        ],
        A,
      ).unlogged,
    ).toEqual(['what B was built of']);
  });
  test('a share of the heap that it was carried off from, which that one has no more', () => {
    const list = [
      opened(A, 'A'),
      into(A, 'straw', 4, 200, { waterL: 100 }),
      into(A, 'horse-manure', 6, 200),
      built(A, 190),
      carried(B, 'B', A, 0.25, 100),
      into(A, 'leaves', 2, 50),
      into(B, 'hay-grass', 1, 50),
    ];
    expect(litres(list, B)).toEqual([
      ['straw', 90],
      ['horse-manure', 135],
      ['hay-grass', 90],
    ]);
    expect(litres(list, A)).toEqual([
      ['straw', 270],
      ['horse-manure', 405],
      ['leaves', 180],
    ]);
    expect([inIt(list, A).waterL, inIt(list, B).waterL]).toEqual([75, 25]);
  });
  test('a share that nobody measured leaves amounts not known, on both sides', () => {
    const list = [
      opened(A, 'A'),
      into(A, 'straw', 4, 200),
      built(A, 190),
      carried(B, 'B', A, null, 100),
    ];
    expect(litres(list, A)).toEqual([['straw', null]]);
    expect(litres(list, B)).toEqual([['straw', null]]);
  });
  test('heaps that were joined in a ring end', () => {
    const list = [
      opened(A, 'A'),
      opened(B, 'B'),
      into(A, 'straw', 1, 200),
      into(B, 'leaves', 1, 200),
      joined(A, B, 100),
      joined(B, A, 50),
    ];
    expect(litres(list, A)).toEqual([
      ['straw', 90],
      ['leaves', 90],
    ]);
    expect(
      litres([...list.slice(0, 4), joined(A, B, 100), joined(B, A, 100)], A).length,
    ).toBeGreaterThan(1);
  });
  test('splitting loses nothing and changes no C:N; joining again gives the whole back', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            material: fc.constantFrom(
              'straw',
              'leaves',
              'horse-manure',
              'green-chip',
              'hen-litter',
            ),
            n: fc.integer({ min: 1, max: 20 }),
          }),
          { minLength: 1, maxLength: 6 },
        ),
        fc.array(fc.double({ min: 0.05, max: 0.9, noNaN: true }), { minLength: 1, maxLength: 2 }),
        (parts, shares) => {
          const whole = [
            opened(A, 'A'),
            ...parts.map((p, i) => into(A, p.material, p.n, 290 - i)),
            built(A, 200),
          ];
          const children = [B, C].slice(0, shares.length);
          const split = [
            ...whole,
            ...children.map((c, i) => carried(c, `c${i}`, A, shares[i]!, 150 - i * 10)),
          ];
          const total = (list: readonly Entry[], id: string): number =>
            inIt(list, id).ingredients.reduce((s, i) => s + i.kg!, 0);
          const all = total(whole, A);
          expect(total(split, A) + children.reduce((s, c) => s + total(split, c), 0)).toBeCloseTo(
            all,
            6,
          );
          for (const id of [A, ...children]) expect(cn(split, id)).toBeCloseTo(cn(whole, A)!, 6);
          const again = [...split, ...children.map((c, i) => joined(A, c, 40 - i))];
          expect(total(again, A)).toBeCloseTo(all, 6);
        },
      ),
      { numRuns: 60 },
    );
  });
});
