import type { Raster } from '@mivet/core';

/** px. Longest edge that an outline is read at: more adds time, not truth. */
const LONGEST = 1300;
/** Bytes of a picture file that is looked at at all. */
const LARGEST = 40_000_000;

/** A picture's pixels, and the picture itself to be shown. The caller lets go of `url`. */
export interface OpenedImage {
  readonly raster: Raster;
  readonly url: string;
}

/**
 * Opens a picture file and reads its pixels. Nothing of it is kept or sent anywhere.
 *
 * @param longest px of the longer edge at which it is read
 * @throws Error with words for the person when it is no picture
 */
export async function openImage(file: Blob, name: string, longest = LONGEST): Promise<OpenedImage> {
  if (file.size > LARGEST) throw new Error(`${name} is too large for a picture. Nothing was changed.`);
  const bitmap = await createImageBitmap(file).catch(() => null);
  if (!bitmap || bitmap.width === 0) throw new Error(`${name} is no picture that this browser can read.`);
  const scale = Math.min(1, longest / Math.max(bitmap.width, bitmap.height));
  const canvas = document.createElement('canvas');
  canvas.width = Math.max(1, Math.round(bitmap.width * scale));
  canvas.height = Math.max(1, Math.round(bitmap.height * scale));
  const pen = canvas.getContext('2d', { willReadFrequently: true })!;
  pen.fillStyle = '#FFFFFF';
  pen.fillRect(0, 0, canvas.width, canvas.height);
  pen.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
  bitmap.close();
  const { data: rgba, width, height } = pen.getImageData(0, 0, canvas.width, canvas.height);
  return { raster: { width, height, rgba }, url: URL.createObjectURL(file) };
}
