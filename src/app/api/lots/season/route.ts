export { answerSeasonCsv as GET } from '@/features/lots/server/pages/season-csv';
export const dynamic = 'force-dynamic';
