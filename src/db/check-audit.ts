import type { ChainFault } from '@/core/log/chain';
import { canonicalJson } from '@/core/log/entry';
import type { Db } from './client';
import { auditRepo, type NumberedEvent } from './repositories/audit';
import { inspectionRepo, visitFacts } from './repositories/inspections';
import { memberRepo } from './repositories/members';
import {
  codeOfEvent,
  NO_EVENTS,
  readAuditEnd,
  type AuditEnd,
  type SealedEvent,
} from './seal-audit';
import { hasMemory, isBeforeSealedRows } from './site-heads';

type Event = SealedEvent & NumberedEvent;

/** Whether an event's number follows the last one, or a restore says that those between were given up. */
const follows = ({ n, event, about }: Event, last: AuditEnd): boolean =>
  n === last.n + 1 ||
  (event === 'restored' && about.after === String(last.n) && about.upTo === String((n ?? 0) - 1));

/** Whether an end that was remembered was given up by a restore afterwards. */
const isGivenUp = (n: number, events: readonly Event[]): boolean =>
  events.some(
    ({ event, about }) =>
      event === 'restored' && Number(about.after) < n && n <= Number(about.upTo),
  );

/** Events of a sequence that are not as they were written down, or are missing. */
function findBroken(
  site: string | null,
  events: readonly Event[],
  remembered: AuditEnd | null,
): ChainFault[] {
  const faults: ChainFault[] = [];
  let last = NO_EVENTS;
  for (const event of events) {
    const { id, n, code } = event;
    const isWhole = n !== null && follows(event, last) && code === codeOfEvent(event, n, last.code);
    if (!isWhole) faults.push({ code: 'AUDIT_CHANGED', seq: 0, id });
    last = { n: n ?? last.n, code: code ?? '' };
  }
  if (remembered === null || remembered.n === 0 || isGivenUp(remembered.n, events)) return faults;
  if (events.some((e) => e.n === remembered.n && e.code === remembered.code)) return faults;
  return [...faults, { code: 'AUDIT_LOST', seq: 0, id: `${site ?? 'no-site'}:${remembered.n}` }];
}

const isWritten = (about: Readonly<Record<string, unknown>>, facts: object): boolean =>
  canonicalJson(about) === canonicalJson(facts);

/** Places of people that are another than was written down when they were given. */
async function placeFaults(db: Db, site: string, events: readonly Event[]): Promise<ChainFault[]> {
  const written = new Map<string, Event['about']>();
  for (const { event, about } of events)
    if (event === 'place-set') written.set(String(about.person), about);
  const there = await memberRepo(db).placesOf(site);
  const differing = there.filter((p) => !isWritten(written.get(p.person) ?? {}, p));
  const gone = [...written.keys()].filter((id) => !there.some((p) => p.person === id));
  return [...differing.map((p) => p.person), ...gone].map((id) => ({
    ...{ code: 'PLACE_CHANGED' as const, seq: 0, id },
  }));
}

/** Visits of inspectors that are another than was written down, or are gone. */
async function visitFaults(db: Db, site: string, events: readonly Event[]): Promise<ChainFault[]> {
  const keyOf = (facts: object): string => canonicalJson(facts);
  const written = events.filter((e) => e.event === 'visited').map((e) => e.about);
  const there = (await inspectionRepo(db).visitsOf(site)).map(visitFacts);
  const [asWritten, asKept] = [new Set(written.map(keyOf)), new Set(there.map(keyOf))];
  const links = [
    ...there.filter((v) => !asWritten.has(keyOf(v))).map((v) => v.link),
    ...written.filter((v) => !asKept.has(keyOf(v))).map((v) => String(v.link)),
  ];
  return [...new Set(links)].map((id) => ({ code: 'VISIT_CHANGED' as const, seq: 0, id }));
}

/**
 * What happened at the door, held against its codes and against what the installation remembers of its end; and people's places and
 * inspectors' visits, held against what was written down of them there.
 */
export async function auditFaults(db: Db, site: string): Promise<ChainFault[]> {
  if (!hasMemory() || isBeforeSealedRows()) return [];
  // What is remembered is read first: what comes after it lies beyond the end, and that is no fault.
  const ends = [readAuditEnd(site), readAuditEnd(null)] as const;
  const [own, nobodys] = [await auditRepo(db).all(site), await auditRepo(db).all(null)];
  return [
    ...findBroken(site, own, ends[0]),
    ...findBroken(null, nobodys, ends[1]),
    ...(await placeFaults(db, site, own)),
    ...(await visitFaults(db, site, own)),
  ];
}
