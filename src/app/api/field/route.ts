import { serveSheet } from '@/features/round/server/queries';

export const dynamic = 'force-dynamic';
export const GET = serveSheet;
