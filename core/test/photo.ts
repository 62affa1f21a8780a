import type { Raster } from '../src/raster/foreground.ts';

/** A round thing to be photographed: radius by height down from its top, mm. */
export interface Thing {
  readonly height: number;
  radiusAt(down: number): number;
}

/** How it is photographed. */
export interface Shot {
  readonly width: number;
  readonly height: number;
  readonly pxPerMm: number;
  /** rad by which the thing leans. */
  readonly tilt: number;
  /** px, 1 σ. */
  readonly blur: number;
  /** Grey levels, 1 σ. */
  readonly noise: number;
  /** mm from the camera to the axis; null for a camera infinitely far away. */
  readonly cameraMm: number | null;
  readonly seed: number;
  /** Colour at a share across the thing, −1 … 1, and a height in px; left out, a grey that varies a good deal. */
  readonly colour?: (across: number, y: number) => readonly [number, number, number];
}

/**
 * A rendered photograph of a round thing on an unevenly lit ground. Its silhouette is the union of the pictures of its
 * circles: no formula for the outline is shared with what reads it.
 */
export function photograph(thing: Thing, shot: Shot): Raster {
  const { width, height, pxPerMm, cameraMm } = shot;
  // Widest extent in each row of a finer raster, from the pictures of many circles.
  const FINE = 4;
  const halves = new Float64Array(height * FINE);
  const mark = (x: number, y: number): void => {
    const row = Math.round((y * pxPerMm + height / 2) * FINE);
    if (row >= 0 && row < halves.length) halves[row] = Math.max(halves[row]!, Math.abs(x) * pxPerMm);
  };
  const circles = 1600;
  for (let i = 0; i <= circles; i++) {
    const down = (thing.height * i) / circles;
    const y = down - thing.height / 2;
    const r = thing.radiusAt(down);
    for (let k = 0; k <= 90; k++) {
      const angle = (Math.PI * k) / 90;
      const [x, z] = [r * Math.sin(angle), r * Math.cos(angle)];
      const nearer = cameraMm === null ? 1 : cameraMm / (cameraMm - z);
      mark(x * nearer, y * nearer);
    }
  }
  for (let i = 1; i < halves.length; i++)
    if (halves[i] === 0 && halves[i - 1]! > 0 && halves.slice(i, i + 3).some((h) => h > 0)) halves[i] = halves[i - 1]!;

  const light = [0, 1, 2].map(() => new Float64Array(width * height)) as [Float64Array, Float64Array, Float64Array];
  const grey = (across: number, y: number): readonly [number, number, number] => {
    const shade = 92 + 46 * Math.sin(3 * across) + 14 * Math.sin(y / 17);
    return [shade, shade * 0.98, shade * 0.94];
  };
  const [cos, sin] = [Math.cos(shot.tilt), Math.sin(shot.tilt)];
  const widest = halves.reduce((most, half) => Math.max(most, half), 0) + 1;
  /** Share of a pixel that the thing covers, from nine places in it. */
  const coveredAt = (x: number, y: number): number => {
    const [mx, my] = [x - (width - 1) / 2, y - (height - 1) / 2];
    // Beside the widest part nothing is covered.
    if (Math.abs(mx * cos - my * sin) > widest) return 0;
    let covered = 0;
    for (let sy = -1; sy <= 1; sy++)
      for (let sx = -1; sx <= 1; sx++) {
        const u = (mx + sx / 3) * cos - (my + sy / 3) * sin;
        const v = (mx + sx / 3) * sin + (my + sy / 3) * cos;
        const half = halves[Math.round((v + height / 2) * FINE)] ?? 0;
        if (half > 0 && Math.abs(u) <= half) covered++;
      }
    return covered / 9;
  };
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const i = y * width + x;
      const covered = coveredAt(x, y);
      const ground = (205 + (18 * x) / width - (14 * y) / height) * (1 - covered);
      light[0][i] = ground;
      light[1][i] = ground * 0.98;
      light[2][i] = ground * 0.94;
      if (covered === 0) continue;
      const half = Math.max(1, halves[Math.round(y * FINE)] ?? 1);
      const colour = (shot.colour ?? grey)(Math.max(-1, Math.min(1, (x - width / 2) / half)), y);
      for (const c of [0, 1, 2] as const) light[c][i]! += colour[c] * covered;
    }
  const rgba = new Uint8ClampedArray(4 * width * height).fill(255);
  const random = gaussian(shot.seed);
  light.forEach((channel, c) => {
    const soft = blurred(channel, width, height, shot.blur);
    for (let i = 0; i < soft.length; i++) rgba[4 * i + c] = soft[i]! + shot.noise * random();
  });
  return { width, height, rgba };
}

function blurred(values: Float64Array, width: number, height: number, sigma: number): Float64Array {
  const reach = Math.ceil(3 * sigma);
  const kernel = Array.from({ length: 2 * reach + 1 }, (_, i) => Math.exp(-((i - reach) ** 2) / (2 * sigma * sigma)));
  const total = kernel.reduce((a, b) => a + b, 0);
  /** Evens out lines of some length; what lies past an end is as the end. */
  const pass = (from: Float64Array, lines: number, length: number, line: number, step: number): Float64Array => {
    const out = new Float64Array(from.length);
    const near = new Float64Array(length + 2 * reach);
    for (let i = 0; i < lines; i++) {
      for (let k = 0; k < near.length; k++)
        near[k] = from[i * line + Math.max(0, Math.min(length - 1, k - reach)) * step]!;
      for (let k = 0; k < length; k++) {
        let sum = 0;
        for (let j = 0; j < kernel.length; j++) sum += near[k + j]! * kernel[j]!;
        out[i * line + k * step] = sum / total;
      }
    }
    return out;
  };
  return sigma > 0 ? pass(pass(values, height, width, width, 1), width, height, 1, width) : values;
}

/** Seeded normal numbers (mulberry32 and Box–Muller). */
function gaussian(seed: number): () => number {
  let a = seed >>> 0;
  const uniform = (): number => {
    a = (a + 0x6d2b79f5) >>> 0;
    let t = Math.imul(a ^ (a >>> 15), 1 | a);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
  return () => Math.sqrt(-2 * Math.log(1 - uniform())) * Math.cos(2 * Math.PI * uniform());
}
