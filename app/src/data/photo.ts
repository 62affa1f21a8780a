import { bytesOfDataUrl, type PictureBytes } from './data-url.ts';

/** px. Longest edge of a kept photograph: enough to know a cup again, small enough for hundreds of them. */
const LONGEST = 480;
/** px. The same of one from the bench: a fault has to be seen on it. */
const LONGEST_AT_BENCH = 720;
/** Bytes of a picture file that is looked at at all. */
const LARGEST = 40_000_000;

/**
 * Makes a small photograph of a picture file, as a data URL. What the camera wrote beside the picture (place, time) is
 * not kept.
 *
 * @throws Error with words for the person when it is no picture
 */
export async function smallPhoto(file: File): Promise<string> {
  return (await drawSmall(file, LONGEST)).toDataURL('image/jpeg', 0.82);
}

/**
 * The same as it is taken at the bench, to be kept by itself.
 *
 * @throws Error with words for the person when it is no picture
 */
export async function smallPicture(file: File): Promise<PictureBytes> {
  const canvas = await drawSmall(file, LONGEST_AT_BENCH);
  return bytesOfDataUrl(canvas.toDataURL('image/jpeg', 0.8));
}

async function drawSmall(file: File, longest: number): Promise<HTMLCanvasElement> {
  if (file.size > LARGEST) throw new Error(`${file.name} is too large for a picture. Nothing was changed.`);
  const bitmap = await createImageBitmap(file).catch(() => null);
  if (!bitmap || bitmap.width === 0) throw new Error(`${file.name} is no picture that this browser can read.`);
  const scale = Math.min(1, longest / Math.max(bitmap.width, bitmap.height));
  const canvas = document.createElement('canvas');
  canvas.width = Math.max(1, Math.round(bitmap.width * scale));
  canvas.height = Math.max(1, Math.round(bitmap.height * scale));
  const pen = canvas.getContext('2d')!;
  // What is see-through becomes paper.
  pen.fillStyle = '#FFFFFF';
  pen.fillRect(0, 0, canvas.width, canvas.height);
  pen.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
  bitmap.close();
  return canvas;
}
