export { answerRecallCsv as GET } from '@/features/lots/server/pages/recall-csv';
export const dynamic = 'force-dynamic';
