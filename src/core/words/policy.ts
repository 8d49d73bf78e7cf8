import { say } from '../../messages/say';
/** From here on a credited gap is warned of (contract, section 2). */
const LONG_GAP_HOURS = 48;

/** The evidence policy in one sentence, printed beside every verdict. */
export function policyText(
  p: {
    combine: 'coldest' | 'mean' | 'median';
    minPoints: number;
    maxGapHours: number;
    turnGraceHours: number;
    guardBandC: number;
    counting: 'hours' | 'days';
    maxBlankDays: number;
    zones: readonly string[];
  },
  unit: 'C' | 'F',
): string {
  const value = {
    coldest: say('terms.theColdestPoint'),
    mean: say('terms.theMeanPoints'),
    median: say('terms.theMedianPoints'),
  }[p.combine];
  const guard = p.guardBandC
    ? say('terms.lessForTheThermometer', {
        guardBandC: unit === 'F' ? p.guardBandC * 1.8 : p.guardBandC,
        unit,
      })
    : '';
  const zones =
    p.zones.length < 3
      ? say('terms.points', { zones: p.zones.join(', ') || say('terms.thoseWithoutAZone') })
      : '';
  const days =
    p.counting === 'days'
      ? say('terms.countedInCalendarDaysAt', { maxBlankDays: p.maxBlankDays })
      : say('terms.countedInHours');
  const long =
    p.maxGapHours > LONG_GAP_HOURS
      ? say('terms.aGapMoreThanH', { longgaphours: LONG_GAP_HOURS })
      : '';
  return say('terms.judgedOnAtLeastPoints', {
    value,
    guard,
    minPoints: p.minPoints,
    maxGapHours: p.maxGapHours,
    turnGraceHours: p.turnGraceHours,
    days,
    zones,
    long,
  });
}
