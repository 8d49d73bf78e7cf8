import { say } from '../../../messages/say';
import { figureWithUnit, listText } from '../../quantity/format';
import type { ReleaseDoubt } from './vocabulary';

/** Whether live seeds came along, where it was said. */
export const seedText = (seeds: boolean | undefined): string =>
  seeds === undefined ? '' : seeds ? say('log.withLiveWeedSeeds') : say('log.noLiveWeedSeeds');

const KNOWN_WORDS = {
  get unproven() {
    return say('log.ruleNotMet');
  },
  get warm() {
    return say('log.stillWarm');
  },
  get unread() {
    return say('log.noRecentTemperatures');
  },
} as const;
const known = (knowing: readonly ReleaseDoubt[]): string[] => knowing.map((d) => KNOWN_WORDS[d]);

/** What whoever let it go said to know, in a log; nothing: ''. */
export const knowingLogText = (knowing: readonly ReleaseDoubt[] | undefined): string =>
  knowing && knowing.length > 0 ? say('log.although', { knowing: listText(known(knowing)) }) : '';
/** The same behind a clause of the printed record. */
export const knowingText = (knowing: readonly ReleaseDoubt[] | undefined): string =>
  knowing && knowing.length > 0 ? say('log.although2', { knowing: listText(known(knowing)) }) : '';

/** How much of a lot was taken: all that there was, so much, or an amount that nobody knows. */
export const litresOrAll = ({
  all,
  litres,
}: {
  readonly all: boolean;
  readonly litres?: number | undefined;
}): string =>
  litres === undefined
    ? all
      ? say('terms.allOfIt')
      : say('terms.amountNotKnown2')
    : figureWithUnit('litres', litres);
