import type { Situation } from './situation';
import { isGone, isLive, isSaidDone } from './situation';

/** With which heap one that is too small may be joined. */
export type Partner = {
  readonly id: string;
  readonly name: string;
  readonly m3: number;
  readonly totalM3: number;
  /** What the joining does to proofs: nothing, since neither has one; or both were proven. */ readonly why:
    'neither-proven' | 'both-proven';
};
type Card = { readonly id: string; readonly name: string; readonly facts: Omit<Situation, 'now'> };

/** The loosest lower edge of the hot range (common practice). */
const HOT_C = 50;
/** More than this in one heap is no longer turned by hand (common practice). */
const MAX_M3 = 12;

/** Whether a heap has shrunk below what holds its heat. */
export const tooSmall = (
  s: Pick<Situation, 'volumeM3' | 'stage' | 'proof' | 'kept' | 'rounds' | 'leastHotM3'>,
): boolean =>
  s.volumeM3 !== null &&
  s.volumeM3 < s.leastHotM3 &&
  s.kept !== 'vessel' &&
  isLive(s) &&
  s.proof.status !== 'proven' &&
  hasNothingToLose(s);

/** Neither hot nor with a rule in progress: only such a heap is joined for warmth. */
const hasNothingToLose = (s: Pick<Situation, 'stage' | 'proof' | 'rounds'>): boolean =>
  (s.rounds.at(-1)?.peakC ?? -Infinity) < HOT_C &&
  s.proof.creditedHours === 0 &&
  s.proof.status !== 'running' &&
  s.proof.status !== 'recovering';

/** What has credit or a proof to lose is not offered; of the rest the one nearest in size, so that a bay is freed with little carrying. */
export function partnersFor(own: Card, others: readonly Card[]): Partner[] {
  // One that still cools is left alone: only what is proven and was put to cure is laid together.
  const done = (c: Card): boolean => c.facts.proof.status === 'proven' && isSaidDone(c.facts);
  const idle = (c: Card): boolean =>
    isLive(c.facts) && c.facts.proof.status !== 'proven' && hasNothingToLose(c.facts);
  const m3 = own.facts.volumeM3;
  if (m3 === null) return [];
  return others
    .filter(
      (o) =>
        o.id !== own.id &&
        !isGone(o.facts) &&
        o.facts.kept !== 'vessel' &&
        o.facts.volumeM3 !== null &&
        m3 + o.facts.volumeM3 <= MAX_M3 &&
        ((done(own) && done(o)) || (!done(own) && idle(own) && idle(o))),
    )
    .map((o): Partner => ({
      id: o.id,
      name: o.name,
      m3: o.facts.volumeM3!,
      totalM3: m3 + o.facts.volumeM3!,
      why: done(own) ? 'both-proven' : 'neither-proven',
    }))
    .sort((a, b) => a.m3 - b.m3);
}
