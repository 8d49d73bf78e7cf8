import { say } from '@/messages/say';

/** What a request brought; or that it is larger than is taken; or that less arrived than was sent. */
export type Body =
  | { readonly ok: true; readonly bytes: Buffer }
  | { readonly ok: false; readonly why: 'large'; readonly size: number }
  | { readonly ok: false; readonly why: 'cut'; readonly size: number; readonly told: number };

/**
 * Reads a request's body up to a limit: one that tells its size is refused at once, one that does not is stopped on the way. One that
 * was cut off on its way is never taken for the whole.
 */
export async function readBody(request: Request, mostBytes: number): Promise<Body> {
  const told = Number(request.headers.get('content-length') ?? '0');
  if (told > mostBytes) return { ok: false, why: 'large', size: told };
  const chunks: Uint8Array[] = [];
  let size = 0;
  for await (const chunk of request.body ?? []) {
    size += (chunk as Uint8Array).length;
    if (size > mostBytes) return { ok: false, why: 'large', size };
    chunks.push(chunk);
  }
  return size < told
    ? { ok: false, why: 'cut', size, told }
    : { ok: true, bytes: Buffer.concat(chunks) };
}

/** Whether a browser has sent a form of a page, and will show the answer as a page. */
export const isFormOfPage = (headers: Headers): boolean =>
  headers.get('content-type')?.startsWith('application/x-www-form-urlencoded') ?? false;

/** What is said of a body that cannot be taken, and with which status. @param large the sentence for one that is too large */
export const refusedBody = (
  body: Exclude<Body, { readonly ok: true }>,
  large: string,
): { readonly status: 400 | 413; readonly message: string } =>
  body.why === 'large'
    ? { status: 413, message: large }
    : { status: 400, message: say('app.bodyCut', { size: body.size, told: body.told }) };
