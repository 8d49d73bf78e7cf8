export { answerRecallCsv as GET } from '@/features/lots/server/recall-csv';
export const dynamic = 'force-dynamic';
