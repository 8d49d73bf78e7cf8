import { serveOfflineRoundData } from '@/features/round/server/queries';

export const dynamic = 'force-dynamic';
export const GET = serveOfflineRoundData;
