import { say } from '../../messages/say';

/** What does not fit is said with the number of its entry, where it stands in one. */
type At = { readonly seq: string };
const FAULT_TEXTS = {
  CHANGED: (at) => say('trust.changed', at),
  OUT_OF_SEQUENCE: (at) => say('trust.outOfSequence', at),
  TIME_RUNS_BACK: (at) => say('trust.timeRunsBack', at),
  UNSIGNED: (at) => say('trust.unsigned', at),
  OTHER_KEY: (at) => say('trust.otherKey', at),
  PHOTO_CHANGED: (at) => say('trust.photoChanged', at),
  PHOTO_MISSING: (at) => say('trust.photoMissing', at),
  SNAPSHOT_DIFFERS: (at) => say('trust.snapshotDiffers', at),
  SITE_CHANGED: () => say('trust.siteChanged'),
  SITE_UNSEALED: () => say('trust.siteUnsealed'),
  HEAD_LOST: (at) => say('trust.headLost', at),
  MEMORY_GONE: () => say('trust.memoryGone'),
  AUDIT_CHANGED: () => say('trust.auditChanged'),
  AUDIT_LOST: () => say('trust.auditLost'),
  PLACE_CHANGED: () => say('trust.placeChanged'),
  VISIT_CHANGED: () => say('trust.visitChanged'),
} satisfies Record<string, (at: At) => string>;
export type FaultCode = keyof typeof FAULT_TEXTS;

/** What does not fit in a log, in a sentence. */
export const faultText = ({
  code,
  seq,
}: {
  readonly code: FaultCode;
  readonly seq: number;
}): string => FAULT_TEXTS[code]({ seq: String(seq) });
