export const esSite = {
  theDatabaseDoesNotAnswer: 'La base de datos no responde.',
  whereIsYourCompost: '¿Dónde está tu compost?',
  daysCountedByThisSites:
    'Los días se cuentan con el reloj de este sitio. El nombre y la unidad salen en sus registros.',
  nameOfTheSite: 'Nombre del sitio',
  timeZone: 'Zona horaria',
  saving: 'Guardando…',
  goOn: 'Seguir',
  giveSiteName: 'Ponle nombre al sitio.',
  useShorterName80Letters: 'Usa un nombre más corto, de 80 letras como máximo.',
  thatNotTimeZoneWe: 'No conocemos esa zona horaria. Elige una como Europe/London.',
  languageOfSite: 'Idioma del sitio',
  measuresIn: 'Medir en',
  metricUnits: 'métrico: °C, m, L, kg',
  usUnits: 'EE. UU.: °F, ft, gal, yd³, lb',
  ukUnits: 'Reino Unido: °C, m, L, kg',
};
