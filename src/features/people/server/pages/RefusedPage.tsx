import { say } from '@/messages/say';
import { roleName } from '@/entry/role-name';
import { DoorPage } from '../../ui/DoorPage';
import { SignOut } from '../../ui/SignOut';
import { whoIsSignedIn } from '../queries';

/** What stands at an address that is not for whoever asks. */
export async function RefusedPage() {
  const { role } = await whoIsSignedIn();
  return (
    <DoorPage title={say('people.notForYou')}>
      <p>
        {role === null
          ? say('people.noPlaceHere')
          : say('people.notForRole', { role: roleName(role) })}
      </p>
      {role === null ? (
        <SignOut />
      ) : (
        <a className="btn w-fit" href={role === 'partner' ? '/share' : '/'}>
          {say('people.back')}
        </a>
      )}
    </DoorPage>
  );
}
