import type { BatchId } from '../log/ids';
import { MS, type Instant } from '../quantity/instant';
import { valueAt } from '../quantity/present';
import type { BatchSnapshot } from '../snapshot/batch-snapshot';
import { actOf, statusOfBatch, type BatchStatus } from './batch-status';

/** Why a heap stands where it stands in a walk; the words are in telling/status/route.ts. */
type RouteReason =
  | { readonly code: 'BUILDING' }
  | { readonly code: 'PROVEN' }
  | { readonly code: 'EARNED'; readonly hours: number }
  | { readonly code: 'PAUSED'; readonly hours: number }
  | { readonly code: 'LOST' }
  | { readonly code: 'UNREAD'; readonly since: Instant }
  | { readonly code: 'NOT_HOT' }
  | { readonly code: 'NO_RULE' };
/** Why it need not be read now. */
type NotNow =
  | { readonly code: 'BUILDING' }
  | { readonly code: 'ON_HOLD' }
  | { readonly code: 'READ_LATELY'; readonly at: Instant; readonly due: Instant | null }
  | { readonly code: 'AFTER_TURN'; readonly due: Instant };
export type Stop = {
  readonly id: string;
  readonly reason: RouteReason;
  readonly due: boolean;
  readonly notNow: NotNow | null;
};

/** What falls due within so long belongs to the walk that is made now. */
const SOON_MS = 4 * MS.hour;
/** What is too hot is read again within the hour: of it only what is due in so long belongs to this walk. */
const SOON_IN_DANGER_MS = 10 * MS.minute;

type Standing = { readonly tier: number; readonly share: number; readonly reason: RouteReason };

function hygienicPlace(main: BatchStatus['main'], stage: BatchStatus['stage']): Standing {
  if (stage.code === 'building') return { tier: 3, share: 0, reason: { code: 'BUILDING' } };
  if (!main) return { tier: 3, share: 0, reason: { code: 'NO_RULE' } };
  const { facts, code } = main;
  const share = facts.creditedHours / facts.requiredHours;
  // Saying that it is ready makes nothing clean: an unproven one stays where its proof puts it.
  if (facts.status === 'proven')
    return {
      tier: stage.code === 'curing' || stage.code === 'ready' ? 0 : 1,
      share: 1,
      reason: { code: 'PROVEN' },
    };
  const hours = facts.creditedHours;
  if (hours > 0)
    return { tier: 2, share, reason: { code: code === 'recovering' ? 'PAUSED' : 'EARNED', hours } };
  return {
    tier: 3,
    share: 0,
    reason:
      code === 'unread' && main.at !== null
        ? { code: 'UNREAD', since: main.at }
        : { code: code === 'broken' ? 'LOST' : 'NOT_HOT' },
  };
}

const isTooHot = ({ danger }: Pick<BatchStatus, 'danger'>): boolean =>
  danger.level === 'fire' || danger.level === 'high';

/** Whether a heap is due in a walk now, and why not otherwise. */
function dueOf(status: BatchStatus): NotNow | null {
  const act = actOf(status, 'read');
  if (isTooHot(status)) return readLately(status, act, SOON_IN_DANGER_MS);
  if (status.stage.held) return { code: 'ON_HOLD' };
  if (status.stage.code === 'building') return { code: 'BUILDING' };
  if (status.next.code === 'READ_AFTER_TURN' && act !== null && act.by - status.now > SOON_MS)
    return { code: 'AFTER_TURN', due: act.by };
  return readLately(status, act, SOON_MS);
}

/** Read, and not due for so long; null: due. */
function readLately(
  { now, lastRead }: BatchStatus,
  act: ReturnType<typeof actOf>,
  soonMs: number,
): NotNow | null {
  if (lastRead === null || (act !== null && act.by - now <= soonMs)) return null;
  return { code: 'READ_LATELY', at: lastRead.at, due: act?.by ?? null };
}

/** How hot what may burn was read; nobody read it, somebody smelled burning: the hottest of all. */
const fireOf = ({ danger }: BatchStatus): number =>
  danger.level === 'fire' ? (danger.hot.coreC ?? Infinity) : -Infinity;

/**
 * The heaps as they are walked: one that may burn first, the hottest of them before the others; then in hygienic order, the most
 * finished first, the rawest last, so that nothing raw rides on the thermometer into a finished heap (common practice). Among
 * those that are as far, the older first. A manual order goes before hygiene; a heap that it does not name comes where hygiene
 * puts it, before the first named one that is rawer.
 */
export function routeOf(
  board: readonly BatchSnapshot[],
  manual: readonly BatchId[] | null,
  now: Instant,
): Stop[] {
  const ranked = board
    .map((d) => ({ d, status: statusOfBatch(d, now) }))
    .filter(({ status }) => !status.isGone)
    .map(({ d, status }) => ({
      ...{ d, status, fire: fireOf(status) },
      ...hygienicPlace(status.main, status.stage),
    }))
    .sort(
      (a, b) =>
        // Not subtracted: nothing burns in most, and infinity less infinity is no number.
        Number(b.fire > a.fire) - Number(a.fire > b.fire) ||
        Number(a.status.stage.code === 'building') - Number(b.status.stage.code === 'building') ||
        a.tier - b.tier ||
        b.share - a.share ||
        (a.d.builtAt ?? now) - (b.d.builtAt ?? now) ||
        (a.d.code < b.d.code ? -1 : 1),
    );
  const place = new Map(ranked.map((r, i) => [r.d.id, i]));
  const isFirst = (id: BatchId): boolean => ranked[valueAt(place, id)]!.fire > -Infinity;
  const order = (manual ?? []).filter((id) => place.has(id) && !isFirst(id));
  for (const { d } of ranked) {
    if (order.includes(d.id)) continue;
    const before = order.findIndex((id) => valueAt(place, id) > valueAt(place, d.id));
    order.splice(before < 0 ? order.length : before, 0, d.id);
  }
  return order.map((id) => {
    const { status, reason } = ranked[valueAt(place, id)]!;
    const notNow = dueOf(status);
    return { id, reason, due: notNow === null, notNow };
  });
}
