import type { BatchId } from '../log/ids';
import { nextAdvice, type Advice } from '../advice/next';
import { isGone } from '../advice/situation';
import { MS, type Instant } from '../quantity/instant';
import type { BatchSnapshot } from './batch-snapshot';
import { valueAt } from '../quantity/present';

/** Why a heap stands where it stands in a walk; the words are in words/route.ts. */
type RouteReason =
  | { readonly code: 'BUILDING' }
  | { readonly code: 'PROVEN' }
  | { readonly code: 'EARNED'; readonly hours: number }
  | { readonly code: 'PAUSED'; readonly hours: number }
  | { readonly code: 'LOST' }
  | { readonly code: 'NOT_HOT' }
  | { readonly code: 'NO_RULE' };
/** Why it need not be read now. */
type NotNow =
  | { readonly code: 'GONE' }
  | { readonly code: 'BUILDING' }
  | { readonly code: 'READ_LATELY'; readonly at: Instant; readonly due: Instant | null }
  | { readonly code: 'AFTER_TURN'; readonly due: Instant };
export type Stop = {
  readonly id: string;
  readonly reason: RouteReason;
  readonly due: boolean;
  readonly notNow: NotNow | null;
};

/** A heap that cures or is proven is read once a week (common practice). */
const WEEK_MS = 7 * MS.day;
/** What falls due within so long belongs to the walk that is made now. */
const SOON_MS = 4 * MS.hour;

function standing(d: BatchSnapshot): { tier: number; share: number; reason: RouteReason } {
  const lead = d.rules[0];
  const share = lead ? lead.creditedHours / lead.requiredHours : 0;
  const hours = lead?.creditedHours ?? 0;
  const stage = d.situation.stage.code;
  if (stage === 'building') return { tier: 3, share: 0, reason: { code: 'BUILDING' } };
  if (!lead) return { tier: 3, share: 0, reason: { code: 'NO_RULE' } };
  // Saying that it is ready makes nothing clean: an unproven one stays where its proof puts it.
  if (lead.status === 'proven')
    return {
      tier: stage === 'curing' || stage === 'ready' ? 0 : 1,
      share: 1,
      reason: { code: 'PROVEN' },
    };
  if (hours > 0)
    return {
      tier: 2,
      share,
      reason: { code: lead.status === 'recovering' ? 'PAUSED' : 'EARNED', hours },
    };
  return {
    tier: 3,
    share: 0,
    reason: d.state === 'broken' ? { code: 'LOST' } : { code: 'NOT_HOT' },
  };
}

/** When a heap is to be read next: when its advice says, or a day after it was read last. */
function readingDue(advice: Advice, read: Instant | null, now: Instant): Instant {
  switch (advice.code) {
    case 'TOO_HOT':
      return Math.min(now, advice.hot.followUpAt);
    case 'READ_AFTER_TURN':
    case 'READ_BEFORE_LOST':
    case 'READ_RECOVERING':
    case 'READ_QUIET':
    case 'READ_RUN_DOWN':
    case 'KEEP_READING':
    case 'WAIT_FOR_HEAT':
    case 'ASLEEP':
      return advice.due;
    default:
      return (read ?? 0) + MS.day;
  }
}

/** Whether a heap is due in a walk now, and why not otherwise. */
function dueOf(d: BatchSnapshot, now: Instant): NotNow | null {
  const {
    stage: { code: stage },
    proof: { status },
  } = d.situation;
  if (isGone(d.situation)) return { code: 'GONE' };
  if (stage === 'building') return { code: 'BUILDING' };
  const read = d.latest?.at ?? null;
  if (stage === 'curing' || stage === 'ready' || stage === 'on-hold' || status === 'proven')
    return read !== null && now - read < WEEK_MS - SOON_MS
      ? { code: 'READ_LATELY', at: read, due: read + WEEK_MS }
      : null;
  const advice = nextAdvice({ ...d.situation, now });
  if (advice.code === 'READ_AFTER_TURN' && advice.due - now > SOON_MS)
    return { code: 'AFTER_TURN', due: advice.due };
  const due = readingDue(advice, read, now);
  return read !== null && due - now > SOON_MS ? { code: 'READ_LATELY', at: read, due } : null;
}

/**
 * The heaps in hygienic order: the most finished first, the rawest last, so that nothing raw rides on the thermometer into
 * a finished heap (common practice). Among those that are as far, the older first. A manual order goes before it; a heap
 * that it does not name comes where hygiene puts it, before the first named one that is rawer.
 */
export function routeOf(
  board: readonly BatchSnapshot[],
  manual: readonly BatchId[] | null,
  now: Instant,
): Stop[] {
  const ranked = board
    .filter((d) => !isGone(d.situation))
    .map((d) => ({ d, ...standing(d) }))
    .sort(
      (a, b) =>
        Number(a.d.situation.stage.code === 'building') -
          Number(b.d.situation.stage.code === 'building') ||
        a.tier - b.tier ||
        b.share - a.share ||
        (a.d.builtAt ?? now) - (b.d.builtAt ?? now) ||
        (a.d.code < b.d.code ? -1 : 1),
    );
  const place = new Map(ranked.map((r, i) => [r.d.id, i]));
  const order = (manual ?? []).filter((id) => place.has(id));
  for (const { d } of ranked) {
    if (order.includes(d.id)) continue;
    const before = order.findIndex((id) => valueAt(place, id) > valueAt(place, d.id));
    order.splice(before < 0 ? order.length : before, 0, d.id);
  }
  return order.map((id) => {
    const { d, reason } = ranked[valueAt(place, id)]!;
    const notNow = dueOf(d, now);
    return { id, reason, due: notNow === null, notNow };
  });
}
