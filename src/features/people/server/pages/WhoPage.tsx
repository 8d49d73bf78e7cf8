import { say } from '@/messages/say';
import { DoorPage, ProblemNote } from '../../ui/DoorPage';
import { PinField } from '../../ui/PinField';
import { whoMayHaveIt } from '../choose-who';

type Asked = { readonly person?: string; readonly problem?: string };

/** In whose hand a shared phone is: large buttons, for gloves; then the PIN of a name that has one. */
export async function WhoPage({ searchParams }: { searchParams: Promise<Asked> }) {
  const [{ person, problem }, people] = [await searchParams, await whoMayHaveIt()];
  const chosen = people.find((p) => p.id === person && p.hasPin);
  if (chosen) return <AskPin id={chosen.id} name={chosen.name} isWrong={problem !== undefined} />;
  return (
    <DoorPage title={say('people.whoHasPhone')}>
      <p>{say('people.whoHasPhoneHow')}</p>
      <form action="/api/who" method="post" className="flex flex-col gap-3">
        {people.map((m) => (
          <button key={m.id} className="btn !min-h-glove" name="person" value={m.id}>
            {m.name}
          </button>
        ))}
      </form>
    </DoorPage>
  );
}

const AskPin = ({ id, name, isWrong }: { id: string; name: string; isWrong: boolean }) => (
  <DoorPage title={say('people.pinAsk', { name })}>
    <ProblemNote text={isWrong ? say('people.pinWrong', { name }) : null} />
    <form action="/api/who" method="post" className="flex flex-col gap-4">
      <input type="hidden" name="person" value={id} />
      <PinField required />
      <button className="btn key !min-h-glove">{say('people.pinGo')}</button>
    </form>
    <a className="btn w-fit" href="/who">
      {say('people.somebodyElse')}
    </a>
  </DoorPage>
);
