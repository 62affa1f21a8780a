import type { Raster } from '../../raster/foreground.ts';

/** Red, green and blue, 0 … 255. */
export type Rgb = [number, number, number];

/** Most colours that are looked for. */
const MOST = 12;
/** Pixels that main colours are found on. */
const SAMPLE = 20_000;
/** Two colours nearer than this to each other are one to the eye. */
const LEAST_APART = 12;
/** So many times the picture's noise apart they may be one colour that noise has spread. */
const NOISE_APART = 4;
/** Share of a colour's pixels that lie among their own: with less of them it is an edge, not an area. */
const AREA_SHARE = 0.25;
/** How far off the line between two others a blend of them may lie, as a share of that line. */
const BLEND_OFF = 0.2;

/**
 * The colours that a picture has, and which of them each pixel is nearest to.
 *
 * @param picture what is transparent has none: −1
 * @param most colours besides the ground; null for as many as there are
 * @param ground that is left out afterwards, or null
 * @source k-means from those furthest from each other, so that it is the same every time; then what noise explains is
 *   put together: clusters nearer to each other than a few times the noise, which is the median difference of neighbours
 *   (÷ 0.6745 √2); and a cluster between two others that has no inside of its own is the blur of their edge
 */
export function coloursOf(
  raster: Raster,
  most: number | null,
  ground: Rgb | null,
): { centres: Rgb[]; labels: Int8Array } {
  const options = Math.min(MOST, most ?? MOST) + (ground ? 1 : 0);
  let centres = apartFromNoise(mainColours(raster, MOST + 1), noiseOf(raster));
  for (;;) {
    const seen = sampled(raster, centres);
    const blend = blendOf(centres, seen);
    if (blend === null && centres.length <= options) return { centres, labels: labelled(raster, centres) };
    centres = blend !== null ? centres.filter((_, k) => k !== blend) : withoutLeast(centres, seen, ground);
  }
}

/** Index of the nearest of some colours to the bytes at a place. */
export function nearestColour(centres: readonly Rgb[], bytes: ArrayLike<number>, at: number): number {
  let [best, least] = [0, Infinity];
  for (let k = 0; k < centres.length; k++) {
    const [r, g, b] = centres[k]!;
    const d = (bytes[at]! - r) ** 2 + (bytes[at + 1]! - g) ** 2 + (bytes[at + 2]! - b) ** 2;
    if (d < least) [best, least] = [k, d];
  }
  return best;
}

function labelled({ width, height, rgba }: Raster, centres: readonly Rgb[]): Int8Array {
  const labels = new Int8Array(width * height);
  for (let i = 0; i < labels.length; i++) labels[i] = rgba[4 * i + 3]! < 128 ? -1 : nearestColour(centres, rgba, 4 * i);
  return labels;
}

const distance = (a: Rgb, b: Rgb): number => Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2]);

/** 1 σ of one channel, from how much neighbours differ; edges are few and do not move the median. */
function noiseOf({ width, height, rgba }: Raster): number {
  const step = Math.max(1, Math.floor((width * height) / SAMPLE));
  const differences: number[] = [];
  for (let i = 0; i + 1 < width * height; i += step)
    if ((i + 1) % width !== 0 && rgba[4 * i + 3]! >= 128 && rgba[4 * i + 7]! >= 128)
      for (let c = 0; c < 3; c++) differences.push(Math.abs(rgba[4 * i + c]! - rgba[4 * i + 4 + c]!));
  differences.sort((a, b) => a - b);
  return (differences[differences.length >> 1] ?? 0) / 0.6745 / Math.SQRT2;
}

/** Main colours with how many pixels of the sample are nearest to each. */
function mainColours({ rgba }: Raster, count: number): { at: Rgb; n: number }[] {
  const step = Math.max(1, Math.floor(rgba.length / 4 / SAMPLE));
  const sample: Rgb[] = [];
  for (let i = 0; i < rgba.length / 4; i += step)
    if (rgba[4 * i + 3]! >= 128) sample.push([rgba[4 * i]!, rgba[4 * i + 1]!, rgba[4 * i + 2]!]);
  if (sample.length === 0) return [];
  // What is rare, as the blends along edges are, does not become a colour of its own: colours are counted coarsely first.
  const bins = new Map<number, { sum: Rgb; n: number }>();
  for (const p of sample) {
    const key = (p[0] >> 4) * 256 + (p[1] >> 4) * 16 + (p[2] >> 4);
    const bin = bins.get(key) ?? { sum: [0, 0, 0] as Rgb, n: 0 };
    p.forEach((v, c) => (bin.sum[c]! += v));
    bin.n += 1;
    bins.set(key, bin);
  }
  const common = [...bins.values()]
    .map(({ sum, n }) => ({ at: sum.map((v) => v / n) as Rgb, n }))
    .sort((a, b) => b.n - a.n)
    .slice(0, 256);
  const centres: Rgb[] = [common[0]!.at];
  while (centres.length < count) {
    const next = common
      .map(({ at, n }) => ({ at, worth: (Math.min(...centres.map((c) => distance(c, at))) / 255) ** 2 * n }))
      .reduce((a, b) => (b.worth > a.worth ? b : a));
    if (next.worth < 1e-3) break;
    centres.push(next.at);
  }
  const counts = new Array<number>(centres.length).fill(0);
  for (let round = 0; round < 12; round++) {
    const sums = centres.map(() => [0, 0, 0, 0]);
    for (const p of sample) {
      const sum = sums[nearestColour(centres, p, 0)]!;
      p.forEach((v, c) => (sum[c]! += v));
      sum[3]! += 1;
    }
    sums.forEach(([r, g, b, n], k) => {
      counts[k] = n!;
      if (n! > 0) centres[k] = [r! / n!, g! / n!, b! / n!];
    });
  }
  return centres.map((at, k) => ({ at, n: counts[k]! })).filter(({ n }) => n > 0);
}

