import { serveLabels } from '@/features/labels/server/pdf';

export const dynamic = 'force-dynamic';
export const GET = serveLabels;
