import type { EntryKind } from '../log/entry';
import { MEMBER_ROLES, type MemberRole } from '../log/entered-by';
import { DUTIES, type Duty } from './duties';

/** What somebody may be on a site. An inspector has no membership, only a link; whoever has none of these is the public. */
export const ACCESS_ROLES = [...MEMBER_ROLES, 'inspector'] as const;
export type AccessRole = (typeof ACCESS_ROLES)[number];

/**
 * What is asked of a role, beside logging.
 * - `see-public`: what anybody may open: signing in, a lot's own page, whether the server answers
 * - `see-inspection`: a link for inspectors, which says itself what it opens
 * - `see-own-share`: one's own deliveries, and the share of them in what went out
 * - `see-site`: batches, temperatures, materials, records, the log
 * - `see-account`: one's own account
 * - `import`, `export`: whole tables in and out
 * - `accept-exceptions`: taking in at the gate what the site asks about or refuses
 * - `open-links`: links for inspectors
 * - `manage-people`: who may do what, devices
 * - `name-site`: the first site of an installation, or a further one
 */
export const ACTIONS = [
  'see-public',
  'see-inspection',
  'see-own-share',
  'see-site',
  'see-account',
  'import',
  'export',
  'accept-exceptions',
  'open-links',
  'manage-people',
  'name-site',
] as const;
export type Action = (typeof ACTIONS)[number];

type Grant = { readonly actions: readonly Action[]; readonly duties: readonly Duty[] };
const ANYBODY: readonly Action[] = ['see-public', 'see-inspection'];

/** What each role may do; null: somebody who is nobody here. */
const GRANTS: Readonly<Record<AccessRole, Grant>> = {
  manager: {
    actions: [
      ...ANYBODY,
      'see-account',
      'see-site',
      'import',
      'export',
      'accept-exceptions',
      'open-links',
      'manage-people',
      'name-site',
    ],
    duties: ['work', 'record', 'manage', 'device'],
  },
  recorder: {
    actions: [...ANYBODY, 'see-account', 'see-site', 'import', 'export', 'accept-exceptions'],
    duties: ['work', 'record', 'device'],
  },
  crew: { actions: [...ANYBODY, 'see-account', 'see-site'], duties: ['work', 'device'] },
  trainee: { actions: [...ANYBODY, 'see-account', 'see-site'], duties: ['work', 'device'] },
  partner: { actions: [...ANYBODY, 'see-account', 'see-own-share'], duties: [] },
  inspector: { actions: ANYBODY, duties: [] },
};
const NOBODY: Grant = { actions: ANYBODY, duties: [] };

/** What a correction corrects, as far as it matters who makes it. */
export type CorrectionSubject = {
  /** Whether whoever corrects has logged it. */ readonly isOwn: boolean;
  /** Whether it was logged on the day on which it is corrected, by the site's clock. */
  readonly isOfToday: boolean;
};
/** An entry that is to be logged; a correction with what it corrects, where that is known. */
export type EntrySubject = { readonly kind: EntryKind; readonly corrects?: CorrectionSubject };

/**
 * Whether a role may do something: one of the actions, or log an entry.
 * @param role null: somebody who is nobody here
 * @param subject the entry; without one nothing may be logged
 */
export function may(
  role: AccessRole | null,
  action: Action | 'log',
  subject?: EntrySubject,
): boolean {
  const grant = role === null ? NOBODY : GRANTS[role];
  if (action !== 'log') return grant.actions.includes(action);
  if (subject === undefined) return false;
  if (grant.duties.includes(DUTIES[subject.kind])) return true;
  // Who works at a batch puts right on the same day what was logged wrongly.
  return (
    subject.kind === 'correction' &&
    grant.duties.includes('work') &&
    subject.corrects?.isOwn === true &&
    subject.corrects.isOfToday
  );
}

/** Whether a role logs in its own name only. */
export const logsInOwnName = (role: AccessRole): boolean =>
  !may(role, 'log', { kind: 'correction' });

/** What a person's role comes to on a phone that many share: such a phone logs work, whoever holds it. */
export const roleOnSharedDevice = (role: MemberRole): MemberRole =>
  role === 'manager' || role === 'recorder' ? 'crew' : role;
