import Link from 'next/link';
import { notFound } from 'next/navigation';
import { say } from '@/messages/say';
import { GLOSSARY, type GlossaryTerm } from '@/core/words/glossary';
import { HELP, HELP_PLACES } from '@/core/words/help';
import { PLACES } from '@/core/words/places';
import { PageShell } from '@/features/frame/server/PageShell';
import { loadPageContext } from '@/features/frame/server/queries';

/** What every place is for; from here one reads on. */
export async function HelpPage() {
  const s = await loadPageContext();
  return (
    <PageShell s={s} place="help">
      <div className="px-5 max-sm:px-4 py-5 max-w-[860px] flex flex-col gap-4">
        <h1>{say('help.help')}</h1>
        <p>
          <Link
            prefetch={false}
            href="/glossary"
            className="link min-h-target inline-flex items-center"
          >
            {say('help.glossary')}
          </Link>
        </p>
        <h2>{say('help.whereToFindWhat')}</h2>
        <ul>
          {HELP_PLACES.map((place) => (
            <li key={place} className="ruled py-2">
              <Link
                prefetch={false}
                href={`/help/${place}`}
                className="link font-[650] min-h-target inline-flex items-center"
              >
                {PLACES[place].name}
              </Link>
              <p>{HELP[place]()[0]}</p>
            </li>
          ))}
        </ul>
      </div>
    </PageShell>
  );
}

/** What one place is for, in five lines and a picture. */
export async function PlaceHelpPage({ params }: { params: Promise<{ readonly place: string }> }) {
  const [{ place: asked }, s] = await Promise.all([params, loadPageContext()]);
  const place = HELP_PLACES.find((p) => p === asked);
  if (!place) notFound();
  const { name, href } = PLACES[place];
  return (
    <PageShell s={s} place="help">
      <div className="px-5 max-sm:px-4 py-5 max-w-[860px] flex flex-col gap-4">
        <h1>{name}</h1>
        <h2>{say('help.aboutThisPlace')}</h2>
        <ul className="list-disc pl-5 flex flex-col gap-1.5 text-lead">
          {HELP[place]().map((line) => (
            <li key={line}>{line}</li>
          ))}
        </ul>
        <img
          src={`/help/${place}.webp`}
          alt={say('help.pictureOf', { name })}
          width={960}
          height={600}
          className="w-full h-auto border-[1.6px] border-ink"
        />
        <p className="flex flex-wrap gap-x-5 gap-y-2">
          <Link prefetch={false} href={href} className="btn">
            {say('help.openIt', { name })}
          </Link>
          <Link prefetch={false} href="/help" className="btn">
            {say('help.allHelp')}
          </Link>
          <Link prefetch={false} href="/glossary" className="btn">
            {say('help.glossary')}
          </Link>
        </p>
      </div>
    </PageShell>
  );
}

/** What the words of the trade mean here. */
export async function GlossaryPage() {
  const s = await loadPageContext();
  const terms = Object.entries<GlossaryTerm>(GLOSSARY);
  return (
    <PageShell s={s} place="glossary">
      <div className="px-5 max-sm:px-4 py-5 max-w-[760px] flex flex-col gap-4">
        <h1>{say('help.glossary')}</h1>
        <p className="hint">{say('help.glossaryIntro')}</p>
        <dl>
          {terms.map(([id, { name, meaning }]) => (
            <div key={id} id={id} className="ruled py-2">
              <dt className="disp font-bold text-lead">{name}</dt>
              <dd>{meaning}</dd>
            </div>
          ))}
        </dl>
      </div>
    </PageShell>
  );
}
