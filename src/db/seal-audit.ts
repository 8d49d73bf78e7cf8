import { canonicalJson } from '@/core/log/entry';
import { signedFile } from '@/platform/signed-lines';
import { codeOver } from './derived-code';

/** The fields of an audit event that its code covers. */
export type SealedEvent = {
  readonly site: string | null;
  readonly id: string;
  readonly at: Date;
  readonly event: string;
  readonly who: string | null;
  readonly about: Readonly<Record<string, unknown>>;
};
/** Where the sequence of a site's events ends. */
export type AuditEnd = { readonly n: number; readonly code: string };
export const NO_EVENTS: AuditEnd = { n: 0, code: '' };

const FORMAT = 'zealous-heap/audit-event';

/**
 * The code over an event, its number and the event before it, by a key derived from the installation's.
 * Null: there is no key.
 */
export function codeOfEvent(
  { site, id, at, event, who, about }: SealedEvent,
  n: number,
  previous: string,
): string | null {
  const facts = { format: FORMAT, site, id, at: at.toISOString(), event, who, about, n, previous };
  return codeOver('audit', canonicalJson(facts));
}

/** What happened where no site is known yet has a sequence of its own. */
const endFile = (site: string | null) => signedFile(`audit-${site ?? 'no-site'}`);

/** The end of the events as it was after the last commit; null: this machine knows none. */
export function readAuditEnd(site: string | null): AuditEnd | null {
  const text = endFile(site).read();
  return text === null ? null : (JSON.parse(text) as AuditEnd);
}
/** Replaces what is known of the end: after a commit, never before, so that it may lie behind the events and never beyond them. */
export function keepAuditEnd(site: string | null, end: AuditEnd): void {
  // Of two who have written, the one that is done later may be the one that wrote first.
  if ((readAuditEnd(site)?.n ?? 0) <= end.n) beginAuditEnd(site, end);
}
/** Says where the events end, whatever was known before: at the upgrade, where they are numbered for the first time. */
export const beginAuditEnd = (site: string | null, { n, code }: AuditEnd): void =>
  endFile(site).replace(JSON.stringify({ format: `${FORMAT}-end`, site, n, code }));
