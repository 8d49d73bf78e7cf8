import { readingsResponse } from '@/features/record/server/files';

export const GET = async (
  _: Request,
  { params }: { params: Promise<{ id: string }> },
): Promise<Response> => readingsResponse((await params).id);
