import { foldStore } from '@/core/mix/store';
import { barrows, entry, load, LOCALE, NOW } from '../../../tests/support/store';
import { loadPage, materialOptions, stockView, suppliersView } from './view';

/** The store as it is shown. */
const HEAP = '0190aaaa-0000-7000-8000-000000000001';
const show = (...list: Parameters<typeof foldStore>[0]) => stockView(foldStore(list), LOCALE);

test('stock stands by role, the oldest first, with what is left, and whatever somebody must see to', () => {
  const [old, grass, chip] = [
    load('straw', barrows(10), { supplier: 'Barn', where: 'Bay A', sprayed: 'unknown' }, 24 * 30),
    load('grass-clippings', barrows(30), { becomes: 'dried', readyFrom: NOW - 3_600_000 }),
    load('green-chip', { in: 'litres', n: 5000 }),
  ];
  const view = show(
    chip,
    old,
    load('straw', barrows(4)),
    grass,
    entry('charge', { parts: [{ material: 'straw', load: old.id, amount: barrows(4) }] }, 3, HEAP),
    entry('load-heat', { load: chip.id, value: 72, unit: 'C' }, 2),
  );
  const browns = view.roles.find((r) => r.role === 'brown')!;
  expect(browns.loads.map((l) => [l.name, l.left, l.age, l.where, l.from])).toEqual([
    ['Straw', '540 L', '30 d', 'Bay A', 'Barn'],
    ['Straw', '360 L', '2 d', '', ''],
  ]);
  expect(browns.loads[0]!.notes).toEqual([{ text: 'not known whether sprayed', urgent: false }]);
  expect(view.roles.find((r) => r.role === 'green')!.loads[0]!.notes).toEqual([
    { text: expect.stringMatching(/^ready since Wed May 20/), urgent: true },
  ]);
  expect(view.roles.find((r) => r.role === 'structure')!.loads[0]!.notes).toEqual([
    { text: '72 °C in the stack: take it apart', urgent: true },
  ]);
});
test('greens outrun browns is said with what would be wanted', () =>
  expect(show(load('grass-clippings', barrows(20))).warning).toMatch(
    /1\.8 m³ of greens are in stock, and 0 L of browns and structure\. Two to one, you need 3\.6 m³/,
  ));
test('an empty store says so, and one with a refused load only is not empty of news', () => {
  expect(show()).toMatchObject({ empty: true, roles: [], warning: null });
  expect(
    show(load('treated-wood', barrows(2), { answer: 'refuse', done: 'sent back' })).lately[0]!.text,
  ).toBe('Mon May 18: Treated, painted or glued wood, 2 barrows, refused');
});
test('a load’s page tells what it is, where its figures come from, and where it went', () => {
  const straw = load('straw', barrows(10), { supplier: 'Barn', cost: 30 });
  const page = (() => {
    const s = foldStore([
      straw,
      entry(
        'load-change',
        {
          load: straw.id,
          test: { how: 'bucket', density: 100, working: ['10 kg in 100 L: 100 kg/m³'] },
        },
        5,
      ),
      entry(
        'charge',
        { parts: [{ material: 'straw', load: straw.id, amount: barrows(2) }] },
        3,
        HEAP,
      ),
    ]);
    return loadPage(s.loads[0]!, s, [], LOCALE);
  })();
  expect(page.head).toBe('brown, fresh, 720 L left');
  expect(page.figures).toEqual([
    { name: 'C:N', says: '80 (48 to 150)', from: expect.stringMatching(/NRAES-54/) },
    { name: 'Moisture content', says: '12 % (4 to 27)', from: expect.stringMatching(/NRAES-54/) },
    { name: 'Bulk density', says: '100 kg/m³ (95 to 105)', from: 'measured: bucket test' },
  ]);
  expect(page.facts).toContainEqual({ name: 'Cost', says: '30.00, 0.333 per kg' });
  expect(page.went).toEqual([{ batch: HEAP, text: 'a batch: 180 L, Wed May 20 9:00\u00a0AM' }]);
});
test('at the gate each material has its answer, different where it is kept otherwise', () => {
  const options = materialOptions(foldStore([]), { timeZone: 'America/New_York', now: 0 });
  const of = (id: string) => options.find((o) => o.id === id)!;
  expect(of('pet-dung').answers).toEqual([
    { kept: 'all', answer: 'refuse', reason: 'parasites survive short heat' },
  ]);
  expect(of('cooked-food').answers.map((a) => [a.kept, a.answer])).toEqual([
    ['all', 'ask'],
    ['in-vessel batches', 'accept'],
  ]);
  expect(of('grass-clippings').asksSpray).toBe(true);
});
test('suppliers are told by what they brought, and what of it was kept out of landfill', () => {
  const s = foldStore([
    load('straw', { in: 'kg', n: 200 }, { supplier: 'Barn', waste: false, cost: 60 }),
    load('leaves', { in: 'kg', n: 100 }, { supplier: 'Parish' }),
    load('leaves', { in: 'unknown' }, { supplier: 'Parish' }),
    load('treated-wood', barrows(1), { supplier: 'Parish', answer: 'refuse' }),
  ]);
  const view = suppliersView(s, [], NOW - 1e10, NOW, LOCALE);
  expect(view.lines.map((l) => [l.name, l.says])).toEqual([
    ['Barn', '1 load, 200 kg, cost 60.00'],
    ['Parish', '3 loads, 1 refused, 100 kg kept out of landfill, 1 of unknown weight'],
  ]);
  expect(view.diverted.total).toBe('100 kg, and 1 load of unknown weight besides');
});
