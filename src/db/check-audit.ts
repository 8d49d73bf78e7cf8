import type { ChainFault } from '@/core/log/chain';
import { canonicalJson } from '@/core/log/entry';
import type { Db } from './client';
import { auditRepo, type NumberedEvent } from './repositories/audit';
import { inspectionRepo, visitFacts } from './repositories/inspections';
import { memberRepo, type PlaceFacts } from './repositories/members';
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

/** A person's place that is not as it was last set here. */
export type ChangedPlace = {
  readonly person: string;
  /** As it is in the table; null: it is not there. */ readonly now: PlaceFacts | null;
  /** As it was last set; null: it never was. */ readonly was: PlaceFacts | null;
};

/** Places of people that differ from what was last set, each time that one was given, changed or ended. */
export async function findChangedPlaces(db: Db, site: string): Promise<ChangedPlace[]> {
  if (!hasMemory() || isBeforeSealedRows()) return [];
  const set = await auditRepo(db).all(site, 'place-set');
  const last = new Map(set.map(({ about }) => [String(about.person), about as PlaceFacts]));
  const there = new Map((await memberRepo(db).placesOf(site)).map((p) => [p.person, p]));
  return [...new Set([...last.keys(), ...there.keys()])]
    .map((person) => ({
      ...{ person, now: there.get(person) ?? null, was: last.get(person) ?? null },
    }))
    .filter(({ now, was }) => canonicalJson(now) !== canonicalJson(was));
}

const placeFaults = async (db: Db, site: string): Promise<ChainFault[]> =>
  (await findChangedPlaces(db, site)).map(({ person }) => ({
    ...{ code: 'PLACE_CHANGED', seq: 0, id: person },
  }));

/** Visits of inspectors that differ from the audit events of them, or are gone. */
async function visitFaults(db: Db, site: string, events: readonly Event[]): Promise<ChainFault[]> {
  const written = events.filter((e) => e.event === 'visited').map((e) => e.about);
  const there = (await inspectionRepo(db).visitsOf(site)).map(visitFacts);
  const [asWritten, asKept] = [written, there].map((all) => new Set(all.map(canonicalJson)));
  const links = [
    ...there.filter((v) => !asWritten?.has(canonicalJson(v))).map((v) => v.link),
    ...written.filter((v) => !asKept?.has(canonicalJson(v))).map((v) => String(v.link)),
  ];
  return [...new Set(links)].map((id) => ({ code: 'VISIT_CHANGED' as const, seq: 0, id }));
}

/**
 * Checks the audit events of a site by their codes and by the last one that the installation remembers, and compares people's roles
 * and inspectors' visits with the audit events that recorded them.
 */
export async function auditFaults(db: Db, site: string): Promise<ChainFault[]> {
  if (!hasMemory() || isBeforeSealedRows()) return [];
  // What is remembered is read first: what comes after it lies beyond the end, and that is no fault.
  const ends = [readAuditEnd(site), readAuditEnd(null)] as const;
  const [own, nobodys] = [await auditRepo(db).all(site), await auditRepo(db).all(null)];
  return [
    ...findBroken(site, own, ends[0]),
    ...findBroken(null, nobodys, ends[1]),
    ...(await placeFaults(db, site)),
    ...(await visitFaults(db, site, own)),
  ];
}
