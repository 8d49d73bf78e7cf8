import { say } from '@/messages/say';
import { DoorPage } from './DoorPage';
import { NewPasswordField } from './NewPasswordField';

export type RenewView = {
  readonly token: string;
  readonly name: string;
  readonly problem: string | null;
};

/** A new password for somebody who has an account, behind a manager's link. */
export const RenewPassword = ({ view: { token, name, problem } }: { view: RenewView }) => (
  <DoorPage title={say('people.renewTitle', { name })}>
    <p>{say('people.renewHow')}</p>
    <form action="/api/join" method="post" className="flex flex-col gap-4">
      <input type="hidden" name="token" value={token} />
      <NewPasswordField label={say('people.newPassword')} problem={problem ?? undefined} />
      <button className="btn key">{say('people.renewSave')}</button>
    </form>
  </DoorPage>
);
