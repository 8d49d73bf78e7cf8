import canonicalize from 'canonicalize';
import fc from 'fast-check';
import { canonicalJson } from '@/core/log/entry';

/** The text that hashes and signatures are taken over: RFC 8785 (JSON Canonicalization Scheme), beside the package of one of its authors. */

test('the example of RFC 8785, section 3.2, from memory', () => {
  const input = String.raw`{
    "numbers": [333333333.33333329, 1E30, 4.50, 2e-3, 0.000000000000000000000000001],
    "string": "\u20ac$\u000F\u000aA'\u0042\u0022\u005c\\\"\/",
    "literals": [null, true, false]
  }`;
  expect(canonicalJson(JSON.parse(input))).toBe(
    String.raw`{"literals":[null,true,false],"numbers":[333333333.3333333,1e+30,4.5,0.002,1e-27],"string":"€$\u000f\nA'B\"\\\\\"/"}`,
  );
});

test('names are ordered by their UTF-16 code units, as its section 3.2.3 shows, from memory', () => {
  const input = { '€': 1, '\r': 2, '\ufb33': 3, '1': 4, '😀': 5, '\u0080': 6, ö: 7 };
  expect(Object.keys(JSON.parse(canonicalJson(input)) as object).length).toBe(7);
  expect(canonicalJson(input)).toBe('{"\\r":2,"1":4,"\u0080":6,"ö":7,"€":1,"😀":5,"\ufb33":3}');
});

test('any JSON is written as the other package writes it', () =>
  fc.assert(
    fc.property(fc.jsonValue({ noUnicodeString: false, maxDepth: 4 }), (value) => {
      expect(canonicalJson(value)).toBe(canonicalize(value));
    }),
    { numRuns: 2000, seed: 20261130 },
  ));
