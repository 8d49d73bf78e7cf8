import { say } from '../../messages/say';
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
  /** It is set up once and seldom changed: it stands under Settings behind More. */
  readonly setting?: true;
  /** The letter behind G that goes there; every place of the navigation has one. */
  readonly key?: string;
  /** Opens with no network: `always`, though nobody has opened it on this device; `kept`, once any page was seen here. */
  readonly offline?: 'always' | 'kept';
};

export const PLACES = {
  yard: {
    href: '/',
    get name() {
      return say('terms.batches');
    },
    nav: 'phone-bar',
    key: 'y',
    offline: 'always',
  },
  round: {
    href: '/round',
    get name() {
      return say('terms.temperatures');
    },
    nav: 'phone-bar',
    key: 'r',
    offline: 'always',
  },
  bench: {
    href: '/bench',
    get name() {
      return say('terms.recipes');
    },
    nav: 'phone-bar',
    key: 'b',
  },
  plan: {
    href: '/plan',
    get name() {
      return say('terms.plan');
    },
    nav: 'phone-bar',
    key: 'p',
  },
  store: {
    href: '/store',
    get name() {
      return say('terms.materials');
    },
    nav: 'bar',
    get about() {
      return say('terms.loadsInStockMaterialLibrary');
    },
    key: 'k',
    offline: 'kept',
  },
  lots: {
    href: '/lots',
    get name() {
      return say('lots.title');
    },
    nav: 'bar',
    get about() {
      return say('lots.about');
    },
    key: 'v',
    offline: 'kept',
  },
  map: {
    href: '/map',
    get name() {
      return say('terms.map');
    },
    nav: 'bar',
    get about() {
      return say('terms.baysWindrowsWhatWhere');
    },
    key: 'm',
  },
  records: {
    href: '/records',
    get name() {
      return say('terms.records');
    },
    nav: 'bar',
    get about() {
      return say('terms.whichBatchesMetWhichRule');
    },
    key: 'e',
  },
  instruments: {
    href: '/instruments',
    get name() {
      return say('terms.thermometers');
    },
    nav: 'bar',
    get about() {
      return say('terms.thermometersProbesTheirChecks');
    },
    key: 'i',
    offline: 'always',
  },
  find: {
    href: '/find',
    get name() {
      return say('terms.search');
    },
    nav: 'more',
    get about() {
      return say('terms.searchAbout');
    },
    key: 's',
  },
  open: {
    href: '/open',
    get name() {
      return say('terms.startABatch');
    },
    nav: 'more',
    get about() {
      return say('terms.newOrAlreadyUnderWay');
    },
    key: 'o',
  },
  trace: {
    href: '/lots/trace',
    get name() {
      return say('lots.traceOrRecall');
    },
    nav: 'none',
  },
  season: {
    href: '/lots/season',
    get name() {
      return say('lots.seasonTotals');
    },
    nav: 'none',
  },
  uses: {
    href: '/lots/uses',
    get name() {
      return say('lots.usesAndLimits');
    },
    nav: 'none',
  },
  start: {
    href: '/start',
    get name() {
      return say('terms.getStarted');
    },
    nav: 'none',
  },
  sample: {
    href: '/start/sample',
    get name() {
      return say('terms.sampleBatch');
    },
    nav: 'none',
  },
  compare: {
    href: '/compare',
    get name() {
      return say('terms.compare');
    },
    nav: 'more',
    get about() {
      return say('terms.batchesSideBySideBy');
    },
    key: 'c',
  },
  rules: {
    href: '/rules',
    get name() {
      return say('terms.rules');
    },
    nav: 'more',
    setting: true,
    get about() {
      return say('terms.whatBatchMustMeet');
    },
    key: 'l',
  },
  methods: {
    href: '/methods',
    get name() {
      return say('terms.methods');
    },
    nav: 'more',
    setting: true,
    get about() {
      return say('terms.whenBatchesAreTurned');
    },
    key: 't',
  },
  crew: {
    href: '/crew',
    get name() {
      return say('terms.crewAndHours');
    },
    nav: 'more',
    setting: true,
    get about() {
      return say('terms.whoWorksMachineLimitsRegular');
    },
    key: 'w',
  },
  fire: {
    href: '/fire',
    get name() {
      return say('terms.firePlan');
    },
    nav: 'more',
    setting: true,
    get about() {
      return say('terms.whoToCall');
    },
    key: 'x',
    offline: 'always',
  },
  bring: {
    href: '/bring',
    get name() {
      return say('terms.import');
    },
    nav: 'more',
    get about() {
      return say('terms.filesOfReadings');
    },
    key: 'n',
  },
  labels: {
    href: '/labels',
    get name() {
      return say('terms.labels');
    },
    nav: 'more',
    setting: true,
    get about() {
      return say('terms.toPrintForBatches');
    },
    key: 'f',
  },
  phone: {
    href: '/phone',
    get name() {
      return say('terms.connectAPhone');
    },
    nav: 'more',
    setting: true,
    get about() {
      return say('terms.connectAPhoneAbout');
    },
    key: 'h',
  },
  help: {
    href: '/help',
    get name() {
      return say('help.help');
    },
    nav: 'more',
    get about() {
      return say('terms.helpAbout');
    },
    key: 'q',
  },
  glossary: {
    href: '/glossary',
    get name() {
      return say('help.glossary');
    },
    nav: 'more',
    get about() {
      return say('terms.glossaryAbout');
    },
    key: 'z',
  },
  more: {
    href: '/more',
    get name() {
      return say('terms.more');
    },
    nav: 'none',
    key: 'a',
    offline: 'always',
  },
  waiting: {
    href: '/waiting',
    get name() {
      return say('terms.waitingToSend');
    },
    nav: 'none',
    offline: 'always',
  },
  offline: {
    href: '/offline',
    get name() {
      return say('terms.batchesSavedOnThisDevice');
    },
    nav: 'none',
    offline: 'always',
  },
  site: {
    href: '/site',
    get name() {
      return say('terms.yourSite');
    },
    nav: 'none',
  },
  calendar: {
    href: '/calendar',
    get name() {
      return say('terms.calendarForPhones');
    },
    nav: 'none',
  },
  gate: {
    href: '/store/gate',
    get name() {
      return say('terms.whatWeAccept');
    },
    nav: 'none',
  },
  loads: {
    href: '/store/loads',
    get name() {
      return say('terms.allLoads');
    },
    nav: 'none',
  },
  paper: {
    href: '/paper',
    get name() {
      return say('terms.paperSheet');
    },
    nav: 'more',
    get about() {
      return say('terms.paperSheetAbout');
    },
    key: 'd',
  },
  entries: {
    href: '/entries',
    get name() {
      return say('terms.allEntries');
    },
    nav: 'more',
    get about() {
      return say('terms.allEntriesAbout');
    },
    key: 'j',
  },
  questions: {
    href: '/questions',
    get name() {
      return say('status.toClearUp');
    },
    nav: 'none',
  },
  'log-check': {
    href: '/log-check',
    get name() {
      return say('trust.openCheck');
    },
    nav: 'none',
  },
  materials: {
    href: '/store/materials',
    get name() {
      return say('terms.materialLibrary');
    },
    nav: 'none',
  },
  suppliers: {
    href: '/store/suppliers',
    get name() {
      return say('terms.suppliers');
    },
    nav: 'none',
  },
  'take-in': {
    href: '/store/take-in',
    get name() {
      return say('terms.logALoad');
    },
    nav: 'none',
    offline: 'kept',
  },
} as const satisfies Readonly<Record<string, Place>>;
export type PlaceId = keyof typeof PLACES;

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
  const named = listPlaces(table).filter((p) => p.key !== undefined);
  const places = named.map((p) => `${p.key?.toUpperCase() ?? ''} ${p.name}`);
  return { keys: say('terms.gThenALetter'), places: places.join(', ') };
}
