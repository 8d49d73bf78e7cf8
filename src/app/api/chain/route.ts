import { answerHashAt } from '@/features/frame/server/chain';

export const dynamic = 'force-dynamic';
export const GET = answerHashAt;
