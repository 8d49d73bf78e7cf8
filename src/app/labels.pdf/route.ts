import { serveLabels } from '@/features/labels/server/serve';

export const dynamic = 'force-dynamic';
export const GET = serveLabels;
