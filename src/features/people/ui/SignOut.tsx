import { say } from '@/messages/say';

/** The way out; what waits on the device stays there. */
export const SignOut = () => (
  <form action="/api/sign-out" method="post">
    <button className="btn">{say('people.signOut')}</button>
  </form>
);
