import { firstTurnProblem } from './first-turn';

test('a first turning on day 30 of a method that is active for 18 days is refused in words', () => {
  expect(firstTurnProblem('calendar', { firstDay: '30', activeDays: '18' })).toMatch(
    /day 30 comes after the 18 days/,
  );
  expect(firstTurnProblem('calendar', { firstDay: '4', activeDays: '18' })).toBeNull();
  // Turned by its heat, the calendar decides nothing.
  expect(firstTurnProblem('low', { firstDay: '30', activeDays: '18' })).toBeNull();
});
