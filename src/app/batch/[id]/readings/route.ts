import { readingsResponse } from '@/features/batch/server/queries';

export const GET = async (_: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> => readingsResponse((await params).id);
