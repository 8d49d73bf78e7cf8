import { createMemory, createSharedWork } from './memory';

test('what was kept is recalled as long as the log ends with the same entry', () => {
  const memory = createMemory<number>();
  expect(memory.recall('a', 'h1')).toBeUndefined();
  expect(memory.keep('a', 'h1', 1)).toBe(1);
  expect(memory.recall('a', 'h1')).toBe(1);
  expect(memory.recall('a', 'h2')).toBeUndefined();
  memory.keep('a', 'h2', 2);
  expect(memory.recall('a', 'h1')).toBeUndefined();
});
test('of many sites those that were kept last are remembered', () => {
  const memory = createMemory<number>();
  for (let i = 0; i < 9; i += 1) memory.keep(`site ${i}`, 'h', i);
  expect(memory.recall('site 0', 'h')).toBeUndefined();
  expect(memory.recall('site 1', 'h')).toBe(1);
  memory.keep('site 1', 'h', 1);
  memory.keep('site 9', 'h', 9);
  expect(memory.recall('site 1', 'h')).toBe(1);
  expect(memory.recall('site 2', 'h')).toBeUndefined();
});
test('what many ask for at once is worked out once, and what failed is tried again', async () => {
  const share = createSharedWork<number>();
  let times = 0;
  const work = (): Promise<number> => Promise.resolve((times += 1));
  expect(await Promise.all([share('a', 'h', work), share('a', 'h', work)])).toEqual([1, 1]);
  expect(await share('a', 'h2', work)).toBe(2);
  const fail = (): Promise<number> => Promise.reject(new Error('no'));
  await expect(share('b', 'h', fail)).rejects.toThrow('no');
  expect(await share('b', 'h', work)).toBe(3);
});
