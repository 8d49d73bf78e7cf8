/**
 * Every place of the product that has an address of its own: what it is called, how one gets there, whether a device keeps it.
 * Navigation, keys, titles and the pages that open without a network are all made from this table.
 */
export type Place = {
  readonly href: string;
  /** In the navigation, and as the page's title. */
  readonly name: string;
  /** On the bar of a phone, on the bar of a laptop, behind More, or reached from another place. */
  readonly nav: 'phone-bar' | 'bar' | 'more' | 'none';
  /** What is found there, behind More. */
  readonly about?: string;
  /** The letter behind G that goes there; every place of the navigation has one. */
  readonly key?: string;
  /** Opens with no network: `always`, though nobody has opened it on this device; `kept`, once any page was seen here. */
  readonly offline?: 'always' | 'kept';
};

export const PLACES = {
  yard: { href: '/', name: 'Yard', nav: 'phone-bar', key: 'y', offline: 'always' },
  round: { href: '/round', name: 'Round', nav: 'phone-bar', key: 'r', offline: 'always' },
  bench: { href: '/bench', name: 'Bench', nav: 'phone-bar', key: 'b' },
  plan: { href: '/plan', name: 'Plan', nav: 'phone-bar', key: 'p' },
  store: {
    href: '/store',
    name: 'Store',
    nav: 'bar',
    about: 'loads, materials, suppliers',
    key: 'k',
    offline: 'kept',
  },
  map: {
    href: '/map',
    name: 'Map',
    nav: 'bar',
    about: 'bays and rows, what stands where',
    key: 'm',
  },
  records: { href: '/records', name: 'Records', nav: 'bar', about: 'what was proven', key: 'e' },
  instruments: {
    href: '/instruments',
    name: 'Instruments',
    nav: 'bar',
    about: 'thermometers and checks',
    key: 'i',
    offline: 'always',
  },
  open: {
    href: '/open',
    name: 'Open a heap',
    nav: 'more',
    about: 'new, or already under way',
    key: 'o',
  },
  compare: {
    href: '/compare',
    name: 'Compare',
    nav: 'more',
    about: 'heaps side by side, by age',
    key: 'c',
  },
  rules: { href: '/rules', name: 'Rules', nav: 'more', about: 'what must be proven', key: 'l' },
  methods: {
    href: '/methods',
    name: 'Methods',
    nav: 'more',
    about: 'when heaps are turned',
    key: 't',
  },
  crew: {
    href: '/crew',
    name: 'Crew',
    nav: 'more',
    about: 'who, machine, limits, chores',
    key: 'w',
  },
  fire: {
    href: '/fire',
    name: 'Fire card',
    nav: 'more',
    about: 'whom to call',
    key: 'x',
    offline: 'always',
  },
  bring: { href: '/bring', name: 'Bring in', nav: 'more', about: 'files of readings', key: 'n' },
  labels: { href: '/labels', name: 'Flags', nav: 'more', about: 'labels to print', key: 'f' },
  more: { href: '/more', name: 'More', nav: 'none', key: 'a', offline: 'always' },
  waiting: { href: '/waiting', name: 'On this device', nav: 'none', offline: 'always' },
  offline: { href: '/offline', name: 'Heaps kept on this device', nav: 'none', offline: 'always' },
  site: { href: '/site', name: 'Your site', nav: 'none' },
  calendar: { href: '/calendar', name: 'Calendar for phones', nav: 'none' },
  gate: { href: '/store/gate', name: 'At the gate', nav: 'none' },
  materials: { href: '/store/materials', name: 'Materials', nav: 'none' },
  suppliers: { href: '/store/suppliers', name: 'Suppliers', nav: 'none' },
  'take-in': { href: '/store/take-in', name: 'Take in a load', nav: 'none', offline: 'kept' },
} as const satisfies Readonly<Record<string, Place>>;
export type PlaceId = keyof typeof PLACES;

/** A table of places, each with its id. */
type Table = Readonly<Record<string, Place>>;
export type NamedPlace = Place & { readonly id: string };
/** Every place with its id, in the order of the table. */
export const listPlaces = (table: Table = PLACES): NamedPlace[] =>
  Object.entries(table).map(([id, place]) => ({ id, ...place }));

/** The navigation, in order: what a phone's bar has no room for goes behind More there, what a laptop's has none for here. */
export const navigationPlaces = (table?: Table): NamedPlace[] =>
  listPlaces(table).filter((p) => p.nav !== 'none');

/** Addresses that a device keeps before anybody has opened them on it. */
export const alwaysOffline = (table?: Table): string[] =>
  listPlaces(table).flatMap((p) => (p.offline === 'always' ? [p.href] : []));
/** Addresses that a device keeps from the first page on. */
export const keptOffline = (table?: Table): string[] =>
  listPlaces(table).flatMap((p) => (p.offline ? [p.href] : []));

/** Where a letter behind G goes. */
export const placeByKey = (key: string, table?: Table): NamedPlace | undefined =>
  listPlaces(table).find((p) => p.key === key);

/** What G and a letter do, for the list of keys: each letter beside its place. */
export function keyHelp(table?: Table): { keys: string; places: string } {
  const places = listPlaces(table).flatMap((p) =>
    p.key === undefined ? [] : [`${p.key.toUpperCase()} ${p.name}`],
  );
  return { keys: 'G, then a letter', places: places.join(', ') };
}
