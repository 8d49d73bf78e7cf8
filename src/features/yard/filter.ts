import { METHODS, type Method } from '@/core/evidence/types';
import type { BatchSnapshot } from '@/core/snapshot/batch-snapshot';
import type { BatchStatus } from '@/core/status/batch-status';
import { MS } from '@/core/quantity/instant';
import { positionShort } from '@/core/words/position';
import type { Plot } from './plot';

/** Which batches of a site are shown, and in which order: it can be linked to, and sticks on a device. */

export const SHOWS = [
  'all',
  'attention',
  'unread',
  'building',
  'heating',
  'met',
  'curing',
] as const;
export type Show = (typeof SHOWS)[number];
export const ORDERS = ['place', 'urgency', 'youngest', 'oldest', 'unread-longest'] as const;
export type YardOrder = (typeof ORDERS)[number];
export type YardFilter = {
  readonly show: Show;
  /** Null: any. */ readonly method: Method | null;
  /** A word of the place, such as the name of a windrow; '': anywhere. */ readonly place: string;
  readonly order: YardOrder;
};
export const NO_FILTER: YardFilter = { show: 'all', method: null, place: '', order: 'place' };

/** A batch with what the yard says of it. */
export type Listed = {
  readonly d: BatchSnapshot;
  readonly status: BatchStatus;
  readonly plot: Plot;
};

/** Not read for a day. */
const UNREAD_MS = MS.day;

/** The filter that an address or a device asks for; what it does not know is left as it is without one. */
export function filterOf(query: string): YardFilter {
  const asked = new URLSearchParams(query);
  return {
    show: SHOWS.find((x) => x === asked.get('show')) ?? NO_FILTER.show,
    method: METHODS.find((x) => x === asked.get('method')) ?? null,
    place: (asked.get('place') ?? '').trim().slice(0, 40),
    order: ORDERS.find((x) => x === asked.get('order')) ?? NO_FILTER.order,
  };
}

/** A filter as an address bears it; '': none. */
export function queryOf({ show, method, place, order }: YardFilter): string {
  const query = new URLSearchParams();
  if (show !== NO_FILTER.show) query.set('show', show);
  if (method) query.set('method', method);
  if (place) query.set('place', place);
  if (order !== NO_FILTER.order) query.set('order', order);
  return query.toString();
}

const isUnread = (d: BatchSnapshot, now: number): boolean =>
  d.builtAt !== null && (d.latest === null || now - d.latest.at > UNREAD_MS);

const SHOWN: Readonly<Record<Show, (listed: Listed, now: number) => boolean>> = {
  all: () => true,
  attention: ({ plot }) => plot.advice.urgent,
  unread: ({ d }, now) => isUnread(d, now),
  building: ({ d }) => d.situation.stage.code === 'building',
  heating: ({ d }) => ['heating', 'hot', 'cooling'].includes(d.situation.stage.code),
  met: ({ status }) => status.main !== null && status.main.facts.provenAt !== null,
  curing: ({ d }) => ['curing', 'ready'].includes(d.situation.stage.code),
};

const urgency = ({ plot }: Listed): number => (plot.advice.danger ? 0 : plot.advice.urgent ? 1 : 2);
/** The hottest of what is in danger comes first; what was smelled burning and not read before all. */
const heatInDanger = ({ status: { danger } }: Listed): number =>
  danger.hot === null || danger.level === 'watch' ? -Infinity : (danger.hot.coreC ?? Infinity);
const age = ({ d }: Listed): number => d.builtAt ?? d.openedAt;
const lastRead = ({ d }: Listed): number => d.latest?.at ?? -Infinity;
const BY: Readonly<Record<YardOrder, ((a: Listed, b: Listed) => number) | null>> = {
  place: null,
  urgency: (a, b) => urgency(a) - urgency(b) || heatInDanger(b) - heatInDanger(a) || 0,
  youngest: (a, b) => age(b) - age(a),
  oldest: (a, b) => age(a) - age(b),
  'unread-longest': (a, b) => lastRead(a) - lastRead(b),
};

/**
 * The batches that a filter shows, in its order. One in danger is shown whatever is asked for: it may not be filtered away.
 * @param listed by place
 */
export function applyFilter(
  listed: readonly Listed[],
  { show, method, place, order }: YardFilter,
  now: number,
): Listed[] {
  const wanted = place.toLowerCase();
  const kept = listed.filter(
    (x) =>
      x.plot.advice.danger === true ||
      (SHOWN[show](x, now) &&
        (method === null || x.d.method === method) &&
        positionShort(x.d.position).toLowerCase().includes(wanted)),
  );
  const by = BY[order];
  return by ? kept.sort(by) : kept;
}
