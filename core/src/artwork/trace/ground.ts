import type { Raster } from '../../raster/foreground.ts';
import { clamp } from './lightness.ts';

/** How surely each pixel is not ground: what can be reached from the border within the tolerance of its colour is. */
export function standsOut({ width, height, rgba }: Raster, tolerance: number): Float32Array {
  const ground = borderColour({ width, height, rgba });
  const away = new Float32Array(width * height);
  for (let i = 0; i < away.length; i++) {
    const a = rgba[4 * i + 3]! / 255;
    let sum = 0;
    for (let c = 0; c < 3; c++) sum += ((rgba[4 * i + c]! - ground[c]!) * a) ** 2;
    away[i] = Math.sqrt(sum);
  }
  const reached = flooded(away, width, height, (v) => v < tolerance);
  const field = new Float32Array(away.length);
  for (let i = 0; i < field.length; i++) {
    // Inside, whatever looks like the ground still belongs to the thing; at the edge the distance says where it is.
    const beside = reached[i] === 1 || touches(reached, i, width, height);
    field[i] = beside ? clamp(0.5 + (away[i]! - tolerance) / Math.max(40, 2 * tolerance)) : 1;
  }
  return field;
}

export function borderColour({ width, height, rgba }: Raster): [number, number, number] {
  const list: [number, number, number][] = [];
  const take = (x: number, y: number): void => {
    const i = 4 * (y * width + x);
    if (rgba[i + 3]! > 0) list.push([rgba[i]!, rgba[i + 1]!, rgba[i + 2]!]);
  };
  for (let x = 0; x < width; x++) [0, height - 1].forEach((y) => take(x, y));
  for (let y = 1; y < height - 1; y++) [0, width - 1].forEach((x) => take(x, y));
  const middle = (c: 0 | 1 | 2): number => list.map((p) => p[c]).sort((a, b) => a - b)[list.length >> 1] ?? 255;
  return [middle(0), middle(1), middle(2)];
}

/** 1 where the border reaches over pixels that pass. */
function flooded(values: Float32Array, width: number, height: number, passes: (v: number) => boolean): Uint8Array {
  const out = new Uint8Array(values.length);
  const queue = new Int32Array(values.length);
  let [head, tail] = [0, 0];
  const visit = (i: number): void => {
    if (out[i] === 0 && passes(values[i]!)) {
      out[i] = 1;
      queue[tail++] = i;
    }
  };
  for (let x = 0; x < width; x++) [x, (height - 1) * width + x].forEach(visit);
  for (let y = 0; y < height; y++) [y * width, y * width + width - 1].forEach(visit);
  while (head < tail) {
    const i = queue[head++]!;
    const x = i % width;
    if (x > 0) visit(i - 1);
    if (x < width - 1) visit(i + 1);
    if (i >= width) visit(i - width);
    if (i < values.length - width) visit(i + width);
  }
  return out;
}

function touches(mask: Uint8Array, i: number, width: number, height: number): boolean {
  const [x, y] = [i % width, Math.floor(i / width)];
  for (let dy = -1; dy <= 1; dy++)
    for (let dx = -1; dx <= 1; dx++) {
      const [px, py] = [x + dx, y + dy];
      if (px >= 0 && py >= 0 && px < width && py < height && mask[py * width + px] === 1) return true;
    }
  return false;
}
