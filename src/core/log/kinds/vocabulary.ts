import { SMELL_WORDS, SQUEEZE_WORDS, type Smell, type Squeeze } from '../../words/feel';
import { SKIP_WORDS, type SkipReason } from '../../words/skip';

/** The words that entries may use for what was seen, done and decided. */

export const SQUEEZES = Object.keys(SQUEEZE_WORDS) as [Squeeze, ...Squeeze[]];
export const SMELLS = Object.keys(SMELL_WORDS) as [Smell, ...Smell[]];
/** What is looked for at a heap beside its heat. `none` was looked for and not found: that is a finding. */
export const LOOKS = {
  growth: ['none', 'white', 'grey'],
  steam: ['none', 'some', 'much'],
  pests: ['none', 'flies', 'rats', 'other'],
  seepage: ['none', 'some', 'much'],
  cover: ['on', 'off'],
  colour: ['as-built', 'browning', 'dark', 'ashy'],
} as const;
/** Pests that were seen; several may be there at once. */
export const PESTS = ['flies', 'rats', 'other'] as const;
export type Pest = (typeof PESTS)[number];
/** The pests of an observation as a list; none: looked for and not found. */
export const pestsOf = (pests: (typeof LOOKS.pests)[number] | readonly Pest[]): readonly Pest[] =>
  typeof pests !== 'string' ? pests : pests === 'none' ? [] : [pests];
/** Why a heap or a place was left out of a round. */
export const SKIPS = Object.keys(SKIP_WORDS) as [SkipReason, ...SkipReason[]];
/** What whoever puts something in was asked, and said to know. */
export const PUT_IN_DOUBTS = ['asked-first', 'ripening', 'more-than-left', 'no-room'] as const;
export type PutInDoubt = (typeof PUT_IN_DOUBTS)[number];

/** Where the library has rules of; another country: none of them. */
export const COUNTRIES = [
  'United States',
  'Canada',
  'European Union',
  'United Kingdom',
  'Australia',
] as const;
export type Country = (typeof COUNTRIES)[number];

export { INPUTS } from '../../evidence/rule';

/** What leaves one heap and enters another, or leaves the site, and whether it is taken to carry germs and seeds unless somebody knows better: overs are lumps of the rim. */
export const TRANSFERS = {
  leachate: { raw: true, seeds: false },
  rinsings: { raw: true, seeds: true },
  overs: { raw: true, seeds: true },
  char: { raw: false, seeds: false },
  other: { raw: true, seeds: true },
} as const;
export type TransferKind = keyof typeof TRANSFERS;
export const TRANSFER_KINDS = Object.keys(TRANSFERS) as [TransferKind, ...TransferKind[]];
/** Why a heap is at its end. */
export const END_REASONS = [
  'matured',
  'gave-up',
  'merged',
  'curing',
  'used',
  'discarded',
  'used-raw',
] as const;
export type EndReason = (typeof END_REASONS)[number];
/** Reasons that a person gives; all others come with what was done, or stand in older logs. */
export const GIVEN_END_REASONS = ['gave-up', 'discarded'] as const satisfies readonly EndReason[];
/** What a crew may change to mend a heap: one at a time, or nobody knows what helped. */
export const FIXES = [
  'enlarge',
  'water',
  'dry',
  'nitrogen',
  'carbon',
  'structure',
  'turn',
  'cover',
  'uncover',
  'shrink',
  'bury',
  'thermometer',
  'wait',
] as const;
export type Fix = (typeof FIXES)[number];
export const DEFER_REASONS = [
  'weather',
  'no-time',
  'no-hands',
  'no-machine',
  'no-water',
  'heap-fine',
  'other',
] as const;
export type DeferReason = (typeof DEFER_REASONS)[number];

/** Why a heap should not go out yet. */
export const RELEASE_DOUBTS = ['unproven', 'warm', 'unread'] as const;
export type ReleaseDoubt = (typeof RELEASE_DOUBTS)[number];

export const RIMS = ['all', 'most', 'partly', 'unsure'] as const;

/** Families whose diseases and pests pass from one crop to the next (common practice of crop rotation). */
export const CROP_FAMILIES = [
  'brassicas',
  'nightshades',
  'alliums',
  'cucurbits',
  'legumes',
  'umbellifers',
  'beets',
  'composites',
] as const;
export type CropFamily = (typeof CROP_FAMILIES)[number];
