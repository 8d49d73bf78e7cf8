import { say } from '@/messages/say';
/** A picture made fit for the road: upright, smaller, and without what the camera wrote beside it. */

/** Beyond this a phone runs out of memory while it opens it. */
const MAX_BYTES = 35_000_000;
const LONG_SIDE = 1600;

/** @throws Error whose message says what is wrong with the file and what to do */
export async function readyPhoto(
  file: File,
): Promise<{ blob: Blob; width: number; height: number }> {
  if (file.size > MAX_BYTES)
    throw new Error(
      say('controls.photoTooLarge', {
        name: file.name,
        size: Math.round(file.size / 1e6),
        most: MAX_BYTES / 1e6,
      }),
    );
  // Opened with its turn applied; drawing it anew leaves the place and everything else that the camera wrote behind.
  const picture = await createImageBitmap(file, { imageOrientation: 'from-image' }).catch(
    () => null,
  );
  if (!picture) throw new Error(say('controls.notAPicture', { name: file.name }));
  const shrink = Math.min(1, LONG_SIDE / Math.max(picture.width, picture.height));
  const [width, height] = [
    Math.max(1, Math.round(picture.width * shrink)),
    Math.max(1, Math.round(picture.height * shrink)),
  ];
  const canvas = document.createElement('canvas');
  [canvas.width, canvas.height] = [width, height];
  canvas.getContext('2d')!.drawImage(picture, 0, 0, width, height);
  picture.close();
  const blob = await new Promise<Blob | null>((resolve) => {
    canvas.toBlob(resolve, 'image/jpeg', 0.82);
  });
  if (!blob) throw new Error(say('controls.photoNotMadeSmaller', { name: file.name }));
  return { blob, width, height };
}
