import { upperFirst, volumeText } from '../quantity/format';
/** Something that a file, a form or a call got wrong, as data; the path names the input. */
export type Problem = {
  readonly path: string;
  readonly message: string;
  /** The line of a text file that it stands in; the message names it. */ readonly line?: number;
};

export const FILE_PATH = '(file)';

/** `readings[3].value` from `['readings', 3, 'value']`. */
export const pathText = (path: readonly PropertyKey[]): string =>
  path.reduce<string>(
    (text, key) =>
      typeof key === 'number' ? `${text}[${key}]` : text ? `${text}.${String(key)}` : String(key),
    '',
  ) || FILE_PATH;

/** One line for people: never more than one, whatever the input held. */
export const problemLine = ({ path, message }: Problem): string =>
  `${path}: ${message}`.replace(/[\r\n\u2028\u2029]+/g, ' ');

/** The sentences of problems that more than one door reports. */
export const PROBLEM = {
  notJson: (why: string) =>
    `not a JSON text (${why}). Export the batch file again and bring in the whole file.`,
  notUtf8: 'not UTF-8 text. Save it as UTF-8 and try again.',
  unsoundText: (fault: 'nul' | 'half') =>
    fault === 'nul'
      ? 'holds a zero byte, which cannot be stored. Take it out and send it again'
      : 'holds half of a character (a broken emoji, perhaps). Take it out and send it again',
  neverWritten:
    'The database cannot store something in this entry, so sending it again will not help. Log it anew in other words, or let it go.',
  noTime: 'must be a time such as 2026-05-01T07:30:00Z or 2026-05-01T07:30+02:00',
  noZone: 'must be an IANA time zone such as Europe/Berlin',
  twice: (id: string) => `the id '${id}' stands here a second time; ids must be unique`,
  unlisted: (what: string, id: string) => `no ${what} with the id '${id}' is listed`,
  graceTooLong: 'must not be longer than maxGapHours',
  floorOut: (c: number) => `a floor of ${c} °C lies outside 20 to 90 °C. Was it typed in °F?`,
  ceilingLow: (ceiling: number, floor: number) =>
    `the most allowed (${ceiling} °C) must lie above the floor (${floor} °C)`,
  innerLonger: 'the hotter time must not be longer than the time around it',
  meanLow: 'the mean asked for lies below the floor, so it asks for nothing more',
  siteRuleId:
    'the id must be site- with small letters, figures and hyphens behind it, such as site-hen-litter',
  ruleTitle: 'give the rule a title of three letters at least',
  libraryId: (id: string) =>
    `'${id}' is a rule of the library; give your own rule an id that starts with site-`,
  noHash: 'must be a SHA-256 hash of 64 small hexadecimal figures',
  changedEntry: (kind: string, at: string) =>
    `this entry (${kind} of ${at}) does not fit its hash: it was changed after it was logged. Ask for the file again from the site that keeps the log`,
  brokenChain: (kind: string, at: string) =>
    `the chain is broken before this entry (${kind} of ${at}): something was taken out or put in. Ask for the file again from the site that keeps the log`,
  outOfOrder: 'the entries are not in the order of the log',
  noOpening: 'the entries do not tell the batch that the file holds',
  notAsLogged:
    'the file says something else here than the log entries that it carries. Ask for the file again from the site that keeps the log',
  newerLibrary: (theirs: number, ours: number) =>
    `kept under edition ${theirs} of the rule library; this program knows edition ${ours}. Update the program, so that no rule is reckoned by an older text`,
  rowBackwards: 'the end of a stretch of row must lie beyond its start',
  instrumentName: 'give the thermometer the name that stands on it, such as T1',
  scaleBackwards: 'the top of the scale must lie above its bottom',
  rangeBackwards: 'the upper end of a range must not lie below the lower',
  idTaken: (what: string) =>
    `this id is in the log already with other content (${what}). What is in the log was not changed; send this one as a new entry, or let it go`,
  noPlace: (name: string) => `this heap has no place ‘${name}’. Choose the place where it was read`,
  movedPlace: (name: string) =>
    `the place ‘${name}’ has readings; a place at another depth or zone is a new place with an id of its own`,
  noPhoto: 'its picture has not come up yet; it is sent again with the entry',
  limitsOrder: 'warn, act and danger must each lie above the one before',
  templateId: 'small letters, figures and hyphens only, such as our-fast-heap',
  templateName: 'give the method a name of three letters at least',
  moistureOrder: 'the moisture aimed at must lie between the lowest and the highest',
  expectBand: 'the upper end of the heat expected must lie above the lower',
  expectOrder: 'the days of the heat expected must go up',
  dayBackwards: 'the working day must end after it begins',
  sameHeap: 'a heap cannot be joined, stacked or sent to itself. Choose the other heap',
  splitTooMuch: (m3: number) =>
    `the parts must leave something behind: this heap has about ${volumeText(m3, 'm3')}`,
  plainId: 'small letters, figures and hyphens only, such as hop-bines',
  rangeOrder: 'the usual value must lie between the lowest and the highest',
  nitrogen: 'nitrogen is a share of the dry weight: give a percentage between 0 and 50',
  cnRatio: 'C:N must be a number between 0 and 5000',
  moisturePct: 'moisture is a share of the wet weight: give a percentage between 0 and 99.5',
  density: 'a bulk density lies between 5 and 3000 kg/m³. Was it typed in other units?',
  materialName: 'give the material a name of two letters at least',
  measureName: 'give the measure the name that the crew uses, such as barrow',
  litres:
    'litres must be a number that is not negative, and no more than a lorry holds (60,000 L for a measure)',
  amount: 'type how much as a number above 0, or say that it is not known',
  amountMany: 'more than 10,000 of them: was a figure typed too many?',
  litresMost:
    'more than 500 m³ in one load is more than a site takes in. Was it typed in the wrong measure?',
  kgMost:
    'more than 100 t in one load: a lorry carries about 25 t. Was it typed in the wrong unit?',
  reason: 'give a reason of three letters at least: whoever stands at the gate will read it out',
  acceptWhat: 'name either a material or what it may carry, not both',
  recipeName: 'give the recipe a name of two letters at least',
  nothingIn: 'nothing was put in yet: name what went in, or the water, base or cover',
  slotName: 'give the place the name that stands on it, such as 7',
  metres: 'type metres as a number above 0',
  slotOut: (name: string) =>
    `${name} lies beyond the edge of the map. Move it in, or make the map larger`,
  noMaterial: (name: string) => `there is no material ‘${name}’ in the library of this site`,
  noLoad: 'that load is not in the store',
  closedAlready:
    'this heap is closed. What goes in now is logged as added: it may start its clock again',
  chargedLater: (when: string) =>
    `something went in after that, at ${when}. The clock starts at the last raw load: close the heap then, or later`,
  changedMeanwhile: (what: string, who: string, when: string) =>
    `${what} was changed by ${who} at ${when} while you worked on it. Nothing of yours is lost: keep it as a copy, or as the newest version over theirs, which stays in the log`,
  unknownRule: (id: string) => `no rule '${id}' in the library or in the file`,
} as const;

/** A problem where it stands alone: `Type it again.` */
export const asSentence = (message: string): string =>
  `${upperFirst(message)}${/[.!?]$/.test(message) ? '' : '.'}`;
