export default {
  theDatabaseDoesNotAnswer: 'The database does not answer.',
  whereIsYourCompost: 'Where is your compost?',
  daysAreCountedByThisSitesClock:
    'Days are counted by this site’s clock. The name and the unit are printed on its records.',
  nameOfTheSite: 'Name of the site',
  timeZone: 'Time zone',
  thermometersReadIn: 'Thermometers read in',
  keeping: 'Saving…',
  goToTheYard: 'Go to batches',
  giveTheSiteAName: 'Give the site a name.',
  aShorterNamePlease80LettersAt: 'Use a shorter name, 80 letters at most.',
  notATimeZoneWeKnowChoose: 'That is not a time zone we know. Choose one such as Europe/London.',
} as const;
