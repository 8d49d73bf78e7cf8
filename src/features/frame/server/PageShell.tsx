import { say } from '@/messages/say';
import type { ReactNode } from 'react';
import { heapPicture } from '@/telling/status/picture';
import { keptOffline, type PlaceId } from '@/core/words/places';
import { AppShell } from '../ui/AppShell';
import { bayKeysOf, skylineOf } from '../skyline';
import { Skyline } from '../ui/Skyline';
import type { PageContext } from './queries';

/** What of the log does not fit, over every page until it is put right. */
const LogFaults = ({ faults }: { faults: readonly string[] }) =>
  faults.length > 0 && (
    <div
      role="alert"
      className="border-[1.6px] border-ink bg-marker mx-5 max-sm:mx-4 mt-3 px-4 py-3"
      data-testid="log-faults"
    >
      <p className="font-semibold">{say('trust.doesNotFit')}</p>
      {faults.map((f) => (
        <p key={f}>{f}</p>
      ))}
      <p className="text-hint">
        {say('trust.doesNotFitHow')}{' '}
        <a href="/log-check" className="underline">
          {say('trust.openCheck')}
        </a>
      </p>
    </div>
  );

/** Places whose forms a manager alone saves. */
const MANAGED: ReadonlySet<PlaceId> = new Set<PlaceId>([
  ...(['rules', 'methods', 'crew', 'fire', 'map', 'uses', 'gate'] as const),
]);

/** The frame with the skyline in its sky, or what the page puts there instead. */
export function PageShell({
  s,
  place,
  active,
  sky,
  wholeOnPhone,
  children,
}: {
  s: PageContext;
  place: PlaceId;
  active?: string;
  sky?: ReactNode;
  wholeOnPhone?: boolean;
  children: ReactNode;
}) {
  const { shown, others } = skylineOf(s.board, s.now, active);
  const skyline = (): ReactNode => (
    <Skyline
      heaps={shown.map((d) => heapPicture(d, s.locale))}
      others={others}
      {...(active ? { active } : {})}
    />
  );
  return (
    <AppShell
      site={s.site.name}
      siteId={s.site.id}
      user={s.user}
      madeAt={s.now}
      head={s.head}
      keep={[
        ...keptOffline(),
        ...s.board.filter((d) => d.state === 'building').map((d) => `/batch/${d.id}/build`),
      ]}
      place={place}
      sky={sky ?? skyline()}
      right={
        <>
          <b className="disp">{s.airText}</b>
          <br />
          <span className="q">{s.lastText}</span>
        </>
      }
      prefs={{ unit: s.unit, light: s.prefs.light }}
      bayKeys={bayKeysOf(s.board, s.now)}
      {...(wholeOnPhone ? { wholeOnPhone } : {})}
    >
      {s.notice !== null && <meta name="log-notice" content={s.notice} />}
      <LogFaults faults={s.faults} />
      {MANAGED.has(place) && !s.manages && (
        <p className="hint mx-5 max-sm:mx-4 mt-3" data-testid="only-manager">
          {say('people.onlyManager')}
        </p>
      )}
      {children}
    </AppShell>
  );
}
