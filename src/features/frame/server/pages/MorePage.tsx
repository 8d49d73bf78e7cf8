import { say } from '@/messages/say';
import Link from 'next/link';
import { PageShell } from '../PageShell';
import { loadPageContext, loadWhoIsIn, type WhoIsInView } from '../queries';
import { navigationPlaces, type NamedPlace } from '@/core/words/places';

/** What a phone's bar has no room for, and what is set up once. */
export async function MorePage() {
  const s = await loadPageContext();
  const places = navigationPlaces().filter((p) => p.nav !== 'phone-bar');
  return (
    <PageShell s={s} place="more">
      <div className="px-4 py-5 max-w-[1180px] grid lg:grid-cols-2 gap-x-8 gap-y-5">
        <h1 className="lg:col-span-2">{say('frame.more2')}</h1>
        <WhoIsIn who={await loadWhoIsIn()} />
        <Places title={say('frame.work')} places={places.filter((p) => !p.setting)} />
        <Places title={say('frame.settings')} places={places.filter((p) => p.setting)} />
      </div>
    </PageShell>
  );
}

/** Who has signed in on this device, and the way to what they may change about that. */
const WhoIsIn = ({ who }: { who: WhoIsInView }) => (
  <section className="lg:col-span-2 ruled py-3 flex flex-col gap-3" data-testid="who">
    <p className="font-semibold">{who.text}</p>
    {who.sites.length > 1 && <ChooseSite who={who} />}
    <div className="flex gap-3 flex-wrap">
      {who.hasAccount && (
        <a className="btn" href="/account">
          {say('people.account')}
        </a>
      )}
      {who.managesPeople && (
        <>
          <a className="btn" href="/people">
            {say('people.title')}
          </a>
          <a className="btn" href="/site">
            {say('people.addSite')}
          </a>
        </>
      )}
      {who.hasAccount ? (
        <form action="/api/sign-out" method="post">
          <button className="btn">{say('people.signOut')}</button>
        </form>
      ) : (
        <>
          <a className="btn" href="/who">
            {say('people.somebodyElse')}
          </a>
          <a className="btn" href="/sign-in">
            {say('people.signIn')}
          </a>
        </>
      )}
    </div>
  </section>
);

/** Goes over to another site of whoever has signed in. */
const ChooseSite = ({ who }: { who: WhoIsInView }) => (
  <form action="/api/site" method="post" className="flex gap-2 items-center max-w-[420px]">
    <select
      className="field flex-1"
      name="site"
      defaultValue={who.site}
      aria-label={say('people.site')}
    >
      {who.sites.map((site) => (
        <option key={site.id} value={site.id}>
          {site.name}
        </option>
      ))}
    </select>
    <button className="btn whitespace-nowrap">{say('people.goToSite')}</button>
  </form>
);

const Places = ({ title, places }: { title: string; places: readonly NamedPlace[] }) => (
  <section className="flex flex-col gap-2.5">
    <h2>{title}</h2>
    {places.map((p) => (
      <Link key={p.href} prefetch={false} href={p.href} className="btn !min-h-row !justify-between">
        <span>{p.name}</span>
        <span className="q font-normal text-small">{p.about}</span>
      </Link>
    ))}
  </section>
);
