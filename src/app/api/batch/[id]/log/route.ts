import { parseBatchId } from '@/core/log/ids';
import { loadPageContext } from '@/features/frame/server/queries';
import { loadLogLines } from '@/features/log/server/queries';

export const dynamic = 'force-dynamic';

/** As many lines at a time. */
const MOST_LINES = 500;

const wholeNumber = (text: string | null, most: number): number =>
  Math.min(most, Math.max(0, Math.trunc(Number(text)) || 0));

/** `?from=12&count=50`: lines of the log behind the newest twelve. */
export async function GET(
  request: Request,
  { params }: { params: Promise<{ id: string }> },
): Promise<Response> {
  const id = parseBatchId((await params).id);
  const query = new URL(request.url).searchParams;
  const s = await loadPageContext();
  const lines =
    id &&
    (await loadLogLines(
      id,
      wholeNumber(query.get('from'), Number.MAX_SAFE_INTEGER),
      wholeNumber(query.get('count'), MOST_LINES),
      s.locale,
    ));
  return Response.json(lines, { status: lines ? 200 : 404 });
}
