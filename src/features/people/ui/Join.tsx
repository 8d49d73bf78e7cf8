import { say } from '@/messages/say';
import { Field } from '@/ui/Field';
import { roleName, roleTells } from '@/entry/role-name';
import type { MemberRole } from '@/core/log/entered-by';
import { NewPasswordField } from './NewPasswordField';
import { DoorPage } from './DoorPage';

/** What a link lets in that is still open, and what was typed on it already. */
export type JoinView = {
  readonly token: string;
  readonly letsIn: 'first' | 'person' | 'device';
  readonly site: string | null;
  readonly role: MemberRole;
  /** The name that the invitation was made out to, or the phone's. */ readonly name: string;
  readonly username: string;
  readonly problem: {
    readonly field: 'name' | 'username' | 'password';
    readonly text: string;
  } | null;
  /** Somebody has signed in on this device already. */ readonly signedInAs: string | null;
};

/** What stands behind a link: making an account, or connecting a shared phone. */
export function Join({ view }: { view: JoinView }) {
  const { letsIn, site, name, role } = view;
  if (letsIn === 'device')
    return (
      <DoorPage title={say('people.connectThisPhone')}>
        <p>{say('people.connectHow', { name, site: site ?? '' })}</p>
        <form action="/api/join" method="post">
          <input type="hidden" name="token" value={view.token} />
          <button className="btn key">{say('people.connect')}</button>
        </form>
      </DoorPage>
    );
  return (
    <DoorPage title={site === null ? say('people.firstAccount') : say('people.joinSite', { site })}>
      <p>
        {letsIn === 'first'
          ? say('people.firstAccountHow')
          : say('people.youWillBe', { role: roleName(role), tells: roleTells(role) })}
      </p>
      {view.signedInAs !== null && <JoinAsMe token={view.token} name={view.signedInAs} />}
      <NewAccount view={view} />
    </DoorPage>
  );
}

const JoinAsMe = ({ token, name }: { token: string; name: string }) => (
  <form action="/api/join" method="post" className="ruled py-3">
    <input type="hidden" name="token" value={token} />
    <button className="btn key" name="as" value="me">
      {say('people.joinAs', { name })}
    </button>
    <p className="hint mt-2">{say('people.orNewAccount')}</p>
  </form>
);

function NewAccount({ view }: { view: JoinView }) {
  const problemOf = (field: string): string | undefined =>
    view.problem?.field === field ? view.problem.text : undefined;
  return (
    <form action="/api/join" method="post" className="flex flex-col gap-4">
      <input type="hidden" name="token" value={view.token} />
      <Field
        label={say('people.yourName')}
        name="name"
        defaultValue={view.name}
        autoComplete="name"
        maxLength={60}
        required
        hint={say('people.nameStandsInLog')}
        problem={problemOf('name')}
      />
      <Field
        label={say('people.username')}
        name="username"
        defaultValue={view.username}
        autoComplete="username"
        autoCapitalize="none"
        spellCheck={false}
        required
        hint={say('people.usernameForm')}
        problem={problemOf('username')}
      />
      <NewPasswordField label={say('people.password')} problem={problemOf('password')} />
      <button className="btn key">{say('people.makeAccount')}</button>
    </form>
  );
}
