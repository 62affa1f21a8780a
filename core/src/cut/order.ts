import { flattenPath } from '../plane/flatten.ts';
import type { Path } from '../plane/path.ts';
import { mapPath } from '../plane/path.ts';
import type { Strip } from '../sheet/load.ts';

/** What is cut of one piece: counters before the outline, so that nothing is loose while the blade works inside it. */
export interface CutPiece {
  readonly pieceId: string;
  readonly paths: readonly Path[];
}

/**
 * Pieces of one strip in board millimetres, in cutting order: nearest next from the load corner, counters first.
 *
 * @param pieces paths on the template, outer ring first
 * @param strip where the film lies
 */
export function cutPieces(
  pieces: readonly { readonly id: string; readonly paths: readonly Path[] }[],
  strip: Strip,
): CutPiece[] {
  const [a, b, c, d, e, f] = strip.matrix;
  const left = pieces.map(({ id, paths }) => ({
    pieceId: id,
    paths: [...paths.slice(1), ...paths.slice(0, 1)].map((path) =>
      mapPath(path, (p) => ({ x: a * p.x + c * p.y + e, y: b * p.x + d * p.y + f })),
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
  return ordered;
}

/** Length of a path, mm, to about a thousandth. */
export function pathLength(path: Path): number {
  const points = flattenPath(path, 0.02);
  let length = 0;
  for (let i = 2; i < points.length; i += 2)
    length += Math.hypot(points[i]! - points[i - 2]!, points[i + 1]! - points[i - 1]!);
  if (path.closed && points.length > 4) length += Math.hypot(points[0]! - points.at(-2)!, points[1]! - points.at(-1)!);
  return length;
}
