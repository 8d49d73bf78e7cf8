import { recordsZipResponse } from '@/features/record/server/records';

export const GET = recordsZipResponse;
