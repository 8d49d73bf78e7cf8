import { ready } from '@/features/site/server/queries';

export const dynamic = 'force-dynamic';
export const GET = ready;
