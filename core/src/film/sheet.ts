import cdt2d from 'cdt2d';
import type { Polygon, Ring } from '../polygon/polygon.ts';
import { ringContains, ringsOf } from '../polygon/polygon.ts';
import { isFilm, type OnTape } from './taped.ts';

/** A piece of film as a mesh: its points on the flat, mm, and its triangles, counter-clockwise. */
export interface Sheet {
  /** x and y by turns. */
  readonly flat: Float64Array;
  /** Three points each. */
  readonly triangles: Uint32Array;
  /** Pairs of points, each edge once. */
  readonly edges: Uint32Array;
  /** Three edges to a triangle, each opposite of the point in its place. */
  readonly sides: Uint32Array;
  /** 1 for each triangle of tape that spans a hole: it holds the film in form while it is laid, and comes off after. */
  readonly tape: Uint8Array;
}

/** A piece that cannot be made a mesh of: it has no area, or would take more points than a person waits for. */
export class SheetProblem extends Error {}

/** Most points of a mesh. */
const MOST_POINTS = 12_000;
/** How near to an edge, in edges of the mesh, points are put inside. */
const FROM_EDGE = 0.55;

/**
 * A mesh of a piece, its holes and slits kept: a slit is a narrow notch of its outline.
 *
 * @param piece on its flat, mm
 * @param edge length of the mesh's edges, mm
 * @param turned rad by which the grid inside is turned
 * @param holes whether they are open, or spanned by the tape that the piece is laid with
 * @throws SheetProblem
 */
export function meshOf(piece: Polygon, edge: number, turned = 0, holes: 'open' | 'spanned' = 'open'): Sheet {
  if (holes === 'open' || piece.holes.length === 0) return meshWithin(piece, [], edge, turned, () => false);
  const inHole = (x: number, y: number): boolean => piece.holes.some((hole) => ringContains(hole, x, y));
  return meshWithin({ outer: piece.outer, holes: [] }, piece.holes, edge, turned, inHole);
}

/** A sheet of tape with several pieces of film on it, as a mesh. @throws SheetProblem */
export const meshOnTape = (taped: OnTape, edge: number): Sheet =>
  meshWithin(taped.tape, taped.films.flatMap(ringsOf), edge, 0, (x, y) => !isFilm(taped, x, y));

/**
 * A mesh of all that lies within an outline.
 *
 * @param drawn rings inside along which its edges run
 * @param isTape whether a spot is tape
 */
function meshWithin(
  all: Polygon,
  drawn: readonly Ring[],
  edge: number,
  turned: number,
  isTape: (x: number, y: number) => boolean,
): Sheet {
  if (!(edge > 0)) throw new RangeError(`an edge must be positive, got ${edge}`);
  const points: [number, number][] = [];
  const kept: [number, number][] = [];
  for (const ring of [...ringsOf(all), ...drawn]) {
    const from = points.length;
    for (let i = 0; i < ring.length; i += 2) {
      const [x0, y0] = [ring[i]!, ring[i + 1]!];
      const [x1, y1] = [ring[(i + 2) % ring.length]!, ring[(i + 3) % ring.length]!];
      const parts = Math.max(1, Math.round(Math.hypot(x1 - x0, y1 - y0) / edge));
      for (let k = 0; k < parts; k++) {
        points.push([x0 + ((x1 - x0) * k) / parts, y0 + ((y1 - y0) * k) / parts]);
        if (points.length > MOST_POINTS) throw new SheetProblem('too many points');
      }
    }
    for (let i = from; i < points.length; i++) kept.push([i, i + 1 < points.length ? i + 1 : from]);
  }
  fillIn(all, edge, turned, points);
  const within = (x: number, y: number): boolean => ringContains(all.outer, x, y) && !all.holes.some((hole) => ringContains(hole, x, y)); // prettier-ignore
  const middle = (three: readonly number[], c: 0 | 1): number => three.reduce((sum, i) => sum + points[i]![c] / 3, 0);
  // Of rings inside, the package leaves out every other one: there it is asked for all, and what lies outside goes.
  const found =
    drawn.length > 0
      ? cdt2d(points, kept, { exterior: true }).filter((three) => within(middle(three, 0), middle(three, 1)))
      : cdt2d(points, kept, { exterior: false });
  if (found.length === 0) throw new SheetProblem('no area');
  return sheetOf(points, found, (three) => isTape(middle(three, 0), middle(three, 1)));
}