/** Colours that noise cannot explain as one: the two nearest are put together until none are too near. */
function apartFromNoise(found: readonly { at: Rgb; n: number }[], noise: number): Rgb[] {
  const least = Math.max(LEAST_APART, NOISE_APART * noise);
  const left = found.map(({ at, n }) => ({ at: [...at] as Rgb, n }));
  for (;;) {
    let [a, b, near] = [0, 0, least];
    for (let i = 0; i < left.length; i++)
      for (let j = i + 1; j < left.length; j++) {
        const apart = distance(left[i]!.at, left[j]!.at);
        if (apart < near) [a, b, near] = [i, j, apart];
      }
    if (a === b) return left.map(({ at }) => at);
    const [one, other] = [left[a]!, left[b]!];
    const n = one.n + other.n;
    left[a] = { at: one.at.map((v, c) => (v * one.n + other.at[c]! * other.n) / n) as Rgb, n };
    left.splice(b, 1);
  }
}

/** How many pixels of a sample are nearest to each colour, and how many of those lie among their own. */
interface Seen {
  readonly all: Float64Array;
  readonly inner: Float64Array;
}

function sampled({ width, height, rgba }: Raster, centres: readonly Rgb[]): Seen {
  const [all, inner] = [new Float64Array(centres.length), new Float64Array(centres.length)];
  const labelAt = (i: number): number => (rgba[4 * i + 3]! < 128 ? -1 : nearestColour(centres, rgba, 4 * i));
  // A step that no row is a multiple of, so that the sample does not stand in columns.
  const step = Math.max(1, Math.floor((width * height) / (3 * SAMPLE))) | 1;
  for (let i = 0; i < width * height; i += step) {
    const [x, y] = [i % width, Math.floor(i / width)];
    if (x === 0 || y === 0 || x === width - 1 || y === height - 1) continue;
    const k = labelAt(i);
    if (k < 0) continue;
    all[k]! += 1;
    if ([i - 1, i + 1, i - width, i + width].every((near) => labelAt(near) === k)) inner[k]! += 1;
  }
  return { all, inner };
}

/** A colour that lies between two others and nowhere makes an area of its own; null when there is none. */
function blendOf(centres: readonly Rgb[], { all, inner }: Seen): number | null {
  if (centres.length < 3) return null;
  let [worst, share] = [null as number | null, AREA_SHARE];
  centres.forEach((centre, k) => {
    const own = inner[k]! / Math.max(1, all[k]!);
    if (own < share && isBetween(centre, k, centres)) [worst, share] = [k, own];
  });
  return worst;
}

/** Whether a colour lies near the line from one of the others to another, and between them. */
function isBetween(colour: Rgb, own: number, centres: readonly Rgb[]): boolean {
  return centres.some((a, i) =>
    centres.some((b, j) => {
      if (i === own || j === own || j <= i) return false;
      const along = a.map((v, c) => b[c]! - v) as Rgb;
      const length = Math.hypot(...along);
      const t = along.reduce((sum, v, c) => sum + v * (colour[c]! - a[c]!), 0) / length ** 2;
      const off = distance(colour, a.map((v, c) => v + t * along[c]!) as Rgb);
      return t > 0 && t < 1 && off < BLEND_OFF * length;
    }),
  );
}

/** One colour less: the one whose pixels change least when they take the nearest other. The ground stays. */
function withoutLeast(centres: readonly Rgb[], { all }: Seen, ground: Rgb | null): Rgb[] {
  const kept = ground ? nearestColour(centres, ground, 0) : -1;
  let [least, cost] = [0, Infinity];
  centres.forEach((centre, k) => {
    if (k === kept) return;
    const near = Math.min(...centres.map((other, j) => (j === k ? Infinity : distance(centre, other))));
    const own = all[k]! * near * near;
    if (own < cost) [least, cost] = [k, own];
  });
  return centres.filter((_, k) => k !== least);
}
