import { MS, type Instant } from '../quantity/instant';
import type { ReleaseDoubt } from '../log/entry';
import type { HeapFacts } from './situation';

/**
 * What stands behind a person's word that a heap is ready, cured, mature or gone: the readings and the rules, and no more.
 * Maturity is not tested by anything that the log holds so far.
 */
export type Claim = {
  /** The rules that it met, each with its day; `asked` is how many it is kept under. */
  readonly met: HeapFacts['rules']['met'];
  readonly asked: number;
  readonly lastRead: HeapFacts['lastRead'];
  readonly doubts: readonly ReleaseDoubt[];
};

/** Mature compost rises no more than this over the air (self-heating classes IV and V, from memory), K. */
const WARM_OVER_AIR_K = 10;
/** Without a reading of the air, a core over this counts as warm (common practice), °C. */
const WARM_C = 30;
/** What was read longer ago says nothing of the heat now. */
const READ_LASTS_MS = 7 * MS.day;

/** Whether its core was warmer than finished compost when it was last read. */
function isWarm({ lastRead }: Pick<HeapFacts, 'lastRead'>): boolean {
  if (lastRead === null) return false;
  return lastRead.airC === null
    ? lastRead.coreC > WARM_C
    : lastRead.coreC - lastRead.airC > WARM_OVER_AIR_K;
}

/** What stands behind a word that a heap is ready or ended: rules met, how warm it was read, and each doubt. */
export function claimOf(f: Pick<HeapFacts, 'rules' | 'lastRead'>, now: Instant): Claim {
  const unread = f.lastRead === null || now - f.lastRead.at > READ_LASTS_MS;
  return {
    met: f.rules.met,
    asked: f.rules.asked,
    lastRead: f.lastRead,
    doubts: [
      ...(f.rules.asked === 0 || f.rules.met.length < f.rules.asked ? (['unproven'] as const) : []),
      ...(isWarm(f) ? (['warm'] as const) : []),
      ...(unread ? (['unread'] as const) : []),
    ],
  };
}
