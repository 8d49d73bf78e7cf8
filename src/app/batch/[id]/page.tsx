import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { localInput } from '@/core/quantity/calendar';
import { batchScreen } from '@/features/batch/server/queries';
import { BatchScreen } from '@/features/batch/ui/BatchScreen';
import { LogBar } from '@/features/entry/ui/LogBar';
import { LogList } from '@/features/entry/ui/LogList';
import { placedHeaps } from '@/features/entry/server/queries';
import { logLines } from '@/features/entry/view';
import { FrameFor } from '@/features/frame/server/FrameFor';
import { setting } from '@/features/frame/server/queries';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Heap' };

export default async function BatchPage({ params }: { params: Promise<{ id: string }> }) {
  const [{ id }, s] = [await params, await setting()];
  const b = await batchScreen(id, s.site, s.locale, s.prefs.volume);
  if (!b) notFound();
  const heap = { id, name: b.name, by: s.prefs.by, nowLocal: localInput(s.site.timeZone, s.now), unit: s.unit, placed: placedHeaps(s.board) };
  const { state, ...shown } = b;
  return (
    <FrameFor s={s} place="Yard" active={id}>
      <BatchScreen {...shown} id={id} logBar={<LogBar heap={heap} building={b.building} />} log={<LogList lines={logLines(state, s.locale).slice(0, 400)} total={state.entries.length} heap={heap} />} />
    </FrameFor>
  );
}
