import { say } from '@/messages/say';
import { safePath } from '@/entry/server/forms';
import { CodeField } from '../../ui/CodeField';
import { DoorPage, ProblemNote } from '../../ui/DoorPage';

/** The second step of signing in, for whoever has one-time codes. */
export async function SignInCodePage({
  searchParams,
}: {
  searchParams: Promise<{ next?: string; problem?: string }>;
}) {
  const { next, problem } = await searchParams;
  return (
    <DoorPage title={say('people.codeTitle')}>
      <ProblemNote text={problem === undefined ? null : say('people.codeWrong')} />
      <p>{say('people.codeAsk')}</p>
      <form action="/api/sign-in/code" method="post" className="flex flex-col gap-4">
        <input type="hidden" name="next" value={safePath(next)} />
        <CodeField label={say('people.code')} />
        <button className="btn key">{say('people.signIn')}</button>
      </form>
      <a className="btn w-fit" href="/sign-in">
        {say('people.codeStartOver')}
      </a>
    </DoorPage>
  );
}
