import { inspectedFile } from '@/features/record/server/inspection';

export const GET = async (
  request: Request,
  { params }: { params: Promise<{ token: string; id: string }> },
) => {
  const { token, id } = await params;
  return inspectedFile(request, token, id);
};
