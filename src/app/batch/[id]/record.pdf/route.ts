import { recordPdfResponse } from '@/features/record/server/records';

export const GET = async (
  request: Request,
  { params }: { params: Promise<{ id: string }> },
): Promise<Response> => recordPdfResponse(request, (await params).id);
