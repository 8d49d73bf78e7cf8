import type { ReactNode } from 'react';
import { heapPicture } from '@/core/snapshot/picture';
import { keptOffline, type PlaceId } from '@/core/words/places';
import { AppShell } from '../ui/AppShell';
import { Skyline } from '../ui/Skyline';
import type { PageContext } from './queries';

/** So many heaps' pages are kept on a device. */
const MAX_KEPT = 60;

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
  const heaps = s.board
    .filter((d) => d.state !== 'released' || d.id === active)
    .map((d) => heapPicture(d, s.now, s.unit, s.prefs.volume));
  return (
    <AppShell
      site={s.site.name}
      madeAt={s.now}
      keep={[
        ...keptOffline(),
        ...s.board.filter((d) => d.state === 'building').map((d) => `/batch/${d.id}/build`),
        ...s.board
          .filter((d) => d.state !== 'released')
          .slice(0, MAX_KEPT)
          .map((d) => `/batch/${d.id}`),
      ]}
      place={place}
      sky={sky ?? <Skyline heaps={heaps} {...(active ? { active } : {})} />}
      right={
        <>
          <b className="disp">{s.airText}</b>
          <br />
          <span className="q">{s.lastText}</span>
        </>
      }
      prefs={{ unit: s.unit, volume: s.prefs.volume, light: s.prefs.light }}
      bays={Object.fromEntries(
        s.board.flatMap((d) =>
          d.bay !== null && d.state !== 'released' ? [[d.bay, d.id] as const] : [],
        ),
      )}
      {...(wholeOnPhone ? { wholeOnPhone } : {})}
    >
      {children}
    </AppShell>
  );
}
