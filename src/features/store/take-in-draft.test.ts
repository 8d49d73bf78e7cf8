import { getKindDescription } from '@/core/log/entry';
import { strictestAnswer, USUAL_MEASURES } from '@/core/mix/store';
import { loadData, newTakeInDraft, readTakeIn, type TakeInDraft } from './take-in-draft';
import type { MaterialOption } from './view';

const answer = (kept: string, a: 'accept' | 'ask' | 'refuse') => ({
  kept,
  answer: a,
  reason: null,
});
const material = (id: string, change: Partial<MaterialOption> = {}): MaterialOption => ({
  id,
  name: id,
  role: 'brown',
  caution: null,
  risks: '',
  asksSpray: false,
  answers: [answer('all', 'accept')],
  permissions: [],
  density: 100,
  ...change,
});
const MATERIALS = [
  material('straw'),
  material('hay', { asksSpray: true }),
  material('meat', { answers: [answer('all', 'refuse')] }),
];
const CLOCK = { nowMs: Date.UTC(2026, 9, 25, 12), nowLocal: '2026-10-25T12:00' };
const FIRST = newTakeInDraft(USUAL_MEASURES);
const STRAW: TakeInDraft = {
  ...FIRST,
  materialId: 'straw',
  amount: { n: '6', unit: 'barrow', about: true },
};
const MANAGER = { by: 'Mo', mayAccept: true };
const read = (change: Partial<TakeInDraft>, keeper = MANAGER) =>
  readTakeIn({ ...STRAW, ...change }, MATERIALS, USUAL_MEASURES, keeper);
const data = (change: Partial<TakeInDraft>) => {
  const d = { ...STRAW, ...change };
  return loadData(d, readTakeIn(d, MATERIALS, USUAL_MEASURES, MANAGER), CLOCK);
};

test('what is missing is told one after another, in the order of the form', () => {
  const told = (d: Partial<TakeInDraft>, by = 'Mo') => read(d, { by, mayAccept: true }).missing;
  expect(readTakeIn(FIRST, MATERIALS, USUAL_MEASURES, MANAGER).missing).toBe('Choose what it is.');
  expect(told({ amount: FIRST.amount })).toMatch(/how much/);
  expect(told({ amount: { ...STRAW.amount, n: '0' } })).toMatch(/above 0/);
  expect(told({ cost: 'dear' })).toMatch(/cost and days/);
  expect(told({ materialId: 'meat' })).toMatch(/done with the refused/);
  expect(told({ materialId: 'hay' })).toMatch(/sprayed/);
  expect(told({}, ' ')).toBe('Say who received it.');
  expect(told({})).toBeNull();
});

test('the site’s answers as one: refused only where every kind of heap refuses it', () => {
  expect(strictestAnswer([answer('turned', 'accept')])).toBe('accept');
  expect(strictestAnswer([answer('turned', 'accept'), answer('static', 'ask')])).toBe('ask');
  expect(strictestAnswer([answer('turned', 'accept'), answer('static', 'refuse')])).toBe('ask');
  expect(strictestAnswer([answer('all', 'refuse')])).toBe('refuse');
  // A person may decide otherwise.
  expect(read({ materialId: 'meat', answer: 'accept' }).given).toBe('accept');
});

test('the log takes it, with the amount in the site’s own measure and what was not said left out', () => {
  const load = data({ cost: '-12,5', supplier: ' Mill Lane ', what: ' ' });
  expect(getKindDescription('load').schema.safeParse(load).error?.issues).toBeUndefined();
  expect(load).toMatchObject({
    material: 'straw',
    amount: { in: 'measure', n: 6, measure: 'barrow', about: true },
    cost: -12.5,
    supplier: 'Mill Lane',
    sprayed: 'unknown',
    answer: 'accept',
  });
  expect(load).not.toHaveProperty('what');
  expect(load).not.toHaveProperty('done');
});

test('what ripens is ready so many days after it came, however late it is written down', () => {
  const day = 86_400_000;
  expect(data({ ripening: 'soaked', days: '2' })).toMatchObject({
    readyFrom: CLOCK.nowMs + 2 * day,
  });
  expect(data({ ripening: 'soaked', days: '2', at: '2026-10-24T12:00' })).toMatchObject({
    readyFrom: CLOCK.nowMs + day,
  });
});

describe('something that the site refuses or asks about', () => {
  const MEAT = { materialId: 'meat', answer: 'accept' } as const;
  const permitted = {
    ...material('meat', { answers: [answer('all', 'refuse')] }),
    permissions: [{ supplier: 'Hill Farm', text: 'Permitted from Hill Farm' }],
  };
  const crew = { by: 'Kit', mayAccept: false };

  test('is put aside by the crew, and accepted by whoever keeps records, with a reason', () => {
    expect(read(MEAT, crew).missing).toMatch(/on hold/);
    expect(read({ ...MEAT, answer: 'ask' }, crew).missing).toBeNull();
    expect(read(MEAT).missing).toMatch(/why it is accepted/);
    expect(read({ ...MEAT, because: 'papers' }).missing).toBeNull();
    expect(data({ ...MEAT, because: 'papers' })).toMatchObject({ because: 'papers' });
  });

  test('is accepted without a question under a permission for its supplier, and for no other', () => {
    const of = (supplier: string) =>
      readTakeIn({ ...STRAW, materialId: 'meat', supplier }, [permitted], USUAL_MEASURES, crew);
    expect(of('hill  farm')).toMatchObject({ given: 'accept', missing: null });
    expect(of('Dale Farm').given).toBe('refuse');
  });
});

test('what is said of seeds is kept as it was said', () => {
  expect(data({ seeds: 'yes' })).toMatchObject({ seeds: true });
  expect(data({ seeds: 'unknown' })).toMatchObject({ seeds: 'unknown' });
  expect(data({})).not.toHaveProperty('seeds');
});
