import type { Metadata } from 'next';
import { PLACES } from '@/core/words/places';
import { redirect } from 'next/navigation';
import { hasSite } from '@/features/site/server/queries';
import { NameSite } from '@/features/site/ui/NameSite';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: PLACES.site.name };

export default async function SitePage() {
  if (await hasSite()) redirect('/');
  return <NameSite />;
}
