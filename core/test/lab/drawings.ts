import type { Drawing } from '../../src/artwork/drawing.ts';
import { unionRings } from '../../src/polygon/boolean.ts';
import { ringsOf } from '../../src/polygon/polygon.ts';

/** Area of what is drawn, mm², and how it is spread about its own middle, mm⁴: xx, yy and xy. */
export interface Spread {
  readonly area: number;
  readonly xx: number;
  readonly yy: number;
  readonly xy: number;
}

/**
 * How far two drawings are apart: of their areas, and of how they are spread, in which any shift, turn or stretch of a part
 * shows. As shares.
 */
export function apart(a: Spread, b: Spread): number {
  const size = Math.max(1e-9, b.xx + b.yy);
  const spread = Math.max(Math.abs(a.xx - b.xx), Math.abs(a.yy - b.yy), Math.abs(a.xy - b.xy)) / size;
  // Spread goes with the fourth power of a length, area with the second.
  return Math.max(Math.abs(a.area - b.area) / Math.max(1e-9, b.area), spread / 2);
}

/** Everything of a drawing that is covered, whatever its colour. @source Green's theorem along its outlines */
export function spreadOf({ colours }: Pick<Drawing, 'colours'>): Spread {
  let [area, mx, my, sxx, syy, sxy] = [0, 0, 0, 0, 0, 0];
  for (const ring of unionRings(colours.flatMap(({ rings }) => [...rings])).flatMap(ringsOf))
    for (let i = 0, n = ring.length; i < n; i += 2) {
      const [x0, y0, x1, y1] = [ring[i]!, ring[i + 1]!, ring[(i + 2) % n]!, ring[(i + 3) % n]!];
      const cross = x0 * y1 - x1 * y0;
      area += cross / 2;
      mx += (cross * (x0 + x1)) / 6;
      my += (cross * (y0 + y1)) / 6;
      sxx += (cross * (x0 * x0 + x0 * x1 + x1 * x1)) / 12;
      syy += (cross * (y0 * y0 + y0 * y1 + y1 * y1)) / 12;
      sxy += (cross * (x0 * y1 + 2 * x0 * y0 + 2 * x1 * y1 + x1 * y0)) / 24;
    }
  const [cx, cy] = [mx / area, my / area];
  return { area, xx: sxx - area * cx * cx, yy: syy - area * cy * cy, xy: sxy - area * cx * cy };
}

/** Pixels of a millimetre in the browser's picture. */
export const PX_PER_MM = 40;

/**
 * What a browser paints of a drawing, as text to be run in a page: `svg`, `width` and `height` in mm are put in. It shows the
 * drawing as an image, large, and adds up how much of each pixel is covered.
 */
export const paintedInBrowser = async (input: {
  svg: string;
  width: number;
  height: number;
  per: number;
}): Promise<Spread> => {
  const image = new Image();
  image.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(input.svg)}`;
  await image.decode();
  const canvas = document.createElement('canvas');
  canvas.width = Math.round(input.width * input.per);
  canvas.height = Math.round(input.height * input.per);
  const pen = canvas.getContext('2d', { willReadFrequently: true })!;
  pen.drawImage(image, 0, 0, canvas.width, canvas.height);
  const { data } = pen.getImageData(0, 0, canvas.width, canvas.height);
  let [area, mx, my, sxx, syy, sxy] = [0, 0, 0, 0, 0, 0];
  for (let row = 0; row < canvas.height; row++)
    for (let column = 0; column < canvas.width; column++) {
      const covered = data[4 * (row * canvas.width + column) + 3]! / 255;
      if (covered === 0) continue;
      const [x, y] = [column + 0.5, -(row + 0.5)];
      area += covered;
      mx += covered * x;
      my += covered * y;
      sxx += covered * (x * x + 1 / 12);
      syy += covered * (y * y + 1 / 12);
      sxy += covered * x * y;
    }
  const [cx, cy] = [mx / area, my / area];
  const [two, four] = [input.per ** 2, input.per ** 4];
  return {
    area: area / two,
    xx: (sxx - area * cx * cx) / four,
    yy: (syy - area * cy * cy) / four,
    xy: (sxy - area * cx * cy) / four,
  };
};
