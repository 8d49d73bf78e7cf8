import { say } from '@/messages/say';
import { DoorPage } from '../../ui/DoorPage';
import { whoMayHaveIt } from '../choose-who';

/** In whose hand a shared phone is: large buttons, for gloves. */
export async function WhoPage() {
  return (
    <DoorPage title={say('people.whoHasPhone')}>
      <p>{say('people.whoHasPhoneHow')}</p>
      <form action="/api/who" method="post" className="flex flex-col gap-3">
        {(await whoMayHaveIt()).map((m) => (
          <button key={m.id} className="btn !min-h-glove" name="person" value={m.id}>
            {m.name}
          </button>
        ))}
      </form>
    </DoorPage>
  );
}
