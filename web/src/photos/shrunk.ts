/** The longer side of a photo that is kept, pixels, and how finely it is written. */
const LONGEST = 1600;
const QUALITY = 0.82;

/** The file is no picture that this browser can read. */
export class NotAPicture extends Error {}

/** How large a picture becomes: never larger than it is. */
export function sizeWithin(
  width: number,
  height: number,
  longest = LONGEST,
): { width: number; height: number } {
  const by = Math.min(1, longest / Math.max(width, height));
  return { width: Math.max(1, Math.round(width * by)), height: Math.max(1, Math.round(height * by)) };
}

/**
 * A picture made small enough to be sent over a weak network, drawn anew: what the camera wrote beside it, where it was, is not in it.
 *
 * @throws NotAPicture
 */
export async function shrunk(file: Blob): Promise<Blob> {
  const bitmap = await createImageBitmap(file, { imageOrientation: 'from-image' }).catch(() => null);
  if (!bitmap) throw new NotAPicture();
  const { width, height } = sizeWithin(bitmap.width, bitmap.height);
  const canvas = Object.assign(document.createElement('canvas'), { width, height });
  canvas.getContext('2d')?.drawImage(bitmap, 0, 0, width, height);
  bitmap.close();
  const made = await new Promise<Blob | null>((resolve) => canvas.toBlob(resolve, 'image/jpeg', QUALITY));
  if (!made) throw new NotAPicture();
  return made;
}
