import { boxOfCoordinates } from '../plane/box.ts';
import type { Ring } from '../polygon/polygon.ts';
import { ringArea } from '../polygon/polygon.ts';
import type { Allocation } from './allocation.ts';
import type { FilmBlock } from './blocks.ts';
import type { Leftover } from './leftover.ts';
import { isWorthKeeping, SMALLEST_MM2 } from './leftover.ts';
import type { Strip } from './load.ts';
import { boxOnBoard } from './load.ts';

/** mm by which what is kept of the inside of a ring stays clear of it. */
const RING_CLEAR_MM = 1;

/** What lies inside of rings and is large enough to be kept, by its true outline; nothing else may be cut from it. */
export function ringMiddles(
  strip: Strip,
  blocks: readonly FilmBlock[],
  taken: readonly Allocation[],
  load: number,
): Leftover[] {
  const laid = strip.parts.flatMap((one) => {
    const block = blocks.find((b) => b.film === strip.film && b.part === one.part);
    return block ? [{ one, block, box: boxOnBoard(block, one.matrix) }] : [];
  });
  const source = taken.find((t) => t.load === load && t.film === strip.film);
  const of = source && 'id' in source.from ? source.from.id : null;
  return laid.flatMap(({ block, one }, i) =>
    (block.rings ?? []).flatMap((ring): Leftover[] => {
      // Outer rings run counter-clockwise, holes clockwise.
      if (ringArea(ring) > -SMALLEST_MM2) return [];
      const inner = boxOfCoordinates(ring);
      const [a, b, c, d, e, f] = one.matrix;
      const onBoard = boxOfCoordinates(ring.map((_, k) => (k % 2 === 0 ? a * ring[k]! + c * ring[k + 1]! + e : b * ring[k - 1]! + d * ring[k]! + f))); // prettier-ignore
      const busy = laid.some(
        ({ box }, k) =>
          k !== i &&
          box.minX < onBoard.maxX &&
          box.maxX > onBoard.minX &&
          box.minY < onBoard.maxY &&
          box.maxY > onBoard.minY,
      );
      // Pieces of the same part may lie inside as well.
      const filled = (block.rings ?? []).some(
        (other) => other !== ring && ringArea(other) > 0 && isInside(other, ring),
      );
      const [wide, high] = [inner.maxX - inner.minX - 2 * RING_CLEAR_MM, inner.maxY - inner.minY - 2 * RING_CLEAR_MM];
      if (busy || filled || !isWorthKeeping(wide, high)) return [];
      const middle = [(inner.minX + inner.maxX) / 2, (inner.minY + inner.maxY) / 2];
      // Drawn in towards its middle: by at least the clearance for what bulges out everywhere.
      const outline = [...ring].map((v, k) => {
        const half = k % 2 === 0 ? wide / 2 : high / 2;
        const before = half + RING_CLEAR_MM;
        return Number((half + ((v - middle[k % 2]!) * half) / before).toFixed(2));
      });
      return [{ film: strip.film, lengthMm: wide, widthMm: high, outline, of }];
    }),
  );
}

function isInside(ring: Ring, of: Ring): boolean {
  const [x, y] = [ring[0]!, ring[1]!];
  let inside = false;
  for (let i = 0, j = of.length - 2; i < of.length; j = i, i += 2)
    if (
      of[i + 1]! > y !== of[j + 1]! > y &&
      x < ((of[j]! - of[i]!) * (y - of[i + 1]!)) / (of[j + 1]! - of[i + 1]!) + of[i]!
    )
      inside = !inside;
  return inside;
}
