import type { Board } from '../model/board.ts';
import type { KeptFilm, Lot, PartOnBoard } from '../model/laid.ts';
import type { Supply } from '../model/stock.ts';
import { EPSILON_MM } from '../numeric/tolerances.ts';
import type { Box } from '../plane/box.ts';
import { boxesTouch, boxOfCoordinates } from '../plane/box.ts';
import type { Ring } from '../polygon/polygon.ts';
import type { FilmBlock } from './blocks.ts';
import type { LoadPlan } from './load.ts';
import { boxOnBoard, signOf } from './load.ts';
import { BLADE_MARGIN_MM } from './lot.ts';

/** How the films of a plan lie, so that they can be kept so. */
export function keptOf({ loads, board }: LoadPlan, blocks: readonly FilmBlock[], supply: Supply): KeptFilm[] {
  const strips = loads.flatMap((load) => load.strips);
  return [...new Set(strips.map(({ film }) => film))].map((film) => ({
    film,
    of: signOf(
      blocks.filter((block) => block.film === film),
      board,
      supply,
    ),
    lots: strips
      .filter((strip) => strip.film === film)
      .map(({ from, to, across, offcut, outline, used, parts }): Lot => ({
        along: to - from,
        across,
        offcut,
        outline,
        used,
        parts: parts.map((one) => movedBy(one, -from, -board.marginMm)),
      })),
  }));
}

const movedBy = (one: PartOnBoard, dx: number, dy: number): PartOnBoard => {
  const [a, b, c, d, e, f] = one.matrix;
  return { ...one, matrix: [a, b, c, d, e + dx, f + dy] };
};

/**
 * A film with one of its parts moved by hand, where it stays from then on. What is cut to size grows or shrinks with it.
 *
 * @param kept how the film lies
 * @param lot which strip of the film, from 0
 * @param part which part on it
 * @param to where it lies then, as a matrix from the corner of the strip
 * @param boxes boxes of the film's parts on their templates, by name
 */
export function putByHand(
  kept: KeptFilm,
  lot: number,
  part: string,
  to: PartOnBoard['matrix'],
  boxes: ReadonlyMap<string, Box>,
): KeptFilm {
  const lots = kept.lots.map((one, i): Lot => {
    if (i !== lot) return one;
    const turned = Math.abs(to[0]) < 0.5;
    const parts = one.parts.map((p) => (p.part === part ? { part, turned, matrix: to, fixed: true } : p));
    const reach = parts.map((p) => boxOnBoard({ film: kept.film, part: p.part, box: boxes.get(p.part)! }, p.matrix));
    const used = {
      along: Math.ceil(Math.max(...reach.map((box) => box.maxX)) + BLADE_MARGIN_MM - EPSILON_MM),
      across: Math.ceil(Math.max(...reach.map((box) => box.maxY)) + BLADE_MARGIN_MM - EPSILON_MM),
    };
    return one.offcut === null ? { ...one, ...used, used, parts } : { ...one, used, parts };
  });
  return { ...kept, lots };
}

/** The same with a part let go of again, or with all of them. */
export const letGoOfPart = (kept: KeptFilm, part: string | null): KeptFilm => ({
  ...kept,
  lots: kept.lots.map((lot) => ({
    ...lot,
    parts: lot.parts.map(({ fixed, ...one }) =>
      fixed && part !== null && one.part !== part ? { ...one, fixed } : one,
    ),
  })),
});

/** What a part is in the way of where it is dragged to. */
export type HandCollision = 'edge' | 'part' | null;

/**
 * Whether a part may lie somewhere: clear of the edge of its film by the blade's margin, and of every other part by the
 * gap of the scissors. Exact, between outlines.
 *
 * @param moved outlines of the part where it would lie, from the corner of the strip, mm
 * @param others outlines of the other parts of the strip
 * @param room how far the film reaches, or may reach: along and across, mm
 * @param gapMm between parts
 */
