import { say } from '@/messages/say';
import { DoorPage } from '../../ui/DoorPage';
import { Join } from '../../ui/Join';
import { RenewPassword } from '../../ui/RenewPassword';
import { joinView } from '../queries';

type Asked = {
  readonly problem?: string;
  readonly name?: string;
  readonly username?: string;
};

/** Behind the link that somebody was given. */
export async function JoinPage({
  params,
  searchParams,
}: {
  params: Promise<{ token: string }>;
  searchParams: Promise<Asked>;
}) {
  const [{ token }, asked] = [await params, await searchParams];
  const found = await joinView(token, asked);
  switch (found.state) {
    case 'open':
      return <Join view={found.view} />;
    case 'renew':
      return <RenewPassword view={found.view} />;
    case 'used':
      return (
        <DoorPage title={say('people.linkUsed')}>
          <p>{say('people.linkUsedHow')}</p>
          <a className="btn w-fit" href="/sign-in">
            {say('people.signIn')}
          </a>
        </DoorPage>
      );
    default:
      return (
        <DoorPage title={say('people.linkEnded')}>
          <p>{say('people.linkEndedHow')}</p>
        </DoorPage>
      );
  }
}
