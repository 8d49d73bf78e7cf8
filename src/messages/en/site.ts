export default {
  theDatabaseDoesNotAnswer: 'The database does not answer.',
  whereIsYourCompost: 'Where is your compost?',
  daysAreCountedByThisSitesClock:
    'Days are counted by this site’s clock. The name and the unit go on its records.',
  nameOfTheSite: 'Name of the site',
  timeZone: 'Time zone',
  thermometersReadIn: 'Thermometers read in',
  keeping: 'Keeping…',
  goToTheYard: 'Go to the yard',
  giveTheSiteAName: 'Give the site a name.',
  aShorterNamePlease80LettersAt: 'A shorter name, please: 80 letters at most.',
  notATimeZoneWeKnowChoose: 'Not a time zone we know. Choose one such as Europe/London.',
} as const;
