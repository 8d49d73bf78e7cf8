import { say } from '@/messages/say';
/** Sheets of labels and cards as stationers sell them; lengths in mm (common practice). */
export type LabelSheet = {
  readonly id: string;
  readonly title: string;
  readonly paper: 'A4' | 'LETTER';
  readonly columns: number;
  readonly rows: number;
  readonly width: number;
  readonly height: number;
  readonly left: number;
  readonly top: number;
  readonly gapX: number;
  readonly gapY: number;
};
const IN = 25.4;
export const LABEL_SHEETS: readonly LabelSheet[] = [
  {
    id: 'a4-4',
    get title() {
      return say('labels.a4FourCards105148');
    },
    paper: 'A4',
    columns: 2,
    rows: 2,
    width: 105,
    height: 148.5,
    left: 0,
    top: 0,
    gapX: 0,
    gapY: 0,
  },
  {
    id: 'a4-8',
    get title() {
      return say('labels.a4EightLabels991');
    },
    paper: 'A4',
    columns: 2,
    rows: 4,
    width: 99.1,
    height: 67.7,
    left: 4.65,
    top: 13.1,
    gapX: 2.5,
    gapY: 0,
  },
  {
    id: 'a4-21',
    get title() {
      return say('labels.a4TwentyOneLabels63');
    },
    paper: 'A4',
    columns: 3,
    rows: 7,
    width: 63.5,
    height: 38.1,
    left: 7.2,
    top: 15.15,
    gapX: 2.55,
    gapY: 0,
  },
  {
    id: 'letter-4',
    get title() {
      return say('labels.letterFourCards45');
    },
    paper: 'LETTER',
    columns: 2,
    rows: 2,
    width: 4.25 * IN,
    height: 5.5 * IN,
    left: 0,
    top: 0,
    gapX: 0,
    gapY: 0,
  },
  {
    id: 'letter-6',
    get title() {
      return say('labels.letterSixLabels43');
    },
    paper: 'LETTER',
    columns: 2,
    rows: 3,
    width: 4 * IN,
    height: (10 / 3) * IN,
    left: 0.156 * IN,
    top: 0.5 * IN,
    gapX: 0.188 * IN,
    gapY: 0,
  },
  {
    id: 'letter-10',
    get title() {
      return say('labels.letterTenLabels42');
    },
    paper: 'LETTER',
    columns: 2,
    rows: 5,
    width: 4 * IN,
    height: 2 * IN,
    left: 0.156 * IN,
    top: 0.5 * IN,
    gapX: 0.188 * IN,
    gapY: 0,
  },
];

/** One label: a large letter that is seen from afar, what a hand wants to know, and the address behind the code. */
export type Label = {
  readonly code: string;
  readonly name: string;
  readonly started: string;
  readonly place: string;
  readonly url: string;
};

/** Where the n-th label of a run lies: page, and its corner in mm. @param skip labels of the first sheet that are used up */
export function placeOfLabel(
  sheet: LabelSheet,
  n: number,
  skip: number,
): { page: number; x: number; y: number } {
  const each = sheet.columns * sheet.rows;
  const [page, i] = [Math.floor((n + skip) / each), (n + skip) % each];
  return {
    page,
    x: sheet.left + (i % sheet.columns) * (sheet.width + sheet.gapX),
    y: sheet.top + Math.floor(i / sheet.columns) * (sheet.height + sheet.gapY),
  };
}

/** A longer address makes a code that no phone reads off a flag. */
const LONGEST_ADDRESS = 120;

/** The base of the addresses on labels, or what is wrong with it. A phone in the yard must reach it. */
export function baseAddress(
  text: string,
): { ok: true; base: string; warning: string | null } | { ok: false; problem: string } {
  if (text.trim().length > LONGEST_ADDRESS)
    return {
      ok: false,
      problem: say('labels.theAddressHasLettersCode', {
        text: text.trim().length,
        longestaddress: LONGEST_ADDRESS,
      }),
    };
  let url: URL;
  try {
    url = new URL(text.trim());
  } catch {
    return {
      ok: false,
      problem: say('labels.typeAddressAsOnPhone'),
    };
  }
  if (!/^https?:$/.test(url.protocol))
    return { ok: false, problem: say('labels.theAddressStartsWithHttps') };
  const local = /^(localhost|127\.|\[::1\])/.test(url.host);
  return {
    ok: true,
    base: url.origin,
    warning: local
      ? say('labels.thisAddressThisComputerItself')
      : url.protocol === 'http:'
        ? say('labels.withoutHttpsPhoneCanRead')
        : null,
  };
}
