/** px along the edge of the tiles in which a field is evened out. */
const TILE = 32;

/**
 * The field evened out by a bell of some width, px. Most of a drawing is plain ground or plain film, where there is nothing
 * to even out: it is worked through in tiles, and those that are plain for as far as the bell reaches are copied.
 */
export function blurred(field: Float32Array, width: number, height: number, sigma: number): Float32Array {
  if (sigma < 0.05) return field;
  const reach = Math.min(12, Math.ceil(3 * sigma));
  const bell = Float64Array.from({ length: 2 * reach + 1 }, (_, k) =>
    Math.exp(-((k - reach) ** 2) / (2 * sigma * sigma)),
  );
  const total = bell.reduce((a, b) => a + b, 0);
  for (let k = 0; k < bell.length; k++) bell[k]! /= total;
  const out = new Float32Array(field.length);
  const along = new Float64Array((TILE + 2 * reach) ** 2);
  const near = new Float64Array((TILE + 2 * reach) ** 2);
  const held = (v: number, size: number): number => (v < 0 ? 0 : v >= size ? size - 1 : v);
  for (let y0 = 0; y0 < height; y0 += TILE)
    for (let x0 = 0; x0 < width; x0 += TILE) {
      const [x1, y1] = [Math.min(width, x0 + TILE), Math.min(height, y0 + TILE)];
      const plain = plainValue(field, width, {
        x: [held(x0 - reach, width), held(x1 + reach - 1, width)],
        y: [held(y0 - reach, height), held(y1 + reach - 1, height)],
      });
      if (plain !== null) {
        for (let y = y0; y < y1; y++) out.fill(plain, y * width + x0, y * width + x1);
        continue;
      }
      // Copied with its surroundings first, so that the bell never looks past an edge.
      const [w, h] = [x1 - x0 + 2 * reach, y1 - y0 + 2 * reach];
      for (let r = 0; r < h; r++) {
        const row = held(y0 - reach + r, height) * width;
        for (let c = 0; c < w; c++) near[r * w + c] = field[row + held(x0 - reach + c, width)]!;
      }
      evenOut(near, w, h, bell, along);
      for (let y = y0; y < y1; y++)
        for (let x = x0; x < x1; x++) out[y * width + x] = near[(y - y0 + reach) * w + x - x0 + reach]!;
    }
  return out;
}

/** Evens out the middle of a small field, by rows and then by columns; what is nearer to its edge than the bell is stays rough. */
function evenOut(near: Float64Array, w: number, h: number, bell: Float64Array, along: Float64Array): void {
  const reach = (bell.length - 1) / 2;
  for (let r = 0; r < h; r++)
    for (let i = r * w + reach, end = r * w + w - reach; i < end; i++) {
      let sum = 0;
      for (let k = 0, at = i - reach; k < bell.length; k++, at++) sum += bell[k]! * near[at]!;
      along[i] = sum;
    }
  for (let r = reach; r < h - reach; r++)
    for (let i = r * w + reach, end = r * w + w - reach; i < end; i++) {
      let sum = 0;
      for (let k = 0, at = i - reach * w; k < bell.length; k++, at += w) sum += bell[k]! * along[at]!;
      near[i] = sum;
    }
}

/** The value of a field all over a rectangle, ends included; null where it is not the same. */
function plainValue(
  field: Float32Array,
  width: number,
  { x, y }: { readonly x: readonly [number, number]; readonly y: readonly [number, number] },
): number | null {
  const value = field[y[0] * width + x[0]]!;
  for (let row = y[0]; row <= y[1]; row++)
    for (let i = row * width + x[0], end = row * width + x[1]; i <= end; i++) if (field[i] !== value) return null;
  return value;
}
