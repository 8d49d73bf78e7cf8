export const enSite = {
  theDatabaseDoesNotAnswer: 'The database does not answer.',
  whereIsYourCompost: 'Where is your compost?',
  daysCountedByThisSites:
    'Days are counted by this site’s clock. The name and the unit are printed on its records.',
  nameOfTheSite: 'Name of the site',
  timeZone: 'Time zone',
  thermometersReadIn: 'Thermometers read in',
  saving: 'Saving…',
  goToBatches: 'Go to batches',
  giveSiteName: 'Give the site a name.',
  useShorterName80Letters: 'Use a shorter name, 80 letters at most.',
  thatNotTimeZoneWe: 'That is not a time zone we know. Choose one such as Europe/London.',
  languageOfSite: 'Language of the site',
} as const;
