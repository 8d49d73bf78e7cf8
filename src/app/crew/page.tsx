import type { Metadata } from 'next';
import { Crew } from '@/features/day/ui/Crew';
import { FrameFor } from '@/features/frame/server/FrameFor';
import { setting } from '@/features/frame/server/queries';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Crew' };

export default async function CrewPage() {
  const s = await setting();
  return (
    <FrameFor s={s} place="Crew">
      <Crew work={s.siteState.work} by={s.prefs.by} />
    </FrameFor>
  );
}
