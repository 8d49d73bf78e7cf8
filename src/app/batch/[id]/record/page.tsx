import type { Metadata } from 'next';

export { RecordPage as default } from '@/features/record/server/pages/RecordPage';
export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Heat-treatment record' };
