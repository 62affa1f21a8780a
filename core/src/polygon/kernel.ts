import { Clipper64, OutPt, type OutRec, type Point64 } from 'clipper2-ts';

/** Grid units². A loop smaller than this comes from rounding alone. */
const ROUNDING_LOOP = 1e4;

/** What is reached of the engine's insides. */
interface Insides {
  doSplitOp(ring: OutRec, at: OutPt): void;
  newOutRec(): OutRec;
}

/**
 * The sweep that combines polygons on an integer grid, with one defect of the library mended.
 *
 * Where two outlines touch to within half a grid unit, a hole may come out joined to its outer ring at a point, and
 * rounding may make the ring cross itself there. The library then splits the hole off and, when it has three corners,
 * drops it: a notch of any size is filled (40 mm² in the made case of the test). Here it is kept as the hole that it is.
 */
export function makeKernel(): Clipper64 {
  const engine = new Clipper64();
  const insides = engine as unknown as Insides;
  const split = insides.doSplitOp;
  insides.doSplitOp = (ring, at) => {
    const before = at.prev;
    const beyond = at.next!;
    const after = beyond.next!;
    split.call(engine, ring, at);
    // Kept, or taken away with the whole ring: the library did as it should.
    if (ring.pts === null || at.prev !== before) return;
    const crossing = before.next === after ? nearer(before.pt, after.pt, at.pt, beyond.pt) : before.next!.pt;
    if (doubleArea(crossing, at.pt, beyond.pt) < 2 * ROUNDING_LOOP) return;
    const middle = {
      x: (crossing.x + at.pt.x + beyond.pt.x) / 3,
      y: (crossing.y + at.pt.y + beyond.pt.y) / 3,
    };
    if (!encloses(before, middle)) return;
    const hole = insides.newOutRec();
    const start = new OutPt(crossing, hole);
    at.outrec = beyond.outrec = hole;
    start.prev = beyond;
    start.next = at;
    at.prev = start;
    beyond.next = start;
    hole.owner = ring;
    hole.pts = start;
  };
  return engine;
}

/** Where two edges cross that were cut off right at one of their far ends: the end that both of them pass. */
function nearer(a: Point64, b: Point64, p: Point64, q: Point64): Point64 {
  return doubleArea(a, q, b) <= doubleArea(b, p, a) ? a : b;
}

const doubleArea = (a: Point64, b: Point64, c: Point64): number =>
  Math.abs((b.x - a.x) * (c.y - a.y) - (c.x - a.x) * (b.y - a.y));

/** Whether a ring of the engine goes round a point, by the crossings of a ray to the right. */
function encloses(ring: OutPt, { x, y }: { x: number; y: number }): boolean {
  let inside = false;
  let at = ring;
  do {
    const a = at.pt;
    const b = at.next!.pt;
    if (a.y > y !== b.y > y && x < ((b.x - a.x) * (y - a.y)) / (b.y - a.y) + a.x) inside = !inside;
    at = at.next!;
  } while (at !== ring);
  return inside;
}
