/** What a request brought, or that it is larger than is taken. */
export type Body =
  { readonly ok: true; readonly bytes: Buffer } | { readonly ok: false; readonly size: number };

/** Reads a request's body up to a limit: one that tells its size is refused at once, one that does not is stopped on the way. */
export async function readBody(request: Request, mostBytes: number): Promise<Body> {
  const told = Number(request.headers.get('content-length') ?? '0');
  if (told > mostBytes) return { ok: false, size: told };
  const chunks: Uint8Array[] = [];
  let size = 0;
  for await (const chunk of request.body ?? []) {
    size += (chunk as Uint8Array).length;
    if (size > mostBytes) return { ok: false, size };
    chunks.push(chunk);
  }
  return { ok: true, bytes: Buffer.concat(chunks) };
}

/** Whether a browser has sent a form of a page, and will show the answer as a page. */
export const isFormOfPage = (headers: Headers): boolean =>
  headers.get('content-type')?.startsWith('application/x-www-form-urlencoded') ?? false;
