import { say } from '@/messages/say';
import Link from 'next/link';
import { PageShell } from '../PageShell';
import { loadPageContext } from '../queries';
import { navigationPlaces } from '@/core/words/places';

export async function MorePage() {
  const s = await loadPageContext();
  return (
    <PageShell s={s} place="more">
      <div className="px-4 py-5 max-w-[560px] flex flex-col gap-2.5">
        <h1>{say('frame.more2')}</h1>
        {navigationPlaces()
          .filter((p) => p.nav !== 'phone-bar')
          .map((p) => (
            <Link
              key={p.href}
              prefetch={false}
              href={p.href}
              className="btn !min-h-row !justify-between"
            >
              <span>{p.name}</span>
              <span className="q font-normal text-small">{p.about}</span>
            </Link>
          ))}
      </div>
    </PageShell>
  );
}
