import { batchFileResponse } from '@/features/record/server/files';

export const GET = async (
  request: Request,
  { params }: { params: Promise<{ id: string }> },
): Promise<Response> => batchFileResponse(request, (await params).id);
