import { listText } from '../quantity/format';
import { say } from '../../messages/say';

type DoubtFacts =
  | { code: 'TOO_SHORT'; stemM: number; coreDepthM: number }
  | { code: 'DEEPER_THAN_STEM'; places: readonly string[]; stemM: number }
  | { code: 'NO_CORE' }
  | { code: 'ONE_SPOT' }
  | { code: 'NO_EDGE' }
  | { code: 'FEW'; places: number; minPoints: number }
  | { code: 'BORDERS'; neighbours: readonly string[]; keepM: number }
  | { code: 'NEAR_BORDER'; place: string; neighbour: string; distanceM: number };

/** What is doubtful about where a heap is read. */
export function planDoubtText(d: DoubtFacts): string {
  switch (d.code) {
    case 'TOO_SHORT':
      return say('terms.theThermometerMLongCore', { stemM: d.stemM, coreDepthM: d.coreDepthM });
    case 'DEEPER_THAN_STEM':
      return say('terms.theThermometerMLongOne', {
        stemM: d.stemM,
        places: listText(d.places),
        places2: d.places.length,
      });
    case 'NO_CORE':
      return say('terms.noPointReachesCoreWhere');
    case 'ONE_SPOT':
      return say('terms.onePointOnlyHotMiddle');
    case 'NO_EDGE':
      return say('terms.noPointAtBaseEdge');
    case 'FEW':
      return say('terms.pointPointsCheckNeedsNo', {
        places: d.places,
        minPoints: d.minPoints,
      });
    case 'BORDERS':
      return say('terms.itBordersOnStayM', {
        neighbours: listText(d.neighbours),
        keepM: d.keepM,
      });
    case 'NEAR_BORDER':
      return say('terms.isMFromReadsNeighbors', {
        place: d.place,
        distanceM: d.distanceM,
        neighbour: d.neighbour,
      });
  }
}
