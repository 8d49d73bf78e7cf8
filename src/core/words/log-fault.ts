import { say } from '../../messages/say';

/** What a fault of the log is called by: its code, and the entry that it stands in. */
type Fault = {
  readonly code:
    | 'CHANGED'
    | 'OUT_OF_SEQUENCE'
    | 'TIME_RUNS_BACK'
    | 'UNSIGNED'
    | 'OTHER_KEY'
    | 'PHOTO_CHANGED'
    | 'PHOTO_MISSING'
    | 'SNAPSHOT_DIFFERS'
    | 'SITE_CHANGED'
    | 'SITE_UNSEALED'
    | 'HEAD_LOST'
    | 'MEMORY_GONE'
    | 'AUDIT_CHANGED'
    | 'AUDIT_LOST'
    | 'PLACE_CHANGED'
    | 'VISIT_CHANGED';
  readonly seq: number;
};
export type FaultCode = Fault['code'];

/** What does not fit in a log, in a sentence. */
export function faultText({ code, seq }: Fault): string {
  const at = { seq: String(seq) };
  switch (code) {
    case 'CHANGED':
      return say('trust.changed', at);
    case 'OUT_OF_SEQUENCE':
      return say('trust.outOfSequence', at);
    case 'TIME_RUNS_BACK':
      return say('trust.timeRunsBack', at);
    case 'UNSIGNED':
      return say('trust.unsigned', at);
    case 'OTHER_KEY':
      return say('trust.otherKey', at);
    case 'PHOTO_CHANGED':
      return say('trust.photoChanged', at);
    case 'PHOTO_MISSING':
      return say('trust.photoMissing', at);
    case 'SNAPSHOT_DIFFERS':
      return say('trust.snapshotDiffers', at);
    case 'SITE_CHANGED':
      return say('trust.siteChanged');
    case 'SITE_UNSEALED':
      return say('trust.siteUnsealed');
    case 'HEAD_LOST':
      return say('trust.headLost', at);
    case 'MEMORY_GONE':
      return say('trust.memoryGone');
    case 'AUDIT_CHANGED':
      return say('trust.auditChanged');
    case 'AUDIT_LOST':
      return say('trust.auditLost');
    case 'PLACE_CHANGED':
      return say('trust.placeChanged');
    case 'VISIT_CHANGED':
      return say('trust.visitChanged');
  }
}
