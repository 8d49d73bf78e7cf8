import { say } from '@/messages/say';
import { createHash } from 'node:crypto';
import sharp from 'sharp';
import { theDb, theSite } from '@/db/context';
import { readBody, refusedBody } from '@/platform/body';
import { BODY_LIMITS } from '@/platform/body-limits';
import { photoRepo } from '@/db/repositories/photos';
import { now } from '@/platform/clock';

const MAX_BYTES = BODY_LIMITS['/api/photo'];
/** A picture is unpacked into memory whole: four bytes a pixel, one picture at a time. */
const MAX_PIXELS = 50_000_000;
const FORMATS = new Set(['jpeg', 'png', 'webp']);
const [LONG_SIDE, SMALL_SIDE] = [1600, 400];

const no = (status: number, message: string): Response =>
  Response.json({ ok: false, problem: message }, { status });

/** Pictures are worked on one after the other, so that many phones at once do not fill the memory. */
let last: Promise<unknown> = Promise.resolve();
function inTurnOne<T>(work: () => Promise<T>): Promise<T> {
  const mine = last.then(work, work);
  last = mine.catch(() => undefined);
  return mine;
}

/** @throws where it is no photo that a camera makes */
async function madeSmaller(
  bytes: Buffer,
): Promise<{ data: Buffer; small: Buffer; width: number; height: number }> {
  const { format } = await sharp(bytes, { limitInputPixels: MAX_PIXELS }).metadata();
  if (!FORMATS.has(format)) throw new TypeError(`madeSmaller: a photo is expected, got ${format}`);
  const upright = sharp(bytes, { limitInputPixels: MAX_PIXELS }).autoOrient();
  const { data, info } = await upright
    .clone()
    .resize(LONG_SIDE, LONG_SIDE, { fit: 'inside', withoutEnlargement: true })
    .jpeg({ quality: 80 })
    .toBuffer({ resolveWithObject: true });
  const small = await upright
    .clone()
    .resize(SMALL_SIDE, SMALL_SIDE, { fit: 'inside', withoutEnlargement: true })
    .jpeg({ quality: 72 })
    .toBuffer();
  return { data, small, width: info.width, height: info.height };
}

/**
 * Takes a picture: turned upright, made smaller, and written anew without anything that the camera put into the file, the
 * place where it was taken among it. The same bytes give the same picture, so sending it twice keeps it once.
 */
export async function takePhoto(request: Request): Promise<Response> {
  const body = await readBody(request, MAX_BYTES);
  if (!body.ok) {
    const large = say('entry.thePhotoMbServerTakes', {
      size: Math.round(body.size / 1e6),
      maxbytes: MAX_BYTES / 1e6,
    });
    const { status, message } = refusedBody(body, large);
    return no(status, message);
  }
  const site = await theSite();
  if (!site) return no(409, say('entry.thisServerHasNoSite2'));
  try {
    const { data, small, width, height } = await inTurnOne(() => madeSmaller(body.bytes));
    const sha256 = createHash('sha256').update(data).digest('hex');
    await photoRepo(theDb()).put(site.id, { sha256, bytes: data, small, width, height }, now());
    return Response.json({ ok: true, sha256, width, height });
  } catch {
    return no(415, say('entry.thisNotPhotoCanRead'));
  }
}

/** The whole picture, if it is what its hash says. */
async function wholePhoto(sha256: string): Promise<Buffer | 'changed' | null> {
  const bytes = await photoRepo(theDb()).get(sha256);
  if (bytes === null) return null;
  return createHash('sha256').update(bytes).digest('hex') === sha256 ? bytes : 'changed';
}

/** The small picture; one that nothing vouches for is made anew from the whole one. */
async function smallPhoto(sha256: string): Promise<Buffer | 'changed' | null> {
  const kept = await photoRepo(theDb()).small(sha256);
  if (kept === null || kept.isAsMade === true) return kept?.bytes ?? null;
  const whole = await wholePhoto(sha256);
  if (whole === null || whole === 'changed') return whole;
  return inTurnOne(async () => (await madeSmaller(whole)).small);
}

/** A picture by its hash; `?small` for the one that stands in the log. */
export async function servePhoto(request: Request, sha256: string): Promise<Response> {
  const read = new URL(request.url).searchParams.has('small') ? smallPhoto : wholePhoto;
  const found = /^[0-9a-f]{64}$/.test(sha256) ? await read(sha256) : null;
  if (found === null) return new Response(say('entry.thereNoSuchPhoto'), { status: 404 });
  if (found === 'changed') return new Response(say('entry.photoChanged'), { status: 409 });
  return new Response(new Uint8Array(found), {
    headers: {
      'content-type': 'image/jpeg',
      'cache-control': 'private, max-age=31536000, immutable',
      'content-security-policy': "default-src 'none'",
    },
  });
}
