import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { localInput } from '@/core/quantity/calendar';
import { roundScreen } from '@/features/entry/server/queries';
import { RoundForm } from '@/features/entry/ui/RoundForm';
import { FrameFor } from '@/features/frame/server/FrameFor';
import { setting } from '@/features/frame/server/queries';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'A round' };

export default async function RoundPage({ params }: { params: Promise<{ id: string }> }) {
  const [{ id }, s] = [await params, await setting()];
  const round = await roundScreen(id, s.site, s.locale);
  if (!round) notFound();
  const heap = { id, name: round.name, by: s.prefs.by, nowLocal: localInput(s.site.timeZone, s.now), unit: s.unit };
  return <FrameFor s={s} place="Yard" active={id} wholeOnPhone><RoundForm heap={heap} places={round.places} probes={round.probes} minPoints={round.minPoints} /></FrameFor>;
}
