import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { localInput } from '@/core/quantity/calendar';
import { placesScreen } from '@/features/entry/server/queries';
import { Places } from '@/features/entry/ui/Places';
import { FrameFor } from '@/features/frame/server/FrameFor';
import { setting } from '@/features/frame/server/queries';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Places of a round' };

export default async function PlacesPage({ params }: { params: Promise<{ id: string }> }) {
  const [{ id }, s] = [await params, await setting()];
  const p = await placesScreen(id, s.site, s.board);
  if (!p) notFound();
  const heap = {
    id,
    name: p.name,
    by: s.prefs.by,
    nowLocal: localInput(s.site.timeZone, s.now),
    unit: s.unit,
  };
  return (
    <FrameFor s={s} place="Yard" active={id}>
      <Places key={JSON.stringify(p)} heap={heap} screen={p.screen} placed={p.placed} />
    </FrameFor>
  );
}
