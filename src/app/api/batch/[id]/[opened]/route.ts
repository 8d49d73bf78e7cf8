import { parseBatchId } from '@/core/log/ids';
import { loadOpened, OPENED } from '@/features/batch/server/queries';
import { loadPageContext } from '@/features/frame/server/queries';

export const dynamic = 'force-dynamic';

/** What is opened on a heap's page: `rounds`, `strictness`, `beyond`. */
export async function GET(
  _request: Request,
  { params }: { params: Promise<{ id: string; opened: string }> },
): Promise<Response> {
  const { id: asked, opened } = await params;
  const [id, what] = [parseBatchId(asked), OPENED.find((name) => name === opened)];
  const s = await loadPageContext();
  const view = id && what ? await loadOpened(id, s.site, what, s.locale) : null;
  return Response.json(view, { status: view ? 200 : 404 });
}
