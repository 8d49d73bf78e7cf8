import type { Metadata } from 'next';
import { FrameFor } from '@/features/frame/server/FrameFor';
import { setting } from '@/features/frame/server/queries';
import { recordRows } from '@/features/record/view';
import { Records } from '@/features/record/ui/Records';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Records' };

export default async function RecordsPage() {
  const s = await setting();
  return (
    <FrameFor s={s} place="Records">
      <Records rows={recordRows(s.board, s.locale)} paper={s.unit === 'F' ? 'letter' : 'a4'} />
    </FrameFor>
  );
}
