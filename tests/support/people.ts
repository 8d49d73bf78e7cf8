import type { MemberRole } from '@/core/log/entered-by';
import { invitationRepo, type NewInvitation } from '@/db/repositories/invitations';
import { sha256 } from '@/platform/hash';
import { newId } from '@/platform/ids';
import type { App } from './app';

/** A link that lets somebody in, or a phone where no role is given. @returns its word */
export async function makeInvitation(
  app: App,
  site: string,
  role: MemberRole | null,
  name: string,
  more: Partial<NewInvitation> = {},
): Promise<string> {
  const token = newId();
  await invitationRepo(app.database.app).invite({
    ...{ tokenHash: sha256(token), site, letsIn: role === null ? 'device' : 'person' },
    ...{ role, name, partner: null, madeBy: null, madeAt: Date.now() },
    expiresAt: Date.now() + 3_600_000,
    ...more,
  });
  return token;
}

/** What the log's door answers about one entry. */
export type Answer = {
  readonly ok: boolean;
  readonly again?: boolean;
  readonly problems?: { path: string; message: string }[];
};

/** Sends one entry as the browser with these cookies does. */
export async function sendEntry(app: App, cookie: string, form: object): Promise<Answer> {
  const answer = await fetch(`${app.base}/api/log`, {
    method: 'POST',
    headers: { 'content-type': 'application/json', cookie },
    body: JSON.stringify({ sentAt: Date.now(), entries: [form] }),
  });
  return ((await answer.json()) as { answers: Answer[] }).answers[0] ?? { ok: false };
}
