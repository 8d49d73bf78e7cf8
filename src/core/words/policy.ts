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
    coldest: 'the coldest point',
    mean: 'the mean of the points',
    median: 'the median of the points',
  }[p.combine];
  const guard = p.guardBandC
    ? `, less ${unit === 'F' ? p.guardBandC * 1.8 : p.guardBandC} °${unit} for the thermometer`
    : '';
  const zones =
    p.zones.length < 3 ? `; places: ${p.zones.join(', ') || 'those without a zone'}` : '';
  const days =
    p.counting === 'days'
      ? `counted in calendar days, at most ${p.maxBlankDays} blank in a row`
      : 'counted in hours';
  const long =
    p.maxGapHours > LONG_GAP_HOURS
      ? ` A gap of more than ${LONG_GAP_HOURS} h is long: the evidence is thin.`
      : '';
  return `Judged on ${value}${guard}, ${p.minPoints} points a round at least, gaps to ${p.maxGapHours} h, ${p.turnGraceHours} h of grace after a full turning, ${days}${zones}.${long}`;
}
