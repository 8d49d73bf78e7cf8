import { createHash } from 'node:crypto';
import sharp from 'sharp';
import { requireSite, theDb } from '@/db/context';
import { photoRepo } from '@/db/repositories/photos';
import { now } from '@/platform/clock';
import { foreign } from './receive';

/** A phone sends pictures that it has made smaller already: more than this is none of them. */
const MOST_BYTES = 12_000_000;
const MOST_PIXELS = 120_000_000;
const [LONG_SIDE, SMALL_SIDE] = [1600, 400];

const no = (status: number, message: string): Response => Response.json({ ok: false, problem: message }, { status });

/**
 * Takes a picture: turned upright, made smaller, and written anew without anything that the camera put into the file, the
 * place where it was taken among it. The same bytes give the same picture, so sending it twice keeps it once.
 */
export async function takePhoto(request: Request): Promise<Response> {
  if (foreign(request)) return no(403, 'This came from another site’s page and was not read.');
  const told = Number(request.headers.get('content-length') ?? '0');
  const tooBig = (size: number): Response => no(413, `The picture is ${Math.round(size / 1e6)} MB; ${MOST_BYTES / 1e6} MB is the most that the hub takes. Take it again at a smaller size.`);
  if (told > MOST_BYTES) return tooBig(told);
  const chunks: Uint8Array[] = [];
  let size = 0;
  for await (const chunk of request.body ?? []) { // a sender that does not tell its size is stopped on the way
    size += (chunk as Uint8Array).length;
    if (size > MOST_BYTES) return tooBig(size);
    chunks.push(chunk as Uint8Array);
  }
  const bytes = Buffer.concat(chunks);
  const site = await requireSite();
  try {
    const upright = sharp(bytes, { limitInputPixels: MOST_PIXELS }).autoOrient();
    const { data, info } = await upright.clone().resize(LONG_SIDE, LONG_SIDE, { fit: 'inside', withoutEnlargement: true }).jpeg({ quality: 80 }).toBuffer({ resolveWithObject: true });
    const small = await upright.clone().resize(SMALL_SIDE, SMALL_SIDE, { fit: 'inside', withoutEnlargement: true }).jpeg({ quality: 72 }).toBuffer();
    const sha256 = createHash('sha256').update(data).digest('hex');
    await photoRepo(theDb()).put(site.id, { sha256, bytes: data, small, width: info.width, height: info.height }, now());
    return Response.json({ ok: true, sha256, width: info.width, height: info.height });
  } catch {
    return no(415, 'This is no picture that can be read. Send a photo as the camera makes it: JPEG, PNG or WebP.');
  }
}

/** A picture by its hash; `?small` for the one that stands in the log. */
export async function servePhoto(request: Request, sha256: string): Promise<Response> {
  const bytes = /^[0-9a-f]{64}$/.test(sha256) ? await photoRepo(theDb()).get(sha256, new URL(request.url).searchParams.has('small') ? 'small' : 'bytes') : null;
  if (!bytes) return new Response('There is no such picture.', { status: 404 });
  return new Response(new Uint8Array(bytes), { headers: { 'content-type': 'image/jpeg', 'cache-control': 'private, max-age=31536000, immutable', 'content-security-policy': "default-src 'none'" } });
}