/** Points inside, on a grid of triangles, clear of the edge. */
function fillIn(piece: Polygon, edge: number, turned: number, points: [number, number][]): void {
  const rings = ringsOf(piece);
  const [sin, cos] = [Math.sin(turned), Math.cos(turned)];
  const row = (edge * Math.sqrt(3)) / 2;
  let [minX, maxX, minY, maxY] = [Infinity, -Infinity, Infinity, -Infinity];
  const outer = piece.outer;
  for (let i = 0; i < outer.length; i += 2) {
    const [x, y] = [outer[i]! * cos + outer[i + 1]! * sin, outer[i + 1]! * cos - outer[i]! * sin];
    [minX, maxX, minY, maxY] = [Math.min(minX, x), Math.max(maxX, x), Math.min(minY, y), Math.max(maxY, y)];
  }
  if (((maxX - minX) / edge) * ((maxY - minY) / row) > 4 * MOST_POINTS) throw new SheetProblem('too many points');
  // The edge's own points in squares, so that what lies near is found without looking at all of them.
  const near = new Map<string, number[]>();
  points.forEach(([x, y], i) => {
    const key = `${Math.floor(x / edge)} ${Math.floor(y / edge)}`;
    near.set(key, [...(near.get(key) ?? []), i]);
  });
  const clear = (x: number, y: number): boolean => {
    for (let i = -1; i <= 1; i++)
      for (let j = -1; j <= 1; j++)
        for (const k of near.get(`${Math.floor(x / edge) + i} ${Math.floor(y / edge) + j}`) ?? [])
          if (Math.hypot(points[k]![0] - x, points[k]![1] - y) < FROM_EDGE * edge) return false;
    return true;
  };
  const inside: [number, number][] = [];
  for (let j = Math.floor(minY / row); j * row <= maxY; j++)
    for (let i = Math.floor(minX / edge); (i + (j & 1) / 2) * edge <= maxX; i++) {
      const [u, v] = [(i + (j & 1) / 2) * edge, j * row];
      const [x, y] = [u * cos - v * sin, v * cos + u * sin];
      const within = ringContains(rings[0]!, x, y) && rings.slice(1).every((hole) => !ringContains(hole, x, y));
      if (within && clear(x, y)) inside.push([x, y]);
    }
  if (points.length + inside.length > MOST_POINTS) throw new SheetProblem('too many points');
  points.push(...inside);
}

function sheetOf(
  points: readonly (readonly [number, number])[],
  found: readonly [number, number, number][],
  isTape: (three: readonly [number, number, number]) => boolean,
): Sheet {
  const flat = Float64Array.from(points.flat());
  const [pairs, edges] = [new Map<number, number>(), [] as number[]];
  const edgeOf = (a: number, b: number): number => {
    const key = Math.min(a, b) * points.length + Math.max(a, b);
    const known = pairs.get(key);
    if (known !== undefined) return known;
    pairs.set(key, edges.length / 2);
    edges.push(a, b);
    return edges.length / 2 - 1;
  };
  const [triangles, sides, tape]: [number[], number[], number[]] = [[], [], []];
  for (const three of found) {
    const [a, b, c] = three;
    const area = (flat[2 * b]! - flat[2 * a]!) * (flat[2 * c + 1]! - flat[2 * a + 1]!) - (flat[2 * c]! - flat[2 * a]!) * (flat[2 * b + 1]! - flat[2 * a + 1]!); // prettier-ignore
    if (Math.abs(area) < 1e-12) continue;
    const [p, q, r] = area > 0 ? [a, b, c] : [a, c, b];
    triangles.push(p, q, r);
    tape.push(isTape(three) ? 1 : 0);
    sides.push(edgeOf(q, r), edgeOf(r, p), edgeOf(p, q));
  }
  return {
    flat,
    triangles: Uint32Array.from(triangles),
    edges: Uint32Array.from(edges),
    sides: Uint32Array.from(sides),
    tape: Uint8Array.from(tape),
  };
}
