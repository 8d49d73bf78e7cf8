import { say } from '../../messages/say';
import type { TestKind } from '../log/test-shapes';
import type { TestOutcome } from '../maturity/outcome';
import type { ReleaseItem, UseId } from '../release/uses';
import type { LotKindOfLog } from '../log/lot-shapes';

/** Names of what is asked of a lot, of its uses and kinds. */

/** What an item of a release is called. */
export const nameOfItem = (item: ReleaseItem): string =>
  say('lots.item', { item: ITEM_CODE[item] });
const ITEM_CODE = {
  'germ-rule': 'germs',
  'seed-rule': 'seeds',
  'heated-throughout': 'heated',
  'curing-days': 'days',
  maturity: 'maturity',
  limits: 'limits',
  bioassay: 'bioassay',
  screened: 'screened',
  covered: 'covered',
} as const satisfies Readonly<Record<ReleaseItem, string>>;
/** What a use is called. */
export const nameOfUse = (use: UseId): string => say('lots.use', { use: USE_CODE[use] });
const USE_CODE = {
  mulch: 'mulch',
  'beds-before-planting': 'beds',
  'growing-beds': 'growing',
  'potting-mix': 'potting',
  'seed-mix': 'seed',
  'bulk-sale': 'bulk',
  'bag-sale': 'bag',
  'given-away': 'given',
} as const satisfies Readonly<Record<UseId, string>>;

/** What a kind of lot is called. */
export const nameOfKind = (kind: LotKindOfLog): string => say('lots.kind', { kind });

/** What a test is called. */
export const nameOfTest = (kind: TestKind): string => say('lots.tested', { kind });
/** What a test says. */
export const nameOfOutcome = (outcome: TestOutcome): string => say('lots.testSays', { outcome });
