import { listText } from '../../quantity/format';
import type { ReleaseDoubt } from './vocabulary';

/** Whether live seeds came along, where it was said. */
export const seedText = (seeds: boolean | undefined): string =>
  seeds === undefined ? '' : seeds ? ', with live seeds' : ', no live seeds';

const KNOWN_WORDS = {
  unproven: 'not proven',
  warm: 'still warm',
  unread: 'not read lately',
} as const;
const known = (knowing: readonly ReleaseDoubt[]): string[] => knowing.map((d) => KNOWN_WORDS[d]);

/** What whoever let it go said to know, in a log; nothing: ''. */
export const knowingLogText = (knowing: readonly ReleaseDoubt[] | undefined): string =>
  knowing && knowing.length > 0 ? `knowing that it was ${known(knowing).join(' and ')}` : '';
/** The same behind a clause of the printed record. */
export const knowingText = (knowing: readonly ReleaseDoubt[] | undefined): string =>
  knowing && knowing.length > 0 ? `, knowing that it was ${listText(known(knowing))}` : '';
