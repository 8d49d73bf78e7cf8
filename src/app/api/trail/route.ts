import { answerTrail } from '@/features/log/server/queries';

export const dynamic = 'force-dynamic';
export const GET = answerTrail;
