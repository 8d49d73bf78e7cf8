import { say } from '@/messages/say';
import { SignOut } from '../../ui/SignOut';
import { DoorPage } from '../../ui/DoorPage';
import { lotsGiven } from '@/features/lots/server/queries';
import { ownShareOf } from '@/features/lots/server/season';
import { OwnShare } from '@/features/lots/ui/OwnShare';
import { loadPageContext } from '@/features/frame/server/queries';
import { ownPartner } from '../queries';

/** What a partner brought this year, and what they may take out for it. */
export async function SharePage() {
  const [partner, s] = [await ownPartner(), await loadPageContext('see-own-share')];
  return (
    <DoorPage title={partner ?? say('people.partner')}>
      {partner === null ? (
        <p>{say('people.noPartnerName')}</p>
      ) : (
        <OwnShare share={ownShareOf(await lotsGiven(s), partner)} site={s.site.name} />
      )}
      <SignOut />
    </DoorPage>
  );
}
