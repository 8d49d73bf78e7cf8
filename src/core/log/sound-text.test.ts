import { normalizeTexts, textFault } from './sound-text';

test('half an emoji and a zero byte are found wherever they stand, keys included', () => {
  expect(textFault({ data: { words: ['fine', 'broken \uD83D'] } })).toEqual({
    path: ['data', 'words', 1],
    fault: 'half',
  });
  expect(textFault({ data: { 'a\u0000b': 1 } })).toEqual({ path: ['data'], fault: 'nul' });
  expect(textFault({ by: '\uDE00 Mo' })).toEqual({ path: ['by'], fault: 'half' });
  expect(textFault({ words: 'a whole one 😀, two 🐦🪱', n: 3, none: null })).toBeNull();
});
test('the same word typed composed and decomposed is the same word', () => {
  expect(normalizeTexts({ by: 'Jose\u0301', list: ['a\u030A'], n: 1, at: null })).toEqual({
    by: 'José',
    list: ['å'],
    n: 1,
    at: null,
  });
});
