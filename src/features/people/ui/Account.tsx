import type { MemberRole } from '@/core/log/entered-by';
import { say } from '@/messages/say';
import { Field } from '@/ui/Field';
import { roleName, roleTells } from '@/entry/role-name';
import { NewPasswordField } from './NewPasswordField';
import { AddPasskey, type PasskeyLabels } from './PasskeyForms';
import { OwnCodes, type CodesView } from './OwnCodes';
import { PinField } from './PinField';
import { SignOut } from './SignOut';
import { ProblemNote } from './DoorPage';

/** One sign-in that has not ended. */
type OwnSession = {
  readonly id: string;
  readonly browser: string;
  readonly since: string;
  readonly isThis: boolean;
};
export type AccountView = {
  readonly name: string;
  readonly username: string | null;
  readonly role: MemberRole;
  readonly site: string;
  readonly note: string | null;
  readonly problem: string | null;
  readonly codes: CodesView;
  readonly passkeys: {
    readonly labels: PasskeyLabels;
    readonly all: readonly { readonly id: string; readonly name: string; readonly since: string }[];
  };
  readonly hasPin: boolean;
  readonly sessions: readonly OwnSession[];
};

/** One's own account: what one is here, one's password, codes and PIN, the way out. */
export function Account({ view }: { view: AccountView }) {
  return (
    <div className="px-5 max-sm:px-4 py-5 max-w-[560px] flex flex-col gap-5">
      <h1>{view.name}</h1>
      <p>{say('people.youAre', { role: roleName(view.role), site: view.site })}</p>
      <p className="hint">{roleTells(view.role)}</p>
      {view.note !== null && <p role="status">{view.note}</p>}
      <ProblemNote text={view.problem} />
      {view.username !== null && (
        <>
          <OwnPasskeys passkeys={view.passkeys} />
          <OwnCodes codes={view.codes} />
          <ChangePassword username={view.username} />
        </>
      )}
      {view.role !== 'partner' && <OwnPin hasPin={view.hasPin} />}
      <Sessions sessions={view.sessions} />
    </div>
  );
}

const ChangePassword = ({ username }: { username: string }) => (
  <form action="/api/account" method="post" className="ruled pt-4 flex flex-col gap-3">
    <h2>{say('people.changePassword')}</h2>
    <input type="hidden" name="act" value="password" />
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

const OwnPasskeys = ({ passkeys }: Pick<AccountView, 'passkeys'>) => (
  <section className="ruled pt-4 flex flex-col gap-3" aria-label={say('people.passkeys')}>
    <h2>{say('people.passkeys')}</h2>
    <p>{say('people.passkeysHow')}</p>
    {passkeys.all.map((k) => (
      <form
        key={k.id}
        action="/api/account"
        method="post"
        className="ruled py-2 flex gap-4 items-center flex-wrap"
      >
        <input type="hidden" name="passkey" value={k.id} />
        <p className="flex-1">
          <b>{k.name}</b> <span className="hint">{k.since}</span>
        </p>
        <button className="btn" name="act" value="passkey-end">
          {say('people.passkeyEnd')}
        </button>
      </form>
    ))}
    <AddPasskey labels={passkeys.labels} />
  </section>
);

const OwnPin = ({ hasPin }: { hasPin: boolean }) => (
  <form action="/api/account" method="post" className="ruled pt-4 flex flex-col gap-3">
    <h2>{say('people.pin')}</h2>
    <p>{hasPin ? say('people.pinSet') : say('people.pinNone')}</p>
    <input type="hidden" name="act" value="pin" />
    <PinField hint={say('people.pinForm')} />
    <button className="btn w-fit">{say('people.pinSave')}</button>
  </form>
);

const Sessions = ({ sessions }: Pick<AccountView, 'sessions'>) => (
  <section className="ruled pt-4 flex flex-col gap-3" aria-label={say('people.signedIn')}>
    <h2>{say('people.signedIn')}</h2>
    {sessions.map((s) => (
      <SignedIn key={s.id} session={s} />
    ))}
    {sessions.length > 1 && (
      <form action="/api/account" method="post">
        <button className="btn" name="act" value="sign-out-others">
          {say('people.signOutOthers')}
        </button>
      </form>
    )}
    <p className="hint">{say('people.signOutHow')}</p>
  </section>
);

/** This browser signs out as everywhere else in the product; another one is signed out from here. */
const SignedIn = ({ session }: { session: OwnSession }) => (
  <div className="ruled py-2 flex gap-4 items-center flex-wrap">
    <p className="flex-1">
      <b>{session.browser}</b> <span className="hint">{session.since}</span>
    </p>
    {session.isThis ? (
      <SignOut />
    ) : (
      <form action="/api/account" method="post">
        <input type="hidden" name="session" value={session.id} />
        <button className="btn" name="act" value="sign-out-one">
          {say('people.signOutOne')}
        </button>
      </form>
    )}
  </div>
);
