import { redirect } from 'next/navigation';

/** The round of one heap is the site's round, opened at that heap. */
export default async function RoundOfHeap({ params }: { params: Promise<{ id: string }> }) {
  redirect(`/round#${(await params).id}`);
}
