import type { MemberRole } from '@/core/log/entered-by';
import { say } from '@/messages/say';
import { Field } from '@/ui/Field';
import { roleName, roleTells } from '@/entry/role-name';
import { NewPasswordField } from './NewPasswordField';
import { SignOut } from './SignOut';
import { ProblemNote } from './DoorPage';

export type AccountView = {
  readonly name: string;
  readonly username: string | null;
  readonly role: MemberRole;
  readonly site: string;
  readonly note: string | null;
  readonly problem: string | null;
};

/** One's own account: what one is here, one's password, the way out. */
export function Account({ view }: { view: AccountView }) {
  return (
    <div className="px-5 max-sm:px-4 py-5 max-w-[560px] flex flex-col gap-5">
      <h1>{view.name}</h1>
      <p>{say('people.youAre', { role: roleName(view.role), site: view.site })}</p>
      <p className="hint">{roleTells(view.role)}</p>
      {view.note !== null && <p role="status">{view.note}</p>}
      <ProblemNote text={view.problem} />
      {view.username !== null && <ChangePassword username={view.username} />}
      <div className="ruled pt-4">
        <SignOut />
        <p className="hint mt-2">{say('people.signOutHow')}</p>
      </div>
    </div>
  );
}

const ChangePassword = ({ username }: { username: string }) => (
  <form action="/api/account" method="post" className="ruled pt-4 flex flex-col gap-3">
    <h2>{say('people.changePassword')}</h2>
    <input type="hidden" name="username" value={username} autoComplete="username" />
    <Field
      label={say('people.passwordNow')}
      name="current"
      type="password"
      autoComplete="current-password"
      required
    />
    <NewPasswordField label={say('people.newPassword')} />
    <button className="btn w-fit">{say('people.changePassword')}</button>
    <p className="hint">{say('people.changePasswordHow')}</p>
  </form>
);