export function collisionOf(
  moved: readonly Ring[],
  others: readonly (readonly Ring[])[],
  room: { readonly along: number; readonly across: number },
  { gapMm }: Pick<Board, 'gapMm'>,
): HandCollision {
  const at = BLADE_MARGIN_MM - EPSILON_MM;
  const box = boxOf(moved);
  if (box.minX < at || box.minY < at || box.maxX > room.along - at || box.maxY > room.across - at) return 'edge';
  const near = others.filter((rings) => boxesTouch(boxOf(rings), box, gapMm));
  return near.some((rings) => nearer(moved, rings, gapMm - EPSILON_MM)) ? 'part' : null;
}

const boxOf = (rings: readonly Ring[]): Box =>
  rings.map((ring) => boxOfCoordinates(ring)).reduce((a, b) => ({ minX: Math.min(a.minX, b.minX), minY: Math.min(a.minY, b.minY), maxX: Math.max(a.maxX, b.maxX), maxY: Math.max(a.maxY, b.maxY) })); // prettier-ignore

/** Whether two shapes come nearer to each other than a distance, or cover each other. */
function nearer(a: readonly Ring[], b: readonly Ring[], distance: number): boolean {
  if (covers(a, b[0]!) || covers(b, a[0]!)) return true;
  const limit = distance * distance;
  for (const r of a)
    for (let i = 0, n = r.length; i < n; i += 2) {
      const [ax, ay, bx, by] = [r[i]!, r[i + 1]!, r[(i + 2) % n]!, r[(i + 3) % n]!];
      for (const s of b)
        for (let k = 0, m = s.length; k < m; k += 2) {
          const [cx, cy, dx, dy] = [s[k]!, s[k + 1]!, s[(k + 2) % m]!, s[(k + 3) % m]!];
          if (Math.max(ax, bx) + distance < Math.min(cx, dx) || Math.max(cx, dx) + distance < Math.min(ax, bx))
            continue;
          if (Math.max(ay, by) + distance < Math.min(cy, dy) || Math.max(cy, dy) + distance < Math.min(ay, by))
            continue;
          if (crosses(ax, ay, bx, by, cx, cy, dx, dy)) return true;
          const least = Math.min(toLine(ax, ay, cx, cy, dx, dy), toLine(bx, by, cx, cy, dx, dy), toLine(cx, cy, ax, ay, bx, by), toLine(dx, dy, ax, ay, bx, by)); // prettier-ignore
          if (least < limit) return true;
        }
    }
  return false;
}

/** Whether the first corner of a ring lies inside of a shape. */
function covers(shape: readonly Ring[], [x, y]: Ring): boolean {
  let inside = false;
  for (const ring of shape)
    for (let i = 0, n = ring.length; i < n; i += 2) {
      const [ax, ay, bx, by] = [ring[i]!, ring[i + 1]!, ring[(i + 2) % n]!, ring[(i + 3) % n]!];
      if (ay > y! !== by > y! && x! < ax + ((bx - ax) * (y! - ay)) / (by - ay)) inside = !inside;
    }
  return inside;
}

function crosses(
  ax: number,
  ay: number,
  bx: number,
  by: number,
  cx: number,
  cy: number,
  dx: number,
  dy: number,
): boolean {
  const side = (px: number, py: number, qx: number, qy: number, x: number, y: number): number => (qx - px) * (y - py) - (qy - py) * (x - px); // prettier-ignore
  return (
    side(ax, ay, bx, by, cx, cy) * side(ax, ay, bx, by, dx, dy) < 0 &&
    side(cx, cy, dx, dy, ax, ay) * side(cx, cy, dx, dy, bx, by) < 0
  );
}

/** Square of the distance of a point to a stretch. */
function toLine(px: number, py: number, ax: number, ay: number, bx: number, by: number): number {
  const [dx, dy] = [bx - ax, by - ay];
  const t = Math.max(0, Math.min(1, ((px - ax) * dx + (py - ay) * dy) / (dx * dx + dy * dy || 1)));
  return (ax + t * dx - px) ** 2 + (ay + t * dy - py) ** 2;
}
