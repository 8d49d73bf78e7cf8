export { answerSiteFile as GET } from '@/features/lots/server/pages/site-file';
export const dynamic = 'force-dynamic';
