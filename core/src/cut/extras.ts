import type { Strip } from '../load/load.ts';
import type { Board } from '../model/board.ts';
import { EPSILON } from '../numeric/tolerances.ts';
import { flattenPath } from '../plane/flatten.ts';
import type { Path } from '../plane/path.ts';
import { pathFromRing } from '../plane/path.ts';
import { intersectRings } from '../polygon/boolean.ts';
import { offsetRings } from '../polygon/offset.ts';
import type { Ring } from '../polygon/polygon.ts';
import { ringsOf } from '../polygon/polygon.ts';
import type { CutPiece } from './order.ts';

/** Where a strip of film lies on the board. */
type FilmArea = Pick<Strip, 'from' | 'to' | 'across'>;

/** What of a strip is taken: what stays of an offcut is not cut into. */
const takenOf = ({ from, used }: Strip): FilmArea => ({ from, to: from + used.along, across: used.across });

/** What is cut besides the pieces, and how. */
export interface CutOptions {
  /** mm by which the blade runs on past the start of an outline, so that its end comes free; 0 for none. */
  readonly overcutMm: number;
  /** mm between lines that part the waste so that a hand can hold it; 0 for none. */
  readonly weedingMm: number;
  /** Whether a small square in a triangle is cut first, in a free corner. */
  readonly testMark: boolean;
  /**
   * mm from the axis of a drag knife to its tip, where pen movements are to allow for it; 0 where the cutter does. Left out:
   * 0.
   */
  readonly bladeOffsetMm?: number;
}

/** The pieces and nothing else. */
export const PLAIN_CUT: CutOptions = { overcutMm: 0, weedingMm: 0, testMark: false };

/** mm. Weeding lines and the test mark keep this far from every piece, and a little from the edge of the film. */
const CLEAR_MM = 1;
/** mm. Shorter bits of a weeding line are not worth a lift. */
const SHORTEST_MM = 3;
/** mm. Sides of the test mark. */
const [MARK_WIDE, MARK_HIGH, MARK_SQUARE] = [10, 9, 3];

/**
 * Everything that is cut of one strip, in order: the test mark, the pieces, the weeding lines.
 *
 * @param pieces of the strip in board millimetres, in cutting order
 * @param strip where its film lies
 * @param board for its margin
 */
export function withExtras(pieces: readonly CutPiece[], strip: Strip, board: Board, options: CutOptions): CutPiece[] {
  const solid = pieces.map(({ paths }) => flattenPath(paths.at(-1)!, 0.01));
  const taken = takenOf(strip);
  // On an offcut that is no rectangle they might lie beside the film, where the blade meets the board.
  const plain = strip.outline === null;
  const mark = options.testMark && plain ? testMark(solid, taken, board) : null;
  const lines =
    options.weedingMm > 0 && plain
      ? weedingLines(mark ? [...solid, mark.solid] : solid, taken, board, options.weedingMm)
      : [];
  return [
    ...(mark ? [{ pieceId: 'test-mark', paths: mark.paths }] : []),
    ...pieces.map((piece) => ({ ...piece, paths: piece.paths.map((path) => overcut(path, options.overcutMm)) })),
    ...(lines.length > 0 ? [{ pieceId: 'weeding', paths: lines }] : []),
  ];
}

/** Whether it is cut besides the pieces. */
export const isExtra = ({ pieceId }: CutPiece): boolean => pieceId === 'test-mark' || pieceId === 'weeding';

/** A small square in a triangle at the first free corner or edge of the film; null where there is no room for it. */
function testMark(solid: readonly Ring[], strip: FilmArea, board: Board): { paths: Path[]; solid: Ring } | null {
  const [low, high] = [board.marginMm + CLEAR_MM, board.marginMm + strip.across - CLEAR_MM - MARK_HIGH];
  const [left, right] = [strip.from + CLEAR_MM, strip.to - CLEAR_MM - MARK_WIDE];
  if (high < low || right < left) return null;
  const spots: [number, number][] = [[left, low], [left, high], [right, low], [right, high]]; // prettier-ignore
  for (let x = left; x <= right; x += 5) spots.push([x, low], [x, high]);
  for (let y = low; y <= high; y += 5) spots.push([left, y], [right, y]);
  for (const [x, y] of spots) {
    const room = rectangle(x - CLEAR_MM, y - CLEAR_MM, x + MARK_WIDE + CLEAR_MM, y + MARK_HIGH + CLEAR_MM);
    if (intersectRings([room], solid).length > 0) continue;
    const triangle = Float64Array.from([x, y, x + MARK_WIDE, y, x + MARK_WIDE / 2, y + MARK_HIGH]);
    const [cx, cy] = [x + MARK_WIDE / 2, y + MARK_HIGH / 3];
    const half = MARK_SQUARE / 2;
    return {
      paths: [pathFromRing(rectangle(cx - half, cy - half, cx + half, cy + half)), pathFromRing(triangle)],
      solid: triangle,
    };
  }
  return null;
}

