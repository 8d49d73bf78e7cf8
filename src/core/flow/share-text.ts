import { say } from '../../messages/say';
import type { Interval } from './trace';

/** A share as people say it: `12 %`, `3–40 %`, `not known`, `none`; never rounded onto nothing or onto the whole. */
export function tracedShareText([lo, hi]: Interval): string {
  if (hi === 0) return say('flow.none');
  if (lo === 0 && hi === 1) return say('flow.notKnown');
  const isPlain = (share: number): boolean =>
    share === 0 || share === 1 || (share >= 0.005 && share <= 0.995);
  const percent = (share: number): number => Math.round(share * 100);
  const one = (share: number): string => {
    if (isPlain(share)) return say('flow.percent', { percent: percent(share) });
    return share < 0.005 ? say('flow.under1') : say('flow.over99');
  };
  const [low, high] = [one(lo), one(hi)];
  if (low === high) return low;
  return isPlain(lo) && isPlain(hi)
    ? say('flow.range', { low: percent(lo), high: percent(hi) })
    : say('flow.between', { low, high });
}
