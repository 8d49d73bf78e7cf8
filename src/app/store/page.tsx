import type { Metadata } from 'next';
import { Stock } from '@/features/store/ui/Stock';
import { stockView } from '@/features/store/view';
import { FrameFor } from '@/features/frame/server/FrameFor';
import { setting } from '@/features/frame/server/queries';
import { storeOf } from '@/features/store/server/queries';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Store' };

export default async function StorePage() {
  const s = await setting();
  return (
    <FrameFor s={s} place="Store">
      <Stock view={stockView(await storeOf(s.site.id), s.locale)} />
    </FrameFor>
  );
}
