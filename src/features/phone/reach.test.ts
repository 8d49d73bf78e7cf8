import { reachOfFailure } from './reach';

const failed = (code: string): Error => new Error('fetch failed', { cause: { code } });

test.each([
  ['SELF_SIGNED_CERT_IN_CHAIN', 'UNTRUSTED'],
  ['UNABLE_TO_VERIFY_LEAF_SIGNATURE', 'UNTRUSTED'],
  ['CERT_HAS_EXPIRED', 'UNTRUSTED'],
  ['ECONNREFUSED', 'NO_ANSWER'],
  ['ENOTFOUND', 'NO_ANSWER'],
])('a call that fails with %s: %s', (code, reach) =>
  expect(reachOfFailure(failed(code)).code).toBe(reach),
);

test('a call that fails without saying why has no answer', () => {
  expect(reachOfFailure(new Error('timed out')).code).toBe('NO_ANSWER');
  expect(reachOfFailure('?').code).toBe('NO_ANSWER');
});
