import { say } from '@/messages/say';
import { DoorPage } from '../../ui/DoorPage';
import { whoIsSignedIn } from '../queries';
import { roleName } from '@/entry/role-name';

/** What stands at an address that is not for whoever asks. */
export async function RefusedPage() {
  const { role } = await whoIsSignedIn();
  return (
    <DoorPage title={say('people.notForYou')}>
      <p>
        {role === null
          ? say('people.notYourRole')
          : say('people.notForRole', { role: roleName(role) })}
      </p>
      <a className="btn w-fit" href={role === 'partner' ? '/share' : '/'}>
        {say('people.back')}
      </a>
    </DoorPage>
  );
}