const rectangle = (x0: number, y0: number, x1: number, y1: number): Ring =>
  Float64Array.from([x0, y0, x1, y0, x1, y1, x0, y1]);

/** Lines across the film, both ways, that stop short of every piece. */
function weedingLines(solid: readonly Ring[], strip: FilmArea, board: Board, pitch: number): Path[] {
  const grown = offsetRings(solid, CLEAR_MM + 0.02).flatMap(ringsOf);
  const [x0, x1] = [strip.from + CLEAR_MM, strip.to - CLEAR_MM];
  const [y0, y1] = [board.marginMm + CLEAR_MM, board.marginMm + strip.across - CLEAR_MM];
  const lines: Path[] = [];
  const add = (from: number, to: number, at: (along: number) => { x: number; y: number }): void => {
    if (to - from >= SHORTEST_MM)
      lines.push({ start: at(from), segments: [{ kind: 'line', to: at(to) }], closed: false });
  };
  for (const at of evenly(x0, x1, pitch))
    free(grown, 0, at, y0, y1).forEach(([from, to]) => add(from, to, (y) => ({ x: at, y })));
  for (const at of evenly(y0, y1, pitch))
    free(grown, 1, at, x0, x1).forEach(([from, to]) => add(from, to, (x) => ({ x, y: at })));
  return lines;
}

/** Places that part a stretch into even lengths of no more than a pitch. */
function evenly(from: number, to: number, pitch: number): number[] {
  const parts = Math.max(1, Math.ceil((to - from) / pitch));
  return Array.from({ length: parts - 1 }, (_, i) => from + ((to - from) * (i + 1)) / parts);
}

/** What of a straight line between two ends lies outside of all rings. */
function free(rings: readonly Ring[], axis: 0 | 1, at: number, from: number, to: number): [number, number][] {
  const crossings: number[] = [];
  for (const ring of rings)
    for (let i = 0, n = ring.length; i < n; i += 2) {
      const [a, b] = [ring[i + axis]!, ring[((i + 2) % n) + axis]!];
      if (a > at === b > at) continue;
      const [p, q] = [ring[i + 1 - axis]!, ring[((i + 2) % n) + 1 - axis]!];
      crossings.push(p + ((q - p) * (at - a)) / (b - a));
    }
  crossings.sort((a, b) => a - b);
  const out: [number, number][] = [];
  let start = from;
  for (let i = 0; i + 1 < crossings.length; i += 2) {
    if (crossings[i]! > start) out.push([start, Math.min(to, crossings[i]!)]);
    start = Math.max(start, crossings[i + 1]!);
  }
  if (start < to) out.push([start, to]);
  return out.filter(([a, b]) => b > a);
}

/** An outline whose end runs on over its beginning; what is not closed stays as it is. */
function overcut(path: Path, mm: number): Path {
  if (mm <= 0 || !path.closed) return path;
  const points = flattenPath(path, 0.01);
  const end = path.segments.at(-1)?.to ?? path.start;
  const closing = Math.hypot(end.x - path.start.x, end.y - path.start.y) > EPSILON ? [{ kind: 'line' as const, to: path.start }] : []; // prettier-ignore
  const more: { kind: 'line'; to: { x: number; y: number } }[] = [];
  let left = mm;
  for (let i = 2; i < points.length && left > 0; i += 2) {
    const [ax, ay, bx, by] = [points[i - 2]!, points[i - 1]!, points[i]!, points[i + 1]!];
    const length = Math.hypot(bx - ax, by - ay);
    const t = Math.min(1, left / Math.max(length, EPSILON));
    more.push({ kind: 'line', to: { x: ax + (bx - ax) * t, y: ay + (by - ay) * t } });
    left -= length;
  }
  return { start: path.start, segments: [...path.segments, ...closing, ...more], closed: false };
}
