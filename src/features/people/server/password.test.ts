import { isEasyToGuess } from './password';

describe('a password that is tried first', () => {
  // The first ones of lists of leaked passwords (common knowledge), and their usual changes.
  test.each([
    '1234567890',
    'password123',
    'qwertyuiop',
    'iloveyou12',
    'P@ssw0rd123',
    'aaaaaaaaaaaa',
    'letmein2026',
  ])('%s', (password) => expect(isEasyToGuess(password, [])).toBe(true));
  test('is one’s own name too', () => {
    expect(isEasyToGuess('wrenfield2026', ['Wren Field', 'wrenfield'])).toBe(true);
  });
  test.each(['many warm heaps', 'the long pile by the gate', 'kT9#vb2!xQ'])(
    'is not %s',
    (password) => expect(isEasyToGuess(password, ['Wren'])).toBe(false),
  );
});
