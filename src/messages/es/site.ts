export default {
  theDatabaseDoesNotAnswer: 'La base de datos no responde.',
  whereIsYourCompost: '¿Dónde está tu compost?',
  daysAreCountedByThisSitesClock:
    'Los días se cuentan con el reloj de este sitio. El nombre y la unidad salen en sus registros.',
  nameOfTheSite: 'Nombre del sitio',
  timeZone: 'Zona horaria',
  thermometersReadIn: 'Los termómetros miden en',
  keeping: 'Guardando…',
  goToTheYard: 'Ir a los lotes',
  giveTheSiteAName: 'Ponle nombre al sitio.',
  aShorterNamePlease80LettersAt: 'Usa un nombre más corto, de 80 letras como máximo.',
  notATimeZoneWeKnowChoose: 'No conocemos esa zona horaria. Elige una como Europe/London.',
};
