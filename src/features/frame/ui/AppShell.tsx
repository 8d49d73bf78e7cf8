import { HELP_PLACES } from '@/core/words/help';
import { say } from '@/messages/say';
import Link from 'next/link';
import type { ReactNode } from 'react';
import { foldPath } from '@/charts/mound';
import { navigationPlaces, PLACES, type Place, type PlaceId } from '@/core/words/places';
import { DeviceBar } from './DeviceBar';
import { Keys } from './Keys';
import { Switches } from './Switches';

const LOGO = { x0: 3, w: 24, base: 25, h: 19, lean: 0.05 };

/** Not on a phone's bar, or not on a laptop's: it is behind More there. */
const behindMore = (width: 'phone' | 'wide', p: Pick<Place, 'nav'>): boolean =>
  p.nav === 'more' || (width === 'phone' && p.nav === 'bar');

/** A place in the soil. `within`: the page that is shown is behind this one, on a phone or at any width. */
function PlaceLink({
  href,
  name,
  onPhone,
  wide,
  here,
  within,
}: {
  href: string;
  name: string;
  onPhone: boolean;
  wide: boolean;
  here: boolean;
  within: 'no' | 'phone' | 'wide';
}) {
  const lit =
    here || within === 'wide'
      ? 'bg-paper text-ink font-bold mt-1.5'
      : within === 'phone'
        ? 'max-sm:bg-paper max-sm:text-ink max-sm:font-bold max-sm:mt-1.5'
        : '';
  return (
    <Link
      prefetch={false}
      href={href}
      aria-current={here ? 'page' : undefined}
      className={`relative flex items-center px-3 max-sm:px-1 max-sm:flex-auto max-sm:justify-center min-h-[38px] pointer-coarse:min-h-choice max-sm:min-h-choice max-sm:text-small font-medium focus-visible:outline-soil-text focus-visible:-outline-offset-4 ${onPhone ? '' : 'max-sm:hidden'} ${wide ? '' : 'sm:hidden'} ${lit}`}
    >
      {name}
    </Link>
  );
}

/** The landscape that every page stands in: sky, ground line, soil with the places in it. */
/** What this place is for. */
const HelpLink = ({ place }: { place: PlaceId }) => (
  <Link
    prefetch={false}
    href={HELP_PLACES.some((p) => p === place) ? `/help/${place}` : PLACES.help.href}
    className="soil-link inline-flex items-center"
  >
    {PLACES.help.name}
  </Link>
);

/** Nobody has signed in on this device any more. */
const SignedOut = () => (
  <>
    <b>{say('people.signInFirst')}</b>
    <a href="/sign-in" className="bar-link">
      {say('people.signIn')}
    </a>
  </>
);

export function AppShell({
  site,
  siteId,
  user,
  madeAt,
  head,
  keep,
  place,
  sky,
  right,
  prefs,
  bayKeys,
  wholeOnPhone = false,
  children,
}: {
  site: string;
  siteId: string;
  /** Who uses the device, for what waits on it. */
  user: { readonly kind: string; readonly id: string; readonly name: string } | null;
  /** When the page was made. */ madeAt: number;
  /** Where the log ended then. */ head: string;
  keep: readonly string[];
  place: PlaceId;
  sky: ReactNode;
  right: ReactNode;
  prefs: { unit: string; light: string | null };
  bayKeys: Readonly<Record<string, string>>;
  wholeOnPhone?: boolean;
  children: ReactNode;
}) {
  return (
    <div
      className="min-h-dvh flex flex-col"
      data-site={siteId}
      data-user-kind={user?.kind}
      data-user-id={user?.id}
      data-user-name={user?.name}
    >
      <a
        href="#main"
        className="sr-only focus:not-sr-only focus:absolute focus:z-10 focus:bg-sheet focus:p-2"
      >
        {say('frame.skipToContent')}
      </a>
      <DeviceBar {...{ site: siteId, madeAt, head, keep }} whenOut={<SignedOut />} />
      <header
        className={`${wholeOnPhone ? 'max-sm:hidden ' : ''}flex items-end gap-5 px-5 h-24 max-sm:h-16 max-sm:px-4 border-b-[1.8px] border-ink overflow-hidden`}
      >
        <Link
          prefetch={false}
          href="/"
          className="self-center flex flex-col gap-1 min-w-[150px] max-sm:min-w-0"
        >
          <span className="flex items-end gap-2 disp font-bold text-says leading-[17px]">
            <svg width="30" height="30" viewBox="0 0 30 30" aria-hidden="true">
              <path d="M1 25h28" stroke="currentColor" strokeWidth="2" />
              <path d={`${foldPath(LOGO, 1)}Z`} fill="currentColor" />
              {[0.34, 0.67].map((k) => (
                <path
                  key={k}
                  d={foldPath(LOGO, k)}
                  fill="none"
                  stroke="var(--color-paper)"
                  strokeWidth="1.5"
                />
              ))}
            </svg>
            <span>
              {say('frame.zealous')}
              <br />
              {say('frame.heap')}
            </span>
          </span>
          <span className="text-hint text-ink-2 max-sm:hidden">{site}</span>
        </Link>
        <div className="flex-1 min-w-0 self-end flex max-sm:hidden">{sky}</div>
        <div className="self-center text-right text-hint leading-[1.4] max-sm:ml-auto max-sm:text-note">
          {right}
        </div>
      </header>
      <nav
        aria-label={say('frame.mainMenu')}
        className={`${wholeOnPhone ? 'max-sm:hidden ' : ''}relative max-sm:sticky max-sm:bottom-0 max-sm:order-last max-sm:z-10 max-sm:justify-between bg-soil text-soil-text flex items-stretch flex-wrap min-h-[38px] px-3 max-sm:px-0 text-control`}
      >
        <svg
          className="absolute inset-0 pointer-events-none"
          width="100%"
          height="100%"
          aria-hidden="true"
        >
          <rect width="100%" height="100%" fill="url(#stones)" />
        </svg>
        {navigationPlaces().map((p) => (
          <PlaceLink
            key={p.id}
            href={p.href}
            name={p.name}
            onPhone={!behindMore('phone', p)}
            wide={!behindMore('wide', p)}
            here={p.id === place}
            within="no"
          />
        ))}
        <PlaceLink
          href={PLACES.more.href}
          name={PLACES.more.name}
          onPhone
          wide
          here={place === 'more'}
          within={
            behindMore('wide', PLACES[place])
              ? 'wide'
              : behindMore('phone', PLACES[place])
                ? 'phone'
                : 'no'
          }
        />
        <span className="flex-1 max-sm:hidden" />
        <div className="relative self-center py-1 max-sm:hidden flex items-center gap-3">
          <Switches {...prefs} />
          <HelpLink place={place} />
          <Keys bayKeys={bayKeys} unit={prefs.unit} />
        </div>
      </nav>
      <main id="main" className="flex-1 flex flex-col">
        {children}
      </main>
      {!wholeOnPhone && (
        <footer className="sm:hidden bg-soil px-4 py-3">
          <Switches {...prefs} />
        </footer>
      )}
    </div>
  );
}
