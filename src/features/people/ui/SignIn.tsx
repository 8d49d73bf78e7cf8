import type { DemoPerson } from '@/core/access/demo-people';
import { say } from '@/messages/say';
import { Field } from '@/ui/Field';
import { roleName, roleTells } from '@/entry/role-name';
import { SignInByPasskey, type PasskeyLabels } from './PasskeyForms';
import { DoorPage, ProblemNote } from './DoorPage';
import { WaitingHere } from './WaitingHere';

/** Signing in: by user name and password, or as one of the made-up people of the demo. */
export function SignIn({
  note,
  problem,
  username,
  next,
  demo,
  passkeys,
}: {
  /** What has happened, where something has. */ note: string | null;
  problem: string | null;
  username: string;
  next: string;
  demo: readonly DemoPerson[];
  passkeys: PasskeyLabels;
}) {
  return (
    <DoorPage title={say('people.signIn')}>
      {note !== null && <p role="status">{note}</p>}
      <ProblemNote text={problem} />
      <WaitingHere />
      {demo.length > 0 ? (
        <DemoPeople demo={demo} next={next} />
      ) : (
        <form action="/api/sign-in" method="post" className="flex flex-col gap-4">
          <input type="hidden" name="next" value={next} />
          <Field
            label={say('people.username')}
            name="username"
            defaultValue={username}
            autoComplete="username"
            autoCapitalize="none"
            spellCheck={false}
            required
          />
          <Field
            label={say('people.password')}
            name="password"
            type="password"
            autoComplete="current-password"
            required
          />
          <button className="btn key">{say('people.signIn')}</button>
          <p className="hint">{say('people.forgotPassword')}</p>
          <SignInByPasskey next={next} labels={passkeys} />
        </form>
      )}
    </DoorPage>
  );
}

const DemoPeople = ({ demo, next }: { demo: readonly DemoPerson[]; next: string }) => (
  <>
    <p>{say('people.demoPeople')}</p>
    <ul className="flex flex-col">
      {demo.map((p) => (
        <li key={p.id} className="ruled py-2">
          <form action="/api/sign-in" method="post">
            <input type="hidden" name="next" value={next} />
            <button className="btn w-full !justify-start gap-3" name="person" value={p.id}>
              <b>{p.name}</b>
              <span className="font-normal">{roleName(p.role)}</span>
            </button>
            <p className="hint mt-1">{roleTells(p.role)}</p>
          </form>
        </li>
      ))}
    </ul>
  </>
);
