import type { Metadata } from 'next';
import { headers } from 'next/headers';
import { FrameFor } from '@/features/frame/server/FrameFor';
import { setting } from '@/features/frame/server/queries';
import { Feeds } from '@/features/plan/ui/Feeds';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Calendar for phones' };

export default async function CalendarPage() {
  const [s, head] = [await setting(), await headers()];
  return (
    <FrameFor s={s} place="Plan">
      <Feeds
        host={head.get('host') ?? ''}
        people={(s.siteState.work?.crew ?? []).map((p) => p.name)}
      />
    </FrameFor>
  );
}
