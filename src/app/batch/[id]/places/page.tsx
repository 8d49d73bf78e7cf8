import type { Metadata } from 'next';

export { PlacesPage as default } from '@/features/places/server/pages/PlacesPage';
export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Places of a round' };
