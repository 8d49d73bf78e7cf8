import { batchFileResponse } from '@/features/batch/server/queries';

export const GET = async (_: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> => batchFileResponse((await params).id);
