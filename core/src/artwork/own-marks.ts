import { boxesTouch, boxHeight, boxOfCoordinates, boxOfRings, boxWidth, type Box } from '../plane/box.ts';
import { intersectRings } from '../polygon/boolean.ts';
import { nestRings } from '../polygon/hole-assignment.ts';
import type { Polygon, Ring } from '../polygon/polygon.ts';
import { polygonArea, ringsOf } from '../polygon/polygon.ts';
import type { Drawing } from './drawing.ts';

/** Squares for lining up are no larger than this, nor than this share of the drawing, mm as drawn. */
const [LARGEST_MM, LARGEST_SHARE] = [15, 0.2];
/** How far a square may be from one: of its sides from each other, and of its area from that of its box. */
const OUT_OF_SQUARE = 0.03;
/** Share of the drawing within which squares of two colours lie on each other. */
const SAME_PLACE = 0.002;

/** Squares for lining up that a drawing brought with it. */
export interface OwnMarks {
  /** Places where they are. */
  readonly places: number;
  /** The drawing without them, about the middle of what is left. */
  readonly without: Drawing;
}

/**
 * Looks for squares for lining up: alike squares of two colours or more on each other, clear of all else that is drawn.
 * In one place alone, all colours have to have it.
 *
 * @param drawing as it was read
 * @returns null where there are none, or nothing else
 */
export function ownMarks(drawing: Drawing): OwnMarks | null {
  const span = Math.max(drawing.widthMm, drawing.heightMm);
  const largest = Math.min(LARGEST_MM, LARGEST_SHARE * span);
  const parts = drawing.colours.map(({ rings }) => nestRings(rings).map((part) => ({ part, box: boxOfCoordinates(part.outer) }))); // prettier-ignore
  const squares = parts.flatMap((own, colour) =>
    own.flatMap(({ part, box }) => (isSquare(part, box) && boxWidth(box) <= largest ? [{ colour, part, box }] : [])),
  );
  type Square = (typeof squares)[number];
  const places: Square[][] = [];
  for (const square of squares) {
    const place = places.find(([first]) => sameBox(first!.box, square.box, SAME_PLACE * span));
    if (place) place.push(square);
    else places.push([square]);
  }
  const clear = (place: readonly Square[]): boolean => {
    const own = new Set(place.map(({ part }) => part));
    const { part: mark, box } = place[0]!;
    return parts.flat().every(
      (other) => own.has(other.part) || !boxesTouch(other.box, box) || intersectRings([mark.outer], ringsOf(other.part)).length === 0, // prettier-ignore
    );
  };
  const coloursAt = (place: readonly Square[]): number => new Set(place.map(({ colour }) => colour)).size;
  const found = places.filter((place) => coloursAt(place) >= 2 && clear(place));
  const all = new Set(drawing.colours.map(({ colour }) => colour)).size;
  if (found.length === 0 || (found.length === 1 && coloursAt(found[0]!) < all)) return null;
  const marks = new Set(found.flat().map(({ part }) => part));
  const left = parts.map((own) => own.filter(({ part }) => !marks.has(part)).map(({ part }) => part));
  if (left.every((own) => own.length === 0)) return null;
  return { places: found.length, without: withParts(drawing, left) };
}

function isSquare({ outer, holes }: Polygon, box: Box): boolean {
  const [w, h] = [boxWidth(box), boxHeight(box)];
  if (holes.length > 0 || Math.abs(w - h) > OUT_OF_SQUARE * Math.max(w, h)) return false;
  return polygonArea({ outer, holes: [] }) >= (1 - OUT_OF_SQUARE) * w * h;
}

const sameBox = (a: Box, b: Box, within: number): boolean =>
  (['minX', 'maxX', 'minY', 'maxY'] as const).every((side) => Math.abs(a[side] - b[side]) <= within);

/** A drawing of some of its parts, about the middle of those. */
function withParts(drawing: Drawing, parts: readonly (readonly Polygon[])[]): Drawing {
  const box = boxOfRings(parts.flat().map(({ outer }) => outer));
  const [x, y] = [(box.minX + box.maxX) / 2, (box.minY + box.maxY) / 2];
  const moved = (ring: Ring): Ring => ring.map((v, i) => v - (i % 2 ? y : x));
  return {
    ...drawing,
    widthMm: boxWidth(box),
    heightMm: boxHeight(box),
    sheet: drawing.sheet && { ...drawing.sheet, x: drawing.sheet.x - x, y: drawing.sheet.y - y },
    colours: drawing.colours.flatMap((one, i) => {
      const own = parts[i]!;
      if (own.length === 0) return [];
      const areaMm2 = own.reduce((sum, part) => sum + polygonArea(part), 0);
      return [{ ...one, rings: own.flatMap(ringsOf).map(moved), areaMm2 }];
    }),
  };
}
