import { say } from '../../messages/say';
import { BASIS_WORDS, LOT_DUE_WORDS, TEST_DUE_WORDS } from '../words/lots';
import type { TestGap } from '../maturity/outcome';
import type { LotDue } from './due';
import type { LabLimit, LabResult } from '../release/limits';

/** Sentences about lots that the page, the record and the command share. */

const NO_FIGURE = 0;
/** What a test lacks. @param isOpen it can still come */
export function gapText(gap: TestGap, isOpen: boolean): string {
  const code = GAP_CODE[gap.code];
  const still = isOpen ? 'yes' : 'no';
  if (gap.code === 'DAY_UNREAD') return say('lots.gap', { code, still, n: gap.day });
  if (gap.code === 'TOO_SHORT')
    return say('lots.gap', { code, still, n: Math.floor(gap.days * 10) / 10 });
  if (gap.code === 'ROOM')
    return say('lots.gapRoom', {
      known: gap.roomC === null ? 'no' : 'yes',
      roomC: gap.roomC ?? NO_FIGURE,
    });
  if (gap.code === 'TOO_SMALL')
    return say('lots.gapSmall', {
      known: gap.volumeM3 === null ? 'no' : 'yes',
      volumeM3: gap.volumeM3 ?? NO_FIGURE,
    });
  return say('lots.gap', { code, still, n: NO_FIGURE });
}
const GAP_CODE = {
  NOT_TURNED: 'turned',
  NOT_MOIST: 'moist',
  TOO_SMALL: 'small',
  DAY_UNREAD: 'day',
  UNREAD_AFTER_72_H: 'late',
  TOO_SHORT: 'short',
  ROOM: 'room',
  CONTROL_WEAK: 'weak',
  TOO_FEW_SEEDS: 'seeds',
  TOO_FEW_POTS: 'pots',
  CONTROL_DAMAGED: 'damaged',
  TOO_LITTLE: 'little',
  NOT_KEPT: 'kept',
  OLD: 'old',
  NO_VALUE: 'value',
} as const satisfies Readonly<Record<TestGap['code'], string>>;

/** What a limit asks, with its unit. */
export function limitAskText({ ask, unit, basis }: LabLimit): string {
  const on = basis === null ? '' : BASIS_WORDS[basis];
  if (ask.kind === 'absent') return say('lots.asksAbsent', { unit });
  if (ask.kind === 'plan')
    return say('lots.asksPlan', { n: ask.n, c: ask.c, m: ask.m, most: ask.M, unit });
  const how = ask.kind === 'min' ? 'min' : ask.below ? 'below' : 'max';
  return say('lots.asks', { how, limit: ask.limit, unit, on });
}

/** A result as the sheet of the laboratory says it. */
export function labValueText({ value, unit, basis }: LabResult): string {
  if (value.is === 'found')
    return say('lots.found', { present: value.present ? 'yes' : 'no', unit });
  const on = basis === null ? '' : BASIS_WORDS[basis];
  return say('lots.figure', { mark: value.mark ?? '', n: value.n, unit, on });
}

/** What a lot asks for, as a sentence. */
export function dueText(d: Pick<LotDue, 'code' | 'day' | 'kind'>): string {
  if (d.code === 'read-reheat') return say('lots.dueReheat', { day: d.day ?? 1 });
  if (d.code !== 'end-test') return LOT_DUE_WORDS[d.code];
  const words: Readonly<Record<string, string>> = TEST_DUE_WORDS;
  return words[d.kind ?? 'other'] ?? TEST_DUE_WORDS.other;
}
