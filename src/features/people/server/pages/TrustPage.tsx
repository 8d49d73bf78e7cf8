import { notFound } from 'next/navigation';
import { say } from '@/messages/say';
import { env } from '@/platform/env';
import { DoorPage } from '../../ui/DoorPage';

/** How a phone is told to trust a server that makes its own certificates; opened over plain http, before it does. */
export function TrustPage() {
  if (!env.hasOwnRoot()) notFound();
  const [name] = env.hosts();
  return (
    <DoorPage title={say('people.trustTitle')}>
      <p>{say('people.trustWhy')}</p>
      <a className="btn key w-fit" href="/root.crt">
        {say('people.trustDownload')}
      </a>
      <section className="ruled pt-3 flex flex-col gap-2">
        <h2>{say('people.trustIphone')}</h2>
        <p>{say('people.trustIphoneHow')}</p>
      </section>
      <section className="ruled pt-3 flex flex-col gap-2">
        <h2>{say('people.trustAndroid')}</h2>
        <p>{say('people.trustAndroidHow')}</p>
      </section>
      {name !== undefined && (
        <section className="ruled pt-3 flex flex-col gap-2">
          <p>{say('people.trustThen')}</p>
          <a className="btn key w-fit" href={`https://${name}`}>
            https://{name}
          </a>
        </section>
      )}
    </DoorPage>
  );
}
