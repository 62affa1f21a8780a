import { laidAs } from '../layers/layer.ts';
import type { Strip } from '../load/load.ts';
import type { PartOnBoard } from '../model/laid.ts';
import { EPSILON } from '../numeric/tolerances.ts';
import type { Path } from '../plane/path.ts';
import { mapPath } from '../plane/path.ts';

/** What is cut of one piece: counters before the outline, so that nothing is loose while the blade works inside it. */
export interface CutPiece {
  readonly pieceId: string;
  /** The part that it is of; left out for what is no piece. */
  readonly part?: string;
  readonly paths: readonly Path[];
}

/** A piece as it lies on its template. */
interface FlatPiece {
  readonly id: string;
  readonly paths: readonly Path[];
}

/**
 * What is cut of a strip of film, in board millimetres, part by part in cutting order.
 *
 * @param pieces of all films and parts, on their templates
 * @param strip where the film and its parts lie
 */
export const cutStrip = (
  pieces: readonly (FlatPiece & { readonly film: string; readonly part: string; readonly level?: number })[],
  strip: Strip,
): CutPiece[] =>
  strip.parts.flatMap((laid) =>
    cutPieces(
      pieces.filter((p) => p.film === strip.film && laidAs(p) === laid.part),
      laid,
    ),
  );

/**
 * Pieces of one part in board millimetres, in cutting order: nearest next from the load corner, counters first.
 *
 * @param pieces paths on the template, mm, outer ring first
 * @param laid where the part lies
 */
export function cutPieces(pieces: readonly FlatPiece[], laid: PartOnBoard): CutPiece[] {
  const [a, b, c, d, e, f] = laid.matrix;
  const mirrored = a * d - b * c < 0;
  const left = pieces.map(({ id, paths }) => ({
    pieceId: id,
    part: laid.part,
    paths: [...paths.slice(1), ...paths.slice(0, 1)].map((path) =>
      mapPath(path, (p) => ({ x: a * p.x + c * p.y + e, y: b * p.x + d * p.y + f }), 1, mirrored),
    ),
  }));
  const ordered: CutPiece[] = [];
  let at = { x: 0, y: 0 };
  while (left.length > 0) {
    const away = left.map((piece) => Math.hypot(piece.paths[0]!.start.x - at.x, piece.paths[0]!.start.y - at.y));
    const [next] = left.splice(away.indexOf(Math.min(...away)), 1);
    ordered.push(next!);
    at = next!.paths.at(-1)!.start;
  }
  return untangled(ordered);
}

/** Passes after which an order is left as it is; each takes all pairs. */
const MOST_PASSES = 12;
/** Pieces past which pairs are too many to try. */
const MOST_PIECES = 600;

/**
 * The same pieces on a shorter way: stretches of the order are turned round as long as that saves way between the pieces.
 *
 * @source 2-opt: G. A. Croes, "A method for solving traveling-salesman problems", 1958
 */
function untangled(pieces: CutPiece[]): CutPiece[] {
  const n = pieces.length;
  if (n < 3 || n > MOST_PIECES) return pieces;
  // A piece is entered at its first counter and left at its outline; turned round, it still is.
  const enter = pieces.map((piece) => piece.paths[0]!.start);
  const leave = pieces.map((piece) => piece.paths.at(-1)!.start);
  const order = pieces.map((_, i) => i);
  /** mm from what is cut at one place of the order to what would be cut next; from the load corner before the first. */
  const way = (before: number, next: number): number => {
    if (next >= n) return 0;
    const [from, to] = [before < 0 ? { x: 0, y: 0 } : leave[order[before]!]!, enter[order[next]!]!];
    return Math.hypot(to.x - from.x, to.y - from.y);
  };
  const stretch = (from: number, to: number): number => {
    let sum = 0;
    for (let m = from - 1; m <= to; m++) sum += way(m, m + 1);
    return sum;
  };
  for (let pass = 0, better = true; better && pass < MOST_PASSES; pass++) {
    better = false;
    for (let i = 0; i < n - 1; i++)
      for (let k = i + 1; k < n; k++) {
        // Only where the new ends are nearer is it worth looking at the whole stretch, whose own ways change too.
        if (way(i - 1, k) + way(i, k + 1) >= way(i - 1, i) + way(k, k + 1)) continue;
        const before = stretch(i, k);
        turn(order, i, k);
        if (stretch(i, k) < before - EPSILON) better = true;
        else turn(order, i, k);
      }
  }
  return order.map((i) => pieces[i]!);
}

function turn(order: number[], from: number, to: number): void {
  for (let a = from, b = to; a < b; a++, b--) [order[a], order[b]] = [order[b]!, order[a]!];
}
