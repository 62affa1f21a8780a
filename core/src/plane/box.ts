/** An axis-aligned box, mm. Empty when `maxX < minX`. */
export interface Box {
  readonly minX: number;
  readonly minY: number;
  readonly maxX: number;
  readonly maxY: number;
}

export const EMPTY_BOX: Box = { minX: Infinity, minY: Infinity, maxX: -Infinity, maxY: -Infinity };

/** Smallest box over interleaved coordinates [x0, y0, x1, y1, …], grown from `start`. */
export function boxOfCoordinates(coordinates: ArrayLike<number>, start: Box = EMPTY_BOX): Box {
  let { minX, minY, maxX, maxY } = start;
  for (let i = 0; i + 1 < coordinates.length; i += 2) {
    const x = coordinates[i]!;
    const y = coordinates[i + 1]!;
    if (x < minX) minX = x;
    if (x > maxX) maxX = x;
    if (y < minY) minY = y;
    if (y > maxY) maxY = y;
  }
  return { minX, minY, maxX, maxY };
}

/** Smallest box over all points of some rings of interleaved coordinates; empty when there are none. */
export const boxOfRings = (rings: readonly ArrayLike<number>[]): Box =>
  rings.reduce<Box>((grown, ring) => boxOfCoordinates(ring, grown), EMPTY_BOX);

/** Smallest box that holds both. */
export function joinBoxes(a: Box, b: Box): Box {
  return {
    minX: Math.min(a.minX, b.minX),
    minY: Math.min(a.minY, b.minY),
    maxX: Math.max(a.maxX, b.maxX),
    maxY: Math.max(a.maxY, b.maxY),
  };
}

/** Whether two boxes share a point, with `gap` mm of slack. */
export function boxesTouch(a: Box, b: Box, gap = 0): boolean {
  return a.minX - gap <= b.maxX && b.minX - gap <= a.maxX && a.minY - gap <= b.maxY && b.minY - gap <= a.maxY;
}

/**
 * Pairs of boxes that share a point, each pair once.
 *
 * @param boxes any number of boxes, mm
 * @param visit called with the indices of both
 * @source sorted by their left edges, each box is held against those that begin before it ends
 */
export function touchingPairs(boxes: readonly Box[], visit: (a: number, b: number) => void): void {
  const order = boxes.map((_, i) => i).sort((a, b) => boxes[a]!.minX - boxes[b]!.minX);
  for (let i = 0; i < order.length; i++) {
    const a = boxes[order[i]!]!;
    for (let j = i + 1; j < order.length && boxes[order[j]!]!.minX <= a.maxX; j++)
      if (boxesTouch(a, boxes[order[j]!]!)) visit(order[i]!, order[j]!);
  }
}

/**
 * Boxes in bunches, such that boxes of different bunches never touch.
 *
 * @param boxes any number of boxes, mm
 * @returns indices by bunch, in the order of each bunch's first box
 */
export function touchingBunches(boxes: readonly Box[]): number[][] {
  const parent = boxes.map((_, i) => i);
  const root = (i: number): number => {
    while (parent[i] !== i) i = parent[i] = parent[parent[i]!]!;
    return i;
  };
  touchingPairs(boxes, (a, b) => {
    const [low, high] = [root(a), root(b)].sort((x, y) => x - y);
    parent[high!] = low!;
  });
  const bunches = new Map<number, number[]>();
  boxes.forEach((_, i) => {
    const bunch = bunches.get(root(i));
    if (bunch) bunch.push(i);
    else bunches.set(root(i), [i]);
  });
  return [...bunches.values()];
}

/** The box moved by (x, y) mm. */
export const shiftBox = (box: Box, x: number, y: number): Box => ({
  minX: box.minX + x,
  minY: box.minY + y,
  maxX: box.maxX + x,
  maxY: box.maxY + y,
});
export const boxWidth = (box: Box): number => box.maxX - box.minX;
export const boxHeight = (box: Box): number => box.maxY - box.minY;
/** Its middle. */
export const boxCentre = ({ minX, minY, maxX, maxY }: Box): { readonly x: number; readonly y: number } => ({
  x: (minX + maxX) / 2,
  y: (minY + maxY) / 2,
});
export const isEmptyBox = (box: Box): boolean => box.maxX < box.minX;
