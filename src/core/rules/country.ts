import type { Country } from '../log/kinds/vocabulary';

/**
 * The jurisdiction that a time zone lies in, as far as the library has rules of it: to propose rules by, never to decide.
 * Zones by country after the IANA time zone database's zone.tab (from memory).
 */

const CITIES: Readonly<Record<Country, readonly string[]>> = {
  'United States': [
    'New_York',
    'Detroit',
    'Chicago',
    'Menominee',
    'Denver',
    'Boise',
    'Phoenix',
    'Los_Angeles',
    'Anchorage',
    'Juneau',
    'Sitka',
    'Metlakatla',
    'Yakutat',
    'Nome',
    'Adak',
    'Puerto_Rico',
  ]
    .map((c) => `America/${c}`)
    .concat('Pacific/Honolulu', 'Pacific/Guam'),
  Canada: [
    'St_Johns',
    'Halifax',
    'Glace_Bay',
    'Moncton',
    'Goose_Bay',
    'Toronto',
    'Montreal',
    'Iqaluit',
    'Winnipeg',
    'Resolute',
    'Rankin_Inlet',
    'Regina',
    'Swift_Current',
    'Edmonton',
    'Cambridge_Bay',
    'Inuvik',
    'Creston',
    'Dawson_Creek',
    'Fort_Nelson',
    'Whitehorse',
    'Dawson',
    'Vancouver',
    'Yellowknife',
    'Thunder_Bay',
  ].map((c) => `America/${c}`),
  'European Union': [
    'Amsterdam',
    'Athens',
    'Berlin',
    'Bratislava',
    'Brussels',
    'Bucharest',
    'Budapest',
    'Busingen',
    'Copenhagen',
    'Dublin',
    'Helsinki',
    'Lisbon',
    'Ljubljana',
    'Luxembourg',
    'Madrid',
    'Malta',
    'Mariehamn',
    'Paris',
    'Prague',
    'Riga',
    'Rome',
    'Sofia',
    'Stockholm',
    'Tallinn',
    'Vienna',
    'Vilnius',
    'Warsaw',
    'Zagreb',
  ]
    .map((c) => `Europe/${c}`)
    .concat('Asia/Nicosia', 'Atlantic/Azores', 'Atlantic/Madeira', 'Atlantic/Canary'),
  'United Kingdom': ['Europe/London', 'Europe/Belfast', 'GB'],
  Australia: [],
};
const AREAS: readonly (readonly [prefix: string, country: Country])[] = [
  ['US/', 'United States'],
  ['America/Indiana/', 'United States'],
  ['America/Kentucky/', 'United States'],
  ['America/North_Dakota/', 'United States'],
  ['Canada/', 'Canada'],
  ['Australia/', 'Australia'],
];

/** Null: no rule of the library is of that country, or the zone names none. */
export function countryOf(timeZone: string): Country | null {
  const named = (Object.keys(CITIES) as Country[]).find((country) =>
    CITIES[country].includes(timeZone),
  );
  return named ?? AREAS.find(([prefix]) => timeZone.startsWith(prefix))?.[1] ?? null;
}

/** The country whose rules are proposed to a site: the one given for it, else that of its time zone. @param said undefined: nobody was asked; null: a country that the library has no rules of */
export const countryOfSite = (
  said: Country | null | undefined,
  timeZone: string,
): Country | null => (said === undefined ? countryOf(timeZone) : said);
