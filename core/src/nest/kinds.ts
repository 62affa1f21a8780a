import type { CellShape } from '../raster/cells.ts';
import type { NoFitMask } from '../raster/no-fit-mask.ts';
import { noFitMaskOf } from '../raster/no-fit-mask.ts';

/** Parts of the same shapes: whichever of them is laid, the plan is the same. */
export interface PartKind {
  /** Which parts. */
  readonly parts: readonly number[];
  /** Its shapes, one for each turn, among all: the first, and the one past the last. */
  readonly from: number;
  readonly to: number;
  /** Cells that it takes at least. */
  readonly cells: number;
}

/** A shape with what a search asks of it again and again. */
export interface SearchShape extends CellShape {
  readonly kind: number;
  /** Its cells in each column. */
  readonly inColumn: Int32Array;
  /** The cells beside its edge, a bit for each, from the column before it and the row below it on. */
  readonly beside: { readonly words: number; readonly bits: Int32Array; readonly total: number };
}

/** What is searched with: kinds of parts, their shapes, and where those do not fit beside each other. */
export interface Kinds {
  readonly kinds: readonly PartKind[];
  readonly shapes: readonly SearchShape[];
  /** Cells of the largest. */
  readonly biggest: number;
  /** Where the second cannot lie because of the first. */
  noFit(lying: number, other: number): NoFitMask;
}

/** Bytes of no-fit masks that are kept; past that, they are rebuilt on demand. */
const KEPT_BYTES = 96e6;

/**
 * Parts by their kinds.
 *
 * @param parts shapes of each in its turns
 */
export function kindsOf(parts: readonly (readonly CellShape[])[]): Kinds {
  const groups = new Map<string, number[]>();
  parts.forEach((shapes, i) => {
    const key = shapes.map(({ spans, byColumn, rows }) => `${rows}:${byColumn.join()}:${spans.join()}`).join(';');
    const group = groups.get(key);
    if (group) group.push(i);
    else groups.set(key, [i]);
  });
  const shapes: SearchShape[] = [];
  const kinds = [...groups.values()].map((group, kind): PartKind => {
    const own = parts[group[0]!]!;
    const from = shapes.length;
    shapes.push(...own.map((shape) => searchShape(shape, kind)));
    return { parts: group, from, to: shapes.length, cells: Math.min(...own.map(({ cells }) => cells)) };
  });
  let kept = 0;
  let known: (NoFitMask | undefined)[][] = shapes.map(() => []);
  return {
    kinds,
    shapes,
    biggest: Math.max(...shapes.map(({ cells }) => cells)),
    noFit: (lying, other) => {
      const old = known[lying]![other];
      if (old) return old;
      const made = noFitMaskOf(shapes[lying]!, shapes[other]!);
      kept += made.bits.byteLength;
      if (kept > KEPT_BYTES) {
        known = shapes.map(() => []);
        kept = made.bits.byteLength;
      }
      known[lying]![other] = made;
      return made;
    },
  };
}

function searchShape(shape: CellShape, kind: number): SearchShape {
  const inColumn = new Int32Array(shape.columns);
  for (let c = 0; c < shape.columns; c++)
    for (let k = shape.byColumn[c]!; k < shape.byColumn[c + 1]!; k++)
      inColumn[c]! += shape.spans[2 * k + 1]! - shape.spans[2 * k]!;
  const words = Math.ceil((shape.rows + 2) / 32);
  const bits = new Int32Array((shape.columns + 2) * words);
  for (let k = 0; k < shape.rim.length; k += 2) {
    const [c, r] = [shape.rim[k]! + 1, shape.rim[k + 1]! + 1];
    bits[c * words + (r >> 5)]! |= 1 << (r & 31);
  }
  return { ...shape, kind, inColumn, beside: { words, bits, total: shape.rim.length / 2 } };
}
