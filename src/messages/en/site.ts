export const enSite = {
  theDatabaseDoesNotAnswer: 'The database does not answer.',
  whereIsYourCompost: 'Where is your compost?',
  daysCountedByThisSites:
    'Days are counted by this site’s clock. The name and the unit are printed on its records.',
  nameOfTheSite: 'Name of the site',
  timeZone: 'Time zone',
  saving: 'Saving…',
  goOn: 'Go on',
  giveSiteName: 'Give the site a name.',
  useShorterName80Letters: 'Use a shorter name, 80 letters at most.',
  thatNotTimeZoneWe: 'That is not a time zone we know. Choose one such as Europe/London.',
  languageOfSite: 'Language of the site',
  measuresIn: 'Measure in',
  metricUnits: 'metric: °C, m, L, kg',
  usUnits: 'US: °F, ft, gal, yd³, lb',
  ukUnits: 'UK: °C, m, L, kg',
} as const;
