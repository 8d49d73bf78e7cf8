import { countText } from '../quantity/format';

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
      return `The thermometer is ${d.stemM} m long and the core lies ${d.coreDepthM} m in: the core is not reached. Take a longer one, or read from the side that is nearest.`;
    case 'DEEPER_THAN_STEM':
      return `The thermometer is ${d.stemM} m long; ${d.places.join(' and ')} ${d.places.length === 1 ? 'lies' : 'lie'} deeper.`;
    case 'NO_CORE':
      return 'No place reads the core, where it is hottest: only what can be reached is known.';
    case 'ONE_SPOT':
      return 'One place only. A hot middle says nothing of the toe, and a reachable spot says nothing of the heap.';
    case 'NO_EDGE':
      return 'No place reads the toe, where it is coldest.';
    case 'FEW':
      return `${countText(d.places, 'place')}, and a round needs ${d.minPoints}: every round will be thin and earn nothing.`;
    case 'BORDERS':
      return `It borders on ${d.neighbours.join(' and ')}: keep ${d.keepM} m from the flag, or the neighbour’s heat is read too.`;
    case 'NEAR_BORDER':
      return `${d.place} lies ${d.distanceM} m from ${d.neighbour}: it reads the neighbour’s heat too. Keep further from the flag.`;
  }
}
