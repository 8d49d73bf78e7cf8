export default {
  min: '{minutes, number} min',
  hMin: '{whole, number} h {minutes, number} min',
  hours: '{hours, number} horas',
  n1Day: '1 día',
  days: '{hours, number} días',
  galOther: '{shown, number} {unit, select, gal {gal} other {L}}',
  cm: '{cm, number} cm',
  aheadOther: '{aheadMs} {aheadMs2, select, ahead {adelantado} other {atrasado}}',
  and: '{names} y {names2}',
};
