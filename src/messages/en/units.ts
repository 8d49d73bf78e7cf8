export default {
  min: '{minutes, number} min',
  hMin: '{whole, number} h {minutes, number} min',
  hours: '{hours, number} hours',
  n1Day: '1 day',
  days: '{hours, number} days',
  galOther: '{shown, number} {unit, select, gal {gal} other {L}}',
  cm: '{cm, number} cm',
  aheadOther: '{aheadMs} {aheadMs2, select, ahead {fast} other {slow}}',
  and: '{names} and {names2}',
} as const;
