import { servePhoto } from '@/entry/server/photos';

export const GET = async (request: Request, { params }: { params: Promise<{ sha: string }> }) =>
  servePhoto(request, (await params).sha);
