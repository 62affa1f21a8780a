import { TIE } from '../numeric/tolerances.ts';

/** A picture as rows of red, green, blue and alpha bytes. */
export interface Raster {
  readonly width: number;
  readonly height: number;
  /** 4 · width · height bytes. */
  readonly rgba: Uint8ClampedArray | Uint8Array;
}

/** How much each pixel differs from the background, and which pixels belong to the thing in front of it. */
export interface Foreground {
  /** Colour distance from the background there, 0 … 442. */
  readonly distance: Float32Array;
  /** Distance that parts thing from background. */
  readonly threshold: number;
  /** 1 where the thing is, holes filled. */
  readonly mask: Uint8Array;
  /** Share of the picture that the thing takes. */
  readonly share: number;
}

/** px. Width of the border that is taken for background. */
const BORDER = 6;

/**
 * Parts the thing in the middle of a picture from a background that is even, or changes evenly from side to side.
 *
 * @param picture the thing must not touch the border on the left or right
 * @returns null when nothing stands out
 * @source the background is a plane of colour, fitted to the border by least squares; the distances from it are parted by
 *   N. Otsu, "A threshold selection method from gray-level histograms", 1979. Background is what can be reached from the
 *   border below the threshold, so that a highlight on the thing is no hole; of what is left, the largest part counts, with
 *   those that a stripe as light as the ground has cut off it from top to foot
 */
export function findForeground(raster: Raster): Foreground | null {
  const distance = distanceFromBackground(raster);
  const { width, height } = raster;
  const threshold = thresholdOf(distance, width, height);
  const mask = partsOfThing(notFlooded(distance, threshold, width, height), width, height);
  let count = 0;
  for (const value of mask) count += value;
  const share = count / mask.length;
  return threshold > 4 && share > 0.004 && share < 0.95 ? { distance, threshold, mask, share } : null;
}

function distanceFromBackground({ width, height, rgba }: Raster): Float32Array {
  const planes = [0, 1, 2].map((channel) => fitPlane(width, height, (i) => rgba[4 * i + channel]!));
  const out = new Float32Array(width * height);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const i = y * width + x;
      let sum = 0;
      for (let c = 0; c < 3; c++) {
        const [a, b, d] = planes[c]!;
        sum += (rgba[4 * i + c]! - (a + b * x + d * y)) ** 2;
      }
      out[i] = Math.sqrt(sum);
    }
  return out;
}

/** Least squares for a + b·x + d·y over the border; the foot of the picture, where a shadow may lie, is left out. */
function fitPlane(width: number, height: number, value: (i: number) => number): [number, number, number] {
  const s = new Float64Array(9);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      if (x >= BORDER && x < width - BORDER && y >= BORDER) {
        // On to the right-hand border of this row.
        x = width - BORDER - 1;
        continue;
      }
      const v = value(y * width + x);
      const terms = [1, x, y, x * x, x * y, y * y, v, v * x, v * y];
      for (let k = 0; k < 9; k++) s[k]! += terms[k]!;
    }
  const [n, sx, sy, sxx, sxy, syy, v, vx, vy] = [...s] as [
    number,
    number,
    number,
    number,
    number,
    number,
    number,
    number,
    number,
  ];
  const m = [sxx - (sx * sx) / n, sxy - (sx * sy) / n, syy - (sy * sy) / n] as const;
  const [p, q] = [vx - (v * sx) / n, vy - (v * sy) / n];
  const det = m[0] * m[2] - m[1] * m[1];
  const [b, d] = det > 0 ? [(p * m[2] - q * m[1]) / det, (q * m[0] - p * m[1]) / det] : [0, 0];
  return [(v - b * sx - d * sy) / n, b, d];
}

/** Share of Otsu's level from which on a pixel may be the thing: its bright parts lie nearer to the ground than its dark ones. */
const OTSU_SHARE = 0.35;

/** A level above the unevenness of the border and well under the thing's darkest parts. */
function thresholdOf(distance: Float32Array, width: number, height: number): number {
  const split = otsu(distance);
  const border: number[] = [];
  for (let y = 0; y < height - BORDER; y++)
    for (let x = 0; x < width; x++)
      if (x < BORDER || x >= width - BORDER || y < BORDER) border.push(distance[y * width + x]!);
  border.sort((a, b) => a - b);
  const uneven = border[Math.floor(border.length * 0.995)] ?? 0;
  return Math.min(split, Math.max(OTSU_SHARE * split, 1.3 * uneven + 6));
}

/** The level that parts a histogram in two so that both are as even in themselves as can be. */
function otsu(values: Float32Array): number {
  const bins = 256;
  let most = 0;
  for (const value of values) most = Math.max(most, value);
  if (most === 0) return 0;
  const counts = new Float64Array(bins);
  for (const value of values) counts[Math.min(bins - 1, Math.floor((value / most) * bins))]! += 1;
  let total = 0;
  for (let i = 0; i < bins; i++) total += i * counts[i]!;
  let below = 0;
  let sumBelow = 0;
  let best = 0;
  let [first, last] = [0, 0];
  for (let i = 0; i < bins; i++) {
    below += counts[i]!;
    const above = values.length - below;
    if (below === 0 || above === 0) continue;
    sumBelow += i * counts[i]!;
    const gap = sumBelow / below - (total - sumBelow) / above;
    const between = below * above * gap * gap;
    // Between two plain tones many levels part alike: the middle of them is taken.
    if (between > best * (1 + TIE)) [best, first, last] = [between, i, i];
    else if (between >= best * (1 - TIE)) last = i;
  }
  return (((first + last) / 2 + 1) / bins) * most;
}

