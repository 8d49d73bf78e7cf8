/** What runs in worker threads of the server, by name. */
export { workOutPlan } from '@/features/plan/server/queries';
export { recordPdf } from '@/features/record/server/pdf';
export { labelsPdf } from '@/features/labels/server/pdf';
