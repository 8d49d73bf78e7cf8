export { YardPage as default } from '@/features/yard/server/pages/YardPage';
export const dynamic = 'force-dynamic';
