import { currentAccess, theDb } from '@/db/context';
import { memberRepo } from '@/db/repositories/members';
import { say } from '@/messages/say';
import type { AccountView } from '../ui/Account';

/** The account of whoever asks; null: nobody has signed in, or has no place here. */
export async function ownAccount(asked: {
  readonly changed?: string;
  readonly problem?: string;
}): Promise<AccountView | null> {
  const { person, site } = await currentAccess();
  if (!person || !site || person.role === null) return null;
  const member = (await memberRepo(theDb()).members(site.id)).find((m) => m.person === person.id);
  return {
    ...{ name: person.name, role: person.role, site: site.name },
    username: member?.username ?? null,
    note: asked.changed === undefined ? null : say('people.passwordChanged'),
    problem: problemOf(asked.problem),
  };
}

function problemOf(problem: string | undefined): string | null {
  if (problem === undefined) return null;
  if (problem === 'easy') return say('people.passwordEasy');
  return problem === 'short' ? say('people.passwordTooShort') : say('people.passwordNowWrong');
}
