export { answerSeasonCsv as GET } from '@/features/lots/server/season';
export const dynamic = 'force-dynamic';
