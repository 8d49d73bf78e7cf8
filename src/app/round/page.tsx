import type { Metadata } from 'next';
import { previewEntry } from '@/features/entry/server/actions';
import { FrameFor } from '@/features/frame/server/FrameFor';
import { setting } from '@/features/frame/server/queries';
import { sheetNow } from '@/features/round/server/queries';
import { RoundApp } from '@/features/round/ui/RoundApp';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Round' };

export default async function RoundPage() {
  const [s, sheet] = [await setting(), await sheetNow()];
  return <FrameFor s={s} place="Round" wholeOnPhone><RoundApp initial={sheet} preview={previewEntry as never} /></FrameFor>;
}
