import type { ReactNode } from 'react';
import { heapPicture } from '@/core/snapshot/picture';
import { keptOffline, type PlaceId } from '@/core/words/places';
import { AppShell } from '../ui/AppShell';
import { bayKeysOf, skylineOf } from '../skyline';
import { Skyline } from '../ui/Skyline';
import type { PageContext } from './queries';

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
  const { shown, others } = skylineOf(s.board, active);
  const skyline = (): ReactNode => (
    <Skyline
      heaps={shown.map((d) => heapPicture(d, s.now, s.unit))}
      others={others}
      {...(active ? { active } : {})}
    />
  );
  return (
    <AppShell
      site={s.site.name}
      madeAt={s.now}
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
      bayKeys={bayKeysOf(s.board)}
      {...(wholeOnPhone ? { wholeOnPhone } : {})}
    >
      {children}
    </AppShell>
  );
}
