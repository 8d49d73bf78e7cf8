import fc from 'fast-check';
import { parseJson } from './json';

test('what JSON.parse reads is read alike, as long as it is not nested too deep', () => {
  fc.assert(
    fc.property(fc.json({ maxDepth: 5 }), (text) => {
      expect(parseJson(text)).toEqual({ ok: true, value: JSON.parse(text) });
    }),
  );
});
test('brackets in texts are no depth, escapes are followed', () => {
  const text = JSON.stringify({ words: `${'['.repeat(200)}"\\`, n: [1] });
  expect(parseJson(text)).toEqual({ ok: true, value: JSON.parse(text) });
});
test.each([65, 100_000])('%i brackets are refused before they are parsed', (n) => {
  expect(parseJson('['.repeat(n) + ']'.repeat(n))).toEqual({ ok: false, why: 'deep' });
});
test('whatever arrives is answered: nothing is thrown', () => {
  fc.assert(
    fc.property(fc.string({ maxLength: 300 }), (text) => {
      expect(typeof parseJson(text).ok).toBe('boolean');
    }),
    { numRuns: 500 },
  );
});