/**
 * Everything that can be reached from some pixels, side by side, through pixels that may be entered.
 *
 * @param starts where to begin
 * @param enter marks a pixel as taken and says so; false when it may not be entered, or was
 * @returns how many were taken
 */
function flood(
  starts: Iterable<number>,
  width: number,
  height: number,
  stack: Int32Array,
  enter: (i: number) => boolean,
): number {
  let top = 0;
  let count = 0;
  const visit = (i: number): void => {
    if (!enter(i)) return;
    stack[top++] = i;
    count += 1;
  };
  for (const start of starts) visit(start);
  while (top > 0) {
    const i = stack[--top]!;
    const x = i % width;
    if (x > 0) visit(i - 1);
    if (x < width - 1) visit(i + 1);
    if (i >= width) visit(i - width);
    if (i < width * (height - 1)) visit(i + width);
  }
  return count;
}

/** 1 where the background cannot be reached from the border. */
function notFlooded(distance: Float32Array, threshold: number, width: number, height: number): Uint8Array {
  const inside = new Uint8Array(width * height).fill(1);
  const border: number[] = [];
  for (let x = 0; x < width; x++) border.push(x, (height - 1) * width + x);
  for (let y = 0; y < height; y++) border.push(y * width, y * width + width - 1);
  flood(border, width, height, new Int32Array(width * height), (i) => {
    if (inside[i] === 0 || distance[i]! >= threshold) return false;
    inside[i] = 0;
    return true;
  });
  return inside;
}

/** A connected part of a mask. */
interface Part {
  readonly label: number;
  readonly size: number;
  readonly minX: number;
  readonly maxX: number;
  readonly minY: number;
  readonly maxY: number;
}

/** Of what stands beside the largest part: how tall it is against it, how much of it is level with it, how near it is. */
const BESIDE = { tall: 0.3, level: 0.7, gap: 0.3 } as const;

/** The largest part of a mask with those that face it across a stripe, and the rows between them filled. */
function partsOfThing(mask: Uint8Array, width: number, height: number): Uint8Array {
  const { label, parts } = connectedParts(mask, width, height);
  const largest = parts.reduce((a: Part | null, b) => (a === null || b.size > a.size ? b : a), null);
  if (!largest) return new Uint8Array(mask.length);
  const taken = new Set([largest.label]);
  let whole: Omit<Part, 'label' | 'size'> = largest;
  const others = parts.filter((part) => part !== largest && part.minX > 0 && part.maxX < width - 1);
  for (let more = true; more;) {
    more = false;
    for (const part of others) {
      if (taken.has(part.label) || !facesIt(part, whole)) continue;
      taken.add(part.label);
      whole = {
        minX: Math.min(whole.minX, part.minX),
        maxX: Math.max(whole.maxX, part.maxX),
        minY: Math.min(whole.minY, part.minY),
        maxY: Math.max(whole.maxY, part.maxY),
      };
      more = true;
    }
  }
  const out = Uint8Array.from(label, (l) => (taken.has(l) ? 1 : 0));
  if (taken.size > 1) fillRows(out, width, height);
  return out;
}

function facesIt(part: Part, whole: Omit<Part, 'label' | 'size'>): boolean {
  const tall = part.maxY - part.minY + 1;
  const level = Math.min(part.maxY, whole.maxY) - Math.max(part.minY, whole.minY) + 1;
  const gap = Math.max(part.minX - whole.maxX, whole.minX - part.maxX);
  const across = Math.max(part.maxX, whole.maxX) - Math.min(part.minX, whole.minX) + 1;
  return (
    tall >= BESIDE.tall * (whole.maxY - whole.minY + 1) && level >= BESIDE.level * tall && gap <= BESIDE.gap * across
  );
}

/** Every row filled between its outermost pixels. */
function fillRows(mask: Uint8Array, width: number, height: number): void {
  for (let y = 0; y < height; y++) {
    const row = mask.subarray(y * width, (y + 1) * width);
    const [first, last] = [row.indexOf(1), row.lastIndexOf(1)];
    if (first >= 0) row.fill(1, first, last + 1);
  }
}

function connectedParts(mask: Uint8Array, width: number, height: number): { label: Int32Array; parts: Part[] } {
  const label = new Int32Array(mask.length);
  const stack = new Int32Array(mask.length);
  const parts: Part[] = [];
  for (let start = 0; start < mask.length; start++) {
    if (mask[start] === 0 || label[start] !== 0) continue;
    const own = parts.length + 1;
    let [minX, maxX, minY, maxY] = [width, 0, height, 0];
    const size = flood([start], width, height, stack, (i) => {
      if (mask[i] === 0 || label[i] !== 0) return false;
      label[i] = own;
      const [x, y] = [i % width, Math.floor(i / width)];
      if (x < minX) minX = x;
      if (x > maxX) maxX = x;
      if (y < minY) minY = y;
      if (y > maxY) maxY = y;
      return true;
    });
    parts.push({ label: own, size, minX, maxX, minY, maxY });
  }
  return { label, parts };
}
