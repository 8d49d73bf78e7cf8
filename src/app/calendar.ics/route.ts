import { serveCalendar } from '@/features/plan/server/pages/calendar';

export const GET = serveCalendar;
