import type { Instant } from '../quantity/instant';
import { firstOf } from '../quantity/present';
import type { Flow, FlowSite, Level, Proof } from './site-file';

/** Events of a site in the order in which they are taken (contract, section 2). */

/** What happens at one moment, by kind. */
export type FlowMoment = {
  readonly at: Instant;
  readonly proofs: readonly Proof[];
  readonly flows: readonly Flow[];
  readonly levels: readonly Level[];
};

const byId = (a: Flow, b: Flow): number => (a.id < b.id ? -1 : a.id > b.id ? 1 : 0);

/** The moments of a site, the earliest first; flows of one moment by id. */
export function listMoments({ flows, levels, proofs }: FlowSite): FlowMoment[] {
  const moments = new Map<Instant, { proofs: Proof[]; flows: Flow[]; levels: Level[] }>();
  const of = (at: Instant) => {
    const known = moments.get(at) ?? { proofs: [], flows: [], levels: [] };
    moments.set(at, known);
    return known;
  };
  for (const proof of proofs) of(proof.at).proofs.push(proof);
  for (const flow of flows) of(flow.at).flows.push(flow);
  for (const level of levels) of(level.at).levels.push(level);
  return [...moments]
    .sort(([a], [b]) => a - b)
    .map(([at, m]) => ({ at, ...m, flows: m.flows.sort(byId) }));
}

/** Groups of flows that wait for each other in a circle, each by id; a flow that waits for no circle is a group of its own. */
function groupCircles(
  flows: readonly Flow[],
  waitsFor: ReadonlyMap<Flow, readonly Flow[]>,
): Flow[][] {
  // Tarjan's strongly connected components (1972), without recursion: a moment may hold thousands of flows.
  const index = new Map<Flow, number>();
  const low = new Map<Flow, number>();
  const open: Flow[] = [];
  const isOpen = new Set<Flow>();
  const groups: Flow[][] = [];
  const lowOf = (f: Flow): number => low.get(f) ?? 0;
  for (const start of flows) {
    if (index.has(start)) continue;
    const path: { flow: Flow; next: number }[] = [{ flow: start, next: 0 }];
    while (path.length > 0) {
      const top = path[path.length - 1];
      if (!top) break;
      const { flow } = top;
      if (top.next === 0) {
        index.set(flow, index.size);
        low.set(flow, index.size - 1);
        open.push(flow);
        isOpen.add(flow);
      }
      const needed = waitsFor.get(flow)?.[top.next];
      top.next += 1;
      if (needed !== undefined) {
        if (!index.has(needed)) path.push({ flow: needed, next: 0 });
        else if (isOpen.has(needed)) low.set(flow, Math.min(lowOf(flow), index.get(needed) ?? 0));
        continue;
      }
      path.pop();
      const parent = path[path.length - 1];
      if (parent) low.set(parent.flow, Math.min(lowOf(parent.flow), lowOf(flow)));
      if (lowOf(flow) === index.get(flow)) {
        const group: Flow[] = [];
        for (let f = open.pop(); f !== undefined; f = open.pop()) {
          isOpen.delete(f);
          group.push(f);
          if (f === flow) break;
        }
        groups.push(group.sort(byId));
      }
    }
  }
  return groups;
}

/**
 * Flows of one moment in the order in which they are taken: by id, but one out of a lot that was empty before the moment goes
 * after all flows of the moment into that lot; in circles again by id.
 * @param flows by id
 */
export function orderFlows(flows: readonly Flow[], wasEmpty: (lot: string) => boolean): Flow[] {
  const into = new Map<string, Flow[]>();
  for (const f of flows) if (f.to !== null) into.set(f.to, [...(into.get(f.to) ?? []), f]);
  const waitsFor = new Map(
    flows.map((f) => [f, f.from !== null && wasEmpty(f.from) ? (into.get(f.from) ?? []) : []]),
  );
  if ([...waitsFor.values()].every((needed) => needed.length === 0)) return [...flows];
  const groups = groupCircles(flows, waitsFor);
  const groupOf = new Map(groups.flatMap((g) => g.map((f) => [f, g] as const)));
  const missing = new Map<Flow[], Set<Flow[]>>(groups.map((g) => [g, new Set()]));
  for (const [f, needed] of waitsFor)
    for (const n of needed) {
      const [own, other] = [groupOf.get(f), groupOf.get(n)];
      if (own && other && own !== other) missing.get(own)?.add(other);
    }
  const ordered: Flow[] = [];
  const left = [...groups].sort((a, b) => byId(firstOf(a), firstOf(b)));
  while (left.length > 0) {
    // There is always one: groups of circles wait for each other in no circle.
    const next = left.findIndex((g) => missing.get(g)?.size === 0);
    const [group] = left.splice(Math.max(0, next), 1);
    if (!group) break;
    ordered.push(...group);
    for (const waits of missing.values()) waits.delete(group);
  }
  return ordered;
}

/** All flows of a site in the order in which they are taken, where only what lots hold by flows counts as held. */
export function followInOrder(site: FlowSite): Flow[] {
  const filled = new Set<string>();
  return listMoments(site).flatMap(({ flows }) => {
    const before = new Set(filled);
    const ordered = orderFlows(flows, (lot) => !before.has(lot));
    for (const f of ordered) {
      if (f.to !== null) filled.add(f.to);
      if (f.from !== null && f.all) filled.delete(f.from);
    }
    return ordered;
  });
}
