import { MOST_PICTURE_BYTES } from '@/core/2-document/records/recordKinds';
import type { Picture } from '@/store/pictures';

/** Longest side that is tried first, and how it shrinks from try to try [px]. */
const SIDES = [1800, 1400, 1100, 800, 500];

const isKept = (type: string): type is Picture['type'] => ['image/jpeg', 'image/png', 'image/webp'].includes(type);

/**
 * A chosen picture as it can be kept beside the design: as it is where it is
 * small enough, else drawn anew, smaller and smaller.
 * @throws when it is no picture that this browser can show
 */
export async function fittingPicture(file: File): Promise<Picture> {
  const name = file.name.replace(/\.\w+$/, '');
  if (isKept(file.type) && file.size <= MOST_PICTURE_BYTES)
    return { name, type: file.type, bytes: new Uint8Array(await file.arrayBuffer()) };
  const bitmap = await createImageBitmap(file).catch(() => {
    throw new Error(`${file.name} is no picture that can be shown here. Choose a JPEG, PNG or WebP file`);
  });
  for (const side of SIDES) {
    const scale = Math.min(1, side / Math.max(bitmap.width, bitmap.height));
    const canvas = new OffscreenCanvas(Math.round(bitmap.width * scale), Math.round(bitmap.height * scale));
    canvas.getContext('2d')!.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
    const blob = await canvas.convertToBlob({ type: 'image/jpeg', quality: 0.8 });
    if (blob.size <= MOST_PICTURE_BYTES)
      return { name, type: 'image/jpeg', bytes: new Uint8Array(await blob.arrayBuffer()) };
  }
  throw new Error(`${file.name} stays larger than 400 kB. Make it smaller first`);
}
