import { enteredByOf, isByTrainee, isSameName, isToBeChecked } from './entered-by';

/** Whose sign-in brought an entry, and by what people are told apart. */
test.each([
  ['Jo', 'jo', true],
  ['Jo', ' JO ', true],
  ['Jo  Field', 'Jo Field', true],
  // One letter with its dots, or a letter and the dots behind it: both look alike (Unicode Standard Annex 15).
  ['Zo\u00eb', 'Zoe\u0308', true],
  ['Jo', 'Jo B', false],
  ['Zoë', 'Zoe', false],
  ['Jo', '', false],
])('‘%s’ and ‘%s’ are one name: %s', (a, b, is) => {
  expect(isSameName(a, b)).toBe(is);
  expect(isSameName(b, a)).toBe(is);
});

const by = (more: object): object => ({
  value: 11,
  enteredBy: { person: 'person-jo', name: 'Jo', ...more },
});
test('what a trainee brings is to be checked, unless the site lets it count', () => {
  expect(isToBeChecked(by({ role: 'trainee' }))).toBe(true);
  expect(isToBeChecked(by({ role: 'trainee', countsAtOnce: true }))).toBe(false);
  expect(isByTrainee(by({ role: 'trainee', countsAtOnce: true }))).toBe(true);
  expect(isToBeChecked(by({ role: 'crew' }))).toBe(false);
});
test('entries from before people signed in were brought by nobody, and need no check', () => {
  expect(enteredByOf({ value: 11 })).toBeNull();
  expect(isToBeChecked({ value: 11 })).toBe(false);
  // A role that there is not was not written by this server.
  expect(enteredByOf(by({ role: 'owner' }))).toBeNull();
  expect(enteredByOf(by({ role: 'crew' }))?.name).toBe('Jo');
});
