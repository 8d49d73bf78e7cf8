import { redirect } from 'next/navigation';
import { DEMO_PEOPLE } from '@/core/access/demo-people';
import { say } from '@/messages/say';
import { DoorPage } from '../../ui/DoorPage';
import { SignIn } from '../../ui/SignIn';
import { passkeyLabels } from '../passkey-labels';
import { isDemoHere } from '../sign-in';
import { whoIsSignedIn } from '../queries';
import { safePath } from '@/entry/server/forms';

type Asked = {
  readonly next?: string;
  readonly out?: string;
  readonly problem?: string;
  /** After how many seconds the next try is taken. */ readonly wait?: string;
  readonly username?: string;
};

function problemText({ problem, wait }: Asked): string | null {
  if (problem === undefined) return null;
  const minutes = Math.ceil(Math.min(Number(wait) || 0, 3600) / 60);
  return problem === 'wait'
    ? say('people.waitToSignIn', { minutes: Math.max(1, minutes) })
    : say('people.wrongPassword');
}

export async function SignInPage({ searchParams }: { searchParams: Promise<Asked> }) {
  const [asked, who] = [await searchParams, await whoIsSignedIn()];
  const next = safePath(asked.next);
  if (who.state === 'in') redirect(next);
  if (who.state === 'no-accounts')
    return (
      <DoorPage title={say('people.firstAccount')}>
        <p>{say('people.openPrintedLink')}</p>
      </DoorPage>
    );
  const notes = {
    nobody: asked.out === undefined ? null : say('people.signedOut'),
    revoked: say('people.phoneDisconnected'),
  };
  return (
    <SignIn
      note={notes[who.state]}
      problem={problemText(asked)}
      username={(asked.username ?? '').slice(0, 40)}
      next={next}
      demo={isDemoHere() ? DEMO_PEOPLE : []}
      passkeys={passkeyLabels(say('people.passkeySignIn'))}
    />
  );
}
