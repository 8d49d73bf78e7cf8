import { say } from '../../messages/say';
import { volumeText } from '../quantity/format';

/** The sentences of what only the door finds wrong with an entry, since it knows all that is in the log. */
export const DOOR_PROBLEM = {
  unsoundText: (fault: 'nul' | 'half') =>
    fault === 'nul'
      ? say('terms.containsZeroByteWhichCannot')
      : say('terms.containsHalfCharacterBrokenEmoji'),
  get neverWritten() {
    return say('terms.theDatabaseCannotStoreSomething');
  },
  idTaken: (what: string) => say('terms.thisIdAlreadyInLog', { what }),
  noPlace: (name: string) => say('terms.thisBatchHasNoPoint', { name }),
  movedPlace: (name: string) => say('terms.thePointHasReadingsPoint', { name }),
  get noPhoto() {
    return say('terms.itsPhotoHasNotArrived');
  },
  get sameHeap() {
    return say('terms.aBatchCannotJoinedWith');
  },
  splitTooMuch: (m3: number) => say('terms.thePartsMustLeaveSomething', { m3: volumeText(m3) }),
  slotOut: (name: string) => say('terms.isBeyondEdgeMapMove', { name }),
  noMaterial: (name: string) => say('terms.thereNoMaterialInLibrary', { name }),
  get noLoad() {
    return say('terms.thatLoadNotInStock');
  },
  get closedAlready() {
    return say('terms.addingFinishedForThisBatch');
  },
  chargedLater: (when: string) => say('terms.somethingWasAddedAfterAt', { when }),
  changedMeanwhile: (what: string, who: string, when: string) =>
    say('terms.wasChangedByAtWhile', { what, who, when }),
} as const;
